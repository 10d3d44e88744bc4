// A fisheye's circle against a program that is not ours, against the core's own camera, and against itself.
import { execFileSync } from 'node:child_process';
import { expect, type Page } from '@playwright/test';
import { fisheyePlace, fisheyeWay, radiansPerPixel } from '../../src/core/lens/fisheye';
import { DOCUMENT_VERSION, PieceSchema, type Piece } from '../../src/core/piece/schema';
import { add, inverse, length, rotate, scale, subtract, type Vec3 } from '../../src/core/space/vector';
import { cameraPose, pictureTurn, type CameraPose } from '../../src/core/world/camera';
import { layerElements } from '../../src/core/world/layers';
import { decibels } from './decibels';
import { numbersOf, test } from './lab';

const DEGREE = Math.PI / 180;
const ROUND = { width: 512, height: 512 };
const FLAT = { width: 192, height: 108 };
const FRAME = 12;

/** Bodies and particles all around, and a camera that goes ahead among them. */
const heap = (flight: object): Piece => {
  const around = { boxX: 16, boxY: 10, boxZ: 16 };
  return PieceSchema.parse({
    ...{ id: 'heap', name: 'Heap', tile: 16, lap: { frames: 100, rate: { num: 25, den: 1 } } },
    layers: [
      { kind: 'copies', arrangement: 'scatter', count: 60, ...around, id: 'boxes', name: 'Boxes', size: 1.1, seed: 4 },
      {
        kind: 'field',
        id: 'motes',
        name: 'Motes',
        shape: 'corridor',
        width: 14,
        height: 9,
        hollow: 0.35,
        count: 400,
        size: 0.06,
        light: 5,
      },
    ],
    flight: { route: { kind: 'run', tilesPerLap: 1 }, focalMm: 28, fNumber: 22, focusM: 5, shutterDeg: 180, ...flight },
    look: {
      ...{ fogDistance: 1000, reach: 30, background: '#203a5a', backgroundEdge: '#203a5a' },
      effects: [{ kind: 'tone', id: 'tone' }],
    },
  });
};

/** Linear light as the code values it is looked at as, red, green and blue, top row first. */
function shown(light: Float32Array, { width, height }: { width: number; height: number }): Buffer {
  const out = Buffer.alloc(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width * 3; x++) {
      const v = light[((height - 1 - y) * width + Math.floor(x / 3)) * 4 + (x % 3)];
      out[y * width * 3 + x] = Math.round(255 * Math.min(1, Math.max(0, v)) ** (1 / 2.2));
    }
  return out;
}

const light = async (page: Page, piece: Piece, size: typeof FLAT): Promise<Buffer> =>
  shown(await numbersOf(page, piece, { ...size, frameIndex: FRAME, passes: 8 }), size);

/** What ffmpeg's v360 makes of a circle of an angle: the picture of a lens that is turned in it. */
function flattened(circle: Buffer, angle: number, yaw: number, pitch: number): Buffer {
  const wide = 2 * Math.atan(18 / 28);
  const high = 2 * Math.atan((18 / 28) * (FLAT.height / FLAT.width));
  const filter = [
    `v360=input=fisheye:ih_fov=${angle}:iv_fov=${angle}:output=flat:interp=cubic`,
    `h_fov=${wide / DEGREE}:v_fov=${high / DEGREE}:yaw=${yaw}:pitch=${pitch}:w=${FLAT.width}:h=${FLAT.height}`,
  ].join(':');
  const raw = (size: typeof FLAT): string[] => [
    '-f',
    'rawvideo',
    '-pix_fmt',
    'rgb24',
    '-s',
    `${size.width}x${size.height}`,
  ];
  return execFileSync('ffmpeg', ['-v', 'error', ...raw(ROUND), '-i', '-', '-vf', filter, ...raw(FLAT), '-'], {
    input: circle,
    maxBuffer: 1e8,
  });
}

const shares = (bytes: Buffer): number[] =>
  [...bytes].flatMap((v, i) => (i % 3 === 2 ? [v / 255, 1] : [v / 255])).map((v, i) => (i % 4 < 3 ? v ** 2.2 : v));

for (const [name, flight, angle, yaw, pitch] of [
  ['ahead', {}, 180, 0, 0],
  ['where two sides of the cube meet', {}, 180, 45, 0],
  ['near the rim, where three sides meet', {}, 220, 50, 40],
  ['where the camera faces, the middle raised', { raisedDeg: 40 }, 180, 0, -40],
] as const)
  test(`a circle is, ${name}, what a lens sees there, as ffmpeg unrolls it`, async ({ page }) => {
    const circle = await light(page, heap({ lens: 'fisheye', circleDeg: angle, ...flight }), ROUND);
    const [turned, up] = name.includes('raised') ? [0, 0] : [yaw, pitch];
    const lens = shares(await light(page, heap({ yaw: turned, pitch: up }), FLAT));
    const right = decibels(shares(flattened(circle, angle, yaw, pitch)), lens);
    // a picture that is a degree off, and one of another angle, must be told
    const aside = decibels(shares(flattened(circle, angle, yaw + 1, pitch)), lens);
    const wider = decibels(shares(flattened(circle, angle * 1.04, yaw, pitch)), lens);
    console.log(`${name}: ${[right, aside, wider].map((dB) => dB.toFixed(1)).join(', ')} dB`);
    expect(right).toBeGreaterThan(24);
    expect(right - aside).toBeGreaterThan(6);
    expect(right - wider).toBeGreaterThan(6);
  });

test('beyond the circle is nothing, whatever glows in it; on it alpha is what it is', async ({ page }) => {
  const piece = heap({ lens: 'fisheye' });
  const glowing = {
    ...piece,
    look: {
      ...piece.look,
      effects: [{ kind: 'glow', id: 'glow' }, ...piece.look.effects, { kind: 'grain', id: 'grain' }],
    },
  };
  const size = { width: 200, height: 160 };
  const rgba = await page.evaluate(
    async ([p, wanted, version]) => {
      const read = lab.parse({ format: 'isomorph', version, piece: p });
      const frame = await lab.engine.api.frame(
        { piece: read, frameIndex: 3, passes: 4, ...wanted, clear: true },
        false,
      );
      return [...frame.rgba];
    },
    [glowing, size, DOCUMENT_VERSION] as const,
  );
  let [inside, stray] = [0, 0];
  for (let y = 0; y < size.height; y++)
    for (let x = 0; x < size.width; x++) {
      const away = Math.hypot(x + 0.5 - size.width / 2, y + 0.5 - size.height / 2);
      const pixel = rgba.slice((y * size.width + x) * 4, (y * size.width + x) * 4 + 4);
      if (away > size.height / 2 + 1) stray += pixel.some((v) => v !== 0) ? 1 : 0;
      else if (away < size.height / 2 - 1 && pixel[3] > 0) inside++;
    }
  expect(stray).toBe(0);
  expect(inside).toBeGreaterThan(1000);
});

test('depth is the distance, normals are those of the picture, and motion is that of the circle', async ({ page }) => {
  const flight = { lens: 'fisheye', circleDeg: 200, raisedDeg: 25, yaw: { law: 'wound', start: 0, perLap: 360 } };
  const piece = heap(flight);
  const size = { width: 256, height: 256 };
  const wanted = { ...size, frameIndex: FRAME };
  const [depth, normal, motion] = await Promise.all(
    (['depth', 'normal', 'motion'] as const).map((of) => numbersOf(page, piece, { ...wanted, channel: { of } })),
  );
  const phase = FRAME / piece.lap.frames;
  const pose = cameraPose(piece, phase);
  const each = radiansPerPixel(200 * DEGREE, size);
  const placedBy = (other: CameraPose) => {
    const back = inverse(pictureTurn(other));
    return (world: Vec3): [number, number] => fisheyePlace(rotate(back, subtract(world, other.position)));
  };
  const open = 0.5 / piece.lap.frames;
  const [before, after] = [-open, open].map((by) => placedBy(cameraPose(piece, phase + by)));
  const turn = pictureTurn(pose);
  let [seen, nothing, stray, worst, facing] = [0, 0, 0, 0, 0];
  for (let y = 0; y < size.height; y++)
    for (let x = 0; x < size.width; x++) {
      const i = (y * size.width + x) * 4;
      const at = [(x + 0.5 - 128) * each, (y + 0.5 - 128) * each] as const;
      if (Math.hypot(...at) > 100 * DEGREE) {
        nothing++;
        if (depth[i] !== 1e9 || normal[i] !== 0) stray++;
        continue;
      }
      if (depth[i] > 1e8) continue;
      const way = fisheyeWay(...at);
      const world = add(pose.position, scale(rotate(turn, way), depth[i]));
      const [was, will] = [before(world), after(world)];
      const away = Math.hypot((will[0] - was[0]) / each - motion[i], (will[1] - was[1]) / each - motion[i + 1]);
      worst = Math.max(worst, away);
      // what is seen faces the eye
      if (length([normal[i], normal[i + 1], normal[i + 2]]) > 0.5) {
        seen++;
        if (normal[i] * way[0] + normal[i + 1] * way[1] + normal[i + 2] * way[2] < 0.05) facing++;
      }
    }
  console.log(`motion: at most ${worst.toFixed(2)} px off; ${seen} pixels of bodies, ${nothing} beyond the circle`);
  expect(seen).toBeGreaterThan(4000);
  expect(nothing).toBeGreaterThan(10_000);
  expect(stray).toBe(0);
  expect(facing / seen).toBeGreaterThan(0.995);
  // a pixel of a side is not that of the circle: it shows the depth of a place up to most of a pixel off
  expect(worst).toBeLessThan(1);
});

test('fog of the air, depth fog and masks of nearness take by the distance, wherever in the circle', async ({
  page,
}) => {
  const size = { width: 192, height: 192 };
  const [start, takes, reach] = [1, 7, 30];
  const { layers, look, ...rest } = heap({ lens: 'fisheye', circleDeg: 220, shutterDeg: 0 });
  const foggy = (colour: string, effects: object[] = []) =>
    PieceSchema.parse({
      ...rest,
      layers: layers.flatMap((layer) => (layer.kind === 'copies' ? [{ ...layer, size: 2.4 }] : [])),
      look: {
        ...look,
        fogStart: start,
        fogDistance: takes,
        fogColour: colour,
        effects: [...effects, { kind: 'tone', id: 'tone', curve: 'straight' }],
      },
    });
  const of = (piece: Piece, more: object = {}): Promise<Float32Array> =>
    numbersOf(page, piece, { ...size, frameIndex: FRAME, ...more });
  const depth = await of(foggy('#000000'), { channel: { of: 'depth' } });
  const [dark, white] = [await of(foggy('#000000')), await of(foggy('#ffffff'))];
  const codes = (effects: object[]): Promise<number[]> =>
    page.evaluate(
      async ([p, wanted, version]) => {
        const read = lab.parse({ format: 'isomorph', version, piece: p });
        return [...(await lab.engine.api.pixels({ piece: read, passes: 1, ...wanted }))];
      },
      [foggy('#000000', effects), { ...size, frameIndex: FRAME }, DOCUMENT_VERSION] as const,
    );
  const black = { kind: 'fog', id: 'black', colour: '#000000', distance: 0.01 };
  const veil = await codes([black, { kind: 'fog', id: 'veil', colour: '#ffffff', begins: start, distance: takes }]);
  const mask = { mask: 'near', maskFrom: 3, maskTo: 12 };
  const near = await codes([black, { kind: 'fog', id: 'near', colour: '#ffffff', distance: 0.01, ...mask }]);
  const linear = (code: number): number => (code <= 10 ? code / 255 / 12.92 : ((code / 255 + 0.055) / 1.055) ** 2.4);
  const step = (from: number, to: number, x: number): number => {
    const t = Math.min(1, Math.max(0, (x - from) / (to - from)));
    return t * t * (3 - 2 * t);
  };
  const worst = { air: 0, veil: 0, near: 0, byDepth: 0 };
  let seen = 0;
  for (let y = 2; y < size.height - 2; y++)
    for (let x = 1; x < size.width - 1; x++) {
      const at = y * size.width + x;
      const d = depth[4 * at];
      const rows = [-2, -1, 0, 1, 2];
      const beside = rows.flatMap((row) => rows.map((by) => depth[4 * (at + row * size.width + by)]));
      // not near edges, where a pixel is of several places
      if (d > 1e8 || beside.some((other) => Math.abs(other - d) > 0.02 * d)) continue;
      seen++;
      const fogged = 1 - Math.exp(-Math.max(0, d - start) / takes);
      const there = step(0.25 * look.nearFade, look.nearFade, d) * (1 - step(0.8 * reach, reach, d));
      const off = (name: keyof typeof worst, value: number, right: number): void => {
        worst[name] = Math.max(worst[name], Math.abs(value - right));
      };
      // pictures are looked at from their top row on
      const above = ((size.height - 1 - y) * size.width + x) * 4;
      const air = white[4 * at] - dark[4 * at];
      off('air', air, 1 - (1 - fogged) * there);
      off('veil', linear(veil[above]), fogged);
      off('near', linear(near[above]), 1 - step(3, 12, d));
      // what it would be along the axis of the side that sees it
      const way = fisheyeWay(
        ...([x, y].map((v) => (v + 0.5 - 96) * radiansPerPixel(220 * DEGREE, size)) as [number, number]),
      );
      const along = d * Math.max(...way.map(Math.abs));
      off('byDepth', 1 - Math.exp(-Math.max(0, along - start) / takes), fogged);
    }
  console.log(
    `${seen} pixels; at most ${Object.entries(worst)
      .map(([name, v]) => `${name} ${v.toFixed(3)}`)
      .join(', ')} off`,
  );
  expect(seen).toBeGreaterThan(1000);
  expect(Math.max(worst.air, worst.veil, worst.near)).toBeLessThan(0.015);
  // a fault that would be found
  expect(worst.byDepth).toBeGreaterThan(0.09);
});

for (const degrees of [0, 30, 44, 60, 85])
  test(`a mote ${degrees}° from the middle is as round as the circle makes it`, async ({ page }) => {
    const one = (x: number, y: number, z: number): Piece =>
      PieceSchema.parse({
        ...{ id: 'mote', name: 'Mote', tile: 60, lap: { frames: 100, rate: { num: 25, den: 1 } } },
        layers: [
          {
            ...{ kind: 'field', id: 'mote', name: 'Mote', shape: 'box', width: 1, height: 1, count: 1 },
            ...{ size: 0.25, variation: 0, softness: 0, light: 2 },
          },
        ],
        flight: {
          route: { kind: 'keys', aside: x, above: y, ahead: -z },
          ...{ aim: 'own', lens: 'fisheye', fNumber: 64, focusM: 4, shutterDeg: 0 },
        },
        look: { fogDistance: 10_000, reach: 30, background: '#000000', backgroundEdge: '#000000' },
      });
    const [x, y, z] = layerElements(one(0, 0, 0), 'mote', 0, 1).position;
    const piece = one(x - 4 * Math.sin(degrees * DEGREE), y, z + 4 * Math.cos(degrees * DEGREE));
    const red = await numbersOf(page, piece, { ...ROUND, passes: 4 });
    let [sum, mx, my] = [0, 0, 0];
    const all = Array.from({ length: ROUND.width * ROUND.height }, (_, i) => ({
      v: red[i * 4],
      x: (i % ROUND.width) + 0.5,
      y: Math.floor(i / ROUND.width) + 0.5,
    })).filter(({ v }) => v > 0);
    for (const p of all) [sum, mx, my] = [sum + p.v, mx + p.v * p.x, my + p.v * p.y];
    const out = Math.sqrt(all.reduce((s, p) => s + p.v * (p.x - mx / sum) ** 2, 0) / sum);
    const across = Math.sqrt(all.reduce((s, p) => s + p.v * (p.y - my / sum) ** 2, 0) / sum);
    // a small circle around a place at an angle is as long as it along the radius, and by angle over sine across it
    const angle = degrees * DEGREE;
    const law = degrees === 0 ? 1 : angle / Math.sin(angle);
    console.log(`${degrees}°: ${(across / out).toFixed(3)} across for one outwards, by the law ${law.toFixed(3)}`);
    expect((mx / sum - 256) / 256).toBeCloseTo(degrees / 90, 2);
    // at 44° one side passes into the next, on which it is drawn about another place; without being drawn longer it would be 39 % off
    expect(Math.abs(across / out / law - 1)).toBeLessThan(0.08);
  });
