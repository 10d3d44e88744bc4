import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { FORMATS } from '../../bin/formats.mjs';
import { expectedBytes, readFormat, takeOutput, type Output } from '../../bin/output.mjs';
import { FORMATS as DELIVERED } from '../../src/core/deliveries/formats';

const folder = (): string => mkdtempSync(join(tmpdir(), 'isomorph-out-'));
const { mp4, png } = FORMATS;
/** Puts finished parts where the page does. */
function keep({ work }: Output, ...parts: readonly string[]): void {
  parts.forEach((text, i) => {
    writeFileSync(join(work, String(i)), text);
    writeFileSync(join(work, `${i}.json`), '{}');
  });
}

describe('the formats of the command line', () => {
  it('are those of deliveries, with the endings of their files', () => {
    const known = Object.values(FORMATS);
    expect(known.map(({ kind }) => kind)).toEqual(DELIVERED.map(({ kind }) => kind));
    for (const { kind, extension, holds } of DELIVERED) {
      const own = known.find((format) => format.kind === kind);
      expect([kind, own?.endings.includes(extension.slice(1)), own?.film]).toEqual([kind, true, holds === 'film']);
      expect(own?.endings.includes('')).toBe(holds === 'pictures');
    }
  });
});

describe('the format of an output', () => {
  it.each([
    ['clip.mp4', undefined, 'mp4'],
    ['clip.webm', undefined, 'webm'],
    ['clip.gif', undefined, 'gif'],
    ['clip.zip', undefined, 'png'],
    ['one.png', undefined, 'poster'],
    ['one.png', 'sheet', 'sheet'],
    ['frames', undefined, 'png'],
    ['frames', 'exr', 'exr'],
    ['clip.avi', 'mp4', 'mp4'],
    ['clip.mov', undefined, 'prores422'],
    ['flight.glb', undefined, 'cameraGlb'],
    ['clip.webm', 'webm-av1', 'webmAv1'],
  ])('of %s with %s is %s', (out, format, expected) => {
    expect(readFormat(format, out).kind).toBe(expected);
  });

  it.each([
    ['clip.mp4', 'webm', 'clip.mp4 is no name for webm: it ends in .mp4'],
    ['clip', 'mp4', 'clip is no name for mp4: it needs an ending, .mp4'],
    ['clip.mp4', 'tape', '--format must be one of mp4, mp4-av1, webm'],
    ['clip.avi', undefined, '--out ends in .avi: name the format with --format'],
  ])('of %s with %s is refused', (out, format, words) => {
    expect(() => readFormat(format, out)).toThrow(words);
  });
});

describe('an output', () => {
  it('has its name only when it is whole, and leaves nothing else', () => {
    const inside = folder();
    const path = join(inside, 'deep', 'clip.mp4');
    const output = takeOutput(path, mp4, 1000);
    expect(output.begin('key', false)).toBe(0);
    keep(output, 'a', 'b');
    writeFileSync(join(output.work, 'whole'), 'whole');
    expect(existsSync(path)).toBe(false);
    output.file();
    expect(output.release()).toBe(0);
    expect(readdirSync(join(inside, 'deep'))).toEqual(['clip.mp4']);
    expect(readFileSync(path, 'utf8')).toBe('whole');
  });

  it('of one that was there stays until the new one is whole', () => {
    const path = join(folder(), 'clip.mp4');
    writeFileSync(path, 'before');
    const output = takeOutput(path, mp4, 1000);
    output.begin('key', false);
    expect(readFileSync(path, 'utf8')).toBe('before');
    output.release();
    expect(readFileSync(path, 'utf8')).toBe('before');
  });

  it('that was ended keeps its finished parts, to be gone on with under the same key', () => {
    const inside = folder();
    const path = join(inside, 'clip.mp4');
    const first = takeOutput(path, mp4, 1000);
    first.begin('key', false);
    keep(first, 'a', 'b');
    expect(first.release()).toBe(2);
    expect(readdirSync(inside)).toEqual(['clip.mp4.parts']);
    const other = takeOutput(path, mp4, 1000);
    expect(() => other.begin('another', true)).toThrow('without --resume it begins anew');
    // what it refuses stays
    expect(other.release()).toBe(2);
    const again = takeOutput(path, mp4, 1000);
    expect(again.begin('key', true)).toBe(2);
    expect(readFileSync(join(again.work, '1'), 'utf8')).toBe('b');
    again.release();
    const anew = takeOutput(path, mp4, 1000);
    expect(anew.begin('key', false)).toBe(0);
    anew.release();
    expect(readdirSync(inside)).toEqual([]);
  });

  it('is refused to a second render, and taken over from one that died', () => {
    const path = join(folder(), 'clip.mp4');
    const first = takeOutput(path, mp4, 1000);
    expect(() => takeOutput(path, mp4, 1000)).toThrow(`is being rendered already, by process ${process.pid}`);
    first.release();
    takeOutput(path, mp4, 1000).release();
    // no process has this number
    writeFileSync(`${path}.lock`, '4194305');
    takeOutput(path, mp4, 1000).release();
    expect(existsSync(`${path}.lock`)).toBe(false);
  });

  it('that is a folder, that has no room, or that cannot be there is refused in words', () => {
    const inside = folder();
    mkdirSync(join(inside, 'clip.mp4'));
    expect(() => takeOutput(join(inside, 'clip.mp4'), mp4, 1000)).toThrow('is a folder: name a file in it');
    writeFileSync(join(inside, 'file'), '');
    expect(() => takeOutput(join(inside, 'file'), png, 1000)).toThrow('is a file: name a folder');
    expect(() => takeOutput(join(inside, 'file', 'clip.mp4'), mp4, 1000)).toThrow('cannot be written');
    const { bavail, bsize } = statfsSync(inside);
    expect(() => takeOutput(join(inside, 'a.mp4'), mp4, bavail * bsize * 2)).toThrow(
      /needs about \d+ MB, and the disk has \d+ MB left/,
    );
    expect(readdirSync(inside).sort()).toEqual(['clip.mp4', 'file']);
  });

  it('that is a folder of pictures gets them all at once, or beside those there', () => {
    const path = join(folder(), 'frames');
    for (const names of [['lamp.0000.png', 'deep/lamp.0001.png'], ['deep/lamp.0001.png']]) {
      const output = takeOutput(path, png, 1000);
      output.begin('key', false);
      keep(output, ...names.map((name) => `${name} of ${names.length}`));
      output.files(names);
      output.release();
    }
    expect(readdirSync(path).sort()).toEqual(['deep', 'lamp.0000.png']);
    expect(readFileSync(join(path, 'deep/lamp.0001.png'), 'utf8')).toBe('deep/lamp.0001.png of 1');
    expect(readdirSync(join(path, '..'))).toEqual(['frames']);
  });

  it('is expected to be no smaller than it becomes', () => {
    const frames = { width: 1920, height: 1080, first: 0, last: 249 };
    expect(expectedBytes(mp4, frames)).toBeGreaterThan(10e6);
    expect(expectedBytes(png, frames)).toBeGreaterThan(500e6);
  });
});
