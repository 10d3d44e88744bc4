import { createHash } from 'node:crypto';
import { expect, test as interfaceTest, type Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { toLinear } from '../../src/core/colour/colour';
import { BARE, type ModelMaterial, type RawPart } from '../../src/core/solids/models/raw';
import { writeGlb } from '../../src/formats/model/glb';
import { pack } from '../../src/formats/packed/packed';
import { parsePiece } from '../../src/core/world/open';
import { pieceOf } from '../pieces';
import { numbersOf, test } from './lab';
import { drawn, drop, openRecipe, pause, saved } from './ui';

// Models as they are drawn: seen without perspective from 5 m, 4 m wide, so that a model 4 m across fills the width.

const SIZE = { width: 96, height: 96 };
const flat = (layers: object[]): object =>
  pieceOf({ kind: 'copies' } as never, {
    layers,
    flight: {
      ...{ route: { kind: 'keys', aside: 0, above: 0, ahead: 0 }, lens: 'orthographic', widthM: 4 },
      ...{ fNumber: 64, focusM: 5 },
    },
    frame: { width: 1080, height: 1080 },
    look: { background: '#000000', backgroundEdge: '#000000', fogDistance: 10_000, nearFade: 0.02, lights: [] },
  });
const one = { kind: 'copies', arrangement: 'grid', countX: 1, countY: 1, countZ: 1, ahead: 5, once: true };

/** Linear light of the pixel at shares of the width and from the top. */
async function lightAt(page: Page, piece: object, places: readonly (readonly [number, number])[], frameIndex = 0) {
  const light = await numbersOf(page, piece, { ...SIZE, frameIndex });
  return places.map(([x, y]) => {
    const at = (Math.floor((1 - y) * SIZE.height) * SIZE.width + Math.floor(x * SIZE.width)) * 4;
    return [light[at], light[at + 1], light[at + 2]];
  });
}

/** Keeps a model where the lab's workers find it, and gives a piece of it. */
async function pieceWith(page: Page, bytes: Uint8Array<ArrayBuffer>, fields: object = {}): Promise<object> {
  const hash = createHash('sha256').update(bytes).digest('hex');
  const layer = {
    ...one,
    id: 'm',
    name: 'M',
    source: 'model',
    model: { hash, name: 'card.glb' },
    size: 4,
    matter: { kind: 'modelled' },
    ...fields,
  };
  const read = parsePiece({ format: 'isomorph', version: 8, piece: flat([layer]) });
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const packed = Buffer.from(pack(read.piece, new Map([[hash, bytes]]))).toString('base64');
  return page.evaluate((text) => lab.unpack(text, 'card.isomorph.zip'), packed);
}

const card = (more: Partial<RawPart> = {}): RawPart => ({
  position: Float32Array.of(-1, -1, 0, 1, -1, 0, 1, 1, 0, -1, 1, 0),
  normal: Float32Array.of(0, 0, 1, 0, 0, 1, 0, 0, 1, 0, 0, 1),
  uv: Float32Array.of(0, 1, 1, 1, 1, 0, 0, 0),
  dye: null,
  index: Uint32Array.of(0, 1, 2, 0, 2, 3),
  material: 0,
  ...more,
});
const model = (part: RawPart, material: Partial<ModelMaterial>, pictures: Uint8Array<ArrayBuffer>[] = []) =>
  writeGlb({
    name: 'card',
    parts: [part],
    materials: [{ ...BARE, colour: [0, 0, 0], ...material }],
    pictures,
    up: 'y',
    unit: 1,
  });

const QUARTERS = [
  [200, 40, 20, 255],
  [30, 180, 60, 255],
  [20, 60, 220, 255],
  [240, 220, 90, 0],
] as const;
/** Four fields of one colour each: above left and right, below left and right; the last is not there. */
function quarters(): Uint8Array<ArrayBuffer> {
  const png = new PNG({ width: 16, height: 16 });
  for (let y = 0; y < 16; y++)
    for (let x = 0; x < 16; x++) png.data.set(QUARTERS[(y < 8 ? 0 : 2) + (x < 8 ? 0 : 1)], (y * 16 + x) * 4);
  return new Uint8Array(PNG.sync.write(png));
}
const MIDDLES = [
  [0.25, 0.25],
  [0.75, 0.25],
  [0.25, 0.75],
  [0.75, 0.75],
] as const;

test('a picture lies on a model the way up that it has, in its own colours, and is not where it is not', async ({
  page,
}) => {
  const maps = { colour: 0, manner: null, glow: 0, relief: null };
  const bytes = await model(card(), { glow: [1, 1, 1], cutoff: 0.5, maps }, [quarters()]);
  const seen = await lightAt(page, await pieceWith(page, bytes), MIDDLES);
  seen.forEach((rgb, i) =>
    rgb.forEach((v, k) => expect(v).toBeCloseTo(QUARTERS[i][3] === 0 ? 0 : toLinear(QUARTERS[i][k] / 255), 2)),
  );
});

test('dyes are mixed between vertices; light of a hue of its own is that hue however it is reflected', async ({
  page,
}) => {
  // from black on the left to white on the right
  const dye = Float32Array.of(0, 0, 0, 1, 1, 1, 1, 1, 1, 0, 0, 0);
  const dyed = await pieceWith(page, await model(card({ dye }), { colour: [0.8, 0.4, 0.2] }), {
    matter: { kind: 'modelled', glowing: 1 },
  });
  const places = [0.125, 0.5, 0.875].map((x) => [x, 0.5] as const);
  for (const [i, rgb] of (await lightAt(page, dyed, places)).entries())
    rgb.forEach((v, k) => expect(v).toBeCloseTo(([0.8, 0.4, 0.2][k] * (Math.floor(places[i][0] * 96) + 0.5)) / 96, 2));
  const lamp = await pieceWith(page, await model(card(), { colour: [0.1, 0.5, 0.1], glow: [3, 0.5, 0.25] }), {
    matter: { kind: 'modelled', litBy: 2 },
  });
  const [rgb] = await lightAt(page, lamp, [[0.5, 0.5]]);
  rgb.forEach((v, k) => expect(v / [6, 1, 0.5][k]).toBeCloseTo(1, 2));
});

test('relief tilts what light sees: a card as if it looked aside is as bright as its cosine', async ({ page }) => {
  // green goes up: this faces up by 30°
  const png = new PNG({ width: 4, height: 4 });
  for (let i = 0; i < 16; i++)
    png.data.set(
      [128, Math.round(127.5 + 127.5 * Math.sin(Math.PI / 6)), Math.round(127.5 + 127.5 * Math.cos(Math.PI / 6)), 255],
      i * 4,
    );
  const maps = { colour: null, manner: null, glow: null, relief: 0 };
  const bytes = await model(card(), { colour: [0.5, 0.5, 0.5], rough: 1, maps }, [new Uint8Array(PNG.sync.write(png))]);
  const even = await model(card(), { colour: [0.5, 0.5, 0.5], rough: 1 });
  const lit = async (of: Uint8Array<ArrayBuffer>, above: number): Promise<number> => {
    const piece = (await pieceWith(page, of)) as { look: { lights: object[] } };
    // a sun from before and above, on the side its place says
    piece.look.lights = [{ kind: 'sun', id: 's', name: '', strength: 1, aside: 0, above, behind: 1, shadow: false }];
    const read = parsePiece({ format: 'isomorph', version: 8, piece });
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const [[red]] = await lightAt(page, read.piece, [[0.5, 0.5]]);
    return red;
  };
  const [over, under, straight] = [await lit(bytes, 1), await lit(bytes, -1), await lit(even, 1)];
  expect(over).toBeGreaterThan(0.05);
  // 45° above a card that faces up by 30° is 15° off; below it 75°: matt light goes by the cosine, and a little by the rough highlight
  expect(over / straight).toBeGreaterThan(1.25);
  expect(over / straight).toBeLessThan(1.45);
  expect(under / straight).toBeGreaterThan(0.25);
  expect(under / straight).toBeLessThan(0.5);
});

test('what is exchanged is drawn as the other body: all on its frames, or every second of a ring', async ({ page }) => {
  const ring = (fields: object): object => ({
    ...{ kind: 'copies', id: 'r', name: 'R', arrangement: 'ring', radius: 1.2, size: 0.6, ahead: 5, once: true },
    ...{ spread: 0, matter: { kind: 'plain', glowing: 1 }, ...fields },
  });
  const made = (layers: object[]): object => {
    const read = parsePiece({ format: 'isomorph', version: 8, piece: flat(layers) });
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    return read.piece;
  };
  const picture = async (layers: object[], frameIndex: number): Promise<Float32Array> =>
    numbersOf(page, made(layers), { ...SIZE, frameIndex });
  const off = (a: Float32Array, b: Float32Array): number => {
    let sum = 0;
    for (let i = 0; i < a.length; i++) if (i % 4 < 3) sum += Math.abs(a[i] - b[i]);
    return sum / a.length;
  };
  const exchange = (more: object): object[] => [{ id: 'e', body: 'sphere', from: 40, to: 60, ...more }];
  const boxes = await picture([ring({ source: 'box', count: 6 })], 50);
  const balls = await picture([ring({ source: 'sphere', count: 6 })], 50);
  expect(off(boxes, balls)).toBeGreaterThan(0.003);
  const all = [ring({ source: 'box', count: 6, exchanges: exchange({}) })];
  expect(off(await picture(all, 50), balls)).toBe(0);
  for (const frame of [39, 60]) expect(off(await picture(all, frame), boxes)).toBe(0);
  const some = [ring({ source: 'box', count: 6, exchanges: exchange({ who: 'every', every: 2 }) })];
  const apart = [ring({ source: 'sphere', count: 3 }), ring({ id: 'q', source: 'box', count: 3, bank: 60 })];
  const turned = [apart[0], ring({ id: 'q', source: 'box', count: 3, bank: -60 })];
  const seen = await picture(some, 50);
  // which way a ring runs is its own affair
  expect(Math.min(off(seen, await picture(apart, 50)), off(seen, await picture(turned, 50)))).toBeLessThan(1e-4);
});

interfaceTest(
  'a model in several files is dropped, becomes a layer, is exchanged on a frame, and is kept as one file',
  async ({ page }) => {
    interfaceTest.setTimeout(180_000);
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    await openRecipe(page);
    await pause(page);
    const obj =
      'mtllib crate.mtl\nv 0 0 0\nv 2 0 0\nv 2 0 1\nv 0 1 0\nvt 0 0\nvt 1 0\nvt 1 1\nusemtl wood\nf 1/1 3/3 2/2\nf 1/1 2/2 4/3';
    const mtl = 'newmtl wood\nKd 0.8 0.5 0.3\nmap_Kd wood.png';
    await drop(page, [
      ['crate.obj', Buffer.from(obj)],
      ['crate.mtl', Buffer.from(mtl)],
      ['wood.png', Buffer.from(quarters())],
    ]);
    const chosen = page.getByRole('button', { name: /^Model:/ });
    await expect(chosen).toHaveAccessibleName('Model: crate.glb', { timeout: 30_000 });
    await expect(page.getByText('crate.glb: 2 triangles, made 2 × 1 × 1 m')).toBeVisible();
    await drawn(page);
    await page.getByRole('button', { name: 'Exchange', exact: true }).click();
    const line = page.getByRole('region', { name: 'Ball, 60 to 120' });
    await expect(line).toBeVisible();
    await line.getByRole('button', { name: 'Ball Body' }).click();
    await page.getByRole('option', { name: 'Model' }).click();
    await page
      .getByRole('region', { name: 'Model, 60 to 120' })
      .getByRole('button', { name: /^Model:/ })
      .click();
    await page.getByRole('menuitem', { name: 'Capstan' }).click();
    await expect(page.getByRole('region', { name: 'Capstan, 60 to 120' })).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('region', { name: 'Model, 60 to 120' })).toBeVisible();
    await saved(page);
    await page.reload();
    await expect(chosen.first()).toHaveAccessibleName('Model: crate.glb', { timeout: 30_000 });
    // what is no model is refused in words, and changes nothing
    await drop(page, [['odd.stl', Buffer.from('solid odd\nfacet normal 0 0 1\nvertex 0 0')]]);
    await expect(page.getByText(/“odd.stl” is not a model that can be used/)).toBeVisible({ timeout: 30_000 });
    expect(errors).toEqual([]);
  },
);
