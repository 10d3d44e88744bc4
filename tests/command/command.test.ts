import { execFile } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const isomorph = (...args: string[]): Promise<{ code: number; out: string; err: string }> =>
  new Promise((resolve) => {
    execFile('node', ['bin/isomorph.mjs', ...args], { encoding: 'utf8' }, (error, out, err) =>
      resolve({ code: typeof error?.code === 'number' ? error.code : error ? 1 : 0, out, err }),
    );
  });

// none of these starts a browser, builds or installs anything: what is wrong is said at once
describe('the command line', () => {
  it.each([[], ['--help'], ['-h'], ['help']])('explains itself: %s', async (...args) => {
    const { code, out } = await isomorph(...args);
    expect(code).toBe(0);
    for (const command of ['isomorph demo', 'isomorph render', 'isomorph check', 'isomorph batch', '--version'])
      expect(out).toContain(command);
  });

  it.each(['demo', 'render', 'check', 'batch'])('explains %s', async (command) => {
    const { code, out } = await isomorph(command, '--help');
    expect([code, out.split('\n')[0].startsWith(`isomorph ${command}`)]).toEqual([0, true]);
    expect(await isomorph('help', command)).toMatchObject({ code: 0, out });
  });

  it('says its version', async () => {
    const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
    expect(await isomorph('--version')).toMatchObject({ code: 0, out: `isomorph ${version}\n` });
  });

  const inside = mkdtempSync(join(tmpdir(), 'isomorph-cmd-'));
  mkdirSync(join(inside, 'folder.mp4'));
  it.each([
    [['toString'], 'there is no command "toString"'],
    [['render', 'demo:foam-rise'], 'render needs --out'],
    [['render', '--out', 'a.mp4'], 'render needs a piece'],
    [['render', 'nothing.json', '--out', 'a.mp4'], 'there is no file nothing.json'],
    [['render', 'demo:nothing', '--out', 'a.mp4'], 'there is no demo piece "nothing"'],
    [['render', inside, '--out', 'a.mp4'], 'is a folder: name a piece in it'],
    [['render', 'demo:foam-rise', '--out', 'a.mp4', '--format', 'webm'], 'a.mp4 is no name for webm'],
    [['check', 'demo:foam-rise', '--loud'], "Unknown option '--loud'"],
    [['check', 'demo:foam-rise', 'demo:reed-flats'], 'one piece at a time'],
    [['batch'], 'batch needs a list'],
    [['batch', 'nothing.json'], 'there is no file nothing.json'],
  ])('%s: one line and exit code 2', async (args, words) => {
    const { code, err } = await isomorph(...args);
    expect([code, err.trim().split('\n').length]).toEqual([2, 1]);
    expect(err).toContain(`isomorph: ${words.startsWith('is a') ? inside : ''}`);
    expect(err).toContain(words);
  });
});
