import { expect, type Page } from '@playwright/test';
import { fromLinear, hexToLinear } from '../../src/core/colour/colour';
import type { Numbers } from '../../src/core/look/channels';
import { fogMask, nearMask } from '../../src/core/look/effects/mask.gen';
import { DOCUMENT_VERSION, PieceSchema, type Piece } from '../../src/core/piece/schema';
import { rotate, subtract, type Vec3 } from '../../src/core/space/vector';
import { cameraPose } from '../../src/core/world/camera';
import { numbersOf, test } from './lab';

// What a frame holds besides its picture, against the core's own camera and against itself.

const SIZE = { width: 96, height: 54 };
const FRAME = 30;

/** Numbers of the frame: of a channel, or its linear light. */
const numbers = (
  page: Page,
  piece: object,
  want: { channel?: Numbers; clear?: boolean; passes?: number } = {},
): Promise<Float32Array> => numbersOf(page, piece, { ...SIZE, frameIndex: FRAME, ...want });
/** Code values, red, green and blue of each pixel, bottom row first. */
const codes = async (page: Page, piece: object, passes = 1): Promise<number[]> => {
  const rgba = await page.evaluate(
    async ([p, n, at, { width, height }, version]) => {
      const piece = lab.parse({ format: 'isomorph', version, piece: p });
      const request = { piece, frameIndex: at, width, height, passes: n, texture: false };
      return [...(await lab.engine.api.pixels(request))];
    },
    [piece, passes, FRAME, SIZE, DOCUMENT_VERSION] as const,
  );
  const row = SIZE.width * 4;
  return Array.from({ length: SIZE.height }, (_, y) => rgba.slice((SIZE.height - 1 - y) * row, (SIZE.height - y) * row))
    .flat()
    .filter((_, i) => i % 4 < 3);
};

/** Two layers of bodies among one another, and light between them; one colour behind everything, no noise. */
const heap = (look: object = {}, flight: object = {}): Piece => {
  const bodies = { kind: 'copies', arrangement: 'scatter', count: 40, boxX: 7, boxY: 4, boxZ: 8, ahead: 8 };
  return PieceSchema.parse({
    ...{ id: 'heap', name: 'Heap', tile: 40, lap: { frames: 100, rate: { num: 25, den: 1 } } },
    layers: [
      { ...bodies, id: 'boxes', name: 'Boxes', size: 0.9 },
      { ...bodies, id: 'more', name: 'More', size: 0.7, seed: 9 },
      {
        kind: 'field',
        id: 'motes',
        name: 'Motes',
        shape: 'box',
        width: 8,
        height: 5,
        count: 300,
        size: 0.05,
        light: 4,
      },
    ],
    flight: { route: { kind: 'run', tilesPerLap: 0.1 }, focalMm: 28, focusM: 7, ...flight },
    look: {
      ...{ fogDistance: 60, background: '#30507a', backgroundEdge: '#30507a' },
      effects: [{ kind: 'tone', id: 'tone' }],
      ...look,
    },
  });
};

/** The largest of some numbers, told once. */
const most = (count: number, of: (i: number) => number): number => {
  let worst = 0;
  for (let i = 0; i < count; i++) worst = Math.max(worst, of(i));
  return worst;
};
const PIXELS = SIZE.width * SIZE.height;

/** Level ground under a camera that looks down and aside. */
const ground = (look: object = {}): Piece =>
  PieceSchema.parse({
    ...{ id: 'g', name: 'G', tile: 200, lap: { frames: 100, rate: { num: 25, den: 1 } } },
    layers: [{ id: 'ground', name: 'Ground', kind: 'ground', above: -2.5, width: 80, relief: 0 }],
    flight: {
      route: { kind: 'run', tilesPerLap: 0 },
      ...{ pitch: -24, yaw: 17, roll: 6, focalMm: 24, fNumber: 22, shutterDeg: 0 },
    },
    look: {
      ...{ reach: 90, fogDistance: 10_000, background: '#305080', backgroundEdge: '#305080' },
      effects: [{ kind: 'tone', id: 'tone', curve: 'straight' }],
      ...look,
    },
  });

/** Metres along the camera's axis at which the line of sight of a pixel's middle meets the ground, by the core's camera; null where it does not. */
function depthAt(piece: Piece, x: number, y: number): number | null {
  const pose = cameraPose(piece, FRAME / 100);
  const pixelFocal = (SIZE.width * pose.focalMm) / pose.sensorMm;
  const seen: Vec3 = [(x + 0.5 - SIZE.width / 2) / pixelFocal, (y + 0.5 - SIZE.height / 2) / pixelFocal, -1];
  const ray = rotate(pose.quaternion, seen);
  // one metre along the axis for each of its length
  const metres = (-2.5 - pose.position[1]) / ray[1];
  const at: Vec3 = [ray[0] * metres, ray[1] * metres, ray[2] * metres];
  const [aside, , ahead] = subtract(at, [0, 0, 0]);
  return metres > 0 && Math.hypot(aside, ahead) < 35 ? metres : null;
}

test('depth is the core’s, from the middle of the lens, in metres', async ({ page }) => {
  const piece = ground();
  const depths = await numbers(page, piece, { channel: { of: 'depth' } });
  let compared = 0;
  const off = most(PIXELS, (p) => {
    const want = depthAt(piece, p % SIZE.width, Math.floor(p / SIZE.width));
    if (want === null) return 0;
    compared++;
    return Math.abs(depths[4 * p] / want - 1);
  });
  expect(off).toBeLessThan(1e-4);
  expect(compared).toBeGreaterThan(2000);
  expect(depths[(SIZE.height * SIZE.width - 1) * 4]).toBeGreaterThan(1e8);
});

test('normals are the camera’s: level ground faces up as it is seen', async ({ page }) => {
  const piece = ground();
  const normals = await numbers(page, piece, { channel: { of: 'normal' } });
  const { quaternion } = cameraPose(piece, FRAME / 100);
  const [x, y, z, w] = quaternion;
  const up = rotate([-x, -y, -z, w], [0, 1, 0]);
  const at = (10 * SIZE.width + 40) * 4;
  up.forEach((v, k) => expect(normals[at + k]).toBeCloseTo(v, 4));
});

/** Where the middle of a pixel is in the world, so many metres along the camera's axis. */
function worldOf(piece: Piece, p: number, depth: number): Vec3 {
  const pose = cameraPose(piece, FRAME / 100);
  const pixelFocal = (SIZE.width * pose.focalMm) / pose.sensorMm;
  const [x, y] = [(p % SIZE.width) + 0.5 - SIZE.width / 2, Math.floor(p / SIZE.width) + 0.5 - SIZE.height / 2];
  const seen = rotate(pose.quaternion, [(x / pixelFocal) * depth, (y / pixelFocal) * depth, -depth]);
  return [0, 1, 2].map((k) => pose.position[k] + seen[k]) as Vec3;
}

/** Where the core's camera sees a place of the world at a phase: pixels from the middle. */
function pixelOf(piece: Piece, place: Vec3, phase: number): [number, number] {
  const pose = cameraPose(piece, phase);
  const [x, y, z, w] = pose.quaternion;
  const [aside, above, behind] = rotate([-x, -y, -z, w], subtract(place, pose.position));
  const pixelFocal = (SIZE.width * pose.focalMm) / pose.sensorMm;
  return [(pixelFocal * aside) / -behind, (pixelFocal * above) / -behind];
}
const [OPENS, CLOSES] = [(FRAME - 0.5) / 100, (FRAME + 0.5) / 100];

test('motion of what stands still is that of the core’s camera over a whole frame, whatever the shutter', async ({
  page,
}) => {
  const piece = heap(
    {},
    { shutterDeg: 90, yaw: { law: 'swing', middle: 0, reach: 20, cycles: 1, wave: 'sine', shift: 0.1 } },
  );
  const [depths, motion] = [
    await numbers(page, piece, { channel: { of: 'depth' } }),
    await numbers(page, piece, { channel: { of: 'motion' } }),
  ];
  let [there, sum] = [0, 0];
  const off = most(PIXELS, (p) => {
    const far = depths[4 * p] > 1e8;
    const place = worldOf(piece, p, far ? 1e6 : depths[4 * p]);
    const [from, to] = [pixelOf(piece, place, OPENS), pixelOf(piece, place, CLOSES)];
    if (!far) there++;
    sum += Math.hypot(to[0] - from[0], to[1] - from[1]) / PIXELS;
    return Math.max(...[0, 1].map((k) => Math.abs(motion[4 * p + k] - (to[k] - from[k]))));
  });
  expect(there).toBeGreaterThan(500);
  expect(sum).toBeGreaterThan(0.5);
  expect(off).toBeLessThan(0.005);
});

test('motion of what moves by itself is what its elements go, before a camera that stands', async ({ page }) => {
  // the shutter is open all of a frame, so that depth is that of the same way
  const still = { route: { kind: 'run', tilesPerLap: 0 }, shutterDeg: 360 };
  const piece = heap({}, still);
  const moving = { kind: 'drift', id: 'd', amount: 3, scale: 4, cycles: 3 };
  const drifting = PieceSchema.parse({ ...piece, layers: [{ ...piece.layers[0], treatments: [moving] }] });
  const elements = await page.evaluate(
    async ([p, phases]) => {
      const parsed = lab.parse({ format: 'isomorph', version: 7, piece: p });
      const lists: number[][] = [];
      for (const phase of phases) lists.push([...(await lab.engine.api.elements(parsed, 'boxes', phase))[0]]);
      return lists;
    },
    [drifting, [FRAME / 100, OPENS, CLOSES]] as const,
  );
  const [depths, motion] = [
    await numbers(page, drifting, { channel: { of: 'depth' } }),
    await numbers(page, drifting, { channel: { of: 'motion' } }),
  ];
  const place = (list: number, i: number): Vec3 => elements[list].slice(4 * i, 4 * i + 3) as unknown as Vec3;
  let [compared, sum] = [0, 0];
  const off = most(PIXELS, (p) => {
    const depth = depths[4 * p];
    if (depth > 1e8) return Math.hypot(motion[4 * p], motion[4 * p + 1]);
    const seen = worldOf(drifting, p, depth);
    // of the boxes the one about it, where that is one alone; in each repetition
    const about = Array.from({ length: elements[0].length / 4 }, (_, i) => i).filter((i) => {
      const [x, y, z] = subtract(seen, place(0, i));
      const within = z - Math.round(z / drifting.tile) * drifting.tile;
      return Math.hypot(x, y, within) < 0.8 * elements[0][4 * i + 3];
    });
    if (about.length !== 1) return 0;
    const [first, last] = [1, 2].map((list) => place(list, about[0]));
    const [from, to] = [first, last].map((then) =>
      pixelOf(drifting, [0, 1, 2].map((k) => seen[k] + then[k] - (first[k] + last[k]) / 2) as Vec3, FRAME / 100),
    );
    compared++;
    sum += Math.hypot(to[0] - from[0], to[1] - from[1]);
    return Math.max(...[0, 1].map((k) => Math.abs(motion[4 * p + k] - (to[k] - from[k]))));
  });
  expect(compared).toBeGreaterThan(300);
  expect(sum / compared).toBeGreaterThan(0.3);
  expect(off).toBeLessThan(0.005);
});

test('a layer that appears for a stretch is there on its frames alone, and half of it is there half way through a fade', async ({
  page,
}) => {
  const [boxes] = heap().layers;
  const there = async (more: object): Promise<number> => {
    const piece = PieceSchema.parse({
      ...heap(),
      layers: [{ ...boxes, treatments: [{ kind: 'appear', id: 'a', ...more }] }],
    });
    const alpha = await numbers(page, piece, { channel: { of: 'alpha' }, passes: 16 });
    return Array.from({ length: PIXELS }, (_, p) => alpha[4 * p]).reduce((sum, v) => sum + v, 0) / PIXELS;
  };
  const whole = await there({ from: FRAME, to: FRAME + 1 });
  expect(whole).toBeGreaterThan(0.1);
  expect(await there({ from: FRAME + 1, to: FRAME })).toBe(0);
  expect(await there({ from: 10, to: FRAME })).toBe(0);
  expect(await there({ how: 'gone', from: FRAME, to: FRAME + 1 })).toBe(0);
  expect(await there({ how: 'gone', from: 10, to: FRAME })).toBeCloseTo(whole, 4);
  // 30 of 59 frames of a fade are half of it
  const half = await there({ from: 1, to: 90, comes: 59 });
  expect(half / whole).toBeGreaterThan(0.4);
  expect(half / whole).toBeLessThan(0.75);
});

for (const [what, look, passes] of [
  ['in clear air, out of focus', {}, 16],
  ['in mist', { mist: 'lies' }, 16],
] as const)
  test(`alpha over any background is the picture before it: ${what}`, async ({ page }) => {
    const piece = heap(look, { fNumber: 1.2 });
    const [whole, clear] = [
      await numbers(page, piece, { passes }),
      await numbers(page, piece, { passes, clear: true }),
    ];
    const behind = hexToLinear('#30507a');
    let partly = 0;
    const off = most(PIXELS, (p) => {
      const alpha = clear[4 * p + 3];
      if (alpha > 0.02 && alpha < 0.98) partly++;
      const apart = behind.map((v, k) => clear[4 * p + k] + (1 - alpha) * v - whole[4 * p + k]);
      return Math.max(...apart.map((v, k) => Math.abs(v) / (1 + whole[4 * p + k])));
    });
    expect(off).toBeLessThan(1e-5);
    // there are rims, or mist before everything
    expect(partly).toBeGreaterThan(200);
  });

test('the mattes of all layers that hide are together the alpha, and a layer of light is as bright as its own', async ({
  page,
}) => {
  const piece = heap({}, { fNumber: 2 });
  const shares = (of: Piece, channel: Numbers, passes: number): Promise<Float32Array> =>
    numbers(page, of, { channel, passes });
  const alpha = await shares(piece, { of: 'alpha' }, 16);
  const [boxes, more] = [
    await shares(piece, { of: 'layer', id: 'boxes' }, 16),
    await shares(piece, { of: 'layer', id: 'more' }, 16),
  ];
  for (const matte of [boxes, more]) {
    expect(most(PIXELS, (p) => matte[4 * p])).toBeGreaterThan(0.9);
    expect(most(PIXELS, (p) => 1 - matte[4 * p])).toBeGreaterThan(0.9);
  }
  expect(most(PIXELS, (p) => Math.abs(boxes[4 * p] + more[4 * p] - alpha[4 * p]))).toBeLessThan(1e-5);
  // of light alone, over black: what it adds
  const black = heap({ background: '#000000', backgroundEdge: '#000000' });
  const bare = { ...black, layers: piece.layers.filter(({ id }) => id === 'motes') };
  const [own, matte] = [await numbers(page, bare), await shares(bare, { of: 'layer', id: 'motes' }, 1)];
  const luma = (p: number): number =>
    Math.min(1, 0.2126 * own[4 * p] + 0.7152 * own[4 * p + 1] + 0.0722 * own[4 * p + 2]);
  expect(most(PIXELS, luma)).toBeGreaterThan(0.3);
  expect(most(PIXELS, (p) => Math.abs(matte[4 * p] - luma(p)))).toBeLessThan(1e-4);
  // among bodies it is what they do not hide
  const among = await shares(piece, { of: 'layer', id: 'motes' }, 16);
  expect(most(PIXELS, (p) => among[4 * p])).toBeGreaterThan(0.05);
});

test('an effect acts where a layer is, and up to a depth, and nowhere else', async ({ page }) => {
  const still = { fNumber: 22, shutterDeg: 0 };
  const bare = heap({}, still);
  const graded = (more: object) =>
    heap({ effects: [...bare.look.effects, { kind: 'grade', id: 'grade', saturation: 0, gain: 1.6, ...more }] }, still);
  const [none, all] = [await codes(page, bare, 16), await codes(page, graded({}), 16)];
  const id = 'boxes';
  const depths = await numbers(page, bare, { channel: { of: 'depth' } });
  const matte = await numbers(page, bare, { channel: { of: 'layer', id }, passes: 16 });
  for (const [more, shares] of [
    [{ mask: 'layer', maskLayer: id }, matte],
    [{ mask: 'near', maskFrom: 8, maskTo: 8 }, depths.map((metres) => nearMask(metres, 8, 8))],
  ] as const)
    for (const turned of [false, true]) {
      const some = await codes(page, graded({ ...more, maskTurned: turned }), 16);
      const met = { none: 0, all: 0, off: 0 };
      for (let p = SIZE.width; p < SIZE.width * (SIZE.height - 1); p++) {
        // a pixel that is all there, or not at all, has neighbours that are like it
        const around = [0, 1, -1, SIZE.width, -SIZE.width].map((step) => shares[(p + step) * 4]);
        if (!around.every((v) => v === around[0]) || (around[0] !== 0 && around[0] !== 1)) continue;
        const want = (around[0] === 1) === turned ? none : all;
        met[want === all ? 'all' : 'none']++;
        if ([0, 1, 2].some((k) => Math.abs(some[3 * p + k] - want[3 * p + k]) > 1)) met.off++;
      }
      const words = JSON.stringify([more, turned, met]);
      expect(Math.min(met.none, met.all), words).toBeGreaterThan(100);
      // here and there something thinner than a pixel
      expect(met.off, words).toBeLessThan(0.01 * (met.none + met.all));
    }
});

test('fog afterwards is the law of its depth', async ({ page }) => {
  const fog = { kind: 'fog', id: 'fog', colour: '#c08040', begins: 4, distance: 9 };
  const bare = ground();
  const foggy = ground({ effects: [fog, ...bare.look.effects] });
  const [depths, light, got] = [
    await numbers(page, bare, { channel: { of: 'depth' } }),
    await numbers(page, bare),
    await codes(page, foggy),
  ];
  const colour = hexToLinear('#c08040');
  const off = most(PIXELS, (p) => {
    const share = fogMask(depths[4 * p], 4, 9);
    const want = colour.map((v, k) => 255 * fromLinear(Math.min(1, light[4 * p + k] * (1 - share) + v * share)));
    return Math.max(...want.map((v, k) => Math.abs(got[3 * p + k] - v)));
  });
  expect(off).toBeLessThan(0.6);
});
