import { layerElements } from '../../src/core/world/layers';
import { parsePiece } from '../../src/core/world/open';
import { expect, test, type Page } from '@playwright/test';
import { conf, sources as confSources } from '../../src/core/kernel/conformance.gen';
import { RF as CF, RI as CI } from '../../src/core/kernel/scratch';
import { joinSources } from '../../src/core/kernel/kernel';
import type { Elements } from '../../src/core/elements/columns';
import { newLayer, type Layer, definitionOf, presetLayer, LAYERS } from '../../src/core/layers/kinds';
import { toDocument } from '../../src/core/piece/document';
import { PieceSchema, type Piece } from '../../src/core/piece/schema';
import { newTreatment, treatmentOf, type Treatment, TREATMENTS } from '../../src/core/treatments/kinds';
import { flowNoiseInto, type NoiseSample } from '../../src/core/noise/flow';
import { sources as flowSources } from '../../src/core/noise/flow.gen';
import { hash4 } from '../../src/core/random/hash';
import { sources as hashSources } from '../../src/core/random/hash.gen';
import { demoJson, openLab, probe } from './lab';

// Kernels are written once: what the GPU computes must be what the core computes.
test.beforeEach(async ({ page }) => openLab(page));

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

/** Where the GPU has a layer's elements: x, y, z, size of each. */
const elementsOn = (page: Page, json: unknown, id: string, phase: number): Promise<number[]> =>
  page.evaluate(
    async ([piece, layer, at]) => [...(await lab.engine.api.elements(lab.parse(piece), layer, at))].slice(0, 40_000),
    [json, id, phase] as const,
  );

/** The largest distance between both forms' positions, as a share of the extent. */
function worstOf(got: readonly number[], want: Elements): number {
  const extent = want.position.reduce((most, v) => Math.max(most, Math.abs(v)), 0);
  const checked = Math.min(10_000, want.count);
  let worst = 0;
  for (let i = 0; i < checked; i++) {
    for (let k = 0; k < 3; k++) worst = Math.max(worst, Math.abs(got[i * 4 + k] - want.position[i * 3 + k]));
    worst = Math.max(worst, Math.abs(got[i * 4 + 3] - want.size[i]));
  }
  return worst / extent;
}

for (const name of ['ropewalk-tunnel', 'slipway-spiral', 'star-wake'])
  test(`${name}: every layer stands on the GPU where the core says, within 1e-3 of its extent`, async ({ page }) => {
    const parsed = parsePiece(demoJson(name));
    if (!parsed.ok) throw new Error('demo does not read');
    for (const layer of parsed.piece.layers)
      for (const phase of [0, 0.37]) {
        const got = await elementsOn(page, demoJson(name), layer.id, phase);
        expect(worstOf(got, layerElements(parsed.piece, layer.id, phase))).toBeLessThan(1e-3);
      }
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
    for (const layer of piece.layers) {
      const got = await elementsOn(page, toDocument(piece), layer.id, 0.37);
      expect(worstOf(got, layerElements(piece, layer.id, 0.37)), layer.id).toBeLessThan(1e-3);
    }
  });

for (const route of ['ring', 'closed', 'onward'] as const)
  test(`what follows a ${route} route stands on the GPU where the core says, and is reached from it alike`, async ({
    page,
  }) => {
    const reached = { ...newTreatment('disorder', 't', 3), reach: 'route', reachInner: 0.2, reachOuter: 1.4 };
    const piece = pieceOf(
      [
        { ...newLayer('tunnel', 'way', 'Way', 1), route } as Layer,
        { ...newLayer('field', 'f', 'F', 2), shape: 'corridor', follow: 'way' } as Layer,
        { ...newLayer('copies', 'c', 'C', 3), arrangement: 'route', follow: 'way' } as Layer,
        { ...newLayer('stream', 's', 'S', 4), travels: true, follow: 'way' } as Layer,
      ].map((layer) => ({ ...layer, treatments: [reached as unknown as Treatment] })),
    );
    for (const layer of piece.layers) {
      const got = await elementsOn(page, toDocument(piece), layer.id, 0.37);
      expect(worstOf(got, layerElements(piece, layer.id, 0.37)), layer.id).toBeLessThan(1e-3);
    }
  });

test('every treatment with every reach moves elements on the GPU as in the core', async ({ page }) => {
  const reaches = ['everywhere', 'point', 'plane', 'route', 'order', 'noise'] as const;
  // one layer a treatment, reaches taken in turn; what is drawn vertex by vertex is judged by the pictures
  const layers = TREATMENTS.names
    .filter((kind) => !treatmentOf(kind).solidOnly)
    .map((kind, i): Layer => {
      const t = {
        ...newTreatment(kind, 't', 3),
        reach: reaches[i % reaches.length],
        reachOuter: 3,
        axis: 'along',
        what: 'each',
      };
      const base = newLayer(i % 2 ? 'tunnel' : 'field', `l-${kind}`, kind, 4);
      return { ...base, treatments: [t as unknown as Treatment] };
    });
  const piece = pieceOf(layers);
  for (const layer of piece.layers) {
    const got = await elementsOn(page, toDocument(piece), layer.id, 0.61);
    expect(worstOf(got, layerElements(piece, layer.id, 0.61)), layer.id).toBeLessThan(1e-3);
  }
});
