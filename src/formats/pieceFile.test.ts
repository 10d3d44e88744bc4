import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { pieceFileName, problemWords, readPieceFile, writePieceFile } from './pieceFile';

const file = (text: string, size = text.length) => ({ name: 'a.json', size, text: () => Promise.resolve(text) });
const demo = readFileSync('demo/ropewalk-tunnel.isomorph.json', 'utf8');

describe('piece files', () => {
  it('read what they write, the same text for the same piece', async () => {
    const read = await readPieceFile(file(demo));
    if (!read.ok) throw new Error('the demo does not read');
    const again = await readPieceFile(file(writePieceFile(read.piece)));
    expect(again.ok && writePieceFile(again.piece)).toBe(writePieceFile(read.piece));
  });

  it('200 MB are refused unread', async () => {
    const read = await readPieceFile({ name: 'big', size: 200e6, text: () => Promise.reject(new Error('was read')) });
    expect(read.ok ? '' : read.problems[0].what).toMatch(/200 MB.*at most 34 MB/);
  });

  it('text that is not JSON is said to be none', async () => {
    const read = await readPieceFile(file('{ "format": '));
    expect(read.ok ? '' : read.problems[0].what).toMatch(/not JSON/);
  });

  it('a file that cannot be read says so', async () => {
    const read = await readPieceFile({ name: 'x', size: 3, text: () => Promise.reject(new Error('gone')) });
    expect(read.ok ? '' : read.problems[0].what).toMatch(/could not be read/);
  });

  it('makes file names from any name', async () => {
    const read = await readPieceFile(file(demo));
    if (!read.ok) throw new Error('the demo does not read');
    expect(pieceFileName({ ...read.piece, name: ' Glut / Ebbe: №2 ' }, '.mp4')).toBe('glut-ebbe-2.mp4');
    expect(pieceFileName({ ...read.piece, name: '///' }, '.mp4')).toBe('piece.mp4');
  });

  it('says what is wrong in a sentence, and that nothing was changed', () => {
    const problems = Array.from({ length: 5 }, (_, i) => ({ where: `layers.${i}`, what: 'must be whole' }));
    expect(problemWords('a.json', problems)).toBe(
      '“a.json” was not opened: layers.0 must be whole; layers.1 must be whole; layers.2 must be whole; and 2 more. Nothing was changed.',
    );
  });
});
