import { execFileSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import { readExr } from '../../src/formats/exr/exr';
import { fromHalf } from '../../src/formats/exr/half';
import { demoJson, openLab } from './lab';
import { fill, openRecipe, pause, step } from './ui';

const folder = mkdtempSync(join(tmpdir(), 'isomorph-export-'));

/** A demo piece as a short lap. */
function short(name: string, frames: number): unknown {
  const json = demoJson(name) as { piece: { lap: { frames: number } } };
  json.piece.lap.frames = frames;
  return json;
}

const bytesOf = (page: Page, size: number): Promise<string> => page.evaluate((to) => lab.slice(0, to), size);

/** Renders in the lab under the name of a job and brings the file back. */
async function rendered(page: Page, json: unknown, delivery: object, job: string) {
  const { size, ...rest } = await page.evaluate(
    ([document, options, own]) =>
      lab.render(
        lab.parse(document),
        options as object,
        (p) => Object.assign(globalThis, { progressOfRender: p.done }),
        { own },
      ),
    [json, delivery, job] as const,
  );
  return { ...rest, base64: await bytesOf(page, size) };
}

// ---- colour: what other programs decode is what was given ----

const [WIDTH, HEIGHT, COLUMNS, ROWS] = [256, 192, 8, 6];
/** Black to white, the primaries and secondaries at full and half strength, skins, skies and darks; in fields of 32 by 32. */
const COLOURS = Array.from({ length: COLUMNS * ROWS }, (_, i): [number, number, number] => {
  const row = Math.floor(i / COLUMNS);
  const column = i % COLUMNS;
  if (row === 0) return [0, 1, 2].map(() => Math.round((column * 255) / 7)) as [number, number, number];
  if (row === 1 || row === 2)
    return [4, 2, 1].map((bit) => (column & bit ? (row === 1 ? 255 : 128) : 0)) as [number, number, number];
  return [(column * 37 + row * 61) % 256, (column * 91 + row * 17) % 256, (column * 53 + row * 151) % 256];
});
const chart = Buffer.alloc(WIDTH * HEIGHT * 4, 255);
for (let y = 0; y < HEIGHT; y++)
  for (let x = 0; x < WIDTH; x++)
    chart.set(COLOURS[Math.floor(y / 32) * COLUMNS + Math.floor(x / 32)], (y * WIDTH + x) * 4);

/** The middle of every field as ffmpeg decodes the last frame of a file, by its own tags. */
function decoded(file: string): number[][] {
  const raw = execFileSync(
    'ffmpeg',
    [
      ...[
        '-v',
        'error',
        '-i',
        file,
        '-vf',
        'scale=in_color_matrix=auto:flags=accurate_rnd+full_chroma_int,format=rgb24',
      ],
      ...['-f', 'rawvideo', '-'],
    ],
    { maxBuffer: 1e8 },
  );
  const last = raw.subarray(raw.length - WIDTH * HEIGHT * 3);
  return COLOURS.map((_, i) => {
    const [x, y] = [(i % COLUMNS) * 32 + 16, Math.floor(i / COLUMNS) * 32 + 16];
    return [...last.subarray((y * WIDTH + x) * 3, (y * WIDTH + x) * 3 + 3)];
  });
}
const worst = (found: readonly (readonly number[])[]): number =>
  Math.max(...found.flatMap((rgb, i) => rgb.map((v, k) => Math.abs(v - COLOURS[i][k]))));

test('a colour chart is within 3 code values in every format, as other programs decode it', async ({ page }) => {
  await openLab(page);
  const encode = async (delivery: object): Promise<Buffer> => {
    const { size, verified } = await page.evaluate(
      ([json, options, picture]) => {
        const document = json as { piece: { lap: { frames: number } } };
        document.piece.lap.frames = 4;
        return lab.encode(lab.parse(document), options as object, [picture, picture, picture, picture]);
      },
      [demoJson('salt-lattice'), { width: WIDTH, height: HEIGHT, ...delivery }, chart.toString('base64')] as const,
    );
    expect([delivery, verified]).toMatchObject([delivery, { ok: true }]);
    return Buffer.from(await bytesOf(page, size), 'base64');
  };
  const films = {
    mp4: [{ format: 'mp4', rate: 'master' }, 'mp4'],
    mp4Av1: [{ format: 'mp4Av1', rate: 'master' }, 'mp4'],
    webm: [{ format: 'webm', rate: 'master' }, 'webm'],
    webmAv1: [{ format: 'webmAv1', rate: 'master' }, 'webm'],
    tenBits: [{ format: 'webm', tenBits: true, rate: 'master' }, 'webm'],
    quality: [{ format: 'mp4Av1', rate: 'quality', filmQuality: 95 }, 'mp4'],
    prores422: [{ format: 'prores422' }, 'mov'],
    prores4444: [{ format: 'prores4444' }, 'mov'],
    hap: [{ format: 'hap' }, 'mov'],
    hapAlpha: [{ format: 'hapAlpha' }, 'mov'],
    hapQ: [{ format: 'hapQ' }, 'mov'],
    hevc: [{ format: 'hevc', rate: 'master' }, 'mp4'],
    ffv1: [{ format: 'ffv1' }, 'mkv'],
    gif: [{ format: 'gif', every: 1 }, 'gif'],
    poster: [{ format: 'poster' }, 'png'],
    poster16: [{ format: 'poster', bits: '16' }, 'png'],
  } as const;
  const offs: string[] = [];
  for (const [name, [delivery, ending]] of Object.entries(films)) {
    const file = join(folder, `chart-${name}.${ending}`);
    writeFileSync(file, await encode(delivery));
    offs.push(`${name} ${worst(decoded(file))}`);
  }
  console.log(offs.join(', '));
  expect(offs.filter((off) => Number(off.split(' ')[1]) > 3)).toEqual([]);
  const png = Object.values(unzipSync(await encode({ format: 'png' })));
  expect(png).toHaveLength(4);
  writeFileSync(join(folder, 'chart.png'), png[3]);
  expect(worst(decoded(join(folder, 'chart.png')))).toBe(0);
  // linear light, encoded again by IEC 61966-2-1
  const exr = readExr(Object.values(unzipSync(await encode({ format: 'exr' })))[3]);
  const view = new DataView(exr.lines.buffer, exr.lines.byteOffset);
  const fields = COLOURS.map((_, i) =>
    ['R', 'G', 'B'].map((name) => {
      const [x, y] = [(i % COLUMNS) * 32 + 16, Math.floor(i / COLUMNS) * 32 + 16];
      const at = exr.channels.findIndex((channel) => channel.name === name);
      const linear = fromHalf(view.getUint16((y * 3 + at) * WIDTH * 2 + x * 2, true));
      return 255 * (linear <= 0.0031308 ? linear * 12.92 : 1.055 * linear ** (1 / 2.4) - 0.055);
    }),
  );
  expect(worst(fields)).toBeLessThan(0.2);
  // no program of Debian's decodes moving WebP: the browser's own decoder has compared its cells above
  expect((await encode({ format: 'webp', every: 1, pictureQuality: 100 })).subarray(8, 16).toString()).toBe('WEBPVP8X');
});

test('video of other rates, several laps and at a data rate of one’s own is what other programs count', async ({
  page,
}) => {
  await openLab(page);
  const probe = async (format: string, delivery: object, rate: { num: number; den: number }): Promise<string> => {
    const json = short('salt-lattice', 30) as { piece: { lap: object } };
    Object.assign(json.piece.lap, { rate });
    const size = { format, width: 64, height: 36, samples: '1' };
    const { base64, verified } = await rendered(page, json, { ...size, ...delivery }, `${format}-${rate.num}`);
    expect(verified.ok).toBe(true);
    const file = join(folder, `laps.${format}`);
    writeFileSync(file, Buffer.from(base64, 'base64'));
    const entries = 'stream=nb_read_frames,r_frame_rate:format=duration';
    return execFileSync('ffprobe', ['-v', 'error', '-count_frames', '-show_entries', entries, '-of', 'csv=p=0', file])
      .toString()
      .replace(/\s+/g, ' ')
      .trim();
  };
  expect(await probe('mp4', { repeats: 3 }, { num: 24000, den: 1001 })).toMatch(/^24000\/1001,90 3\.75/);
  expect(await probe('webm', { repeats: 2, rate: 'own', megabits: 1 }, { num: 50, den: 1 })).toMatch(/^50\/1,60 1\.2/);
  // by quality each frame takes what it needs: the more is asked of it, the more
  const sizes: number[] = [];
  for (const filmQuality of [20, 60, 95]) {
    await probe('webm', { rate: 'quality', filmQuality }, { num: 30, den: 1 });
    sizes.push(statSync(join(folder, 'laps.webm')).size);
  }
  // where it were not heeded all would be as large
  expect(sizes[1]).toBeGreaterThan(1.15 * sizes[0]);
  expect(sizes[2]).toBeGreaterThan(1.15 * sizes[1]);
});

/** Tones as a WAV file of 16 bits, one in each channel. */
function toneWav(seconds: number, hz: number, pitches: readonly number[]): Buffer {
  const frame = 2 * pitches.length;
  const samples = seconds * hz;
  const wav = Buffer.alloc(44 + samples * frame);
  wav.write('RIFF', 0);
  wav.writeUInt32LE(36 + samples * frame, 4);
  wav.write('WAVEfmt ', 8);
  const head = [16, 1 | (pitches.length << 16), hz, hz * frame, frame | (16 << 16)];
  head.forEach((v, i) => wav.writeUInt32LE(v, 16 + 4 * i));
  wav.write('data', 36);
  wav.writeUInt32LE(samples * frame, 40);
  for (let i = 0; i < samples; i++)
    pitches.forEach((pitch, k) =>
      wav.writeInt16LE(Math.round(9000 * Math.sin((2 * Math.PI * pitch * i) / hz)), 44 + i * frame + 2 * k),
    );
  return wav;
}

test('a sound is cut to the lap, heard as often as the lap is, and read back', async ({ page }) => {
  await openLab(page);
  const wav = toneWav(5, 44_100, [441, 882]);
  const kept = await page.evaluate((text) => lab.keep(text, 'Two tones.wav'), wav.toString('base64'));
  expect(kept.kind).toBe('sound');
  const sound = { hash: kept.hash, name: 'Two tones.wav' };
  const size = { width: 64, height: 36, samples: '1', repeats: 2, soundFrom: 1.3 };
  const json = short('salt-lattice', 30) as { piece: { lap: { rate: { num: number; den: number } } } };
  const rate = json.piece.lap.rate.num / json.piece.lap.rate.den;
  for (const format of ['mp4', 'webm']) {
    const { base64, verified } = await rendered(page, json, { format, ...size, sound }, `sound-${format}`);
    expect([format, verified.ok, verified.says]).toEqual([format, true, expect.stringContaining('with its sound')]);
    const file = join(folder, `sound.${format}`);
    writeFileSync(file, Buffer.from(base64, 'base64'));
    const heard = execFileSync('ffmpeg', [
      '-v',
      'error',
      '-i',
      file,
      '-map',
      '0:a',
      '-f',
      'f32le',
      '-ar',
      '48000',
      '-ac',
      '2',
      '-',
    ]);
    const left = Array.from({ length: heard.length / 8 }, (_, i) => heard.readFloatLE(i * 8));
    // both laps, to a packet
    expect(Math.abs(left.length / 48_000 - 60 / rate)).toBeLessThan(0.06);
    // as loud as it was, all along: across the seam as well
    const seam = Math.round((48_000 * 30) / rate);
    const loud = (from: number, count: number): number =>
      Math.sqrt(left.slice(from, from + count).reduce((sum, v) => sum + v * v, 0) / count);
    const whole = 9000 / 32_768 / Math.SQRT2;
    for (const at of [12_000, seam - 2400, seam + 12_000])
      expect(Math.abs(loud(at, 4800) / whole - 1)).toBeLessThan(0.35);
    // no click: what is above the tones is as little at the seam as elsewhere
    const sharp = (from: number): number =>
      Math.max(...Array.from({ length: 2400 }, (_, i) => Math.abs(left[from + i + 1] - left[from + i])));
    expect(sharp(seam - 1200)).toBeLessThan(1.6 * sharp(12_000));
  }
  const gone = { hash: '0'.repeat(64), name: 'Gone.wav' };
  await expect(rendered(page, json, { format: 'mp4', ...size, sound: gone }, 'gone')).rejects.toThrow(
    /the sound “Gone.wav” is not here/,
  );
});

// ---- what outlives the page ----

/** How often each is killed, two times on its way: `KILLS=20 npx playwright test export -g killed` is a night's worth. */
const KILLS = Number(process.env['KILLS'] ?? 2);

test('killed at random moments and gone on with, a file is the same to the last byte', async ({ page }) => {
  test.setTimeout(120_000 * KILLS);
  const json = short('foam-rise', 60) as { piece: { lap: object } };
  // a part of a film is twelve frames then
  Object.assign(json.piece.lap, { rate: { num: 12, den: 1 } });
  for (const format of ['mp4', 'png', 'prores422']) {
    const delivery = { format, width: 96, height: 54, samples: '1' };
    await openLab(page);
    const whole = await rendered(page, json, delivery, `${format}-whole`);
    const progress = () => page.evaluate(() => (globalThis as { progressOfRender?: number }).progressOfRender);
    for (let kill = 1; kill <= KILLS; kill++) {
      const job = `${format}-killed-${Math.ceil(kill / 2)}`;
      await openLab(page);
      const running = rendered(page, json, delivery, job).catch(() => null);
      await expect.poll(progress).toBeGreaterThanOrEqual(0);
      // a moment that no two runs share: after a part of twelve and some frames more, and some milliseconds
      const after = Math.min(52, ((await progress()) ?? 0) + 13 + Math.floor(Math.random() * 10));
      await page.waitForFunction(
        (done) => ((globalThis as { progressOfRender?: number }).progressOfRender ?? 0) >= done,
        after,
      );
      await page.waitForTimeout(Math.random() * 60);
      await page.goto('about:blank');
      // what was finished before could not be gone on with
      expect(await running).toBeNull();
      if (kill % 2 === 1) continue;
      await openLab(page);
      const last = await rendered(page, json, delivery, job);
      expect(last.found).toBeGreaterThan(0);
      expect(last.verified).toMatchObject({ ok: true, frames: 60 });
      expect(last.base64 === whole.base64).toBe(true);
    }
  }
});

test('a delivery goes on by itself when the page is open again, once, whichever page that is', async ({
  page,
  context,
}) => {
  await openRecipe(page);
  await pause(page);
  await step(page, 'Export').click();
  await page.getByRole('button', { name: 'Proof and full size' }).click();
  await page.getByRole('article').first().getByRole('button').first().click();
  await fill(page, 'Width, px', '96');
  await fill(page, 'Height, px', '54');
  await page.getByRole('button', { name: 'Format' }).click();
  await page.getByRole('option', { name: 'PNG pictures' }).click();
  await page.getByRole('button', { name: 'Render' }).first().click();
  await expect(page.getByText(/^([2-9]|\d\d+) of 300 frames/)).toBeVisible({ timeout: 60_000 });
  page.on('dialog', (dialog) => void dialog.accept());
  await page.goto('about:blank');
  // two pages are opened: one renders, both show it
  const other = await context.newPage();
  for (const one of [page, other]) await one.goto('/');
  const listed = async (one: Page) => {
    await one.getByRole('button', { name: 'Slipway spiral' }).first().click();
    await step(one, 'Export').click();
    return one.getByText(/^\d+ of 300 frames/);
  };
  const words = await listed(page);
  await expect(words).toBeVisible({ timeout: 60_000 });
  const done = async (): Promise<number> => Number((await words.textContent())?.split(' ')[0]);
  const before = await done();
  expect(before).toBeGreaterThan(1);
  const renders = async () =>
    (await context.pages()[0].evaluate(() => navigator.locks.query())).held?.filter(
      ({ name }) => name === 'isomorph rendering',
    ).length;
  expect(await renders()).toBe(1);
  await expect(await listed(other)).toBeVisible();
  await expect.poll(done, { timeout: 60_000 }).toBeGreaterThan(before + 3);
  // whoever is looked at lets it rest
  await other.getByRole('button', { name: /^Pause .+/ }).click();
  await expect(page.getByText(/^rests, \d+ of 300 frames kept/)).toBeVisible();
  await other.getByRole('button', { name: /^Remove / }).click();
  await expect(page.getByText(/^rests/)).toHaveCount(0);
  const left = await page.evaluate(async () => {
    const root = await (await navigator.storage.getDirectory()).getDirectoryHandle('isomorph exports');
    const names: string[] = [];
    for await (const name of root.keys()) names.push(name);
    return names;
  });
  expect(left).toEqual([]);
});

test('a full disk is said in words, and what was finished stays', async ({ page }) => {
  await openLab(page);
  const json = short('foam-rise', 24);
  const delivery = { format: 'png', width: 320, height: 180, samples: '1' };
  const session = await page.context().newCDPSession(page);
  const origin = new URL(page.url()).origin;
  const { usage } = await session.send('Storage.getUsageAndQuota', { origin });
  await session.send('Storage.overrideQuotaForOrigin', { origin, quotaSize: usage + 500_000 });
  await expect(rendered(page, json, delivery, 'full')).rejects.toThrow(/there is no room for the file on this disk/);
  await session.send('Storage.overrideQuotaForOrigin', { origin });
  const again = await rendered(page, json, delivery, 'full');
  expect(again.found).toBeGreaterThan(0);
  expect(again.verified).toMatchObject({ ok: true, frames: 24 });
});

// ---- the machine's own codecs ----

test('an encoder of the machine ends with its session, and leaves nothing', async ({ page }) => {
  await openLab(page);
  const { request } = page;
  const data = {
    kind: 'ffv1',
    width: 64,
    height: 36,
    rate: { num: 25, den: 1 },
    alpha: 'none',
    quality: 'high',
    megabits: 1,
  };
  const { id } = (await (await request.post('/api/encode', { data })).json()) as { id: string };
  const headers = { 'Content-Type': 'application/octet-stream' };
  await request.put(`/api/encode/${id}`, { headers, data: Buffer.alloc(64 * 36 * 8) });
  const encoders = (): string[] =>
    execFileSync('ps', ['-eo', 'args'], { encoding: 'utf8' })
      .split('\n')
      .filter((line) => line.includes('rawvideo') && line.includes('64x36'));
  expect(encoders()).toHaveLength(1);
  const place = /\S*isomorph-encode-\w+/.exec(encoders()[0])?.[0] ?? '';
  expect(existsSync(place)).toBe(true);
  expect((await request.delete(`/api/encode/${id}`, { headers })).status()).toBe(204);
  expect([encoders(), existsSync(place)]).toEqual([[], false]);
  const again = await request.put(`/api/encode/${id}`, { headers, data: Buffer.alloc(8) });
  expect([again.status(), await again.text()]).toEqual([404, expect.stringContaining('given up')]);
  // what is not asked for as it must be is refused
  expect((await request.post('/api/encode', { data: { ...data, kind: 'rm' } })).status()).toBe(400);
  expect((await request.post('/api/encode', { data: { ...data, width: 1e9 } })).status()).toBe(400);
});

// ---- alpha and channels ----

test('alpha recomposes the picture, and the channels of an EXR are those of the engine', async ({ page }) => {
  await openLab(page);
  const json = short('foam-rise', 24);
  const delivery = {
    ...{ format: 'exr', numbers: 'float', width: 96, height: 54, samples: '16', first: 3, last: 3 },
    ...{ alpha: 'premultiplied', light: 'scene', depth: true, normal: true, motion: true, mattes: true },
  };
  const { base64 } = await rendered(page, json, delivery, 'channels');
  const [bytes] = Object.values(unzipSync(Buffer.from(base64, 'base64')));
  const { channels, lines } = readExr(bytes);
  const view = new DataView(lines.buffer, lines.byteOffset);
  const read = (name: string): number[] => {
    const at = channels.findIndex((channel) => channel.name === name);
    expect([name, at >= 0]).toEqual([name, true]);
    return Array.from({ length: 96 * 54 }, (_, i) => {
      const [x, y] = [i % 96, Math.floor(i / 96)];
      return view.getFloat32((y * channels.length + at) * 96 * 4 + x * 4, true);
    });
  };
  const own = await page.evaluate(async (document) => {
    const piece = lab.parse(document);
    const request = { piece, frameIndex: 3, width: 96, height: 54, passes: 16 };
    const { api } = lab.engine;
    const top = (numbers: Float32Array, k: number) =>
      Array.from({ length: 96 * 54 }, (_, i) => numbers[((53 - Math.floor(i / 96)) * 96 + (i % 96)) * 4 + k]);
    const light = await api.light({ ...request, clear: true });
    const depth = await api.channel({ ...request, channel: { of: 'depth' } });
    const motion = await api.channel({ ...request, channel: { of: 'motion' } });
    const [layer] = piece.layers;
    const matte = await api.channel({ ...request, clear: true, channel: { of: 'layer', id: layer.id } });
    const name = layer.name.replace(/[^A-Za-z0-9]+/g, '_');
    return {
      red: top(light, 0),
      alpha: top(light, 3),
      depth: top(depth, 0),
      right: top(motion, 0),
      matte: top(matte, 0),
      name,
    };
  }, json);
  expect(read('R')).toEqual(own.red);
  expect(read('A')).toEqual(own.alpha);
  expect(read('Z')).toEqual(own.depth);
  expect(read('motion.X')).toEqual(own.right);
  expect(read(`matte.${own.name}`)).toEqual(own.matte);
  expect(Math.max(...own.alpha)).toBeGreaterThan(0.5);
  expect(Math.min(...own.alpha)).toBe(0);
  expect(new Set(own.right.map(Math.sign)).size).toBeGreaterThan(1);
});

// ---- the cards ----

test('a simulated wall is seen whole and near, and a delivery fits its diodes', async ({ page }) => {
  await openRecipe(page);
  await pause(page);
  await step(page, 'Export').click();
  const card = page.getByRole('article', { name: 'Simulated wall' });
  await card.getByRole('button').first().click();
  await fill(page, 'Pitch, mm', '20');
  await expect(card).toContainText('300 × 169');
  await card.getByRole('button', { name: 'Show' }).click();
  const wall = page.getByRole('group', { name: 'The wall' });
  await expect(wall.getByRole('status')).toHaveText('Simulated wall: 6.00 m of 6 m', { timeout: 60_000 });
  await wall.locator('canvas').click();
  await expect(wall.getByRole('status')).toHaveText('Simulated wall: 0.60 m of 6 m');
  await wall.getByRole('button', { name: 'Show the piece' }).click();
  await expect(wall).toHaveCount(0);
  await card.getByRole('button', { name: 'Add 300 × 170' }).click();
  const fits = page.getByRole('article', { name: 'MP4, 300 × 170' });
  await expect(fits).toBeVisible();
  // rows of a sound are there where one is chosen
  await expect(fits.getByRole('textbox', { name: 'Blended over, s' })).toHaveCount(0);
  const chooser = page.waitForEvent('filechooser');
  await fits.getByRole('button', { name: 'No sound' }).click();
  await page.getByRole('menuitem', { name: /Choose a file/ }).click();
  await (await chooser).setFiles({ name: 'Hum.wav', mimeType: 'audio/wav', buffer: toneWav(2, 8000, [200]) });
  await expect(fits.getByText('2.0 s, mono')).toBeVisible();
  await expect(fits.getByRole('textbox', { name: 'Blended over, s' })).toHaveValue('0.25');
});

test('a delivery begins from what it is for, is cut into outputs, and a proof is one press', async ({ page }) => {
  await openRecipe(page);
  await pause(page);
  await step(page, 'Export').click();
  const begin = async (name: string): Promise<void> => {
    await page.getByRole('button', { name: 'Add a delivery' }).click();
    const item = page.getByRole('menuitem').filter({ has: page.getByText(name, { exact: true }) });
    await item.click();
  };
  await begin('Compositing');
  const card = page.getByRole('article', { name: 'EXR pictures, 1920 × 1080' });
  await expect(card.getByRole('switch', { name: 'Mattes' })).toBeChecked();
  await expect(card.getByRole('textbox', { name: 'Counts from' })).toHaveValue('1001');
  await expect(card.getByRole('button', { name: 'Data rate' })).toHaveCount(0);
  // the camera has no size
  await begin('Camera');
  const camera = page.getByRole('article', { name: 'GLB camera' });
  await expect(camera.getByRole('textbox', { name: 'Width, px' })).toHaveCount(0);
  const download = page.waitForEvent('download');
  await camera.getByRole('button', { name: 'Render' }).click();
  expect((await download).suggestedFilename()).toBe('slipway-spiral-camera.glb');
  await expect(page.getByText('verified: a camera at 301 frames')).toBeVisible();
  await begin('Video');
  await page.getByRole('button', { name: 'Cut into 2' }).click();
  await expect(page.getByRole('article', { name: 'MP4, 960 × 1080' })).toHaveCount(2);
  await page.getByRole('button', { name: 'Proof', exact: true }).click();
  await expect(page.getByText('slipway-spiral-480x270.mp4')).toBeVisible();
  await page.getByRole('button', { name: /^Remove .*480x270/ }).click();
  await expect(page.getByText('slipway-spiral-480x270.mp4')).toHaveCount(0);
});

test('pictures are saved into a folder of the user’s, the same as in the archive', async ({ page }) => {
  // what the browser asks for in a window of its own, answered with a folder of the page
  await page.addInitScript(() => {
    window.showDirectoryPicker = async () =>
      (await navigator.storage.getDirectory()).getDirectoryHandle('Stage', { create: true });
  });
  await openRecipe(page);
  await pause(page);
  await step(page, 'Export').click();
  await page.getByRole('button', { name: 'Add a delivery' }).click();
  await page
    .getByRole('menuitem')
    .filter({ has: page.getByText('Pictures', { exact: true }) })
    .click();
  await fill(page, 'Width, px', '64');
  await fill(page, 'Height, px', '36');
  await fill(page, 'Last frame', '2');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Render', exact: true }).click();
  const archive = unzipSync(readFileSync(await (await download).path()));
  await page.getByRole('button', { name: /^Save the pictures of .* into a folder$/ }).click();
  await expect(page.getByText('3 pictures are in “Stage”.')).toBeVisible();
  const saved = await page.evaluate(async () => {
    const own = await (await navigator.storage.getDirectory()).getDirectoryHandle('Stage');
    const all: [string, number[]][] = [];
    for await (const [name, entry] of own.entries())
      if (entry instanceof FileSystemFileHandle)
        all.push([name, [...new Uint8Array(await (await entry.getFile()).arrayBuffer())]]);
    return all;
  });
  expect(Object.fromEntries(saved.sort())).toEqual(
    Object.fromEntries(Object.entries(archive).map(([name, bytes]) => [name, [...bytes]])),
  );
  // a folder that is taken away is said in words
  await page.evaluate(() => {
    window.showDirectoryPicker = () => Promise.reject(new DOMException('no such folder', 'NotFoundError'));
  });
  await page.getByRole('button', { name: /^Save the pictures of .* into a folder$/ }).click();
  await expect(page.getByText(/^The pictures were not all saved/)).toBeVisible();
});
