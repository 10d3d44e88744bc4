import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { build, type Rollup } from 'vite';
import { DOCUMENT_VERSION } from '../../src/core/piece/schema';

declare global {
  // what tests/kinds/page.ts puts on its window
  var drawn: (json: unknown) => number[];
}

/** The lists of kinds, and what stands in for each: the same with the made-up kinds of tests/kinds. */
const LISTS: Record<string, string> = {
  'src/core/layers/kinds.ts': 'layers',
  'src/core/treatments/kinds.ts': 'treatments',
  'src/core/look/effects/kinds.ts': 'effects',
  'src/engine/effects/programs.ts': 'programs',
  'src/core/look/lights/kinds.ts': 'lights',
  'src/core/matter/kinds.ts': 'matter',
  'src/engine/matter/program.ts': 'matterPrograms',
  'src/engine/lights/program.ts': 'lightPrograms',
};

async function bundle(): Promise<string> {
  const output = (await build({
    root: process.cwd(),
    configFile: false,
    logLevel: 'error',
    worker: { format: 'es' },
    plugins: [
      {
        name: 'made-up-kinds',
        enforce: 'pre',
        resolveId(source, importer = '') {
          const list = Object.keys(LISTS).find((file) => importer.endsWith(file));
          return source === './list' && list ? join(process.cwd(), 'tests/kinds/lists', `${LISTS[list]}.ts`) : null;
        },
      },
    ],
    build: { write: false, minify: false, lib: { entry: 'tests/kinds/page.ts', formats: ['iife'], name: 'page' } },
  })) as Rollup.RollupOutput[];
  return output[0].output[0].code;
}

const document = (layers: object[], effects: object[], lights: object[]): unknown => ({
  format: 'isomorph',
  version: DOCUMENT_VERSION,
  piece: {
    id: 'p',
    name: 'Made up',
    lap: { frames: 48, rate: { num: 24, den: 1 } },
    layers,
    flight: { aside: 0.4, above: 0.3 },
    look: {
      background: '#000000',
      backgroundEdge: '#000000',
      fogColour: '#000000',
      lights,
      effects: [{ kind: 'tone', id: 't' }, ...effects],
    },
  },
});
const row = (more: object = {}): object => ({ kind: 'beads', id: 'row', name: 'Row', ...more });

test('a made-up layer, treatment, effect, light and matter, from one file each, are drawn', async ({ page }) => {
  // its engine is made into one file first
  await page.goto('about:blank');
  await page.addScriptTag({ content: await bundle() });
  const bytes = (layers: object[], effects: object[] = [], lights: object[] = []): Promise<number[]> =>
    page.evaluate((json) => globalThis.drawn(json), document(layers, effects, lights));
  const sum = (picture: readonly number[]): number => picture.reduce((all, v, i) => (i % 4 === 3 ? all : all + v), 0);
  const nothing = await bytes([]);
  const beads = await bytes([row()]);
  expect(sum(nothing)).toBe(0);
  expect(sum(beads)).toBeGreaterThan(1000);
  // waves of it pass along the row
  const hushed = await bytes([row({ treatments: [{ kind: 'hush', id: 'h' }] })]);
  const lit = beads.filter((v, i) => v > 20 && i % 4 !== 3).length;
  const changed = hushed.filter((v, i) => Math.abs(v - beads[i]) > 3).length;
  expect(changed).toBeGreaterThan(lit / 4);
  const inverted = await bytes([row()], [{ kind: 'invert', id: 'i' }]);
  const off = inverted.map((v, i) => (i % 4 === 3 ? 0 : Math.abs(v - (255 - beads[i]))));
  expect(Math.max(...off)).toBeLessThanOrEqual(1);
  // bodies that nothing lights are black; in the glow of embers they are red, and twice as bright under two
  const boxes = [{ kind: 'copies', id: 'boxes', name: 'Boxes', size: 0.6, matter: { kind: 'plain', rough: 1 } }];
  const lights = (count: number): object[] =>
    Array.from({ length: count }, (_, i) => ({ kind: 'ember', id: `ember-${i}`, strength: 0.1 }));
  const channel = (picture: readonly number[], k: number): number =>
    picture.reduce((all, v, i) => (i % 4 === k ? all + v : all), 0);
  const [dark, one, two] = [await bytes(boxes), await bytes(boxes, [], lights(1)), await bytes(boxes, [], lights(2))];
  expect(channel(dark, 0)).toBe(0);
  expect(channel(one, 0)).toBeGreaterThan(1000);
  expect(channel(one, 2)).toBeLessThan(channel(one, 0) / 20);
  expect(channel(two, 0)).toBeGreaterThan(channel(one, 0) * 1.2);
  // of made-up matter they are green in any light
  const sooty = await bytes([{ ...boxes[0], matter: { kind: 'soot', green: 0.5 } }], [], lights(1));
  expect(channel(sooty, 0)).toBe(0);
  expect(channel(sooty, 1)).toBeGreaterThan(1000);
});
