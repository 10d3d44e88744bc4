import { strToU8, unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { demoPiece } from '../../../tests/pieces';
import { randomFrom } from '../../../tests/fuzz/fuzz';
import { sortOf } from '../../core/kept';
import { Trouble } from '../../core/trouble';
import { writePieceFile } from '../pieceFile';
import { pack, unpack } from './packed';

const piece = demoPiece('bell-field');
const hash = 'ef'.repeat(32);
const file = Uint8Array.from({ length: 5000 }, (_, i) => (i * 31) & 255);

const crc = (): Uint8Array => pack(piece, new Map([[hash, file]]));

describe('a packed piece', () => {
  it('holds the piece and its files, the same bytes for the same piece', () => {
    const bytes = crc();
    expect(crc()).toEqual(bytes);
    expect(sortOf(bytes)).toBe('zip');
    const { text, files } = unpack(bytes, 'a.isomorph.zip');
    expect(text).toBe(writePieceFile(piece));
    expect(files).toEqual([[hash, file]]);
    // any program that opens archives finds the same in it
    expect(Object.keys(unzipSync(bytes)).sort()).toEqual([`files/${hash}`, 'piece.isomorph.json']);
  });

  it('leaves out what it has no use for', () => {
    const bytes = zipSync({
      'piece.isomorph.json': strToU8('{}'),
      'files/readme': file,
      'other/x': file,
      [`files/${hash}`]: file,
    });
    expect(unpack(bytes, 'a.zip').files.map(([name]) => name)).toEqual([hash]);
  });

  it.each([
    ['a place above it', { '../x': file, 'piece.isomorph.json': strToU8('{}') }, /a place outside/],
    ['a place of the whole machine', { '/etc/x': file, 'piece.isomorph.json': strToU8('{}') }, /a place outside/],
    ['another machine’s', { 'a\\..\\x': file, 'piece.isomorph.json': strToU8('{}') }, /a place outside/],
    ['no piece', { 'a.txt': file }, /holds no piece/],
    [
      'too many files',
      Object.fromEntries(Array.from({ length: 2100 }, (_, i) => [`f${i}`, new Uint8Array()])),
      /more than 2000 files/,
    ],
  ])('is refused with %s', (_, content, words) => {
    expect(() => unpack(zipSync(content), 'a.zip')).toThrow(words);
  });

  it('is refused before it is inflated, when it would be larger than it may be', () => {
    const bytes = zipSync({ 'piece.isomorph.json': strToU8('{}'), bomb: new Uint8Array(1e6) });
    // the directory's own word for how large it is: APPNOTE 4.3.12
    const view = new DataView(bytes.buffer);
    for (let at = 0; at + 46 < bytes.length; at++)
      if (view.getUint32(at, true) === 0x02014b50 && view.getUint32(at + 24, true) === 1e6)
        view.setUint32(at + 24, 4e9, true);
    const started = performance.now();
    expect(() => unpack(bytes, 'bomb.zip')).toThrow(/larger than 600 MB/);
    expect(performance.now() - started).toBeLessThan(2000);
  });

  it('never fails but in words, however it is damaged', () => {
    const whole = crc();
    const random = randomFrom(7);
    let refused = 0;
    for (let i = 0; i < 2000; i++) {
      const bytes = whole.slice();
      for (let k = 0; k < 1 + Math.floor(random() * 8); k++)
        bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
      try {
        unpack(random() < 0.3 ? bytes.subarray(0, Math.floor(random() * bytes.length)) : bytes, 'a.zip');
      } catch (error) {
        expect(error).toBeInstanceOf(Trouble);
        refused++;
      }
    }
    expect(refused).toBeGreaterThan(500);
  });
});
