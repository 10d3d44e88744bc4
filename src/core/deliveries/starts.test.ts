import { describe, expect, it } from 'vitest';
import { PieceSchema } from '../piece/schema';
import { cutOf, DELIVERY, drawnFrames, drawnSize, outputsOf, pictureName } from './form';
import { FORMATS, formatOf } from './formats';
import { newDelivery, STARTS, startOf } from './starts';

const piece = (width: number, height: number, samples = 64) =>
  PieceSchema.parse({
    ...{ id: 'p', name: 'Quay', lap: { frames: 250, rate: { num: 25, den: 1 } }, layers: [], flight: {}, look: {} },
    ...{ frame: { width, height }, samples },
  });

describe('what a delivery begins as', () => {
  it.each(STARTS.map(({ kind }) => kind))(
    '%s is legal, in the frame’s shape, with no more passes than the piece has',
    (kind) => {
      for (const [width, height] of [
        [1920, 1080],
        [3840, 480],
        [1080, 1920],
      ]) {
        const own = newDelivery(piece(width, height), startOf(kind), 'd');
        expect(DELIVERY.schema.safeParse(own).success).toBe(true);
        expect(Math.abs(own.width / own.height / (width / height) - 1)).toBeLessThan(0.03);
        expect(Number(own.samples)).toBeLessThanOrEqual(64);
        expect([own.width % 2, own.height % 2]).toEqual([0, 0]);
      }
    },
  );

  it('every kind of file but what only differs in its encoding begins somewhere', () => {
    const begun = new Set(STARTS.map(({ fields }) => formatOf(fields.format ?? 'mp4').extension));
    for (const { extension } of FORMATS)
      expect([extension, begun.has(extension) || extension === '.mkv']).toEqual([extension, true]);
    expect(() => startOf('nothing')).toThrow(RangeError);
  });
});

describe('frames of a delivery', () => {
  const own = (more: object) => DELIVERY.schema.parse({ id: 'd', ...more });

  it('are left out evenly where it is small, and the lap still closes', () => {
    expect(drawnFrames(own({ format: 'gif', every: 3, last: 9 }), 250)).toEqual([0, 3, 6]);
    const frames = drawnFrames(own({ format: 'gif', every: 4 }), 250);
    // 250 is no multiple of 4: steps of 3 and 4, no frame F
    expect(frames).toHaveLength(63);
    const steps = frames.map((frame, i) => (frames.at(i + 1) ?? 250) - frame);
    expect([Math.min(...steps), Math.max(...steps)]).toEqual([3, 4]);
  });

  it('nine stand on a sheet, at a third of its size; one is a picture', () => {
    expect(drawnFrames(own({ format: 'sheet' }), 90)).toEqual([0, 10, 20, 30, 40, 50, 60, 70, 80]);
    expect(drawnSize(own({ format: 'sheet', width: 1920, height: 1080 }))).toEqual({ width: 640, height: 360 });
    expect(drawnFrames(own({ format: 'poster', first: 300 }), 250)).toEqual([249]);
  });

  it('are named as the trade numbers them, or by a pattern', () => {
    const name = (more: object) => pictureName(own({ format: 'png', ...more }), 'quay-lamps', 7);
    expect(name({})).toBe('quay-lamps.0007.png');
    expect(name({ countFrom: 1001 })).toBe('quay-lamps.1008.png');
    expect(name({ numbered: 'sc01' })).toBe('sc01.0007.png');
    expect(name({ numbered: 'sc01_##_of_#.png' })).toBe('sc01_07_of_7.png');
    expect(name({ format: 'exr', numbered: 'a/b.#####' })).toBe('a/b.00007.exr');
  });
});

describe('a part of the picture', () => {
  const wall = (more: object = {}) => DELIVERY.schema.parse({ id: 'd', width: 3840, height: 480, ...more });

  it('is held inside it, and all of it where nothing is said', () => {
    expect(cutOf(wall())).toEqual({ left: 0, top: 0, width: 3840, height: 480 });
    expect(cutOf(wall({ cutLeft: 1920, cutTop: 40 }))).toEqual({ left: 1920, top: 40, width: 1920, height: 440 });
    expect(cutOf(wall({ cutLeft: 8000, cutWidth: 5 }))).toEqual({ left: 3839, top: 0, width: 1, height: 480 });
    expect(cutOf(wall({ format: 'sheet', cutLeft: 8 }))).toMatchObject({ left: 0, width: 1280 });
  });

  it('outputs lie side by side with what is between them left out, each of the same size', () => {
    let n = 0;
    const outputs = outputsOf(wall(), { columns: 3, rows: 2, gap: 30 }, () => `o${n++}`) ?? [];
    expect(outputs.map(({ id }) => id)).toEqual(['o0', 'o1', 'o2', 'o3', 'o4', 'o5']);
    const cuts = outputs.map(cutOf);
    expect(cuts.map(({ left, top }) => `${left} ${top}`)).toEqual([
      '0 0',
      '1290 0',
      '2580 0',
      '0 254',
      '1290 254',
      '2580 254',
    ]);
    expect(new Set(cuts.map(({ width, height }) => `${width} ${height}`))).toEqual(new Set(['1260 224']));
    expect(outputsOf(wall(), { columns: 16, rows: 1, gap: 240 }, () => 'x')).toBeNull();
  });
});
