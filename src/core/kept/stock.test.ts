import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { stockBytes } from '../../../tests/stock';
import { serves } from './ref';
import { sortOf } from './sniff';
import { STOCK, stockFile } from './stock';

describe('what ships', () => {
  it.each(STOCK)('$name is the file its hash says, and of its kind', ({ hash, path, kind, name }) => {
    const bytes = stockBytes(path);
    expect(createHash('sha256').update(bytes).digest('hex')).toBe(hash);
    const sort = sortOf(bytes);
    expect(sort !== null && sort !== 'zip' && sort !== 'json' && serves(sort, kind)).toBe(true);
    expect(stockFile(name)).toEqual({ hash, name });
  });

  it.each(STOCK.filter(({ kind }) => kind === 'font'))(
    '$name has its licence and more letters beside it',
    ({ path, more }) => {
      expect(sortOf(stockBytes(more ?? ''))).toBe('font');
      const notice = new URL(`../../../stock/${path.replace('.woff2', '.OFL.txt')}`, import.meta.url);
      expect(existsSync(notice)).toBe(true);
      expect(readFileSync(notice, 'utf8')).toContain('SIL OPEN FONT LICENSE Version 1.1');
    },
  );
});

describe('what a file is by its bytes', () => {
  const text = (words: string): Uint8Array => new TextEncoder().encode(words);
  it.each([
    [text('OTTO....'), 'font'],
    [Uint8Array.of(0, 1, 0, 0, 0, 9), 'font'],
    [text('wOF2'), 'font'],
    [text('PK\x03\x04rest'), 'zip'],
    [text('\ufeff  {"format":"isomorph"}'), 'json'],
    [text('<?xml version="1.0"?>\n<!-- made -->\n<svg xmlns="x">'), 'mark'],
    [text('<svg>'), 'mark'],
    [text('<html><svg></svg></html>'), null],
    [text('GIF89a'), null],
    [text('# made\n# by hand\n\nLUT_1D_SIZE 2'), 'table'],
    [text('TITLE "Quay"\r\nLUT_3D_SIZE 2'), 'table'],
    [text('TITLES of the week'), null],
    [Uint8Array.of(0x89, 0x50, 0x4e, 0x47), null],
    [Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0), 'picture'],
    [Uint8Array.of(0xff, 0xd8, 0xff, 0xe0), 'picture'],
    [text('RIFF....WEBPVP8 '), 'picture'],
    [text('RIFF....WAVEfmt '), 'sound'],
    [text('OggS'), 'sound'],
    [text('fLaC'), 'sound'],
    [text('ID3.'), 'sound'],
    [text('....ftypM4A '), 'sound'],
    [Uint8Array.of(0xff, 0xfb, 0x90, 0x64), 'sound'],
    [text('RIFF....AVI LIST'), null],
    // a text of UTF-16 begins almost as a frame of MP3 does
    [Uint8Array.of(0xff, 0xfe, 0x7b, 0x00), null],
    [text('\0\0\0\x20ftypavif'), 'picture'],
    [text('\0\0\0\x20ftypisom'), 'clip'],
    [Uint8Array.of(0x1a, 0x45, 0xdf, 0xa3, 1), 'clip'],
    [new Uint8Array(), null],
    [text('glTF\x02\0\0\0'), 'model'],
    [text('{"scenes":[],"asset":{"version":"2.0"}}'), 'model'],
    [text('ply\nformat ascii 1.0'), 'model'],
    [text('# a cleat\nmtllib cleat.mtl\no cleat\nv 0 0 1'), 'model'],
    [text('v -1 .5 2\nv 0 0 0'), 'model'],
    [text('verily I say'), null],
    [text('solid quay\n facet normal 0 0 1'), 'model'],
    [text('solid advice'), null],
    [Uint8Array.from({ length: 134 }, (_, i) => (i === 80 ? 1 : 0)), 'model'],
  ])('%o', (bytes, sort) => {
    expect(sortOf(bytes)).toBe(sort);
  });
});
