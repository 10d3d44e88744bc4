import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import type { Layer } from '../layers/kinds';
import { covers, newPattern, type Covering } from '../matter/pattern/kinds';
import type { Row } from '../matter/pattern/setting';
import type { Piece } from '../piece/schema';
import { rotate, type Vec3 } from '../space/vector';
import { stateReport } from '../seam/report';
import { cameraPose } from './camera';
import { treatmentContext } from './layers';
import { lyingOf } from './pattern';

const covered = (kind: 'cells' | 'flow' | 'picture', fields: object): Covering => {
  const pattern = newPattern(kind, fields);
  if (!covers(pattern)) throw new Error('it covers nothing');
  return pattern;
};
const pieceWith = (pattern: Covering, layer: object = {}, more: object = {}): [Piece, Layer] => {
  const piece = pieceOf({ kind: 'copies', pattern, ...layer } as never, more);
  return [piece, piece.layers[0]];
};
const by = (row: Row, p: Vec3): number => row[0] * p[0] + row[1] * p[1] + row[2] * p[2] + row[3];
const place = fc.tuple(
  ...[0, 1, 2].map(() => fc.integer({ min: -300, max: 300 }).map((n) => n / 10)),
) as fc.Arbitrary<Vec3>;

describe('where a pattern lies', () => {
  it('in the world, it is the same a tile farther on', () => {
    fc.assert(
      fc.property(place, fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 99 }), (p, tenths, frame) => {
        const pattern = covered('flow', { lies: 'world', metres: tenths / 10 });
        const [piece, layer] = pieceWith(pattern);
        const { from, period } = lyingOf(piece, layer, pattern, frame / 100, true);
        const [here, there] = [p, [p[0], p[1], p[2] - piece.tile] as Vec3].map((q) =>
          from.slice(0, 3).map((row) => by(row, q)),
        );
        const gone = here.map((v, k) => (v - there[k]) / period[k]);
        // whole periods along each axis
        for (const v of gone) expect(Math.abs(v - Math.round(v))).toBeLessThan(1e-9);
      }),
      { seed: 3 },
    );
  });

  it('as the camera sees it, its middle is the middle of the frame at that frame, and its height what it says', () => {
    const pattern = covered('picture', { lies: 'view', high: 0.5, frame: 30 });
    const [piece, layer] = pieceWith(
      pattern,
      { once: true },
      {
        flight: { route: { kind: 'orbit', distance: 7, turnsPerLap: 1 }, focalMm: 50 },
      },
    );
    const { from, since } = lyingOf(piece, layer, pattern, 0.9, true);
    expect(since).toBe(0.3);
    const pose = cameraPose(piece, 0.3);
    const seen = (x: number, y: number, far: number): number[] => {
      // x and y in shares of the frame's height
      const high = ((pose.sensorMm / pose.focalMm) * piece.frame.height) / piece.frame.width;
      const to = rotate(pose.quaternion, [x * high * far, y * high * far, -far]);
      const p: Vec3 = [pose.position[0] + to[0], pose.position[1] + to[1], pose.position[2] + to[2]];
      return [by(from[0], p) / by(from[3], p), by(from[1], p) / by(from[3], p)];
    };
    for (const far of [1, 4, 50]) {
      expect(Math.hypot(...seen(0, 0, far))).toBeLessThan(1e-9);
      const [x, y] = seen(0.25, -0.125, far);
      expect([x, y].map((v) => Math.round(v * 1e9) / 1e9)).toEqual([0.5, -0.25]);
    }
  });

  it('through a layer, a picture that fills it is as high and wide as that is, however it is turned', () => {
    const pattern = covered('picture', { lies: 'layer', fits: true });
    const [piece, layer] = pieceWith(pattern, {
      ...{
        arrangement: 'grid',
        countX: 3,
        countY: 2,
        countZ: 1,
        stepX: 2,
        stepY: 2,
        stepZ: 2,
        size: 1,
        variation: 0,
      },
      ...{ source: 'box', once: true, aside: 3, above: 1, ahead: 9, heading: 40, pitch: 10, scale: 2 },
    });
    const { from } = lyingOf(piece, layer, pattern, 0, true);
    const { at, turn } = { at: [3, 1, -9] as Vec3, turn: standTurn(40, 10) };
    const on = (x: number, y: number): number[] => {
      const to = rotate(turn, [x, y, 0]);
      const p: Vec3 = [at[0] + to[0], at[1] + to[1], at[2] + to[2]];
      return [by(from[0], p), by(from[1], p)];
    };
    const [middle, right] = [on(0, 0), on(1, 0)];
    expect(Math.hypot(...middle)).toBeLessThan(1e-6);
    // along its own way to the right, and evenly
    expect(Math.abs(right[1])).toBeLessThan(1e-6);
    expect(Math.abs(on(2, 0)[0] - 2 * right[0])).toBeLessThan(1e-9);
    expect(Math.abs(on(0, 1)[1] - right[0])).toBeLessThan(1e-9);
    // three boxes two metres apart, twice as large, are at least 8 m wide: a picture 16 by 9 is not narrower
    expect(16 / 9 / right[0]).toBeGreaterThan(8);
    expect(16 / 9 / right[0]).toBeLessThan(16);
  });
});

/** Heading to the right, then pitch upwards, in degrees. */
function standTurn(heading: number, pitch: number): [number, number, number, number] {
  const [h, p] = [(-heading * Math.PI) / 360, (pitch * Math.PI) / 360];
  const [sh, ch, sp, cp] = [Math.sin(h), Math.cos(h), Math.sin(p), Math.cos(p)];
  return [ch * sp, sh * cp, -sh * sp, ch * cp];
}

describe('a pattern at the seam', () => {
  const ring = { arrangement: 'ring', count: 10, radius: 4, variation: 0, spread: 0, once: true, ahead: 0 };
  const partTurn = { flight: { route: { kind: 'orbit', distance: 9, turnsPerLap: 1 / 5 } } };
  const finding = (fields: object, more: object) => {
    const [piece] = pieceWith(covered('cells', fields), ring, more);
    return { piece, found: stateReport(piece).findings.find(({ id }) => id === 'pattern:one') };
  };

  it('closes where it goes with its bodies, and after whole turns wherever it lies', () => {
    expect(finding({ lies: 'body', vary: false }, partTurn).found?.ok).toBe(true);
    expect(
      finding({ lies: 'world' }, { flight: { route: { kind: 'orbit', distance: 9, turnsPerLap: 1 } } }).found?.ok,
    ).toBe(true);
  });

  it.each([
    ['that differs from body to body', { lies: 'body', vary: true }],
    ['in the world', { lies: 'world' }],
    ['through the layer', { lies: 'layer' }],
  ])('%s does not close after a part of a turn, and its repair does', (_, fields) => {
    const { piece, found } = finding(fields, partTurn);
    expect(found?.ok).toBe(false);
    const value = found?.repair?.value as Covering;
    const mended = { ...piece, layers: [{ ...piece.layers[0], pattern: value } as Layer] };
    expect(stateReport(mended).findings.find(({ id }) => id === 'pattern:one')?.ok).toBe(true);
  });

  it('makes bodies that spin come round only after whole turns', () => {
    const step = (pattern: Covering | { kind: 'bare' }): number => {
      const [piece, layer] = pieceWith(pattern as Covering, { source: 'box' });
      return treatmentContext(piece, layer).turnStep('up', true);
    };
    expect(step({ kind: 'bare' })).toBeLessThan(1);
    expect(step(covered('cells', { lies: 'body', vary: false }))).toBe(1);
    expect(step(covered('cells', { lies: 'world' }))).toBeLessThan(1);
  });
});
