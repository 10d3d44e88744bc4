import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { expectedBytes, readFormat, takeOutput } from '../../bin/output.mjs';

const folder = (): string => mkdtempSync(join(tmpdir(), 'isomorph-out-'));
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

describe('the format of an output', () => {
  it.each([
    ['clip.mp4', undefined, 'mp4'],
    ['clip.webm', undefined, 'webm'],
    ['clip.zip', undefined, 'png'],
    ['one.png', undefined, 'png'],
    ['frames', undefined, 'png'],
    ['clip.mov', 'mp4', 'mp4'],
  ])('of %s with %s is %s', (out, format, expected) => {
    expect(readFormat(format, out)).toBe(expected);
  });

  it.each([
    ['clip.mp4', 'webm', 'clip.mp4 is no name for webm: it ends in .mp4'],
    ['clip', 'mp4', 'clip is no name for mp4: it needs an ending, .mp4'],
    ['clip.mp4', 'gif', '--format must be mp4, webm or png, not "gif"'],
    ['clip.mov', undefined, '--out ends in .mov: name the format with --format mp4, webm or png'],
  ])('of %s with %s is refused', (out, format, words) => {
    expect(() => readFormat(format, out)).toThrow(words);
  });
});

describe('an output', () => {
  it('has its name only when it is whole, and leaves nothing else', () => {
    const inside = folder();
    const path = join(inside, 'deep', 'clip.mp4');
    const output = takeOutput(path, 'mp4', 1000);
    expect(existsSync(path)).toBe(false);
    output.file(bytes('whole'));
    output.release();
    expect(readdirSync(join(inside, 'deep'))).toEqual(['clip.mp4']);
    expect(readFileSync(path, 'utf8')).toBe('whole');
  });

  it('of one that was there stays until the new one is whole', () => {
    const path = join(folder(), 'clip.mp4');
    writeFileSync(path, 'before');
    const output = takeOutput(path, 'mp4', 1000);
    expect(readFileSync(path, 'utf8')).toBe('before');
    output.release();
    expect(readFileSync(path, 'utf8')).toBe('before');
  });

  it('is refused to a second render, and taken over from one that died', () => {
    const path = join(folder(), 'clip.mp4');
    const first = takeOutput(path, 'mp4', 1000);
    expect(() => takeOutput(path, 'mp4', 1000)).toThrow(`is being rendered already, by process ${process.pid}`);
    first.release();
    takeOutput(path, 'mp4', 1000).release();
    // no process has this number
    writeFileSync(`${path}.lock`, '4194305');
    takeOutput(path, 'mp4', 1000).release();
    expect(existsSync(`${path}.lock`)).toBe(false);
  });

  it('that is a folder, that has no room, or that cannot be there is refused in words', () => {
    const inside = folder();
    mkdirSync(join(inside, 'clip.mp4'));
    expect(() => takeOutput(join(inside, 'clip.mp4'), 'mp4', 1000)).toThrow('is a folder: name a file in it');
    writeFileSync(join(inside, 'file'), '');
    expect(() => takeOutput(join(inside, 'file'), 'png', 1000)).toThrow('is a file: name a folder');
    expect(() => takeOutput(join(inside, 'file', 'clip.mp4'), 'mp4', 1000)).toThrow('cannot be written');
    const { bavail, bsize } = statfsSync(inside);
    expect(() => takeOutput(join(inside, 'a.mp4'), 'mp4', bavail * bsize * 2)).toThrow(
      /needs about \d+ MB, and the disk has \d+ MB left/,
    );
    expect(readdirSync(inside).sort()).toEqual(['clip.mp4', 'file']);
  });

  it('that is a folder of pictures gets them all at once, or beside those there', () => {
    const path = join(folder(), 'frames');
    for (const names of [['frame-0.png', 'frame-1.png'], ['frame-1.png']]) {
      const output = takeOutput(path, 'png', 1000);
      output.files(names.map((name) => [name, bytes(`${name} of ${names.length}`)]));
      output.release();
    }
    expect(readdirSync(path).sort()).toEqual(['frame-0.png', 'frame-1.png']);
    expect(readFileSync(join(path, 'frame-1.png'), 'utf8')).toBe('frame-1.png of 1');
  });

  it('is expected to be no smaller than it becomes', () => {
    const frames = { width: 1920, height: 1080, first: 0, last: 249 };
    expect(expectedBytes('mp4', frames)).toBeGreaterThan(10e6);
    expect(expectedBytes('png', frames)).toBeGreaterThan(500e6);
  });
});
