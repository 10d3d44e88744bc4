import { layerElements } from '../../src/core/world/layers';
import { pixmapUrl } from '../../src/core/pictures/pixmap';
import { expect, type Page } from '@playwright/test';
import { cameraPose } from '../../src/core/world/camera';
import { PieceSchema, type Piece } from '../../src/core/piece/schema';
import { newLayer, type Layer } from '../../src/core/layers/kinds';
import { hash4, unitFrom } from '../../src/core/random/hash';
import { newMatter } from '../../src/core/matter/kinds';
import { newTreatment } from '../../src/core/treatments/kinds';
import { rotate } from '../../src/core/space/vector';
import { coveringDemos, demoJson, numbersOf, test } from './lab';

const SIZE = { width: 320, height: 180 };

const floats = (page: Page, piece: Piece, passes: number, frameIndex = 0, size = SIZE): Promise<Float32Array> =>
  numbersOf(page, piece, { ...size, frameIndex, passes });

const frameBytes = async (page: Page, json: unknown, frames: number[], of: typeof SIZE): Promise<string[]> => {
  const all = await page.evaluate(
    async ([document, list, size]) => {
      const piece = lab.parse(document);
      const out: string[] = [];
      for (const frameIndex of list) {
        const bytes = await lab.engine.api.pixels({ piece, frameIndex, ...size, passes: 4 });
        const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>));
        out.push([...digest].map((b) => b.toString(16).padStart(2, '0')).join(''));
      }
      return out;
    },
    [json, frames, of] as const,
  );
  return all;
};

// light, walls, bodies, nets, films and grounds among them
for (const name of ['ropewalk-tunnel', 'plankton-bloom', 'salt-lattice', 'net-of-lamps', 'foam-rise', 'reed-flats'])
  test(`${name}: a frame is the same bytes alone, again, and in a sequence`, async ({ page }) => {
    const json = demoJson(name) as { piece: Piece };
    // of plants one layer is enough
    json.piece.layers = json.piece.layers.filter(({ id }) => !['grove', 'umbels'].includes(id));
    const size = { width: 192, height: 108 };
    const [alone, again] = await frameBytes(page, json, [5, 5], size);
    const sequence = await frameBytes(page, json, [4, 5], size);
    expect([again, sequence[1]]).toEqual([alone, alone]);
    expect(sequence[0]).not.toBe(alone);
    // small pictures have fewer levels of glow; and here another frame comes first
    const small = { width: 96, height: 54 };
    const [, second] = await frameBytes(page, json, [9, 5], small);
    // by an engine that has drawn nothing before, which makes all programs anew: of light, bodies and films
    if (!['plankton-bloom', 'salt-lattice', 'foam-rise'].includes(name)) return;
    await page.reload();
    await page.waitForFunction(() => 'lab' in globalThis);
    expect(await frameBytes(page, json, [5], small)).toEqual([second]);
    expect(await frameBytes(page, json, [5], size)).toEqual([alone]);
  });

/** 300 bright points of one size in a ball, seen by a fast lens; nothing else. Seed 42. */
const points = (flight: object, layer: object = {}): Piece =>
  PieceSchema.parse({
    id: 'points',
    name: 'Points',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    tile: 200,
    layers: [
      {
        id: 'dots',
        name: 'Dots',
        kind: 'field',
        seed: 42,
        shape: 'ball',
        width: 7,
        height: 5,
        depth: 9,
        ahead: 6.5,
        count: 300,
        size: 0.004,
        variation: 0,
        softness: 1,
        light: 20,
        glint: 0,
        gradient: [{ at: 0, colour: '#ffffff' }],
        ...layer,
      },
    ],
    flight: { route: { kind: 'run', tilesPerLap: 0 }, focalMm: 80, fNumber: 0.6, focusM: 6, shutterDeg: 0, ...flight },
    look: {
      fogDistance: 10_000,
      reach: 50,
      nearFade: 0.05,
      background: '#000000',
      backgroundEdge: '#000000',
    },
  });

/** Brute force on the CPU: many lens points and times, each a picture of tiny round dots. Linear light, bottom row first. */
function reference(piece: Piece, samples: number): Float64Array {
  const { width, height } = SIZE;
  const out = new Float64Array(width * height);
  const { position, size: scale, light, count } = layerElements(piece, 'dots', 0);
  const { flight, lap } = piece;
  const focal = flight.focalMm as number;
  const pixelFocal = (width * focal) / flight.sensorMm;
  const aperture = focal / 1000 / (flight.fNumber as number) / 2;
  const open = (flight.shutterDeg as number) / 360 / lap.frames;
  const brightness = (piece.layers[0] as { light: number }).light;
  for (let k = 0; k < samples; k++) {
    const t = (k + 0.5) / samples - 0.5;
    const h = hash4(k, 5, 5, 5).map(unitFrom);
    const r = Math.sqrt((k * 0.6180339887498949) % 1);
    const lens = [r * Math.cos(2 * Math.PI * h[1]), r * Math.sin(2 * Math.PI * h[1])];
    const pose = cameraPose(piece, t * open);
    const [qx, qy, qz, qw] = pose.quaternion;
    for (let i = 0; i < count; i++) {
      const rel = [0, 1, 2].map((a) => position[i * 3 + a] - pose.position[a]) as [number, number, number];
      const [x, y, z] = rotate([-qx, -qy, -qz, qw], rel);
      const d = -z;
      if (d < 0.2) continue;
      // metres are divided by the depth, or without perspective by one distance for all (laws, Lens)
      const flat = pose.orthoWidth === null ? null : (pose.orthoWidth * focal) / pose.sensorMm;
      const s = pose.focusDistance;
      const blur = (aperture * pixelFocal * (d - s)) / ((flat ?? d) * (flat ?? s));
      const cx = (x * pixelFocal) / (flat ?? d) + width / 2 + blur * lens[0];
      const cy = (y * pixelFocal) / (flat ?? d) + height / 2 + blur * lens[1];
      const own = (scale[i] * pixelFocal) / (flat ?? d);
      const energy = (brightness * light[i] * Math.PI * own * own) / samples;
      // a Gaussian of the dot's own size and the filter's 0.6 px
      const sigma2 = 0.36 + (own * own) / 8;
      const reach = Math.ceil(3 * Math.sqrt(sigma2));
      for (let py = Math.floor(cy) - reach; py <= cy + reach; py++)
        for (let px = Math.floor(cx) - reach; px <= cx + reach; px++) {
          if (px < 0 || py < 0 || px >= width || py >= height) continue;
          const q = ((px + 0.5 - cx) ** 2 + (py + 0.5 - cy) ** 2) / (2 * sigma2);
          out[py * width + px] += (energy * Math.exp(-q)) / (2 * Math.PI * sigma2);
        }
    }
  }
  return out;
}

/** On (1 − e^−x)^(1/2.2), as light is seen. */
function psnr(light: Float32Array, want: Float64Array): number {
  const tone = (x: number): number => (1 - Math.exp(-Math.max(0, x))) ** (1 / 2.2);
  let error = 0;
  for (let i = 0; i < want.length; i++) error += (tone(light[i * 4]) - tone(want[i])) ** 2;
  return -10 * Math.log10(error / want.length);
}

// Lower bounds are the measured figures less a margin of 1 dB; docs/laws.md lists them.
test('bokeh: the passes sum to the brute-force picture of 300 points, still and moving', async ({ page }) => {
  test.setTimeout(240_000);
  const still = points({});
  const moving = points({
    shutterDeg: 720,
    aside: { law: 'swing', middle: 0, reach: 1.6, cycles: 1, wave: 'sine', shift: 0 },
  });
  const flat = points({ lens: 'orthographic', widthM: 4, shutterDeg: 0 });
  const measured: Record<string, number> = {};
  for (const [name, piece] of [
    ['still', still],
    ['moving', moving],
    ['flat', flat],
  ] as const) {
    const want = reference(piece, 8192);
    for (const passes of [1, 4, 16, 64]) measured[`${name} ${passes}`] = psnr(await floats(page, piece, passes), want);
  }
  console.log(
    Object.entries(measured)
      .map(([name, db]) => `${name}: ${db.toFixed(1)} dB`)
      .join(', '),
  );
  for (const passes of [1, 4, 16, 64]) expect(measured[`still ${passes}`]).toBeGreaterThan(35);
  // exact cells: more passes never make the still picture worse
  expect(Math.abs(measured['still 64'] - measured['still 1'])).toBeLessThan(1.5);
  for (const passes of [1, 4, 16, 64]) expect(measured[`moving ${passes}`]).toBeGreaterThan(35.5);
  for (const passes of [1, 4, 16, 64]) expect(measured[`flat ${passes}`]).toBeGreaterThan(34);
  expect(measured['moving 64']).toBeGreaterThan(measured['moving 1'] - 0.5);
});

test('without perspective bodies and lines keep their size at any distance', async ({ page }) => {
  // a row of balls going away, seen from the front, each a step aside of the one before
  const balls = {
    kind: 'copies',
    source: 'sphere',
    detail: 6,
    size: 0.6,
    arrangement: 'line',
    count: 4,
    spacing: 0.001,
    moveX: 1,
    moveZ: -4,
    ahead: 10,
    matter: { kind: 'plain', glowing: 4 },
    once: true,
    variation: 0,
    gradient: [{ at: 0, colour: '#ffffff' }],
  };
  const columns = async (flight: object, more: object = {}): Promise<number[]> => {
    const piece = points({ fNumber: 64, focalMm: 40, focusM: 10, ...flight }, { ...balls, ...more });
    const light = await floats(page, piece, 4);
    const { width, height } = SIZE;
    // runs of lit columns
    const lit = Array.from({ length: width }, (_, x) =>
      Array.from({ length: height }, (__, y) => light[(y * width + x) * 4]).some((v) => v > 0.5),
    );
    const runs: number[] = [];
    lit.forEach((on, x) => {
      if (on && !lit[x - 1]) runs.push(0);
      if (on) runs[runs.length - 1]++;
    });
    return runs;
  };
  const flat = await columns({ lens: 'orthographic', widthM: 8 });
  expect(flat).toHaveLength(4);
  // 0.6 m of 8 m across
  for (const run of flat) expect(Math.abs(run - (0.6 / 8) * SIZE.width)).toBeLessThanOrEqual(2);
  // what is behind the camera is seen as well
  expect(await columns({ lens: 'orthographic', widthM: 8 }, { ahead: -12 })).toEqual(flat);
  const deep = await columns({});
  expect(Math.max(...deep)).toBeGreaterThan(Math.min(...deep) + 3);
});

test('light is conserved: blades, squeeze, passes and size change where it falls, not how much there is', async ({
  page,
}) => {
  const total = (light: Float32Array): number => light.reduce((sum, v, i) => (i % 4 === 0 ? sum + v : sum), 0);
  const base = { layer: { width: 2, height: 1.5, depth: 3, ahead: 6 } };
  const round = total(await floats(page, points({}, base.layer), 1));
  for (const flight of [{ blades: 6 }, { blades: 5, squeeze: 2 }, { fNumber: 2 }])
    for (const passes of [1, 16]) {
      const other = total(await floats(page, points(flight, base.layer), passes));
      expect(Math.abs(other / round - 1)).toBeLessThan(0.03);
    }
  const large = total(await floats(page, points({}, base.layer), 1, 0, { width: 640, height: 360 })) / 4;
  expect(Math.abs(large / round - 1)).toBeLessThan(0.03);
});

test('a picture as sprite stands upright, gives the light of a disc of its colour, and is washed out by the lens', async ({
  page,
}) => {
  // the upper half red, the lower blue at half the light
  const rgb = Uint8Array.from({ length: 16 * 16 * 3 }, (_, i) => {
    const upper = i < 8 * 16 * 3;
    return i % 3 === (upper ? 0 : 2) ? (upper ? 255 : 188) : 0;
  });
  const own = { sprite: 'picture', picture: pixmapUrl({ width: 16, height: 16, rgb }) };
  const one = { count: 1, width: 0.01, height: 0.01, depth: 0.01, ahead: 6, size: 0.4, light: 2, softness: 0 };
  const sums = async (more: object, flight: object = { fNumber: 64 }) => {
    const light = await floats(page, points(flight, { ...one, ...more }), 1);
    const out = { upper: [0, 0, 0], lower: [0, 0, 0] };
    for (let i = 0; i < light.length; i += 4) {
      // rows from the bottom
      const half = i / 4 / SIZE.width < SIZE.height / 2 ? out.lower : out.upper;
      for (let k = 0; k < 3; k++) half[k] += light[i + k];
    }
    return out;
  };
  const luminance = (c: number[]): number => 0.2126 * c[0] + 0.7152 * c[1] + 0.0722 * c[2];
  const disc = await sums({});
  const shown = await sums(own);
  expect(shown.upper[2]).toBeLessThan(0.05 * shown.lower[2]);
  expect(shown.lower[0]).toBeLessThan(0.05 * shown.upper[0]);
  expect(shown.lower[2] / shown.upper[0]).toBeCloseTo(0.5, 1);
  const [whole, plain] = [shown, disc].map(({ upper, lower }) => luminance(upper) + luminance(lower));
  expect(Math.abs(whole / plain - 1)).toBeLessThan(0.06);
  // far out of focus it is a disc of its mean colour
  const blurred = await sums({ ...own, size: 0.02 }, { fNumber: 0.5, focusM: 2 });
  expect(Math.abs(blurred.upper[0] / blurred.lower[0] - 1)).toBeLessThan(0.08);
  expect(blurred.upper[2] / blurred.upper[0]).toBeCloseTo(0.5, 1);
});

test('glow does not flicker: a bright point moving by fractions of a pixel changes its energy by less than 2 %', async ({
  page,
}) => {
  const layers = [{ id: 'g', radius: 0.03, threshold: 0.02, gain: 1, tint: '#ffffff' }];
  const straight = [{ kind: 'tone', id: 't', curve: 'straight', exposure: -3 }];
  const energies: number[] = [];
  for (let step = 0; step < 5; step++) {
    // one point; 0.25 px steps at 320 px wide
    const aside = -(step * 0.25 * 36 * 6) / (320 * 80);
    const piece = points(
      { aside, fNumber: 64 },
      { count: 1, width: 0.02, height: 0.02, depth: 0.02, ahead: 6, size: 0.012, light: 40 },
    );
    const look = (...effects: object[]): Piece =>
      PieceSchema.parse({ ...piece, look: { ...piece.look, effects: [...effects, ...straight] } });
    const [with_, without] = await page.evaluate(
      async ([a, b, size]) => {
        const sum = async (p: Piece): Promise<number> => {
          const bytes = await lab.engine.api.pixels({ piece: p, frameIndex: 0, ...size, passes: 1, texture: false });
          const linear = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
          let total = 0;
          for (let i = 0; i < bytes.length; i += 4) total += linear(bytes[i] / 255);
          return total;
        };
        return [await sum(a), await sum(b)];
      },
      [look({ kind: 'glow', id: 'g', layers }), look(), SIZE] as const,
    );
    energies.push(with_ - without);
  }
  const mean = energies.reduce((a, b) => a + b) / energies.length;
  expect(mean).toBeGreaterThan(0.1);
  expect((Math.max(...energies) - Math.min(...energies)) / mean).toBeLessThan(0.02);
});

test('a million particles are drawn', async ({ page }) => {
  const piece = points({}, { shape: 'box', width: 20, height: 12, count: 1_000_000, size: 0.003, light: 4 });
  const light = await floats(page, { ...piece, tile: 20, look: { ...piece.look, reach: 20 } }, 1);
  expect(light.every(Number.isFinite)).toBe(true);
  expect(light.filter((v, i) => i % 4 === 0 && v > 1e-4).length).toBeGreaterThan(5000);
});

// more of them, drawn otherwise, in engine/seam/measure.test.ts
test('the picture report sees planted faults', async ({ page }) => {
  test.setTimeout(240_000);
  const report = async (json: unknown) =>
    page.evaluate(async (document) => {
      const piece = lab.parse(document);
      return lab.engine.api.seamPictures(
        { piece, width: 160, height: 90, passes: 1 },
        lab.proxy(() => undefined),
      );
    }, json);
  const short = (change: (piece: Piece) => void): unknown => {
    const json = structuredClone(demoJson('ropewalk-tunnel')) as { piece: Piece };
    json.piece.lap.frames = 120;
    for (const layer of json.piece.layers) if (layer.kind === 'field') layer.count = 1500;
    change(json.piece);
    return json;
  };
  expect(await report(short(() => undefined))).toMatchObject({ verdict: 'closes', ok: true });
  expect(
    await report(
      short((piece) => {
        const [motes] = piece.layers;
        Object.assign(motes.treatments[0], { cycles: 2.5 });
      }),
    ),
  ).toMatchObject({ verdict: 'jumps', ok: false, guilty: { id: 'motes' } });
  // one small thing in a corner that pops on the first frame, among all that moves
  const popped = await report(
    short((piece) => {
      const appear = newTreatment('appear', 'a', 1, { from: 0, to: 60 });
      const title = newLayer('title', 'pop', 'Pop', 3);
      const corner = { stands: 'frame', anchor: 'top left', text: 'I', high: 0.16, depth: 0, margin: 0.06 };
      const matter = newMatter('emission', { glowing: 2 });
      piece.layers.push({ ...title, ...corner, matter, treatments: [appear] } as Layer);
      for (const layer of piece.layers) if (layer.kind === 'tunnel' || layer.kind === 'figure') layer.hidden = true;
    }),
  );
  expect(popped).toMatchObject({ verdict: 'jumps', guilty: { id: 'pop' } });
  expect(popped.guilty?.share).toBeGreaterThan(0.7);
  const [column, row, columns, rows] = popped.worstBlock;
  expect(column).toBeLessThan(columns / 3);
  // rows are counted from the bottom up
  expect(row).toBeGreaterThan((2 * rows) / 3);
});

test('a triangle seen from its very edge shines as a number', async ({ page }) => {
  const json = structuredClone(demoJson('slipway-spiral')) as { piece: Piece };
  for (const layer of json.piece.layers) layer.hidden = layer.id !== 'wall';
  // neighbouring pixels of the wall are one place here, and their difference has no direction
  for (const frame of [29, 227, 245, 255, 258]) {
    const light = await floats(page, PieceSchema.parse(json.piece), 32, frame, { width: 240, height: 135 });
    expect([frame, light.filter((value) => !(value >= 0 && value < 1e4)).length]).toEqual([frame, 0]);
  }
});

test('in demo pieces that have every kind between them the frames around the seam are those of a lap later', async ({
  page,
}) => {
  test.setTimeout(600_000);
  // how many colours of pixels of two frames differ by more than one code value
  const apart = async (name: string, change: (piece: Piece) => void = () => undefined): Promise<number> => {
    const json = structuredClone(demoJson(name)) as { piece: Piece };
    // the points of a lens that are looked through turn with its blades
    json.piece.flight.bladeTurn = 0;
    change(json.piece);
    return page.evaluate(async (document) => {
      const piece = lab.parse(document);
      const { frames } = piece.lap;
      const draw = (frameIndex: number): Promise<Uint8Array | Uint8ClampedArray> =>
        lab.engine.api.pixels({ piece, frameIndex, width: 96, height: 54, passes: 2 });
      let sum = 0;
      for (const at of [-1, 0]) {
        const [here, later] = [await draw(at), await draw(frames + at)];
        sum += here.filter((v, i) => Math.abs(v - later[i]) > 1).length;
      }
      return sum;
    }, json);
  };
  // places are a tile farther on, and rounded there: here and there an edge goes through the next pixel
  const few = 0.0025 * 2 * 96 * 54 * 3;
  const names = coveringDemos();
  expect(names.length).toBeGreaterThan(4);
  for (const name of names) expect(await apart(name), name).toBeLessThan(few);
  // a thousandth of a tile too far is seen
  expect(
    await apart('ropewalk-tunnel', ({ flight }) => Object.assign(flight.route, { tilesPerLap: 1.001 })),
  ).toBeGreaterThan(20 * few);
});

test('the frame of a cut, a held stagger and a held bend shows one state in all its passes', async ({ page }) => {
  const report = await page.evaluate(async () => {
    const frames = 24;
    const held = (before: number, after: number) => ({
      law: 'keyed',
      keys: [
        { id: 'a', at: 0, value: before, ease: 'hold' },
        { id: 'b', at: 12 / frames, value: after, ease: 'hold' },
      ],
    });
    const made = (aside: unknown, stagger: unknown, bend: unknown) =>
      lab.parse({
        format: 'isomorph',
        version: 3,
        piece: {
          id: 'cut',
          name: 'Cut',
          lap: { frames, rate: { num: 24, den: 1 } },
          layers: [
            {
              kind: 'copies',
              id: 'row',
              name: 'Row',
              arrangement: 'line',
              count: 9,
              ahead: 6,
              treatments: [
                { kind: 'stagger', id: 's', amount: stagger },
                { kind: 'bend', id: 'b', amount: bend },
              ],
            },
          ],
          flight: { route: { kind: 'keys', aside, above: 0.4, ahead: 0 }, shutterDeg: 360 },
          look: {},
        },
      });
    const jumping = made(held(-1, 1), held(0.2, 1), held(0, 60));
    const [before, after] = [made(-1, 0.2, 0), made(1, 1, 60)];
    const draw = async (piece: typeof jumping, frameIndex: number) =>
      (await lab.engine.api.pixels({ piece, frameIndex, width: 128, height: 72, passes: 16, texture: false })).join();
    return {
      last: (await draw(jumping, 11)) === (await draw(before, 11)),
      cut: (await draw(jumping, 12)) === (await draw(after, 12)),
      differ: (await draw(before, 12)) !== (await draw(after, 12)),
    };
  });
  expect(report).toEqual({ last: true, cut: true, differ: true });
});
