import { readdirSync, readFileSync } from 'node:fs';
import { FloatType } from 'three';
import { LUTCubeLoader } from 'three/examples/jsm/loaders/LUTCubeLoader.js';
import { describe, expect, it } from 'vitest';
import { readCube } from './cube';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const zeros = (count: number): string => '0 0 0\n'.repeat(count);

describe('a .cube file', () => {
  const folder = new URL('../../../stock/tables/', import.meta.url);
  const made = `# by hand\r\nTITLE "A quay"\r\nDOMAIN_MIN -1 -1 -1\r\nDOMAIN_MAX 2 2 2\r\n\r\nLUT_3D_SIZE 2\r\n${Array.from(
    { length: 8 },
    (_, i) => `${i / 7} 1.5e-1 -0.25`,
  ).join('\r\n')}\r\n`;
  const texts = [
    ...readdirSync(folder).map((file) => [file, readFileSync(new URL(file, folder), 'utf8')] as const),
    ['by hand', made.replaceAll('\r', '')] as const,
  ];
  it.each(texts)('%s is read as the reader of three reads it', (file, text) => {
    const peer = new LUTCubeLoader().setType(FloatType).parse(text);
    const own = readCube(bytes(text), file);
    expect(own).toMatchObject({ name: peer.title, of: 'colours', side: peer.size });
    expect([own.low, own.high]).toEqual([peer.domainMin.toArray(), peer.domainMax.toArray()]);
    const theirs = (peer.texture3D.image.data as Float32Array).filter((_, i) => i % 4 < 3);
    expect([...own.values]).toEqual([...theirs]);
  });

  it('may end its lines in any way, and be of channels', () => {
    expect(readCube(bytes(made), 'a.cube')).toEqual(readCube(bytes(made.replaceAll('\r', '')), 'a.cube'));
    const one = readCube(bytes('\ufeffLUT_1D_SIZE 3\n0 0 0\n.5 .4 .3\n\n1 1 1'), 'Curve.cube');
    expect(one).toMatchObject({ name: 'Curve', of: 'channels', side: 3 });
    expect([...one.values.subarray(3, 6)].map((v) => Number(v.toFixed(6)))).toEqual([0.5, 0.4, 0.3]);
  });

  it.each([
    ['LUT_3D_SIZE 2\n' + zeros(7), 'it ends after 7 of 8 entries'],
    ['LUT_3D_SIZE 2\n' + zeros(9), 'line 10 is one more than its 8 entries'],
    ['LUT_3D_SIZE 200\n' + zeros(9), 'line 1, “LUT_3D_SIZE 200”: a size is a whole number from 2 to 129'],
    ['LUT_1D_SIZE 1.5\n' + zeros(9), 'a size is a whole number from 2 to 65536'],
    ['LUT_1D_SIZE 2\nLUT_3D_SIZE 2\n' + zeros(9), 'line 2, “LUT_3D_SIZE 2”: it has a size already'],
    ['LUT_3D_SIZE 2\n0 0\n', 'line 2, “0 0”, should be three numbers'],
    ['LUT_3D_SIZE 2\n0 0 1,5\n', 'should be three numbers'],
    ['LUT_3D_SIZE 2\nLUT_3D_INPUT_RANGE 0 1\n', 'what it says is not known'],
    ['DOMAIN_MIN 0 0\nLUT_3D_SIZE 2\n', 'line 1, “DOMAIN_MIN 0 0”: three numbers should follow'],
    ['DOMAIN_MIN 1 0 0\nLUT_1D_SIZE 2\n' + zeros(2), 'its first entry is for no less than its last'],
    ['0 0 0\n', 'line 1 comes before it says how large it is'],
    ['TITLE "none"\n', 'it holds no entries'],
  ])('%j is refused in words', (text, words) => {
    expect(() => readCube(bytes(text), 'a.cube')).toThrow(words);
  });
});
