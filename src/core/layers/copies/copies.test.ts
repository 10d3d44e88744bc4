import { layerElements } from '../../world/layers';
import { describe, expect, it } from 'vitest';
import { PieceSchema } from '../../piece/schema';
import { newLayer } from '../kinds';
import { pieceOf as pieceWith } from '../../../../tests/pieces';

describe('copies', () => {
  const copies = (more: object) => layerElements(pieceWith({ kind: 'copies', ahead: 0, ...more } as never), 'one', 0);

  it('a grid stands in its steps, a ring on its radius, each turned with it', () => {
    const grid = copies({ countX: 3, countY: 2, countZ: 2, stepX: 0.5, stepY: 1, stepZ: 2 });
    expect([...grid.position.subarray(0, 6)]).toEqual([-0.5, -0.5, 1, 0, -0.5, 1]);
    expect([...grid.position.subarray(33, 36)]).toEqual([0.5, 0.5, -1]);
    const ring = copies({ arrangement: 'ring', count: 8, radius: 2 });
    for (let i = 0; i < 8; i++) {
      const [x, y, z] = ring.position.subarray(i * 3, i * 3 + 3);
      expect(Math.hypot(x, y)).toBeCloseTo(2, 5);
      expect(z).toBeCloseTo(0, 6);
      // its top points outwards
      const [qz, qw] = [ring.rotation[i * 4 + 2], ring.rotation[i * 4 + 3]];
      expect(-2 * qz * qw).toBeCloseTo(x / 2, 4);
      expect(1 - 2 * qz * qz).toBeCloseTo(y / 2, 4);
    }
  });

  it('on a ball they are spread evenly, fronts outwards', () => {
    const { position, rotation } = copies({ arrangement: 'sphere', count: 400, radius: 3 });
    let upper = 0;
    for (let i = 0; i < 400; i++) {
      const p = [...position.subarray(i * 3, i * 3 + 3)];
      expect(Math.hypot(...p)).toBeCloseTo(3, 4);
      if (p[1] > 1.5) upper++;
      const [x, y, z, w] = rotation.subarray(i * 4, i * 4 + 4);
      const front = [2 * (x * z + w * y), 2 * (y * z - w * x), 1 - 2 * (x * x + y * y)];
      front.forEach((v, k) => expect(v).toBeCloseTo(p[k] / 3, 3));
    }
    // the zone above half the radius is a quarter of a sphere's surface (Archimedes)
    expect(upper / 400).toBeCloseTo(0.25, 2);
  });

  it('along a helix they stand evenly by its length, at their distance from it', () => {
    const piece = PieceSchema.parse({
      id: 'p',
      name: 'Test',
      lap: { frames: 100, rate: { num: 25, den: 1 } },
      layers: [
        {
          ...newLayer('copies', 'one', 'One', 5),
          arrangement: 'route',
          count: 12,
          radius: 0.5,
          winds: 2,
          follow: 'way',
        },
        { ...newLayer('tunnel', 'way', 'Way', 1), route: 'helix', helixRadius: 1.2, helixTurns: 1 },
      ],
      flight: {},
      look: {},
    });
    const { position } = layerElements(piece, 'one', 0);
    for (let i = 0; i < 12; i++) {
      const advance = ((i + 0.5) / 12) * 8;
      const angle = (2 * Math.PI * advance) / 8;
      const gap = Math.hypot(
        position[i * 3] - 1.2 * Math.cos(angle),
        position[i * 3 + 1] - 1.2 * Math.sin(angle),
        position[i * 3 + 2] + advance,
      );
      expect(gap).toBeCloseTo(0.5, 4);
    }
  });

  it('what each copy has more than the one before adds up', () => {
    const { position, rotation, size } = copies({
      arrangement: 'line',
      count: 5,
      spacing: 1,
      turnZ: 0.1,
      moveY: 0.25,
      grow: 3,
    });
    expect([...position.subarray(0, 3)]).toEqual([0, -0.5, 2]);
    expect([...position.subarray(12, 15)]).toEqual([0, 0.5, -2]);
    expect(rotation[4 * 4 + 2]).toBeCloseTo(Math.sin(Math.PI * 0.4), 5);
    expect(size[4] / size[0]).toBeCloseTo(3, 4);
  });

  it('at a working share whole rows remain where they were', () => {
    const piece = pieceWith({ kind: 'copies', countX: 8, countY: 3, countZ: 2 } as never);
    const all = layerElements(piece, 'one', 0);
    const half = layerElements(piece, 'one', 0, 0.5);
    expect(half.count).toBe(24);
    for (let i = 0; i < half.count; i++)
      expect(half.position.subarray(i * 3, i * 3 + 3)).toEqual(all.position.subarray(i * 6, i * 6 + 3));
  });
});
