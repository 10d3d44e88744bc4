import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { newLayer, type Layer } from '../layers/kinds';
import { sightings } from './sightings';

const FRAME = { width: 640, height: 360 };
const STILL = {
  route: { kind: 'keys', aside: 0, above: 0, ahead: 0 },
  aim: 'own',
  focalMm: 36,
  sensorMm: 36,
  fNumber: 64,
};
/** Three panels one metre high in a row ahead, four metres from one to the next. */
const row = (more: object = {}, flight: object = {}, piece: object = {}) =>
  pieceOf(
    { kind: 'screen', once: true, arrangement: 'line', count: 3, spacing: 4, size: 1, ahead: 8, ...more },
    { flight: { ...STILL, ...flight }, look: { reach: 40 }, tile: 60, ...piece },
  );
const seen = (piece: ReturnType<typeof row>, radius = 0.5): number[] => [
  ...sightings(piece, piece.layers[0], 0, 1, FRAME, radius),
];

describe('how large elements are on the picture', () => {
  it('is their size over their distance, no less for what is nearer than its middle', () => {
    const px = seen(row());
    // a lens as long as its sensor is wide sees 640 pixels across one metre at one metre
    [4, 8, 12].forEach((distance, i) => {
      expect(px[i]).toBeGreaterThanOrEqual(640 / distance);
      expect(px[i]).toBeLessThan(640 / (distance - 0.7));
    });
  });

  it('is that of an image where only that is in sight', () => {
    const high = row({ above: 6 }, { pitch: -20 });
    expect(seen(high)[0]).toBe(0);
    const water = { ...newLayer('ground', 'water', 'Water'), surface: 'water', above: -1 };
    const over = (mirrors: string): number[] =>
      seen({ ...high, layers: [...high.layers, { ...water, mirrors }] as Layer[] });
    expect(over('sky')).toEqual(seen(high));
    // 4 m ahead and 8 m beneath the eye: outside of the picture too; the one 12 m ahead is within it
    const px = over('all');
    expect(px[0]).toBe(0);
    expect(px[2]).toBeGreaterThan(640 / 15);
    expect(px[2]).toBeLessThan(640 / 12);
  });

  it('is nothing for what is behind the camera, or beside the frame, and not for what reaches into it', () => {
    expect(seen(row({ ahead: -8 }))).toEqual([0, 0, 0]);
    const aside = seen(row({ aside: 5.5 }));
    // half the frame is half as wide as it is far: 2, 4 and 6 metres, of which a part more is counted in
    expect(aside.map((v) => v > 0)).toEqual([false, false, true]);
    expect(seen(row({ aside: 2.6 }))[0]).toBeGreaterThan(0);
  });

  it('is the same at any distance without perspective', () => {
    const px = seen(row({}, { lens: 'orthographic', widthM: 16 }));
    expect(px).toEqual([40, 40, 40]);
  });

  it('counts the nearest repetition of what stands in every tile', () => {
    const once = seen(row({ ahead: 48 }));
    const tiled = seen(row({ ahead: 48, once: false }, {}, { tile: 40 }));
    tiled.forEach((v, i) => expect(v).toBeGreaterThan(once[i]));
    expect(tiled[0]).toBeCloseTo(seen(row({ ahead: 8 }))[0], 3);
  });

  it('is all of the picture where space is bent', () => {
    const bend = { kind: 'bend', id: 'b', seed: 1, amount: 0.2 };
    expect(seen(row({ treatments: [bend] }))).toEqual([640, 640, 640]);
  });
});
