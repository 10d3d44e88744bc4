import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { DOCUMENT_VERSION, type Piece } from '../../src/core/piece/schema';
import { facingFactor } from '../../src/core/look/lights/softBox/factor';
import { pixmapUrl } from '../../src/core/pictures/pixmap';
import { newLight, type Light } from '../../src/core/look/lights/kinds';
import { newLayer } from '../../src/core/layers/kinds';
import { probe, redOf, test } from './lab';
import { pieceOf } from '../pieces';
import { normalize } from '../../src/core/space/vector';
import { skyAt } from '../../src/core/world/sky';

// Light as it falls on a matt wall five metres before the camera, seen without perspective: 0.05 m of the wall a pixel.

const SIZE = { width: 160, height: 90 };
const METRES = 8;
const WALL = 5;
const white = [{ at: 0, colour: '#ffffff' }];

/** A wall, and perhaps something before it. */
const wall = (lights: Light[], before: object[] = [], look: object = {}) => {
  const piece = pieceOf(
    {
      kind: 'copies',
      arrangement: 'line',
      count: 1,
      source: 'plane',
      size: 40,
      variation: 0,
      ahead: WALL,
      gradient: white,
      matter: { kind: 'plain', rough: 1 },
    } as never,
    {
      tile: 400,
      flight: {
        route: { kind: 'keys', aside: 0, above: 0, ahead: 0 },
        lens: 'orthographic',
        widthM: METRES,
        fNumber: 64,
        focusM: WALL,
      },
      look: {
        ...{ background: '#000000', backgroundEdge: '#000000', fogDistance: 10_000, nearFade: 0.02, lights },
        ...look,
      },
    },
  );
  return { ...piece, layers: [...piece.layers, ...before] };
};

const lightOf = (page: Page, piece: object, passes = 1): Promise<number[]> => redOf(page, piece, SIZE, passes);
/** The light at metres aside and above on the wall. */
const at = (light: readonly number[], x: number, y: number): number =>
  light[
    Math.floor(SIZE.height / 2 + (y / METRES) * SIZE.width) * SIZE.width +
      Math.floor(SIZE.width / 2 + (x / METRES) * SIZE.width)
  ];

const lamp = (kind: 'point' | 'spot' | 'softBox', away: number, more: object = {}): Light =>
  newLight(kind, 'a', {
    ...{
      colour: '#ffffff',
      strength: 1,
      aside: 0,
      above: 0,
      ahead: WALL - away,
      heading: 0,
      tilt: 0,
      reach: 10_000,
      shadow: false,
    },
    ...(kind === 'point' ? { radius: 0.02 } : {}),
    ...more,
  });

test('matt white one metre before a lamp of strength 1 is as bright as white, and less with the square of the distance', async ({
  page,
}) => {
  for (const kind of ['point', 'spot', 'softBox'] as const) {
    const one = at(await lightOf(page, wall([lamp(kind, 1)])), 0, 0);
    // a twenty-fifth is mirrored by what is not metal, and as much missing from what is matt
    expect([kind, Math.abs(one - 1) < 0.05]).toEqual([kind, true]);
    if (kind === 'softBox') continue;
    for (const away of [2, 4]) {
      const far = at(await lightOf(page, wall([lamp(kind, away)])), 0, 0);
      expect([kind, away, Math.abs((far * away * away) / one - 1) < 0.005]).toEqual([kind, away, true]);
    }
  }
  const sun = newLight('sun', 'a', { colour: '#ffffff', strength: 1, aside: 0, above: 0, behind: 1, shadow: false });
  expect(Math.abs(at(await lightOf(page, wall([sun])), 0, 0) - 1)).toBeLessThan(0.05);
});

/** The factor at a place that is not before the middle: four rectangles with a corner there, those beyond an edge taken away (superposition). */
function factorAt(wide: number, high: number, away: number, x: number, y: number): number {
  const corner = (a: number, b: number): number =>
    (Math.sign(a) * Math.sign(b) * facingFactor(2 * Math.abs(a), 2 * Math.abs(b), away)) / 4;
  const [l, r, d, u] = [-wide / 2 - x, wide / 2 - x, -high / 2 - y, high / 2 - y];
  return corner(r, u) - corner(l, u) - corner(r, d) + corner(l, d);
}

test('a panel lights a wall as a soft box of its size and of the mean light that is seen of it, and only when it is to', async ({
  page,
}) => {
  const [wide, away] = [1.8, 1.5];
  const panel = (more: object): object => ({
    ...newLayer('screen', 'panel', 'Panel', 1),
    ...{ once: true, arrangement: 'line', count: 1, size: 1, variation: 0, shape: 'set', wide, shows: [] },
    ...{ emission: 1.5, surface: 0, edge: 0, lights: true, gradient: white, ahead: WALL - away },
    ...more,
  });
  // what is seen of it: its picture stands in for one that is not there, and is not even
  const front = await lightOf(page, wall([], [panel({ lights: false })]), 64);
  let [sum, count] = [0, 0];
  // every pixel of it, of 5 cm
  for (let x = -0.875; x < 0.9; x += 0.05)
    for (let y = -0.475; y < 0.5; y += 0.05) [sum, count] = [sum + at(front, x, y), count + 1];
  const mean = sum / count;
  expect(mean).toBeGreaterThan(0.02);
  const turned = await lightOf(page, wall([], [panel({ heading: 180 })]));
  const dark = await lightOf(page, wall([], [panel({ heading: 180, lights: false })]));
  for (const [x, y] of [
    [1.225, 0.025],
    [0.025, 0.825],
    [-1.525, -0.525],
  ]) {
    const wanted = mean * factorAt(wide, 1, away - 0.01, x, y);
    const found = at(turned, x, y);
    expect(Math.abs(found / wanted - 1), `${found} at ${x}, ${y}, not ${wanted}`).toBeLessThan(0.04);
    expect(at(dark, x, y)).toBeLessThan(1e-5);
  }
});

test('a soft box lights a wall by the share of what the wall sees that it fills', async ({ page }) => {
  const [wide, high] = [1.6, 0.8];
  for (const away of [0.6, 1.5]) {
    const light = await lightOf(page, wall([lamp('softBox', away, { wide, high, soft: 0 })]));
    const factor = (x: number, y: number): number => factorAt(wide, high, away, x, y);
    const middle = at(light, 0.025, 0.025) / factor(0.025, 0.025);
    for (const [x, y] of [
      [0.525, 0.025],
      [1.025, 0.525],
      [2.025, -1.025],
      [-3.025, 0.025],
    ])
      expect([away, x, Math.abs(at(light, x, y) / factor(x, y) / middle - 1) < 0.03]).toEqual([away, x, true]);
  }
});

test('a shadow is as soft as the light is large: its width by similar triangles', async ({ page }) => {
  // an edge two metres before the wall, and a lamp four before it: half a metre of lamp is half a metre of half-shadow
  const [away, edge, half] = [4, 2, 0.5];
  const screen = pieceOf({
    ...{ kind: 'copies', id: 'edge', arrangement: 'line', count: 1, source: 'plane', size: 3, variation: 0 },
    ...{ aside: -1.5, above: 1, ahead: WALL - edge },
  } as never).layers[0];
  const light = await lightOf(
    page,
    wall([lamp('spot', away, { aside: -1, radius: half, cone: 90, edge: 0, shadow: true })], [screen]),
    256,
  );
  const bare = await lightOf(
    page,
    wall([lamp('spot', away, { aside: -1, radius: half, cone: 90, edge: 0, shadow: true })]),
    1,
  );
  const y = 0.5;
  const row = Array.from({ length: SIZE.width }, (_, i) => {
    const x = ((i + 0.5) / SIZE.width - 0.5) * METRES;
    return { x, seen: at(light, x, y) / at(bare, x, y) };
    // farther left the edge's own plate is before the wall
  }).filter(({ x }) => x > 0.1);
  /** Where the row first comes to a share of the light. */
  const crossing = (level: number): number => {
    const i = row.findIndex(({ seen }, k) => k > 0 && row[k - 1].seen < level && seen >= level);
    const [a, b] = [row[i - 1], row[i]];
    return a.x + ((level - a.seen) / (b.seen - a.seen)) * (b.x - a.x);
  };
  // of an even disc 10 % lie within 0.313 of its radius from the edge; the half-shadow of one is 2 r · d/(D − d) wide
  const width = 2 * half * (edge / (away - edge));
  const found = (crossing(0.9) - crossing(0.1)) / 0.687;
  console.log(`half-shadow: ${found.toFixed(3)} m of ${width.toFixed(3)}`);
  expect(Math.abs(found / width - 1)).toBeLessThan(0.06);
});

test('shadows are those of the frame, whatever was drawn before: of a body that is exchanged, of films and of what turns', async ({
  page,
}) => {
  const held = (fields: object) =>
    pieceOf({
      ...{
        kind: 'copies',
        id: 'held',
        arrangement: 'line',
        count: 1,
        size: 1.6,
        variation: 0,
        above: 0,
        ahead: WALL - 1.5,
      },
      ...fields,
    } as never).layers[0];
  const spot = lamp('spot', 3.5, {
    aside: -1.5,
    above: 0.6,
    aims: 'target',
    aimAt: { on: 'point', ahead: WALL },
    shadow: true,
  });
  const drawn = (piece: object, frames: readonly number[], passes: number): Promise<string[]> =>
    page.evaluate(
      async ([p, list, n, size, version]) => {
        const piece = lab.parse({ format: 'isomorph', version, piece: p });
        const out: string[] = [];
        for (const frameIndex of list) {
          const bytes = await lab.engine.api.pixels({ piece, frameIndex, ...size, passes: n });
          const digest = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>));
          out.push([...digest].map((b) => b.toString(16).padStart(2, '0')).join(''));
        }
        return out;
      },
      [piece, frames, passes, SIZE, DOCUMENT_VERSION] as const,
    );
  for (const [what, fields] of [
    ['exchange', { source: 'box', exchanges: [{ id: 'e', body: 'torus', from: 10, to: 20 }] }],
    ['film', { source: 'sphere', matter: { kind: 'film' } }],
    [
      'turn',
      {
        source: 'box',
        treatments: [
          { kind: 'turn', id: 't', what: 'each', axis: 'along', amount: { law: 'wound', start: 0, perLap: 1 } },
        ],
      },
    ],
  ] as const)
    for (const passes of [1, 4]) {
      const piece = wall([spot], [held(fields)]);
      const sequence = await drawn(piece, [9, 10, 11], passes);
      await page.reload();
      await page.waitForFunction(() => 'lab' in globalThis);
      const [alone] = await drawn(piece, [10], passes);
      expect([what, passes, alone]).toEqual([what, passes, sequence[1]]);
      expect([what, passes, sequence[0] !== sequence[1]]).toEqual([what, passes, true]);
    }
});

test('a slide before a spot stands upright on the wall, in its own light, goes on beside itself and slides by whole steps', async ({
  page,
}) => {
  const grey = [255, 128, 64, 0];
  const rgb = Uint8Array.from(grey.flatMap((v) => [v, v, v]));
  const maskPicture = pixmapUrl({ width: 2, height: 2, rgb });
  const seen = (more: object): Promise<number[]> =>
    lightOf(page, wall([lamp('spot', 3, { aims: 'turned', heading: 0, tilt: 0, cone: 60, edge: 0, ...more })]));
  const bare = await seen({});
  const through = async (more: object, off = 0.8): Promise<number[]> => {
    const light = await seen({ mask: 'picture', maskPicture, maskSoft: 0, ...more });
    // in its four squares, which reach to 1.73 m from the middle: rows from the top
    return [
      [-off, off],
      [off, off],
      [-off, -off],
      [off, -off],
    ].map(([x, y]) => at(light, x, y) / at(bare, x, y));
  };
  const linear = grey.map((v) => (v === 0 ? 0 : ((v / 255 + 0.055) / 1.055) ** 2.4));
  const close = (found: number[], wanted: number[]): void => {
    found.forEach((v, i) => {
      expect(Math.abs(v - wanted[i]), `square ${i}: ${v}, not ${wanted[i]}`).toBeLessThan(0.01);
    });
  };
  const whole = await through({});
  close(whole, linear);
  close(await through({ maskTurn: 0.5 }), [...linear].reverse());
  expect(await through({ maskRun: 3 })).toEqual(whole);
  // blurred, what is beside one another comes near
  close(await through({}, 0.25), linear);
  const soft = await through({ maskSoft: 1 }, 0.25);
  expect(soft[0]).toBeLessThan(0.75);
  expect(soft[3]).toBeGreaterThan(0.08);
});

test('a white furnace: matter of white gives back all light that comes from everywhere, whatever its roughness, metal and coat', async ({
  page,
}) => {
  const read = (path: string): string => readFileSync(`src/engine/matter/${path}`, 'utf8');
  // what is around is 1 everywhere; nothing else shines
  const source = [
    '#define PANORAMAS',
    '#define COATED',
    read('brdf.glsl'),
    'vec3 lightOn(Surface s) { return vec3(0.0); }',
    'vec3 lightFrom(vec3 d, float rough) { return vec3(0.0); }',
    'vec3 panoramaFrom(vec3 d, float rough) { return vec3(1.0); }',
    'vec3 panoramaEven(vec3 n) { return vec3(1.0); }',
    read('shine.glsl'),
  ].join('\n');
  const [roughs, metals, views] = [11, 5, 8];
  const body = `
    float rough = float(id % ${roughs}u) / ${(roughs - 1).toFixed(1)};
    float metal = float((id / ${roughs}u) % ${metals}u) / ${(metals - 1).toFixed(1)};
    float nv = (float(id / ${roughs * metals}u) + 0.5) / ${views.toFixed(1)};
    vec3 v = vec3(sqrt(1.0 - nv * nv), 0.0, nv);
    vec3 white = vec3(1.0);
    vec3 n = vec3(0.0, 0.0, 1.0);
    vec3 f0 = mix(vec3(DULL), white, metal);
    vec3 bare = shine(n, v, f0, white * (1.0 - metal), metal, rough, 1.0, vec3(0.0), 0.0);
    // under a coat of another roughness
    vec3 coated = shineCoated(n, v, f0, white * (1.0 - metal), metal, rough, vec3(0.0), 0.0, 0.7, 1.0 - rough);
    result = vec4(bare.x, coated.x, metal, 0.0);`;
  const count = roughs * metals * views;
  const found = new Float32Array(await probe(page, source, body, count));
  let worst = 0;
  for (let i = 0; i < count; i++)
    for (const light of [found[4 * i], found[4 * i + 1]]) worst = Math.max(worst, Math.abs(light - 1));
  console.log(`white furnace: ${(worst * 100).toFixed(2)} % off at most, ${count} roughnesses, metals and directions`);
  expect(worst).toBeLessThan(0.02);
});

/** A square tunnel around the camera, or a large box whose face is where its left side is, under one lamp. */
const beside = (made: object, look: object = {}): Piece =>
  pieceOf({ gradient: [{ at: 0, colour: '#ffffff' }], matter: { kind: 'plain', rough: 1 }, ...made } as never, {
    tile: 8,
    flight: { route: { kind: 'run', tilesPerLap: 0 }, focalMm: 24, fNumber: 64, shutterDeg: 0 },
    look: {
      background: '#000000',
      backgroundEdge: '#000000',
      fogDistance: 10_000,
      reach: 30,
      lights: [{ kind: 'point', id: 'lamp', name: 'Lamp', strength: 3, aside: -0.6, above: 0.2, ahead: 4, radius: 0 }],
      ...look,
    },
  });
const TUNNEL = { kind: 'tunnel', section: 'polygon', nested: 0, lines: 'none', wall: 'skin', rings: 16, twist: 0 };

const SQUARE = [
  [-0.5, -0.5],
  [0.5, -0.5],
  [0.5, 0.5],
  [-0.5, 0.5],
];

test('a wall is lit as a body in its place is', async ({ page }) => {
  const size = { width: 160, height: 90 };
  const wall = await redOf(page, beside({ ...TUNNEL, section: 'drawn', outline: SQUARE, radius: 2, accent: 0 }), size);
  const box = { kind: 'copies', arrangement: 'line', count: 1, source: 'box', bevel: 0, size: 7, variation: 0 };
  const body = await redOf(page, beside({ ...box, once: true, aside: -5.5, ahead: 4 }), size);
  let looked = 0;
  // of the left side what no other hides
  for (let y = 30; y < 60; y++)
    for (let x = 2; x < 40; x++) {
      const [a, b] = [wall[y * size.width + x], body[y * size.width + x]];
      if (b < 0.01) continue;
      looked++;
      expect(Math.abs(a / b - 1)).toBeLessThan(0.005);
    }
  expect(looked).toBeGreaterThan(600);
});

test('a round wall is lit evenly all around, one with corners by steps', async ({ page }) => {
  const size = { width: 160, height: 90 };
  const lights = [{ kind: 'point', id: 'lamp', name: 'Lamp', strength: 3, aside: 1.2, above: 0, ahead: 4, radius: 0 }];
  // the most that light changes from one place to the next of 256 around the picture's middle, of its mean
  const steps = async (section: object): Promise<number> => {
    const light = await redOf(page, beside({ ...TUNNEL, radius: 2.4, accent: 0, ...section }, { lights }), size);
    const around = Array.from({ length: 256 }, (_, k) => {
      const [x, y] = [79.5 + 36 * Math.cos((k / 128) * Math.PI), 44.5 + 36 * Math.sin((k / 128) * Math.PI)];
      const [i, j] = [Math.floor(x), Math.floor(y)];
      const row = (n: number): number =>
        light[n * size.width + i] * (i + 1 - x) + light[n * size.width + i + 1] * (x - i);
      return row(j) * (j + 1 - y) + row(j + 1) * (y - j);
    });
    const mean = around.reduce((sum, v) => sum + v, 0) / around.length;
    return Math.max(...around.map((v, k) => Math.abs(v - around[(k + 1) % around.length]))) / mean;
  };
  expect(await steps({ section: 'circle' })).toBeLessThan(0.015);
  expect(await steps({ section: 'super', roundness: 2 })).toBeLessThan(0.015);
  expect(await steps({ sides: 24 })).toBeGreaterThan(0.04);
});

test('a wall that casts shadows keeps the light of a lamp outside out', async ({ page }) => {
  const size = { width: 96, height: 54 };
  const lights = [
    { kind: 'point', id: 'lamp', name: 'Lamp', strength: 60, above: 6, ahead: 4, shadow: true, radius: 0.05 },
  ];
  const inside = async (casts: boolean): Promise<number> => {
    const light = await redOf(page, beside({ ...TUNNEL, sides: 6, radius: 2, casts }, { lights }), size, 4);
    return light.reduce((sum, v) => sum + v, 0) / light.length;
  };
  const [dark, lit] = [await inside(true), await inside(false)];
  expect(lit).toBeGreaterThan(0.02);
  expect(dark).toBeLessThan(0.03 * lit);
  // a wall that was seen by a light alone can be taken away like any other
  await redOf(page, { ...beside(TUNNEL, { lights }), layers: [] }, size);
});

const SKY = {
  ...newLayer('backdrop', 'sky', 'Sky'),
  ...{ form: 'dome', stars: 0, clouds: 0.6, tight: 4, light: 1.3 },
  gradient: [
    { at: 0, colour: '#180804' },
    { at: 0.5, colour: '#ff9040' },
    { at: 1, colour: '#203050' },
  ],
};
const FOCAL = { focalMm: 24, sensorMm: 36 };
const under = (layers: object[], lights: Light[], flight: object = {}): Piece => {
  const piece = pieceOf(SKY as never, {
    flight: { route: { kind: 'keys', aside: 0, above: 0, ahead: 0 }, ...FOCAL, fNumber: 64, ...flight },
    look: { lights, fogDistance: 10_000, mist: 'none' },
  });
  return { ...piece, layers: [...piece.layers, ...layers] as Piece['layers'] };
};
/** The direction in which a pixel looks, the camera level and ahead. */
const looks = (x: number, y: number): [number, number, number] =>
  normalize([
    (x + 0.5 - SIZE.width / 2) / SIZE.width,
    (y + 0.5 - SIZE.height / 2) / SIZE.width,
    -FOCAL.focalMm / FOCAL.sensorMm,
  ]);

test('the sky is as its law says, and what is polished mirrors it so under its own light', async ({ page }) => {
  const own = newLight('panorama', 'own', { of: 'sky', strength: 1 });
  const piece = under([], [own]);
  const law = skyAt(piece, 0)?.law;
  if (!law) throw new Error('there is none');
  const seen = await lightOf(page, piece);
  const floor = {
    ...newLayer('ground', 'floor', 'Floor'),
    ...{
      relief: 0,
      rows: 2,
      above: -1,
      width: 1000,
      gradient: white,
      matter: { kind: 'plain', rough: 0.02, metal: 1 },
    },
  };
  const polished = await lightOf(page, under([floor], [own]));
  let compared = 0;
  for (let x = 4; x < SIZE.width; x += 12)
    for (let y = 3; y < SIZE.height; y += 7) {
      const d = looks(x, y);
      const i = y * SIZE.width + x;
      expect(Math.abs(seen[i] - law(d)[0])).toBeLessThan(0.004);
      // far away there is no floor, and near the horizon even the little that it is rough blurs how steeply the sky changes
      if (d[1] > -0.15) continue;
      expect(Math.abs(polished[i] - law([d[0], -d[1], d[2]])[0])).toBeLessThan(0.015);
      compared++;
    }
  expect(compared).toBeGreaterThan(40);
});

test('a sky of one colour lights matt white in its colour, as strongly as its light says', async ({ page }) => {
  const even = { ...SKY, gradient: [{ at: 0, colour: '#ffffff' }], clouds: 0, light: 0.5 };
  const board = {
    ...newLayer('copies', 'board', 'Board'),
    ...{ arrangement: 'line', count: 1, source: 'plane', size: 40, variation: 0, ahead: 5, once: true },
    ...{ gradient: white, matter: { kind: 'plain', rough: 1 } },
  };
  for (const strength of [1, 0.4]) {
    const piece = under([board], [newLight('panorama', 'own', { of: 'sky', strength })]);
    const light = await lightOf(page, { ...piece, layers: [even, ...piece.layers.slice(1)] as Piece['layers'] });
    expect(Math.abs(at(light, 0, 0) / (0.5 * strength) - 1)).toBeLessThan(0.03);
  }
});
