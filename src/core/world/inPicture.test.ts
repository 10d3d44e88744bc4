import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { add, scale, type Vec3 } from '../space/vector';
import { inPicture } from './inPicture';

const seen = (flight: object, place: Vec3, phase = 0) =>
  inPicture(
    pieceOf(
      { kind: 'field' },
      {
        frame: { width: 1600, height: 900 },
        flight: { route: { kind: 'keys', aside: 1, above: 2, ahead: 3 }, ...flight },
      },
    ),
    place,
    phase,
  );

describe('a place in the picture', () => {
  it('is as far from its middle as the field of view of the lens says', () => {
    // 50 mm before a sensor of 36 mm: 39.6° across (any table of fields of view)
    const half = Math.tan(((39.6 / 2) * Math.PI) / 180);
    const at = seen({ focalMm: 50 }, [1 + 4 * half, 2, -7]);
    expect(at?.x).toBeCloseTo(1, 2);
    expect(at?.y).toBeCloseTo(0.5, 6);
    expect(at?.span).toBeCloseTo(8 * half, 2);
    expect(seen({ focalMm: 50 }, [1, 2 + (4 * half * 9) / 16, -7])?.y).toBeCloseTo(0, 2);
  });

  it('is nowhere behind the camera, but everywhere without perspective', () => {
    expect(seen({}, [1, 2, -1])).toBeNull();
    expect(seen({ lens: 'orthographic', widthM: 6 }, [2.5, 2, 4])).toMatchObject({ x: 0.75, y: 0.5, span: 6 });
  });

  it('goes as far as it is moved along the picture, whichever way the camera looks', () => {
    const flight = { yaw: 34, pitch: -12, roll: 0.06, focalMm: 30 };
    const from: Vec3 = [3, 1, -9];
    const at = seen(flight, from);
    if (!at) throw new Error('out of sight');
    const moved = seen(flight, add(from, add(scale(at.right, at.span * 0.1), scale(at.up, -at.span * 0.09))));
    expect((moved?.x ?? 0) - at.x).toBeCloseTo(0.1, 6);
    expect((moved?.y ?? 0) - at.y).toBeCloseTo((0.09 * 16) / 9, 6);
    const farther = seen(flight, add(from, at.away));
    expect(farther && farther.span > at.span).toBe(true);
  });
});
