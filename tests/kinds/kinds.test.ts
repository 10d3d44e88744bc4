import { describe, expect, it, vi } from 'vitest';
import { DELIVERY } from '../../src/core/deliveries/form';
import { headingsOf, isShown } from '../../src/core/forms';
import { MemoryKept } from '../../src/export/kept/memory';
import { renderDelivery } from '../../src/export/render';
import { settingsOf } from '../../src/export/settings';
import { codecOf } from '../../src/export/codecs/registry';
import { deliveryName } from '../../src/export/queue';
import { traceOf } from '../../src/export/trace';
import { newLayer, presetLayer, LAYERS, definitionOf, type LayerKind } from '../../src/core/layers/kinds';
import { lightOf } from '../../src/core/look/lights/kinds';
import { effectOf, EFFECTS } from '../../src/core/look/effects/kinds';
import { toDocument } from '../../src/core/piece/document';
import { partsOfPiece, PieceSchema, type Piece } from '../../src/core/piece/schema';
import { retimed } from '../../src/core/piece/retime';
import { siblingOf } from '../../src/core/piece/siblings';
import { mendValues } from '../../src/core/seam/values';
import { stateReport } from '../../src/core/seam/report';
import { TREATMENTS, treatmentOf } from '../../src/core/treatments/kinds';
import { layerBatch } from '../../src/core/world/batch';
import { parsePiece } from '../../src/core/world/open';
import { stepsBelow } from '../../src/core/world/steps';
import { gripsOf } from '../../src/app/steps/build/map/handles';

// One line each: a kind that is in its list is known everywhere.
vi.mock('../../src/core/layers/list', async (list) => {
  const { beads } = await import('./beads');
  return { LIST: [...(await list<{ LIST: [] }>()).LIST, beads] };
});
vi.mock('../../src/core/treatments/list', async (list) => {
  const { hush } = await import('./hush');
  return { LIST: [...(await list<{ LIST: [] }>()).LIST, hush] };
});
vi.mock('../../src/core/look/effects/list', async (list) => {
  const { invert } = await import('./invert');
  return { LIST: [...(await list<{ LIST: [] }>()).LIST, invert] };
});
vi.mock('../../src/core/look/lights/list', async (list) => {
  const { ember } = await import('./ember');
  return { LIST: [...(await list<{ LIST: [] }>()).LIST, ember] };
});
vi.mock('../../src/core/matter/list', async (list) => {
  const { soot } = await import('./soot');
  return { LIST: [...(await list<{ LIST: [] }>()).LIST, soot] };
});
vi.mock('../../src/core/deliveries/list', async (list) => {
  const { tally } = await import('./tally');
  return { LIST: [...(await list<{ LIST: [] }>()).LIST, tally] };
});
vi.mock('../../src/export/codecs/list', async (list) => {
  const { tallyCodec } = await import('./tally');
  return { CODECS: { ...(await list<{ CODECS: object }>()).CODECS, tally: tallyCodec } };
});

const raw = (more: object = {}, dimmer: unknown = 1): object => ({
  id: 'p',
  name: 'Made up',
  lap: { frames: 48, rate: { num: 24, den: 1 } },
  layers: [{ kind: 'beads', id: 'row', name: 'Row', treatments: [{ kind: 'hush', id: 'h' }], ...more }],
  flight: {},
  look: {
    lights: [{ kind: 'ember', id: 'e', dimmer }],
    effects: [
      { kind: 'tone', id: 't' },
      { kind: 'invert', id: 'i', amount: 0.5 },
    ],
  },
});
const piece = (more: object = {}, dimmer: unknown = 1): Piece => PieceSchema.parse(raw(more, dimmer));

describe('kinds from one file each', () => {
  it('are listed, with their words, presets and rows', () => {
    expect(LAYERS.names).toContain('beads');
    expect(TREATMENTS.names).toContain('hush');
    expect(EFFECTS.names).toContain('invert');
    expect(definitionOf('beads').need).toBe('String beads');
    expect(treatmentOf('hush').label).toBe('Hush');
    expect(effectOf('invert').space).toBe('display');
    expect(lightOf('ember').label).toBe('Ember');
    expect(headingsOf(definitionOf('beads').form).map(({ label }) => label)).toEqual(['Row', 'Chance']);
    const made = presetLayer('beads' as LayerKind, 0, { id: 'a', name: 'A', seed: 4 });
    expect(made).toMatchObject({ kind: 'beads', count: 24, seed: 4 });
    expect(gripsOf(newLayer('beads' as LayerKind, 'a', 'A'))).toEqual(['move']);
  });

  it('have elements, which the treatment acts on, in an even row', () => {
    const { count, position, light } = layerBatch(piece(), 'row', 0.2);
    expect(count).toBe(12);
    const ahead = Array.from({ length: count }, (_, i) => -position[i * 3 + 2]).sort((a, b) => a - b);
    ahead.slice(1).forEach((z, i) => expect(z - ahead[i]).toBeCloseTo(8 / 12, 4));
    // not all alike: waves pass
    expect(Math.max(...light) - Math.min(...light)).toBeGreaterThan(0.2);
  });

  it('are proved at the seam, and mended by their own steps', () => {
    expect(stateReport(piece()).ok).toBe(true);
    const open = piece({ windings: 2.4 });
    const [finding] = stateReport(open).findings.filter(({ ok }) => !ok);
    expect(finding).toMatchObject({ id: 'value:layers.0.windings', repair: { value: 2 } });
    expect(stateReport(mendValues(open)).ok).toBe(true);
    // a light that comes back weaker than it was jumps
    const jumps = stateReport(piece({}, { law: 'wound', start: 1, perLap: 0.5 })).findings.filter(({ ok }) => !ok);
    expect(jumps.map(({ id }) => id)).toEqual(['value:look.lights.0.dimmer']);
  });

  it('are parts of the piece: unknown fields, retiming, siblings and documents know them', () => {
    const words = partsOfPiece(piece()).map((part) => part.words.join(' / '));
    expect(words).toEqual(expect.arrayContaining(['Row', 'Row / Hush', 'Look / Ember', 'Look / Invert']));
    const parsed = parsePiece(JSON.parse(JSON.stringify(toDocument(piece({ odd: 1 })))));
    expect(parsed).toMatchObject({ ok: true, unknown: ['layers.0.odd'] });
    expect(retimed(piece(), { ...piece().lap, frames: 96 }).layers).toEqual(piece().layers);
    const [layer] = piece().layers;
    const kin = { form: definitionOf('beads').form, steps: stepsBelow(piece(), ['layers', 0]) };
    const sibling = siblingOf(layer, kin, { seed: 3, boldness: 1 });
    expect(sibling).not.toEqual(layer);
    expect(LAYERS.schema.safeParse(sibling).success).toBe(true);
  });

  it('matter is offered where layers are made of something, with rows of its own', () => {
    const { matter } = definitionOf('copies').form.fields;
    expect(matter.control?.choices).toMatchObject({ soot: 'Soot' });
    const sooty = matter.parts?.remade?.({ kind: 'plain', rough: 0.2 }, 'soot') ?? {};
    expect(sooty).toEqual({ kind: 'soot', green: 0.2 });
    expect(Object.keys(matter.parts?.formOf(sooty).fields ?? {})).toEqual(['kind', 'green']);
    expect(LAYERS.schema.safeParse({ kind: 'copies', id: 'a', name: 'A', matter: sooty }).success).toBe(true);
  });

  it('bad values are refused by name', () => {
    const parsed = PieceSchema.safeParse(raw({ count: 0 }));
    expect(parsed.error?.issues[0]).toMatchObject({ path: ['layers', 0, 'count'] });
  });

  it('a format is offered, written, read back, and its data rate left out', async () => {
    const delivery = DELIVERY.schema.parse({ id: 'd', format: 'tally', width: 16, height: 16, last: 1 });
    expect(DELIVERY.fields.format.control?.choices).toMatchObject({ tally: 'Tally of colours' });
    expect(isShown(DELIVERY.fields.rate.control, delivery)).toBe(false);
    expect(deliveryName(piece(), delivery)).toBe('made-up-16x16-0-1.txt');
    const codec = codecOf(delivery.format);
    const settings = settingsOf(piece(), delivery);
    expect(await codec.refusal({ ...settings, frames: Array.from({ length: 101 }, (_, i) => i) })).toBe(
      'too many lines',
    );
    const progress: number[] = [];
    const { file, verified } = await renderDelivery({
      ...{ settings, codec, kept: new MemoryKept() },
      draw: (frame) =>
        Promise.resolve({ width: 16, height: 16, bytes: new Uint8Array(16 * 16 * 4).fill(3 + frame), numbers: null }),
      progress: ({ done }) => progress.push(done),
    });
    expect(verified).toMatchObject({ ok: true, frames: 2 });
    expect(progress).toEqual([0, 1, 2]);
    const traces = [3, 4].map((v) => traceOf(new Uint8Array(16 * 16 * 4).fill(v), 16, 16));
    expect(await codec.verify(file, settings, traces)).toMatchObject({ ok: true });
    expect(await codec.verify(file, settings, [traces[1], traces[0]])).toMatchObject({ ok: false });
  });
});
