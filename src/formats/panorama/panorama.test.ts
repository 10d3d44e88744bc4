import { describe, expect, it } from 'vitest';
import { lightAt, placeOf } from '../../core/panorama/panorama';
import { readPanorama } from './panorama';

const text = (words: string): number[] => [...new TextEncoder().encode(words)];

/** A Radiance picture of flat rows (Ward, "Real Pixels", Graphics Gems II, 1991): mantissas and one exponent a pixel. */
const radiance = (
  width: number,
  height: number,
  pixel: (x: number, y: number) => readonly number[],
): Uint8Array<ArrayBuffer> => {
  const head = text(`#?RADIANCE\nFORMAT=32-bit_rle_rgbe\n\n-Y ${height} +X ${width}\n`);
  const pixels = Array.from({ length: width * height }, (_, i) => [...pixel(i % width, Math.floor(i / width))]).flat();
  return Uint8Array.from([...head, ...pixels]);
};

/** An OpenEXR picture of whole numbers of 32 bits, one row a block, not packed. */
function exr(
  width: number,
  height: number,
  value: (x: number, y: number, k: number) => number,
): Uint8Array<ArrayBuffer> {
  const int = (...of: number[]): number[] => [...new Uint8Array(Int32Array.from(of).buffer)];
  const float = (...of: number[]): number[] => [...new Uint8Array(Float32Array.from(of).buffer)];
  const field = (name: string, type: string, bytes: number[]): number[] => [
    ...text(`${name}\0${type}\0`),
    ...int(bytes.length),
    ...bytes,
  ];
  const channels = ['B', 'G', 'R'].flatMap((name) => [...text(`${name}\0`), ...int(2), 0, 0, 0, 0, ...int(1, 1)]);
  const head = [
    ...[0x76, 0x2f, 0x31, 0x01],
    ...int(2),
    ...field('channels', 'chlist', [...channels, 0]),
    ...field('compression', 'compression', [0]),
    ...field('dataWindow', 'box2i', int(0, 0, width - 1, height - 1)),
    ...field('displayWindow', 'box2i', int(0, 0, width - 1, height - 1)),
    ...field('lineOrder', 'lineOrder', [0]),
    ...field('pixelAspectRatio', 'float', float(1)),
    ...field('screenWindowCenter', 'v2f', float(0, 0)),
    ...field('screenWindowWidth', 'float', float(1)),
    0,
  ];
  const row = 8 + 12 * width;
  const offsets = Array.from({ length: height }, (_, y) => [
    ...int(head.length + 8 * height + y * row),
    ...int(0),
  ]).flat();
  const rows = Array.from({ length: height }, (_, y) => [
    ...int(y, 12 * width),
    ...[2, 1, 0].flatMap((k) => Array.from({ length: width }, (_, x) => float(value(x, y, k))).flat()),
  ]).flat();
  return Uint8Array.from([...head, ...offsets, ...rows]);
}

const refusal = async (bytes: Uint8Array<ArrayBuffer>): Promise<string> =>
  readPanorama(bytes, 'sky.hdr').then(
    () => 'read',
    (error: Error) => error.message,
  );

describe('a panorama from a file', () => {
  it('of Radiance has its first row above, its middle ahead, and light without bounds', async () => {
    // 2 in the upper half and 0.5 in the lower, red on the right
    const shown = await readPanorama(
      radiance(8, 4, (x, y) => (x >= 4 ? [128, 0, 0, y < 2 ? 130 : 128] : [0, 128, 0, y < 2 ? 130 : 128])),
      'sky.hdr',
    );
    const above = lightAt(shown, ...placeOf([Math.SQRT1_2, Math.SQRT1_2, 0]));
    expect(Math.abs(above[0] / 2 - 1)).toBeLessThan(0.005);
    expect(above[1]).toBe(0);
    expect(Math.abs(lightAt(shown, ...placeOf([-Math.SQRT1_2, -Math.SQRT1_2, 0]))[1] / 0.5 - 1)).toBeLessThan(0.005);
  });

  it('of OpenEXR is the same way up', async () => {
    const shown = await readPanorama(
      exr(8, 4, (x, y, k) => (k === 0 ? (y < 2 ? 6 : 1) : k === 1 ? x : 0)),
      'sky.exr',
    );
    expect(lightAt(shown, 0.5, 0.2)[0]).toBeCloseTo(6, 5);
    expect(lightAt(shown, 0.5, 0.8)[0]).toBeCloseTo(1, 5);
    expect(lightAt(shown, 0.31, 0.5)[1]).toBeCloseTo(2, 5);
  });

  it('is refused in words when it is damaged, too large, or holds what is no number', async () => {
    expect(await refusal(Uint8Array.from(text('#?RADIANCE\nno size')))).toMatch('does not say how large');
    expect(
      await refusal(
        radiance(20_000, 1, () => [1, 1, 1, 128])
          .subarray(0, 200)
          .slice(),
      ),
    ).toMatch('20000 × 1 pixels');
    const short = radiance(64, 32, () => [1, 2, 3, 128]);
    expect(await refusal(short.slice(0, 400))).toMatch(/damaged/);
    expect(await refusal(exr(4, 2, (x) => (x === 2 ? NaN : 1)))).toMatch('holds 6 values that are no numbers');
    expect(await refusal(exr(4, 2, () => 1).slice(0, 90))).toMatch(/damaged/);
  });
});
