import { describe, expect, it } from 'vitest';
import { rgbOf, type Luma, type Matrix } from './yuv';

/** A frame of one colour, as a browser lays it out. */
function flat(code: readonly [number, number, number], more: Partial<Luma> = {}, size = 4): Luma {
  const bytes = new Uint8Array(size * size * 1.5);
  bytes.fill(code[0], 0, size * size);
  bytes.fill(code[1], size * size, size * size * 1.25);
  bytes.fill(code[2], size * size * 1.25);
  return {
    width: size,
    height: size,
    bytes,
    y: { offset: 0, stride: size, step: 1 },
    u: { offset: size * size, stride: size / 2, step: 1 },
    v: { offset: size * size * 1.25, stride: size / 2, step: 1 },
    matrix: 'bt709',
    full: false,
    ...more,
  };
}
const first = (frame: Luma): number[] => [...rgbOf(frame).rgba.subarray(0, 4)];

/** Luma and colour differences of a colour, as the recommendations write them, quantized to 8 bits of narrow range. */
function coded(rgb: readonly number[], red: number, blue: number): [number, number, number] {
  const [r, g, b] = rgb.map((v) => v / 255);
  const luma = red * r + (1 - red - blue) * g + blue * b;
  const [u, v] = [(b - luma) / (2 * (1 - blue)), (r - luma) / (2 * (1 - red))];
  return [Math.round(219 * luma + 16), Math.round(224 * u + 128), Math.round(224 * v + 128)];
}

describe('luma and colour differences as red, green and blue', () => {
  it('black, white and grey are what the recommendation says', () => {
    expect(first(flat([16, 128, 128]))).toEqual([0, 0, 0, 255]);
    expect(first(flat([235, 128, 128]))).toEqual([255, 255, 255, 255]);
    expect(first(flat([126, 128, 128]))).toEqual([128, 128, 128, 255]);
    expect(first(flat([77, 128, 128], { full: true }))).toEqual([77, 77, 77, 255]);
    // beyond white and black there is nothing
    expect(first(flat([254, 128, 128]))).toEqual([255, 255, 255, 255]);
    expect(first(flat([1, 128, 128]))).toEqual([0, 0, 0, 255]);
  });

  // Rec. ITU-R BT.709-6 item 3.2, BT.601-7 §2.5.1, BT.2020-2 table 4
  it.each<[Matrix, number, number]>([
    ['bt709', 0.2126, 0.0722],
    ['bt601', 0.299, 0.114],
    ['bt2020', 0.2627, 0.0593],
  ])('colours coded by %s come back within the step of their code', (matrix, red, blue) => {
    for (const colour of [
      [255, 0, 0],
      [0, 255, 0],
      [0, 0, 255],
      [191, 191, 0],
      [242, 184, 75],
      [12, 74, 85],
    ]) {
      const back = first(flat(coded(colour, red, blue), { matrix }));
      colour.forEach((v, k) => expect(Math.abs(back[k] - v)).toBeLessThanOrEqual(2));
    }
  });

  it('reads differences that lie in turn', () => {
    const frame = flat([100, 90, 200]);
    const turned = frame.bytes.slice();
    for (let i = 0; i < 4; i++) turned.set([90, 200], 16 + i * 2);
    const u = { offset: 16, stride: 4, step: 2 };
    expect(rgbOf({ ...frame, bytes: turned, u, v: { ...u, offset: 17 } }).rgba).toEqual(rgbOf(frame).rgba);
  });

  it('colour differences are interpolated: on even columns as they are, between them their mean', () => {
    const frame = flat([126, 128, 128], {}, 8);
    // from the second column of differences on more blue; the same in all rows
    for (let row = 0; row < 4; row++) frame.bytes.fill(168, 64 + row * 4 + 1, 64 + row * 4 + 4);
    const { rgba } = rgbOf(frame);
    const blue = Array.from({ length: 8 }, (_, x) => rgba[(3 * 8 + x) * 4 + 2]);
    expect(blue[0]).toBe(128);
    expect(blue[2]).toBe(blue[7]);
    expect(Math.abs(blue[1] - (blue[0] + blue[2]) / 2)).toBeLessThanOrEqual(1);
  });
});
