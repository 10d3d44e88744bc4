import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parsePiece } from '../piece/document';
import { PieceSchema, type Piece } from '../piece/schema';
import { layerBatch, layerElements } from './batch';
import { layerContext, layerExtent } from './context';
import { definitionOf, layerKinds, newLayer, type Layer } from './registry';

const pieceWith = (layer: Partial<Layer> & { kind: Layer['kind'] }, more: object = {}): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'Test',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    tile: 8,
    layers: [{ ...newLayer(layer.kind, 'one', 'One', 5), ...layer }],
    flight: {},
    look: {},
    ...more,
  });
const demo = (name: string): Piece => {
  const parsed = parsePiece(JSON.parse(readFileSync(`demo/${name}.isomorph.json`, 'utf8')));
  if (!parsed.ok) throw new Error('demo does not read');
  return parsed.piece;
};

describe('particle field', () => {
  it('the first k of N are the same particles whatever N: working and final count show one composition', () => {
    const few = layerElements(pieceWith({ kind: 'field', count: 4000 }), 'one', 0.3, 0.25);
    const many = layerElements(pieceWith({ kind: 'field', count: 4000 }), 'one', 0.3);
    expect(few.count).toBe(1000);
    expect(many.position.subarray(0, 3000)).toEqual(few.position);
    expect(many.size.subarray(0, 1000)).toEqual(few.size);
  });

  it('a corridor stays clear for the camera', () => {
    const { position, count } = layerElements(
      pieceWith({ kind: 'field', shape: 'corridor', width: 4, height: 4, hollow: 0.4, count: 5000 }),
      'one',
      0,
    );
    for (let i = 0; i < count; i++) {
      const r = Math.hypot(position[i * 3], position[i * 3 + 1]);
      expect(r).toBeGreaterThanOrEqual(0.4 * 2 - 1e-5);
      expect(r).toBeLessThanOrEqual(2 + 1e-5);
    }
  });

  it.each(['box', 'ball', 'shell', 'disc', 'corridor'] as const)('a %s fills its volume evenly', (shape) => {
    const { position, count } = layerElements(
      pieceWith({ kind: 'field', shape, width: 2, height: 2, depth: 2, ahead: 4, hollow: 0.5, count: 8000 }),
      'one',
      0,
    );
    let left = 0;
    let below = 0;
    let most = 0;
    for (let i = 0; i < count; i++) {
      if (position[i * 3] < 0) left++;
      if (position[i * 3 + 1] < 0) below++;
      most = Math.max(most, Math.abs(position[i * 3]), Math.abs(position[i * 3 + 1]));
    }
    expect(left / count).toBeCloseTo(0.5, 1);
    expect(below / count).toBeCloseTo(0.5, 1);
    expect(most).toBeLessThanOrEqual(1 + 1e-5);
  });

  it('a ball holds as many in its inner half as its volume says', () => {
    const { position, count } = layerElements(
      pieceWith({ kind: 'field', shape: 'ball', width: 2, height: 2, depth: 2, ahead: 0, count: 8000 }),
      'one',
      0,
    );
    let inner = 0;
    for (let i = 0; i < count; i++) if (Math.hypot(...position.subarray(i * 3, i * 3 + 3)) < 0.5) inner++;
    expect(inner / count).toBeCloseTo(1 / 8, 1);
  });

  it('sizes follow a steep law: many tiny, few large', () => {
    const { size: scale } = layerElements(
      pieceWith({ kind: 'field', size: 0.01, variation: 1, count: 20000 }),
      'one',
      0,
    );
    const sorted = [...scale].sort((a, b) => a - b);
    expect(sorted[0]).toBeGreaterThanOrEqual(0.0099);
    expect(sorted[sorted.length - 1]).toBeLessThanOrEqual(0.1201);
    // median of a power law of exponent 2.5 from 1 to 12: (1 - 0.5 (1 - 12^-1.5))^(-2/3)
    expect(sorted[10000] / 0.01).toBeCloseTo((1 - 0.5 * (1 - 12 ** -1.5)) ** (-2 / 3), 1);
  });

  it('its slices hold every particle once, each where the slice says', () => {
    const piece = pieceWith({ kind: 'field', shape: 'box', count: 3000 });
    const [drawing] = definitionOf('field').drawings(piece.layers[0], 1, layerContext(piece));
    if (drawing.as !== 'sprites') throw new Error('particles are sprites');
    expect([...drawing.order].sort((a, b) => a - b)).toEqual(Array.from({ length: 3000 }, (_, id) => id));
    const { position } = layerElements(piece, 'one', 0);
    for (const { from, to, first, count } of drawing.parts)
      for (const id of drawing.order.subarray(first, first + count)) {
        const along = -position[id * 3 + 2] / 8;
        if (along < from - 1e-6 || along > to + 1e-6)
          throw new Error(`particle ${id} at ${along} is outside ${from}…${to}`);
      }
  });
});

describe('every layer stays within the extent it states', () => {
  it.each(['ropewalk-tunnel', 'plankton-bloom', 'slipway-spiral'])('%s', (name) => {
    const piece = demo(name);
    for (const layer of piece.layers) {
      const { halfWidth, halfHeight, centre, from, to, bend, carried } = layerExtent(piece, layer);
      for (const phase of [0, 0.4, 0.8]) {
        const { position, count } = layerElements(piece, layer.id, phase);
        let outside = -Infinity;
        for (let i = 0; i < count; i++) {
          const [x, y, ahead] = [position[i * 3] - centre[0], position[i * 3 + 1] - centre[1], -position[i * 3 + 2]];
          const beyond = Math.max(
            Math.abs(x) - halfWidth - bend,
            Math.abs(y) - halfHeight - bend,
            from - ahead,
            ahead - to,
          );
          outside = Math.max(outside, beyond - carried);
        }
        expect(outside).toBeLessThanOrEqual(1e-5);
      }
    }
  });
});

describe('tunnel', () => {
  it('reduces by whole orbits: the strides divide the ring count, and what remains stays', () => {
    const piece = pieceWith({ kind: 'tunnel', rings: 40, sides: 5, nested: 0 });
    const all = layerElements(piece, 'one', 0);
    const quarter = layerElements(piece, 'one', 0, 0.25);
    expect(all.count).toBe(41 * 5);
    expect(quarter.count).toBe(11 * 5);
    for (let ring = 0; ring < 10; ring++)
      expect(quarter.position.subarray(ring * 15, ring * 15 + 15)).toEqual(
        all.position.subarray(ring * 60, ring * 60 + 15),
      );
  });

  it('its last ring is the next tile’s first', () => {
    const piece = pieceWith({ kind: 'tunnel', rings: 12, sides: 5, nested: 0, twist: 0.2, wobble: 0.2 });
    const { position } = layerElements(piece, 'one', 0.4);
    const first = position.subarray(0, 15);
    const last = position.subarray(12 * 15, 13 * 15);
    // twisted by one side of five: corner i of the last ring is corner i + 1 of the first
    for (let corner = 0; corner < 5; corner++)
      for (let k = 0; k < 2; k++) expect(last[corner * 3 + k]).toBeCloseTo(first[((corner + 1) % 5) * 3 + k], 1);
    expect(last[2]).toBeCloseTo(first[2] - 8, 4);
  });

  it('colour is one per ring', () => {
    const { place } = layerElements(pieceWith({ kind: 'tunnel', rings: 10, sides: 6, nested: 0 }), 'one', 0.1);
    for (let ring = 0; ring < 10; ring++) expect(new Set(place.subarray(ring * 6, ring * 6 + 6)).size).toBe(1);
  });

  it('its rings stand on the helix of its route', () => {
    const piece = pieceWith({
      kind: 'tunnel',
      rings: 30,
      sides: 6,
      nested: 0,
      route: 'helix',
      helixRadius: 1.5,
      radius: 1,
      wobble: 0,
    });
    const { position } = layerElements(piece, 'one', 0);
    for (let ring = 0; ring < 30; ring++) {
      const centre = [0, 1, 2].map(
        (k) => Array.from({ length: 6 }, (_, c) => position[(ring * 6 + c) * 3 + k]).reduce((a, b) => a + b) / 6,
      );
      expect(Math.hypot(centre[0], centre[1])).toBeCloseTo(1.5, 4);
      expect(centre[2]).toBeCloseTo((-(ring + 0.5) / 30) * 8, 3);
    }
  });
});

describe('every kind of layer', () => {
  it.each(layerKinds)('%s: has a summary, drawings and a batch of its own size', (kind) => {
    const piece = pieceWith({ kind });
    const batch = layerBatch(piece, 'one', 0.2);
    expect(batch.color.length).toBe(batch.count * 3);
    expect(Math.hypot(...batch.quaternion.subarray(0, 4))).toBeCloseTo(1, 5);
    expect(definitionOf(kind).drawings(piece.layers[0], 1, layerContext(piece)).length).toBeGreaterThan(0);
  });

  it('no NaN for any legal value', () => {
    const unit = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom('box', 'ball', 'shell', 'disc', 'corridor'),
        unit,
        unit,
        unit,
        unit,
        (shape, a, b, c, phase) => {
          const piece = pieceWith({
            kind: 'field',
            shape,
            hollow: a * 0.99,
            variation: b,
            glint: c,
            spread: a * 4,
            placeBy: 'noise',
            placeScale: 0.05 + a * 400,
            count: 64,
            width: 0.01 + b * 900,
          } as never);
          const e = layerElements(piece, 'one', phase * 3);
          for (const list of [e.position, e.size, e.place, e.light]) expect(list.every(Number.isFinite)).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
    fc.assert(
      fc.property(
        unit,
        unit,
        unit,
        fc.integer({ min: 3, max: 24 }),
        fc.integer({ min: 1, max: 60 }),
        (a, b, c, sides, rings) => {
          const piece = pieceWith({
            kind: 'tunnel',
            sides,
            rings,
            nested: a * 0.99,
            twist: b * 32 - 16,
            wobble: a,
            accent: b,
            spread: c * 4,
            route: a > 0.5 ? 'helix' : 'straight',
            helixRadius: 0.01 + b * 400,
            helixTurns: c * 32 - 16,
          } as never);
          const e = layerElements(piece, 'one', a * 3);
          for (const list of [e.position, e.size, e.place, e.light]) expect(list.every(Number.isFinite)).toBe(true);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('says which layer is missing', () => {
    expect(() => layerBatch(demo('ropewalk-tunnel'), 'gone', 0)).toThrow('no layer "gone"');
  });
});
