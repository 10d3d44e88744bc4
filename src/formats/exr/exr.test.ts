import * as THREE from 'three';
import { EXRLoader } from 'three/addons/loaders/EXRLoader.js';
import { describe, expect, it } from 'vitest';
import { exrLines, readExr, writeExr, type ExrPicture } from './exr';
import { fromHalf, toHalf } from './half';

const ramp = (width: number, height: number, at: (x: number, y: number) => number): Float32Array =>
  Float32Array.from({ length: width * height }, (_, i) => at(i % width, Math.floor(i / width)));

const picture = (type: 'half' | 'float', width = 37, height = 41): ExrPicture => ({
  width,
  height,
  rate: { num: 30000, den: 1001 },
  channels: [
    { name: 'R', type, values: ramp(width, height, (x, y) => x / 7 + y * 3) },
    { name: 'G', type, values: ramp(width, height, (x, y) => Math.sin(x * y)) },
    { name: 'B', type, values: ramp(width, height, (x) => 2 ** (x - 20)) },
    { name: 'A', type, values: ramp(width, height, (_, y) => y / height) },
    { name: 'Z', type: 'float', values: ramp(width, height, (x, y) => 1e9 - x * 1e7 + y / 3) },
  ],
});

describe('halves', () => {
  // outside reference: three's own tables, which drop what does not fit; ours goes to the nearest
  it('every half is itself again, and what lies between goes to the nearer', () => {
    for (let bits = 0; bits < 0x7c00; bits++) {
      expect(toHalf(fromHalf(bits))).toBe(bits);
      expect(fromHalf(bits)).toBe(THREE.DataUtils.fromHalfFloat(bits));
      const [here, next] = [fromHalf(bits), fromHalf(bits + 1)];
      if (next === Infinity) break;
      const middle = (here + next) / 2;
      expect(toHalf(middle)).toBe(bits + (bits & 1));
      expect(toHalf(here + (next - here) * 0.499)).toBe(bits);
      expect(toHalf(here + (next - here) * 0.501)).toBe(bits + 1);
      expect(toHalf(-here)).toBe(bits | 0x8000);
    }
  });

  it('what is too great is infinite, what is no number stays none', () => {
    expect(toHalf(65519)).toBe(0x7bff);
    expect(toHalf(65520)).toBe(0x7c00);
    expect(toHalf(-1e9)).toBe(0xfc00);
    expect(fromHalf(toHalf(NaN))).toBeNaN();
    expect(toHalf(2 ** -26)).toBe(0);
  });
});

describe('EXR', () => {
  // outside reference: three's loader
  it.each(['half', 'float'] as const)('three reads the colours of %s numbers', (type) => {
    const own = picture(type);
    const loader = new EXRLoader().setDataType(type === 'half' ? THREE.HalfFloatType : THREE.FloatType);
    const { width, height } = own;
    const { data, ...read } = loader.parse(writeExr(own).buffer);
    expect([read.width, read.height]).toEqual([width, height]);
    if (!data) throw new Error('no data');
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        for (const [k, name] of ['R', 'G', 'B', 'A'].entries()) {
          const wanted = own.channels.find((channel) => channel.name === name)?.values[y * width + x] ?? NaN;
          // its rows begin at the bottom
          const found = data[((height - 1 - y) * width + x) * 4 + k];
          if (type === 'float') expect(found).toBe(wanted);
          else expect(found).toBe(toHalf(wanted));
        }
  });

  it('every channel is read again to the last bit, in the order of the names', () => {
    const own = picture('half');
    const found = readExr(writeExr(own));
    expect(found.channels.map(({ name, type }) => `${name} ${type}`)).toEqual([
      'A half',
      'B half',
      'G half',
      'R half',
      'Z float',
    ]);
    expect(found.lines).toEqual(exrLines(own));
  });

  it('noise that does not pack is left as it is', () => {
    let state = 1;
    const values = Float32Array.from({ length: 640 }, () => {
      state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
      return state / 2 ** 16;
    });
    const own: ExrPicture = { width: 40, height: 16, channels: [{ name: 'Y', type: 'half', values }] };
    expect(readExr(writeExr(own)).lines).toEqual(exrLines(own));
  });

  it('refuses what is damaged, does not fill the size, or has two of one name', () => {
    const bytes = writeExr(picture('half'));
    expect(() => readExr(bytes.subarray(0, bytes.length - 40))).toThrow(RangeError);
    expect(() => readExr(new Uint8Array(20))).toThrow('no EXR');
    const values = new Float32Array(4);
    const one = { name: 'Y', type: 'half', values } as const;
    expect(() => writeExr({ width: 2, height: 3, channels: [one] })).toThrow('needs 6 numbers, not 4');
    expect(() => writeExr({ width: 2, height: 2, channels: [one, one] })).toThrow('two channels');
  });
});
