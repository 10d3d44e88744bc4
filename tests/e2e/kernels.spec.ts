import { layerBatch } from '../../src/core/world/batch';
import { layerElements, pipelineOf } from '../../src/core/world/layers';
import { parsePiece } from '../../src/core/world/open';
import { expect, type Page } from '@playwright/test';
import { conf, sources as confSources } from '../../src/core/kernel/conformance.gen';
import { RF as CF, RI as CI } from '../../src/core/kernel/scratch';
import { FilledTable, joinSources } from '../../src/core/kernel/kernel';
import type { Elements } from '../../src/core/elements/columns';
import { newLayer, type Layer, definitionOf, presetLayer, LAYERS } from '../../src/core/layers/kinds';
import { toDocument } from '../../src/core/piece/document';
import { PieceSchema, type Piece } from '../../src/core/piece/schema';
import { newTreatment, treatmentOf, TREATMENTS } from '../../src/core/treatments/kinds';
import { flowNoiseInto, type NoiseSample } from '../../src/core/noise/flow';
import { sources as flowSources } from '../../src/core/noise/flow.gen';
import { cellNoise } from '../../src/core/noise/cells';
import { sources as cellSources } from '../../src/core/noise/cells.gen';
import { hash4 } from '../../src/core/random/hash';
import { sources as hashSources } from '../../src/core/random/hash.gen';
import { sources as frameSources } from '../../src/core/time/frameInLap.gen';
import { takeStock, takeStockModels } from '../stock';
import { demoJson, probe, test } from './lab';

// Kernels are written once: what the GPU computes must be what the core computes.
test.beforeAll(async () => {
  takeStock();
  await takeStockModels();
});

test('frames of any lap are those of the first, also before it', async ({ page }) => {
  const [count, frames] = [40_000, 288];
  // of both signs, and of laps that are as long as they may be
  const body = `int at = (int(id) - ${count / 2}) * 5; integers = true;
    bits = uvec4(uint(frameInLap(at, ${frames})), uint(frameInLap(at, 1)), uint(frameInLap(at, 99999)), 0u);`;
  const bits = new Uint32Array(await probe(page, joinSources(frameSources), body, count));
  let different = 0;
  for (let i = 0; i < count; i++) {
    const at = (i - count / 2) * 5;
    for (const [k, lap] of [frames, 1, 99_999].entries()) if (bits[i * 4 + k] !== ((at % lap) + lap) % lap) different++;
  }
  expect(different).toBe(0);
});

test('131 072 hashes are the same bits on the GPU', async ({ page }) => {
  const count = 131_072;
  const bits = new Uint32Array(
    await probe(
      page,
      joinSources(hashSources),
      'integers = true; bits = pcg4d(uvec4(id, id * 2654435769u, 3u, 7u));',
      count,
    ),
  );
  let different = 0;
  for (let i = 0; i < count; i++) {
    const want = hash4(i, Math.imul(i, 2654435769) >>> 0, 3, 7);
    for (let k = 0; k < 4; k++) if (bits[i * 4 + k] !== want[k]) different++;
  }
  expect(different).toBe(0);
});

test('131 072 samples of cell noise agree: distances within 1e-5, and whose cell it is but for ties', async ({
  page,
}) => {
  const count = 131_072;
  const body = `
    vec3 p = vec3(float(id % 97u) * 0.371 - 11.0, float((id / 97u) % 89u) * 0.293, float(id) * 0.00171);
    vec3 first;
    vec3 second;
    float own = cellNoise(p, ivec3(12, 9, 16), 5u, float(id % 53u) / 53.0, 4, CELLS_ALL, first, second);
    result = vec4(own, length(first), length(second), 0.0);`;
  const got = new Float32Array(await probe(page, joinSources(cellSources), body, count));
  let [worst, others] = [0, 0];
  for (let i = 0; i < count; i++) {
    const at = [
      (i % 97) * Math.fround(0.371) - 11,
      (Math.floor(i / 97) % 89) * Math.fround(0.293),
      i * Math.fround(0.00171),
    ] as const;
    const { own, nearest, next } = cellNoise(at, (i % 53) / 53, 4, [12, 9, 16], 5);
    worst = Math.max(worst, Math.abs(got[4 * i + 1] - nearest), Math.abs(got[4 * i + 2] - next));
    if (Math.abs(got[4 * i] - own) > 1e-6) others++;
  }
  console.log(`cell noise: ${worst.toExponential(1)} apart at most, ${others} of ${count} in another cell`);
  expect(worst).toBeLessThan(5e-5);
  expect(others).toBeLessThan(count * 1e-4);
});

const seeded = (x: number, y: number, z: number, lap: number): NoiseSample => {
  const out = { value: 0, gx: 0, gy: 0, gz: 0 };
  flowNoiseInto(out, x, y, z, lap, 4, [12, 9, 16], 5);
  return out;
};

test('131 072 noise samples and their gradients agree within 1e-4 of the range', async ({ page }) => {
  const count = 131_072;
  const body = `
    vec3 p = vec3(float(id % 97u) * 0.371 - 11.0, float((id / 97u) % 89u) * 0.293, float(id) * 0.00171);
    vec3 grad;
    float v = flowNoise(p, ivec3(12, 9, 16), 5u, float(id % 53u) / 53.0, 4, grad);
    result = vec4(v, grad);`;
  const got = new Float32Array(await probe(page, joinSources(flowSources), body, count));
  let worst = 0;
  for (let i = 0; i < count; i++) {
    const [x, y, z] = [
      (i % 97) * Math.fround(0.371) - 11,
      (Math.floor(i / 97) % 89) * Math.fround(0.293),
      i * Math.fround(0.00171),
    ].map(Math.fround);
    const want = seeded(x, y, z, Math.fround((i % 53) / 53));
    worst = Math.max(worst, Math.abs(got[i * 4] - want.value) / 2, Math.abs(got[i * 4 + 1] - want.gx) / 10);
  }
  expect(worst).toBeLessThan(1e-4);
});

test('the whole kernel language means the same on both sides', async ({ page }) => {
  const count = 20_000;
  const floats = new Float32Array(
    await probe(
      page,
      joinSources(confSources),
      'vec4 a; vec4 b; uvec4 c; ivec4 d; conf(id, a, b, c, d); result = id % 2u == 0u ? a : b;',
      count,
    ),
  );
  const ints = new Uint32Array(
    await probe(
      page,
      joinSources(confSources),
      'vec4 a; vec4 b; uvec4 c; ivec4 d; conf(id, a, b, c, d); integers = true; bits = id % 2u == 0u ? c : uvec4(d);',
      count,
    ),
  );
  let worst = 0;
  let different = 0;
  for (let i = 0; i < count; i++) {
    conf(i);
    for (let k = 0; k < 4; k++) {
      const want = CF[(i % 2) * 4 + k];
      const error = Math.abs(floats[i * 4 + k] - want) / Math.max(1, Math.abs(want));
      // a sample may sit on a discontinuity (floor, step): those few are counted, not measured
      if (error > 0.01) different++;
      else worst = Math.max(worst, error);
      if (ints[i * 4 + k] !== CI[(i % 2) * 4 + k] >>> 0) different++;
    }
  }
  expect(worst).toBeLessThan(1e-3);
  expect(different / (count * 8)).toBeLessThan(1e-3);
});

/** Elements that are compared of a layer at most. */
const MOST = 4000;

/** A layer's elements as the GPU has them: see Renderer.readElements. */
const elementsOn = (page: Page, json: unknown, id: string, phase: number): Promise<number[][]> =>
  page.evaluate(
    async ([piece, layer, at, most]) =>
      (await lab.engine.api.elements(lab.parse(piece), layer, at)).map((list) => [...list].slice(0, most * 4)),
    [json, id, phase, MOST] as const,
  );

/** How far both forms of a layer's elements are apart at most, by what of them; each as a share of its own size. */
function apart(piece: Piece, layer: Layer, phase: number, [place, look, turn, mark]: readonly number[][]) {
  const want: Elements = layerElements(piece, layer.id, phase);
  const batch = layerBatch(piece, layer.id, phase);
  const bodies = definitionOf(layer.kind).bodies?.(layer) === true;
  const count = Math.min(MOST, want.count);
  const most = (list: Float64Array): number => list.reduce((far, v) => Math.max(far, Math.abs(v)), 1e-6);
  const [extent, largest] = [most(want.position), most(want.size)];
  const brightest = Math.max(1e-6, ...Array.from({ length: count }, (_, i) => want.light[i]));
  const worst = { position: 0, size: 0, light: 0, fade: 0, rotation: 0, order: 0, key: 0 };
  const note = (of: keyof typeof worst, off: number): void => void (worst[of] = Math.max(worst[of], off));
  for (let i = 0; i < count; i++) {
    for (let k = 0; k < 3; k++) {
      note('position', Math.abs(place[i * 4 + k] - want.position[i * 3 + k]) / extent);
      // bodies that are partly there are drawn in that share of the passes, not dimmer
      const shown = look[i * 4 + k] * (bodies ? want.fade[i] : 1);
      note('light', Math.abs(shown - batch.color[i * 3 + k] * want.light[i]) / brightest);
    }
    note('size', Math.abs(place[i * 4 + 3] - want.size[i]) / largest);
    note('fade', Math.abs(look[i * 4 + 3] - want.fade[i]));
    if (!turn) continue;
    const q = [0, 1, 2, 3].map((k) => want.rotation[i * 4 + k]);
    const along = q.reduce((sum, v, k) => sum + v * turn[i * 4 + k], 0);
    note('rotation', Math.max(...q.map((v, k) => Math.abs(v * Math.sign(along || 1) - turn[i * 4 + k]))));
    note('order', Math.abs(mark[i * 4 + 1] - want.order[i]));
    note('key', Math.abs(mark[i * 4] - want.key[i]));
  }
  return worst;
}

/** Everything of a layer's elements is the same on both sides. */
async function expectSame(page: Page, piece: Piece, layer: Layer, phase: number): Promise<void> {
  const worst = apart(piece, layer, phase, await elementsOn(page, toDocument(piece), layer.id, phase));
  const off = Object.entries(worst).filter(([of, by]) => !(by < (of === 'light' ? 4e-3 : 1e-3)));
  expect(off, `${layer.id} at ${phase}`).toEqual([]);
}

for (const name of ['ropewalk-tunnel', 'slipway-spiral', 'star-wake'])
  test(`${name}: every layer stands on the GPU where the core says, within 1e-3 of its extent`, async ({ page }) => {
    const parsed = parsePiece(demoJson(name));
    if (!parsed.ok) throw new Error('demo does not read');
    for (const layer of parsed.piece.layers)
      for (const phase of [0, 0.37]) await expectSame(page, parsed.piece, layer, phase);
  });

const few: Record<string, object> = { field: { count: 600 }, plants: { count: 200 }, stream: { rate: 20 } };
const pieceOf = (layers: Layer[]): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'Test',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    layers: layers.map((layer) => ({ ...layer, ...few[layer.kind] })),
    flight: { yaw: 20 },
    look: {},
  });

for (const kind of LAYERS.names)
  test(`${kind}: every preset stands on the GPU where the core says`, async ({ page }) => {
    const piece = pieceOf(
      definitionOf(kind).presets.map((_, i) => presetLayer(kind, i, { id: `l${i}`, name: 'One', seed: 5 })),
    );
    for (const layer of piece.layers) await expectSame(page, piece, layer, 0.37);
  });

for (const route of ['ring', 'closed', 'onward'] as const)
  test(`what follows a ${route} route stands on the GPU where the core says, and is reached from it alike`, async ({
    page,
  }) => {
    const reached = newTreatment('disorder', 't', 3, { reach: 'route', reachInner: 0.2, reachOuter: 1.4 });
    const piece = pieceOf(
      [
        { ...newLayer('tunnel', 'way', 'Way', 1), route } as Layer,
        { ...newLayer('field', 'f', 'F', 2), shape: 'corridor', follow: 'way' } as Layer,
        { ...newLayer('copies', 'c', 'C', 3), arrangement: 'route', follow: 'way' } as Layer,
        { ...newLayer('stream', 's', 'S', 4), travels: true, follow: 'way' } as Layer,
      ].map((layer) => ({ ...layer, treatments: [reached] })),
    );
    for (const layer of piece.layers) await expectSame(page, piece, layer, 0.37);
  });

test('noise read from a table of the moment is the hashed noise on the GPU, within 1e-6 of the extent', async ({
  page,
}) => {
  const air = newTreatment('drift', 't', 3, { octaves: 3, amount: 2, gathers: 'threads' });
  const fieldOf = (count: number): Piece => {
    const layer = { ...newLayer('field', 'f', 'F', 2), placeBy: 'noise', count, treatments: [air] } as Layer;
    return PieceSchema.parse({ ...pieceOf([]), layers: [layer] });
  };
  const held = (piece: Piece): number[] =>
    pipelineOf(piece, piece.layers[0], 1).element.flatMap(({ values }) =>
      Object.values(values(0.37)).flatMap((value) => (value instanceof FilledTable ? value.entries : [])),
    );
  const [many, hashed] = [fieldOf(60_000), fieldOf(40)];
  // place, all octaves of the air and what gathers are tables of the one, and of the other nothing is
  expect(held(many).filter((entries) => entries > 0)).toHaveLength(3);
  expect(held(hashed).every((entries) => entries === 0)).toBe(true);
  const [[place, look], [hashedPlace, hashedLook]] = await Promise.all(
    [many, hashed].map((piece) => elementsOn(page, toDocument(piece), 'f', 0.37)),
  );
  const extent = Math.max(...hashedPlace.map(Math.abs));
  for (let i = 0; i < 160; i++) {
    expect(Math.abs(place[i] - hashedPlace[i]) / extent).toBeLessThan(1e-6);
    expect(Math.abs(look[i] - hashedLook[i])).toBeLessThan(1e-6);
  }
});

test('places on a gradient by cells, and by their edges, are on the GPU as in the core', async ({ page }) => {
  const layers = (['copies', 'field', 'ground', 'tunnel'] as const).flatMap((kind) =>
    ['cells', 'edges'].map(
      (placeBy): Layer => ({ ...newLayer(kind, `${kind}-${placeBy}`, kind, 4), placeBy }) as Layer,
    ),
  );
  const piece = pieceOf(layers);
  for (const layer of piece.layers) await expectSame(page, piece, layer, 0.37);
});

// what is drawn vertex by vertex is judged by the pictures, and says so here
const SKIPPED = TREATMENTS.names.filter((kind) => treatmentOf(kind).solidOnly);
test(`treatments that break bodies are the only ones left out here: ${SKIPPED.join(', ')}`, () => {
  expect(SKIPPED).toEqual(['shatter']);
});

for (const reach of ['everywhere', 'point', 'plane', 'route', 'order', 'noise', 'cells'] as const)
  test(`every treatment that reaches ${reach} acts on the GPU as in the core`, async ({ page }) => {
    const layers = TREATMENTS.names
      .filter((kind) => !SKIPPED.includes(kind))
      .map((kind, i): Layer => {
        const more = { reach, reachOuter: 3, axis: 'along', what: 'each', on: 'land', leans: 0.7 };
        const base = newLayer(i % 2 ? 'copies' : 'field', `l-${kind}`, kind, 4);
        return { ...base, treatments: [newTreatment(kind, 't', 3, more)] };
      });
    const land = newLayer('ground', 'land', 'Land', 4);
    const piece = pieceOf([...layers, land]);
    for (const layer of piece.layers) await expectSame(page, piece, layer, 0.61);
  });
