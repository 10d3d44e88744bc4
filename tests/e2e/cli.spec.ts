import { execFile, execFileSync, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { PNG } from 'pngjs';

interface Outcome {
  code: number;
  out: string;
  err: string;
}

const isomorph = (...args: string[]): Promise<Outcome> => isomorphWith({}, ...args);
const isomorphWith = (env: object, ...args: string[]): Promise<Outcome> =>
  new Promise((resolve) => {
    const options = { encoding: 'utf8', maxBuffer: 1e8, env: { ...process.env, ...env } } as const;
    execFile('node', ['bin/isomorph.mjs', ...args], options, (error, out, err) =>
      resolve({
        code: typeof error?.code === 'number' ? error.code : error ? 1 : 0,
        out,
        err: err.replace(/^npm warn.*\n/gm, ''),
      }),
    );
  });
const folder = (): string => mkdtempSync(join(tmpdir(), 'isomorph-'));
const probe = (file: string): string =>
  execFileSync(
    'ffprobe',
    [
      '-v',
      'error',
      '-count_frames',
      '-show_entries',
      'stream=codec_name,nb_read_frames,r_frame_rate,width,height',
      '-of',
      'csv=p=0',
      file,
    ],
    { encoding: 'utf8' },
  ).trim();

/** A demo piece at another rate and with few particles. */
function small(change: (piece: Record<string, never>) => void): string {
  const json = JSON.parse(readFileSync('demo/ropewalk-tunnel.isomorph.json', 'utf8')) as {
    piece: Record<string, never>;
  };
  for (const layer of json.piece['layers'] as { kind: string; count: number }[])
    if (layer.kind === 'field') layer.count = 800;
  change(json.piece);
  const file = join(folder(), 'small.isomorph.json');
  writeFileSync(file, JSON.stringify(json));
  return file;
}

test('render writes a whole lap with exactly its frames at its exact rate', async () => {
  const file = small((piece) =>
    Object.assign(piece, { lap: { frames: 30, rate: { num: 24000, den: 1001 }, tempo: null } }),
  );
  const clip = join(folder(), 'clip.mp4');
  const { code, out } = await isomorph('render', file, '--size', '320x180', '--samples', '1', '--out', clip);
  expect([code, out]).toEqual([0, expect.stringContaining('30 frames')]);
  expect(probe(clip)).toBe('h264,320,180,24000/1001,30');
});

test('render writes WebM and PNG sequences, a part of the lap, one picture', async () => {
  const clip = join(folder(), 'clip.webm');
  expect(
    (
      await isomorph(
        'render',
        'demo:slipway-spiral',
        '--size',
        '160x90',
        '--samples',
        '1',
        '--frames',
        '0-5',
        '--out',
        clip,
      )
    ).code,
  ).toBe(0);
  expect(probe(clip)).toBe('vp9,160,90,30/1,6');
  const pictures = folder();
  expect(
    (
      await isomorph(
        'render',
        'demo:ropewalk-tunnel',
        '--size',
        '160x90',
        '--samples',
        '1',
        '--frames',
        '248-249',
        '--out',
        pictures,
      )
    ).code,
  ).toBe(0);
  expect(readdirSync(pictures)).toEqual(['ropewalk-tunnel.0248.png', 'ropewalk-tunnel.0249.png']);
  const still = join(folder(), 'still.png');
  expect(
    (
      await isomorph(
        'render',
        'demo:ropewalk-tunnel',
        '--size',
        '160x90',
        '--samples',
        '1',
        '--frames',
        '249',
        '--out',
        still,
      )
    ).code,
  ).toBe(0);
  const decoded = PNG.sync.read(readFileSync(still));
  expect([decoded.width, decoded.height]).toEqual([160, 90]);
  // the same frame, alone or in a sequence, is the same bytes
  expect(readFileSync(still).equals(readFileSync(join(pictures, 'ropewalk-tunnel.0249.png')))).toBe(true);
});

test('check prints the report, and fails on a planted fault', async () => {
  const good = await isomorph('check', 'demo:ropewalk-tunnel', '--json');
  expect(good.code).toBe(0);
  expect((JSON.parse(good.out) as { ok: boolean }).ok).toBe(true);
  const bad = await isomorph(
    'check',
    small((piece) => Object.assign(piece['flight'], { route: { kind: 'run', tilesPerLap: 0.7 } })),
    '--json',
  );
  expect(bad.code).toBe(1);
  const report = JSON.parse(bad.out) as { ok: boolean; state: { findings: { ok: boolean; subject: string }[] } };
  expect(report.ok).toBe(false);
  expect(report.state.findings.filter(({ ok }) => !ok).map(({ subject }) => subject)).toContain('Camera, travel');
});

const mistakes: [string[], RegExp][] = [
  [['fly'], /there is no command "fly"/],
  [['render'], /render needs a piece/],
  [['render', 'demo:nothing', '--out', 'x.mp4'], /no demo piece "nothing"/],
  [['render', 'gone.json', '--out', 'x.mp4'], /there is no file gone.json/],
  [['render', 'demo:ropewalk-tunnel'], /--out/],
  [['render', 'demo:ropewalk-tunnel', '--out', 'x.mp4', '--speed', '9'], /--speed/],
  [['render', 'demo:ropewalk-tunnel', '--out', 'x.mp4', '--size', 'big'], /--size must be like 640x360/],
  [['render', 'demo:ropewalk-tunnel', '--out', 'x.mp4', '--size', '99999x2'], /between 16 and 8192/],
  [['render', 'demo:ropewalk-tunnel', '--out', 'x.mp4', '--size', '161x90'], /even sizes/],
  [['render', 'demo:ropewalk-tunnel', '--out', 'x.mp4', '--samples', '3'], /--samples must be/],
  [['render', 'demo:ropewalk-tunnel', '--out', 'x.mp4', '--frames', '0-900'], /--frames must be like 0-249/],
  [['render', 'demo:ropewalk-tunnel', '--out', 'x.avi'], /name the format/],
  [['render', 'package.json', '--out', 'x.mp4'], /not an Isomorph piece/],
  [['demo', '--port', 'door'], /--port must be a number/],
];
test('mistakes are one clear line and a non-zero exit', async () => {
  for (const [args, words] of mistakes) {
    const { code, err } = await isomorph(...args);
    expect([args, code > 0]).toEqual([args, true]);
    expect(err.trim()).toMatch(words);
    expect(err.trim().split('\n')).toHaveLength(1);
  }
});

test('a signal ends a render and all that belongs to it within two seconds, and leaves nothing', async () => {
  const inside = folder();
  const clip = join(inside, 'clip.mp4');
  for (const [signal, code] of [
    ['SIGTERM', 143],
    ['SIGINT', 130],
  ] as const) {
    const child = spawn('node', ['bin/isomorph.mjs', 'render', 'demo:reed-flats', '--out', clip, '--samples', '256']);
    // it has begun when its output is taken
    await expect.poll(() => readdirSync(inside), { timeout: 40_000 }).toContain('clip.mp4.lock');
    // and another one for the same name is refused
    const second = await isomorph('render', 'demo:foam-rise', '--size', '64x36', '--samples', '1', '--out', clip);
    expect([second.code, second.err]).toEqual([2, expect.stringContaining('is being rendered already')]);
    const browsers = (): number[] =>
      execFileSync('ps', ['-eo', 'pid,ppid,comm'], { encoding: 'utf8' })
        .split('\n')
        .map((line) => line.trim().split(/\s+/))
        .filter(([, parent]) => Number(parent) === child.pid)
        .map(([pid]) => Number(pid));
    const mine = browsers();
    expect(mine.length).toBeGreaterThan(0);
    const asked = Date.now();
    const ended = new Promise<number | null>((resolve) => child.on('exit', resolve));
    child.kill(signal);
    expect(await ended).toBe(code);
    expect(Date.now() - asked).toBeLessThan(2000);
    await expect
      .poll(() => mine.filter((pid) => existsSync(`/proc/${pid}/exe`)), { timeout: 2000 - (Date.now() - asked) })
      .toEqual([]);
    expect(readdirSync(inside)).toEqual([]);
  }
});

test('a render that is ended beside another goes on with what is finished, to the same bytes; a list of them does too', async () => {
  test.setTimeout(240_000);
  const inside = folder();
  const piece = small((own) => Object.assign(own, { lap: { frames: 48, rate: { num: 12, den: 1 }, tempo: null } }));
  const asked = ['render', piece, '--size', '160x90', '--samples', '4'];
  const whole = join(inside, 'whole.mp4');
  const beside = isomorph(...asked, '--out', whole);
  const clip = join(inside, 'clip.mp4');
  const child = spawn('node', ['bin/isomorph.mjs', ...asked, '--out', clip]);
  let words = '';
  child.stderr.on('data', (text: Buffer) => (words += text.toString()));
  const ended = new Promise<number | null>((resolve) => child.on('exit', resolve));
  const parts = (): string[] => (existsSync(`${clip}.parts`) ? readdirSync(`${clip}.parts`) : []);
  await expect.poll(parts, { timeout: 60_000 }).toContain('1.json');
  child.kill('SIGINT');
  expect(await ended).toBe(130);
  expect(words).toContain('the same command with --resume goes on with it');
  // two at once do not disturb each other
  expect((await beside).code).toBe(0);
  expect(readdirSync(inside).sort()).toEqual(['clip.mp4.parts', 'whole.mp4']);
  // with other settings it is not gone on with
  const other = await isomorph(...asked, '--rate', 'master', '--resume', '--out', clip);
  expect([other.code, other.err]).toEqual([2, expect.stringContaining('begun with other settings')]);
  const list = join(inside, 'list.json');
  const entry = { piece, out: 'clip.mp4', size: '160x90', samples: 4 };
  writeFileSync(
    list,
    JSON.stringify([entry, { piece: 'demo:nothing', out: 'no.mp4' }, { ...entry, out: 'one.png', frames: '7' }]),
  );
  const batch = await isomorph('batch', list, '--resume');
  expect(batch.code).toBe(1);
  expect(batch.out).toMatch(/clip\.mp4: 48 frames, 4\.000 s, each as it was rendered, (24|36) of them from before/);
  expect(batch.out).toContain('2 of 3: no.mp4: failed: there is no piece demo:nothing');
  expect(batch.out).toContain('2 of 3 are done');
  expect(readFileSync(clip).equals(readFileSync(whole))).toBe(true);
  expect(readdirSync(inside).sort()).toEqual(['clip.mp4', 'list.json', 'list.json.done', 'one.png', 'whole.mp4']);
  const again = await isomorph('batch', list, '--resume');
  expect(again.out).toContain('1 of 3: clip.mp4: done before');
});

test('without ffmpeg a codec of the machine says what to install', async () => {
  const clip = join(folder(), 'clip.mov');
  const env = { ISOMORPH_FFMPEG: '/nowhere/ffmpeg' };
  const asked = ['render', 'demo:foam-rise', '--size', '64x36', '--samples', '1', '--frames', '0-3', '--format', 'hap'];
  const { code, err } = await isomorphWith(env, ...asked, '--out', clip);
  expect(code).toBe(1);
  expect(err).toContain(
    'which is not installed on the machine that serves Isomorph: install it (apt-get install ffmpeg',
  );
  expect(existsSync(clip)).toBe(false);
});
