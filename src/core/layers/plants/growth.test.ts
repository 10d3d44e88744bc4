import { layerElements, worldOf } from '../../world/layers';
import { describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from '../../piece/schema';
import { grow } from '../../plants/grow';
import { SPECIES, type SpeciesName } from '../../plants/species';
import { newLayer } from '../kinds';

describe('ground and growth', () => {
  const land = { ...newLayer('ground', 'land', 'Land', 4), rows: 24, relief: 1.5, valley: 1, width: 20 };
  const world = (plants: object): Piece =>
    PieceSchema.parse({
      id: 'p',
      name: 'Test',
      lap: { frames: 100, rate: { num: 25, den: 1 } },
      layers: [{ ...newLayer('plants', 'one', 'One', 5), ground: 'land', ...plants }, land],
      flight: {},
      look: {},
    });

  it('tiles: its last row is its first, one tile on, in height and slope', () => {
    const piece = world({});
    const { position, rotation, count } = layerElements(piece, 'land', 0);
    const across = count / 25;
    for (let c = 0; c < across; c++) {
      const last = 24 * across + c;
      expect(position[last * 3 + 1]).toBeCloseTo(position[c * 3 + 1], 5);
      expect(position[last * 3 + 2]).toBeCloseTo(position[c * 3 + 2] - 8, 5);
      for (let k = 0; k < 4; k++) expect(rotation[last * 4 + k]).toBeCloseTo(rotation[c * 4 + k], 4);
    }
  });

  it('its normals are those of its heights', () => {
    const at = worldOf(world({})).groundOf('land');
    if (!at) throw new Error('no ground');
    for (let i = 0; i < 60; i++) {
      const [x, z, h] = [((i * 37) % 100) / 6 - 8, -((i * 53) % 80) / 10, 1e-3];
      expect(at(x, z).slopeX).toBeCloseTo((at(x + h, z).height - at(x - h, z).height) / (2 * h), 2);
      expect(at(x, z).slopeZ).toBeCloseTo((at(x, z + h).height - at(x, z - h).height) / (2 * h), 2);
    }
  });

  it('the valley stays low for the camera', () => {
    const at = worldOf(world({})).groundOf('land');
    for (let i = 0; i < 50; i++) expect(at?.((i / 50) * 2 - 1, -i * 0.16).height).toBeCloseTo(-1.2, 6);
  });

  it('plants stand on the ground, off the path, within slope and heights, and no two too near', () => {
    const piece = world({ count: 900, slope: 20, low: -1.1, high: -0.4, path: 0.8, distance: 0.3, clumps: 0 });
    const at = worldOf(piece).groundOf('land');
    const { position, count } = layerElements(piece, 'one', 0);
    expect(count).toBeGreaterThan(60);
    for (let i = 0; i < count; i++) {
      const [x, y, z] = position.subarray(i * 3, i * 3 + 3);
      const here = at?.(x, z);
      expect(y).toBeCloseTo(here?.height ?? NaN, 4);
      expect(Math.abs(x)).toBeGreaterThanOrEqual(0.8 - 1e-5);
      expect(y).toBeGreaterThanOrEqual(-1.1 - 1e-5);
      expect(y).toBeLessThanOrEqual(-0.4 + 1e-5);
      expect(Math.hypot(here?.slopeX ?? 9, here?.slopeZ ?? 9)).toBeLessThanOrEqual(
        Math.tan((20 * Math.PI) / 180) + 1e-3,
      );
      for (let j = 0; j < i; j++) {
        let dz = z - position[j * 3 + 2];
        dz -= 8 * Math.round(dz / 8);
        expect(Math.hypot(x - position[j * 3], dz)).toBeGreaterThanOrEqual(0.3 - 1e-4);
      }
    }
  });

  it('every species grows, to about its height', () => {
    const names = Object.keys(SPECIES) as SpeciesName[];
    expect(names.length).toBeGreaterThanOrEqual(12);
    const forms = new Set<number>();
    for (const name of names) {
      const grown = grow(SPECIES[name], 7);
      expect(grown.position.every(Number.isFinite)).toBe(true);
      expect(grown.radius).toBeGreaterThan(0.3);
      expect(grown.radius).toBeLessThan(1.5);
      forms.add(grown.index.length);
      expect(grow(SPECIES[name], 8).position).not.toEqual(grown.position);
    }
    expect(forms.size).toBe(names.length);
  });
});
