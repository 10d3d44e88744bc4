import { describe, expect, it } from 'vitest';
import { i420Bytes, toI420Into, toTenBits } from './yuv';

const convert = (r: number, g: number, b: number): number[] => {
  const rgba = new Uint8Array(16);
  for (let i = 0; i < 4; i++) rgba.set([r, g, b, 255], i * 4);
  const out = new Uint8Array(i420Bytes(2, 2));
  toI420Into(out, rgba, 2, 2);
  return [out[0], out[4], out[5]];
};

// ITU-R BT.709-6 §3.4: black 16, white 235, chroma 128 ± 112. Colour bars at 100 %, computed from the same equations
// by hand; the three saturated ones are the values printed in test-signal tables, from memory.
describe('BT.709 limited range', () => {
  it.each([
    [
      [0, 0, 0],
      [16, 128, 128],
    ],
    [
      [255, 255, 255],
      [235, 128, 128],
    ],
    [
      [128, 128, 128],
      [126, 128, 128],
    ],
    [
      [255, 0, 0],
      [63, 102, 240],
    ],
    [
      [0, 255, 0],
      [173, 42, 26],
    ],
    [
      [0, 0, 255],
      [32, 240, 118],
    ],
  ])('%j becomes %j', (rgb, yuv) => {
    expect(convert(rgb[0], rgb[1], rgb[2])).toEqual(yuv);
  });

  it('averages chroma over four pixels and keeps luma sharp', () => {
    const rgba = new Uint8Array([255, 0, 0, 255, 0, 0, 255, 255, 255, 0, 0, 255, 0, 0, 255, 255]);
    const out = new Uint8Array(i420Bytes(2, 2));
    toI420Into(out, rgba, 2, 2);
    expect([...out]).toEqual([63, 32, 63, 32, 171, 179]);
  });
});

// ITU-R BT.709-6 §3.4: the codes of ten bits are four times those of eight, black 64, white 940, chroma 512 ± 448
describe('ten bits', () => {
  const ten = (...rgb: number[]) => {
    const out = toTenBits(Float32Array.from([0, 1, 2, 3].flatMap(() => [...rgb, 1])), 2, 2);
    return [out[0], out[4], out[5]];
  };

  it.each([
    [
      [0, 0, 0],
      [64, 512, 512],
    ],
    [
      [1, 1, 1],
      [940, 512, 512],
    ],
    [
      [1, 0, 0],
      [250, 409, 960],
    ],
    [
      [0, 0, 1],
      [127, 960, 471],
    ],
  ])('%j becomes %j', (rgb, yuv) => {
    expect(ten(...rgb)).toEqual(yuv);
  });

  it('holds steps that eight bits have not', () => {
    const codes = Array.from({ length: 1024 }, (_, i) => ten(i / 1023, i / 1023, i / 1023)[0]);
    expect(new Set(codes).size).toBe(877);
  });
});
