import { mendValues } from '../seam/values';
import { stateReport } from '../seam/report';
import { FLIGHT, FLIGHT_HEADINGS } from '../flight/form';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { effectOf, newEffect } from '../look/effects/kinds';
import type { Reaching } from '../look/effects/reach';
import { stepsBelow } from '../world/steps';
import { definitionOf, presetLayer, LAYERS, type Layer } from '../layers/kinds';
import { siblingOf, type Kin } from './siblings';
import { PieceSchema, type Piece } from './schema';

const presets = LAYERS.names.flatMap((kind) =>
  definitionOf(kind).presets.map(({ label }, index) => [`${kind}: ${label}`, kind, index] as const),
);
const few: Record<string, object> = { field: { count: 200 }, plants: { count: 60 }, ground: { rows: 8 } };
/** What stands once closes only when the camera comes back to it. */
const stays = (layer: Layer): boolean =>
  layer.once || (layer.kind === 'tunnel' && ['ring', 'closed'].includes(layer.route));
const pieceWith = (layer: Layer): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'Test',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    layers: [{ ...layer, ...few[layer.kind] }],
    flight: { route: { kind: 'run', tilesPerLap: stays(layer) ? 0 : 1 } },
    look: {},
  });
const failures = (piece: Piece): string[] =>
  stateReport(piece)
    .findings.filter(({ ok }) => !ok)
    .map((f) => `${f.subject}: ${f.says}`);

const kinOf = (layer: Layer): Kin => ({
  form: definitionOf(layer.kind).form,
  steps: stepsBelow(pieceWith(layer), ['layers', 0]),
});

describe('presets', () => {
  it.each(presets)('%s is legal and closes', (_, kind, index) => {
    const layer = presetLayer(kind, index, { id: 'one', name: 'One', seed: 3 });
    expect(layer.kind).toBe(kind);
    expect(failures(pieceWith(layer))).toEqual([]);
  });
});

describe('siblings', () => {
  it.each(presets)('%s: near and bold ones are legal and still close', (_, kind, index) => {
    const layer = presetLayer(kind, index, { id: 'one', name: 'One', seed: 3 });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), fc.constantFrom(0.3, 1), (seed, boldness) => {
        const sibling = siblingOf(layer, kinOf(layer), { seed, boldness });
        expect(sibling.id).toBe('one');
        // another body or another number of sides may close in other steps: values are brought to those
        expect(failures(mendValues(pieceWith(sibling)))).toEqual([]);
      }),
      { numRuns: 4 },
    );
  });

  it('the same wander gives the same sibling, another one another', () => {
    const layer = presetLayer('field', 0, { id: 'one', name: 'One', seed: 3 });
    const kin = kinOf(layer);
    const at = (seed: number) => siblingOf(layer, kin, { seed, boldness: 0.6 });
    expect(at(1)).toEqual(at(1));
    expect(at(1)).not.toEqual(at(2));
  });

  it('treatments wander too, their kinds and order stay', () => {
    const layer = presetLayer('tunnel', 0, { id: 'one', name: 'One', seed: 3 });
    const bold = Array.from({ length: 8 }, (_, seed) => siblingOf(layer, kinOf(layer), { seed, boldness: 1 }));
    for (const { treatments } of bold)
      expect(treatments.map(({ kind, id }) => [kind, id])).toEqual(layer.treatments.map(({ kind, id }) => [kind, id]));
    expect(new Set(bold.map(({ treatments }) => JSON.stringify(treatments))).size).toBeGreaterThan(4);
    expect(bold.every((one) => one.kind === 'tunnel' && layer.kind === 'tunnel' && one.route === layer.route)).toBe(
      true,
    );
  });

  it('bolder ones go farther', () => {
    const layer = presetLayer('tunnel', 0, { id: 'one', name: 'One', seed: 3 });
    const kin = kinOf(layer);
    const distance = (boldness: number): number => {
      let sum = 0;
      for (let seed = 0; seed < 40; seed++) {
        const { nested, rings, width } = siblingOf(layer, kin, { seed, boldness }) as typeof layer & {
          nested: number;
          rings: number;
          width: number;
        };
        sum += Math.abs(Math.log(rings / 24)) + Math.abs(Math.log(width / 0.012)) + Math.abs(nested - 0.82);
      }
      return sum;
    };
    expect(distance(1)).toBeGreaterThan(2 * distance(0.25));
  });

  it('keeps to one group when asked to', () => {
    const flight = FLIGHT.schema.parse({});
    const moved = siblingOf(
      flight,
      { form: FLIGHT, steps: () => ({}), groups: [FLIGHT_HEADINGS.lens] },
      { seed: 4, boldness: 1 },
    );
    expect(moved.route).toEqual(flight.route);
    expect(moved.yaw).toBe(flight.yaw);
    expect(moved).not.toEqual(flight);
  });
});

describe('siblings of an effect', () => {
  it('leave when and where it acts', () => {
    const grade = { ...newEffect('grade', 'g'), acts: 'stretch', from: 7, to: 30, mask: 'ellipse', maskWide: 0.4 };
    const kin: Kin = { form: effectOf('grade').form, steps: () => ({}) };
    const all = Array.from({ length: 20 }, (_, seed) => siblingOf(grade, kin, { seed, boldness: 1 }));
    for (const sibling of all) {
      const { acts, from, to, fadeIn, mask, maskWide, maskTurned } = grade as typeof grade & Reaching;
      expect(sibling).toMatchObject({ acts, from, to, fadeIn, mask, maskWide, maskTurned });
      expect(sibling).not.toEqual(grade);
    }
  });
});
