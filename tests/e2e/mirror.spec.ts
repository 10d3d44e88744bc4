import { expect, type Page } from '@playwright/test';
import { newLight } from '../../src/core/look/lights/kinds';
import { MATTER, newMatter } from '../../src/core/matter/kinds';
import { redOf, test } from './lab';

// What a flat ground mirrors, against the same things drawn once more beneath it: a perfect mirror shows nothing else.

const SIZE = { width: 320, height: 180 };
const LEVEL = -1;
const ABOVE = 0.1;

const SHADES = [
  { at: 0, colour: '#ffffff' },
  { at: 1, colour: '#803020' },
];

const WHITE = [{ at: 0, colour: '#ffffff' }];

const balls = (id: string, above: number, more: object = {}): object => ({
  ...{
    id,
    name: id,
    kind: 'copies',
    arrangement: 'line',
    count: 7,
    heading: 24,
    source: 'sphere',
    size: 0.7,
    detail: 4,
  },
  ...{
    variation: 0,
    once: true,
    ahead: 7,
    aside: -0.4,
    above,
    matter: { kind: 'emission' },
    gradient: SHADES,
    placeBy: 'order',
  },
  ...more,
});
const water = (more: object = {}): object => ({
  ...{
    id: 'water',
    name: 'Water',
    kind: 'ground',
    surface: 'water',
    mirrors: 'all',
    above: LEVEL,
    width: 200,
    ripple: 0,
  },
  ...{ matter: { kind: 'plain', rough: 0.02, metal: 1 }, gradient: WHITE },
  ...more,
});
const pieceOf = (layers: object[], flight: object = {}, look: object = {}): object => ({
  ...{ id: 'mirror', name: 'Mirror', lap: { frames: 100, rate: { num: 25, den: 1 } }, tile: 20, layers },
  flight: {
    ...{ route: { kind: 'run', tilesPerLap: 0 }, pitch: -14, focalMm: 24, fNumber: 64, focusM: 5, shutterDeg: 0 },
    ...flight,
  },
  look: {
    ...{
      background: '#000000',
      backgroundEdge: '#000000',
      lights: [],
      effects: [{ kind: 'tone', id: 'tone' }],
      fogDistance: 1000,
      fogColour: '#000000',
      reach: 90,
    },
    ...look,
  },
});

const lightOf = (page: Page, piece: object, passes: number): Promise<number[]> => redOf(page, piece, SIZE, passes);
const decibels = (a: readonly number[], b: readonly number[]): number =>
  -10 * Math.log10(a.reduce((sum, v, i) => sum + (v - b[i]) ** 2, 0) / a.length);

interface Case {
  passes?: number;
  flight?: object;
  look?: object;
  level?: number;
}
const CASES: Record<string, Case> = {
  sharp: {},
  'in one pass': { passes: 1 },
  'out of focus': { flight: { fNumber: 0.5, focusM: 2.5, focalMm: 40 } },
  'in fog': { look: { fogDistance: 6, fogStart: 2, fogColour: '#2a2018' } },
  'without perspective, from the side': { flight: { lens: 'orthographic', widthM: 6, pitch: -30, yaw: 8 } },
  'from beneath': { flight: { pitch: 14 }, level: 1.2 },
  'on its way while the shutter is open': { flight: { shutterDeg: 360, route: { kind: 'run', tilesPerLap: 1 } } },
};
for (const [what, { passes = 16, flight, look, level = LEVEL }] of Object.entries(CASES))
  test(`what is mirrored is what is there beneath: ${what}`, async ({ page }) => {
    const beneath = balls('b', 2 * level - ABOVE);
    const mirror = await lightOf(page, pieceOf([balls('a', ABOVE), water({ above: level })], flight, look), passes);
    const twice = await lightOf(page, pieceOf([balls('a', ABOVE), beneath], flight, look), passes);
    // only where there are balls all over: elsewhere there is fog before the water, and none where there is no water
    const whole = await lightOf(page, pieceOf([{ ...beneath, gradient: WHITE }], flight), passes);
    const places = [...whole.keys()].filter((i) => !look || whole[i] > 0.95);
    expect(whole.filter((v) => v > 0.95).length).toBeGreaterThan(500);
    const at = (light: readonly number[]): number[] => places.map((i) => light[i]);
    expect(decibels(at(mirror), at(twice))).toBeGreaterThan(passes === 1 ? 30 : 40);
  });

const lamps = (id: string, above: number): object => ({
  ...{ id, name: id, kind: 'field', shape: 'box', width: 6, height: 0.01, depth: 6, ahead: 6, above, count: 60 },
  ...{ size: 0.09, variation: 0, softness: 0.5, light: 1.5, glint: 0, seed: 4, once: true, gradient: WHITE },
});
const nets = (id: string, above: number): object => ({
  ...{ id, name: id, kind: 'links', form: 'globe', slices: 8, stacks: 6, width: 1.6, height: 1.6, depth: 1.6, above },
  ...{ jitter: 0, size: 0, distance: 0.9, thickness: 0.02, light: 1, linkGradient: WHITE, once: true, ahead: 5 },
});
const LIGHT: Record<string, Case & { of(id: string, above: number): object }> = {
  particles: { of: lamps },
  'particles out of focus, through three blades': {
    of: lamps,
    flight: { fNumber: 0.5, focusM: 2.5, focalMm: 40, blades: 3, bladeTurn: 20 },
  },
  'particles in fog': { of: lamps, look: { fogDistance: 6, fogStart: 2, fogColour: '#000000' } },
  'particles that pass while the shutter is open': {
    of: lamps,
    flight: { shutterDeg: 360, route: { kind: 'run', tilesPerLap: 1 } },
  },
  'a net': { of: nets },
  'a net out of focus': { of: nets, flight: { fNumber: 0.5, focusM: 2.5, focalMm: 40 } },
};
for (const [what, { of, flight, look, level = LEVEL }] of Object.entries(LIGHT))
  test(`added light is mirrored as it is there beneath: ${what}`, async ({ page }) => {
    const twice = await lightOf(page, pieceOf([of('a', ABOVE), of('b', 2 * level - ABOVE)], flight, look), 16);
    const mirror = await lightOf(page, pieceOf([of('a', ABOVE), water({ above: level })], flight, look), 16);
    const alone = await lightOf(page, pieceOf([of('a', ABOVE)], flight, look), 16);
    // beside the things themselves, of which water hides a part
    const places = [...twice.keys()].filter((i) => alone[i] < 0.01);
    const at = (light: readonly number[]): number[] => places.map((i) => light[i]);
    expect(at(twice).filter((v) => v > 0.1).length).toBeGreaterThan(500);
    expect(decibels(at(mirror), at(twice))).toBeGreaterThan(35);
    expect(decibels(at(alone), at(twice))).toBeLessThan(26);
  });

test('what is beneath a mirror is not mirrored, and what goes through it as far as it is above', async ({ page }) => {
  const alone = await lightOf(page, pieceOf([water()]), 16);
  expect(Math.max(...alone)).toBe(0);
  const under = LEVEL - 1.2;
  const sunk = await lightOf(page, pieceOf([balls('a', under), lamps('l', under), nets('n', under), water()]), 16);
  expect(Math.max(...sunk)).toBe(0);
  // half of it is above: with its image it is whole
  const half = await lightOf(page, pieceOf([balls('a', LEVEL), water()]), 16);
  const whole = await lightOf(page, pieceOf([balls('a', LEVEL)]), 16);
  expect(decibels(half, whole)).toBeGreaterThan(34);
});

test('a rough floor blurs what it mirrors by how far away that is', async ({ page }) => {
  const wall = {
    ...{ id: 'wall', name: 'Wall', kind: 'copies', arrangement: 'line', count: 1, source: 'box', size: 4, bevel: 0 },
    ...{
      variation: 0,
      once: true,
      ahead: 9,
      aside: 2,
      above: LEVEL + 2,
      matter: { kind: 'emission' },
      gradient: WHITE,
    },
  };
  const floor = water({ matter: { kind: 'plain', rough: 0.3, metal: 1 } });
  const light = await lightOf(
    page,
    pieceOf([wall, floor], { lens: 'orthographic', widthM: 8, pitch: -30, above: 3.6 }),
    16,
  );
  const row = (y: number): number[] => light.slice(y * SIZE.width, (y + 1) * SIZE.width);
  // the wall's left edge in its image, from a fifth of its light to four fifths
  const wide = (y: number): number => {
    const values = row(y);
    const most = Math.max(...values);
    const past = (share: number): number => values.findIndex((v) => v > share * most);
    return past(0.8) - past(0.2);
  };
  // the line that its foot is on is a row of the picture; from there its image is as much farther away as it is farther down
  const foot = SIZE.height / 2 + Math.round(40 * ((LEVEL - 3.6) * Math.cos(Math.PI / 6) + 7 * Math.sin(Math.PI / 6)));
  const [near, far] = [wide(foot - 14), wide(foot - 56)];
  expect(near).toBeGreaterThan(0);
  expect(far / near).toBeGreaterThan(2);
  expect(far / near).toBeLessThan(8);
});

test('hills mirror nothing but the sky, and say so by being the same', async ({ page }) => {
  const hills = (mirrors: string): object =>
    water({ surface: 'land', relief: 0.4, rows: 24, mirrors, matter: { kind: 'plain', rough: 0.1, metal: 1 } });
  const [all, sky] = [
    await lightOf(page, pieceOf([balls('a', ABOVE), hills('all')]), 4),
    await lightOf(page, pieceOf([balls('a', ABOVE), hills('sky')]), 4),
  ];
  expect(all).toEqual(sky);
});

test('a ground of any matter is drawn, whether it mirrors or not', async ({ page }) => {
  const errors: string[] = [];
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text().slice(0, 200)));
  const of = (layers: object[]): Promise<number[]> =>
    lightOf(page, pieceOf(layers, {}, { lights: [newLight('surroundings', 'around')] }), 1);
  const bare = await of([balls('a', ABOVE)]);
  for (const kind of MATTER.names)
    for (const mirrors of ['sky', 'all']) {
      const ground = water({ surface: 'land', relief: 0, rows: 4, mirrors, matter: newMatter(kind) });
      expect(await of([balls('a', ABOVE), ground]), `${kind}, ${mirrors}`).not.toEqual(bare);
    }
  expect(errors).toEqual([]);
});
