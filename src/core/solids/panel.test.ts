import { describe, expect, it } from 'vitest';
import { box } from './box';
import { NOWHERE } from './mesh';
import { faced, panel } from './panel';
import { broken } from './pieces';

const at = (list: Float32Array, i: number): number[] => [...list.subarray(i * 3, i * 3 + 3)];

/** Twice the signed areas of a mesh's triangles as seen from the front, summed. */
const frontArea = ({ position, index }: { position: Float32Array; index: Uint32Array }): number => {
  let sum = 0;
  for (let t = 0; t < index.length; t += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => at(position, index[t + k]));
    sum += (b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]);
  }
  return sum / 2;
};

describe('panels', () => {
  it('a flat one is as wide and as high as it says, its picture upright on it', () => {
    const { position, uv, open } = panel({ wide: 1.6, curve: 0, behind: 0 });
    expect(open).toBe(true);
    for (let i = 0; i < position.length / 3; i++) {
      const [x, y, z] = at(position, i);
      const [u, v, plane] = at(uv ?? new Float32Array(), i);
      expect(x).toBeCloseTo((u - 0.5) * 1.6, 6);
      expect(y).toBeCloseTo(0.5 - v, 6);
      expect([z, plane]).toEqual([0, 0]);
    }
    // its triangles face the viewer
    expect(frontArea(panel({ wide: 1.6, curve: 0, behind: 0 }))).toBeCloseTo(1.6, 6);
  });

  it('a bent one keeps its width along the bend, and its normals stand on it', () => {
    const { position, normal } = panel({ wide: 2, curve: 120, behind: 0 });
    let along = 0;
    for (let i = 3; i < position.length / 3; i += 3) {
      const [a, b] = [at(position, i - 3), at(position, i)];
      along += Math.hypot(b[0] - a[0], b[2] - a[2]);
      const n = at(normal, i);
      expect(Math.hypot(...n)).toBeCloseTo(1, 6);
    }
    expect(along).toBeCloseTo(2, 2);
    expect(along).toBeLessThan(2);
    // its ends stand 120 degrees apart
    const [first, last] = [at(normal, 0), at(normal, position.length / 3 - 3)];
    expect(first[0] * last[0] + first[2] * last[2]).toBeCloseTo(Math.cos((120 * Math.PI) / 180), 5);
  });

  it('a second plane stands behind the first', () => {
    const { position, uv } = panel({ wide: 1, curve: 0, behind: 0.08 });
    const behind = [...(uv ?? [])].filter((_, i) => i % 3 === 2);
    expect(new Set(behind)).toEqual(new Set([0, 1]));
    behind.forEach((plane, i) => expect(at(position, i)[2]).toBeCloseTo(-0.08 * plane, 6));
  });

  it('a box shows the whole picture upright on each of its six faces', () => {
    const { position, uv, index } = faced(box([0.8, 0.5, 0.3], 0, 1), true);
    expect(index).toHaveLength(36);
    const corners = new Set<string>();
    for (let i = 0; i < position.length / 3; i++)
      corners.add(
        at(uv ?? new Float32Array(), i)
          .slice(0, 2)
          .join(),
      );
    expect(corners).toEqual(new Set(['0,0', '0,1', '1,0', '1,1']));
    // on the sides the picture's top is the body's
    for (let i = 0; i < position.length / 3; i++) {
      const [, y] = at(position, i);
      const [, v] = at(uv ?? new Float32Array(), i);
      const t = Math.floor(i / 3) * 3;
      const flat = [0, 1, 2].every((k) => at(position, t + k)[1] === at(position, t)[1]);
      if (!flat) expect(v).toBeCloseTo(0.5 - y, 6);
    }
  });

  it('may leave out what looks up and down', () => {
    const { uv, normal } = faced(box([0.8, 0.5, 0.3], 0, 1), false);
    const planes = Array.from({ length: normal.length / 3 }, (_, i) => [at(normal, i)[1] !== 0, uv?.[i * 3 + 2]]);
    expect(planes.filter(([cap]) => cap)).toHaveLength(12);
    for (const [cap, plane] of planes) expect(plane).toBe(cap ? NOWHERE : 0);
  });

  it('broken, its pieces show their parts of the picture, their inner sides none', () => {
    const whole = panel({ wide: 2, curve: 0, behind: 0 });
    const { position, uv } = broken(whole, 9, 3);
    let [front, inside] = [0, 0];
    for (let i = 0; i < position.length / 3; i++) {
      const [u, v, plane] = at(uv ?? new Float32Array(), i);
      const [x, y] = at(position, i);
      if (plane === NOWHERE) inside++;
      else {
        front++;
        expect(x).toBeCloseTo((u - 0.5) * 2, 5);
        expect(y).toBeCloseTo(0.5 - v, 5);
      }
    }
    expect(front).toBeGreaterThan(20);
    expect(inside).toBeGreaterThan(front);
  });
});
