import { describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from '../piece/schema';
import { sunPlace } from './sunPlace';

const piece = (flight: object, light: object, off = false): Piece =>
  PieceSchema.parse({
    ...{ id: 'a', name: 'A', lap: { frames: 100, rate: { num: 25, den: 1 } }, frame: { width: 1600, height: 900 } },
    layers: [],
    flight: { route: { kind: 'run', tilesPerLap: 0 }, focalMm: 36, ...flight },
    look: { lights: [{ kind: 'sun', id: 's', off, ...light }] },
  });
// the direction of the sun is given by how far it is aside, above and behind
const ahead = { aside: 0, above: 0, behind: -1 };

describe('where the sun is seen', () => {
  it('is the middle straight ahead, and on the border where the lens has it', () => {
    expect(sunPlace(piece({}, ahead), 0)).toEqual({ at: [0.5, 0.5], ahead: 1 });
    // a lens of 36 mm on 36 mm sees half a metre aside at one metre
    const aside = sunPlace(piece({}, { aside: 0.5, above: 0, behind: -1 }), 0);
    expect(aside?.at[0]).toBeCloseTo(1, 6);
    const above = sunPlace(piece({}, { aside: 0, above: 0.5 * (9 / 16), behind: -1 }), 0);
    expect(above?.at[1]).toBeCloseTo(1, 6);
    expect(above?.at[0]).toBeCloseTo(0.5, 6);
  });

  it('follows the camera, and fades as it goes out of sight', () => {
    // looking to the right the sun is to the left
    const turned = sunPlace(piece({ yaw: -20 }, ahead), 0);
    const other = sunPlace(piece({ yaw: 20 }, ahead), 0);
    expect(turned?.at[0]).not.toBeCloseTo(0.5, 1);
    expect((turned?.at[0] ?? 0) + (other?.at[0] ?? 0)).toBeCloseTo(1, 6);
    expect(sunPlace(piece({ yaw: 180 }, ahead), 0)?.ahead).toBe(0);
    let before = 1;
    for (let yaw = 60; yaw <= 100; yaw++) {
      const now = sunPlace(piece({ yaw }, ahead), 0)?.ahead ?? -1;
      expect(before - now).toBeLessThan(0.09);
      before = now;
    }
    expect(before).toBe(0);
  });

  it('is nowhere where there is no sun, or none that is on', () => {
    expect(sunPlace(piece({}, ahead, true), 0)).toBeNull();
  });
});
