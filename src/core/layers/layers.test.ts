import { elementIn } from '../world/elements';
import { sceneOfPiece } from '../world/camera';
import { stateReport } from '../seam/report';
import { parsePiece } from '../world/open';
import { layerElements, worldOf, layerExtent } from '../world/layers';
import { within } from './drawing';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PieceSchema, type Piece } from '../piece/schema';
import { cameraPose } from '../world/camera';
import { setAt } from '../piece/paths';
import { subtract, type Vec3 } from '../space/vector';
import { gradientAt } from '../colour/colour';
import { layerBatch } from '../world/batch';
import { grow } from '../plants/grow';
import { SPECIES, type SpeciesName } from '../plants/species';
import { routePoints, tunnelRoute } from './tunnel/tunnel';
import { definitionOf, newLayer, type Layer, LAYERS } from './kinds';

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

describe('a single element', () => {
  it.each(LAYERS.names)('%s: stands where it stands among all, at any phase, treated or not', (kind) => {
    for (const treatments of [
      [],
      [
        { kind: 'drift', id: 'd', amount: 0.4, cycles: 2 },
        { kind: 'turn', id: 't', what: 'all', axis: 'up', amount: { law: 'wound', start: 0.1, perLap: 1 } },
        { kind: 'taper', id: 'p', amount: 0.3, reach: 'point' },
      ],
    ]) {
      const piece = pieceWith({ kind, once: true, treatments } as never);
      for (const phase of [0.2, 0.7, 0.2]) {
        const all = layerElements(piece, 'one', phase);
        for (const index of [0, 3, all.count - 1].filter((n) => n < all.count)) {
          const one = elementIn(sceneOfPiece(piece), 'one', index, phase);
          for (let k = 0; k < 3; k++) expect(one?.position[k]).toBeCloseTo(all.position[index * 3 + k], 5);
          for (let k = 0; k < 4; k++) expect(one?.rotation[k]).toBeCloseTo(all.rotation[index * 4 + k], 5);
        }
        if (all.count === 0) expect(elementIn(sceneOfPiece(piece), 'one', 0, phase)).toBeNull();
        else
          expect(elementIn(sceneOfPiece(piece), 'one', 1e9, phase)).toEqual(
            elementIn(sceneOfPiece(piece), 'one', all.count - 1, phase),
          );
      }
    }
  });
});

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
    const [drawing] = definitionOf('field').drawings(piece.layers[0], 1, worldOf(piece));
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

describe('a tunnel carried along a ring or a drawn curve', () => {
  const centresOf = (piece: Piece, rings: number, corners: number): Vec3[] => {
    const { position } = layerElements(piece, 'one', 0.3);
    return Array.from({ length: rings }, (_, ring): Vec3 => {
      const sum = [0, 0, 0];
      for (let c = 0; c < corners; c++) for (let k = 0; k < 3; k++) sum[k] += position[(ring * corners + c) * 3 + k];
      return [sum[0] / corners, sum[1] / corners, sum[2] / corners];
    });
  };
  const tunnel = (more: object): Piece =>
    pieceWith({ kind: 'tunnel', rings: 48, sides: 6, nested: 0, radius: 0.7, wobble: 0, twist: 0, ...more } as never);

  it('a ring is a circle about the middle of the world, its outlines across it', () => {
    const piece = tunnel({ route: 'ring', ringRadius: 5 });
    const { position } = layerElements(piece, 'one', 0);
    for (const [i, [x, y, z]] of centresOf(piece, 48, 6).entries()) {
      expect(Math.hypot(x, z)).toBeCloseTo(5, 4);
      expect(y).toBeCloseTo(0, 6);
      // every corner at its distance, in the plane through the axis of the ring
      for (let c = 0; c < 6; c++) {
        const [px, py, pz] = position.subarray((i * 6 + c) * 3, (i * 6 + c) * 3 + 3);
        expect(Math.hypot(px - x, py - y, pz - z)).toBeCloseTo(0.7, 5);
        expect(Math.abs(px * z - pz * x)).toBeLessThan(1e-3);
      }
    }
  });

  it('stands evenly along the curve the camera flies, and passes through its points', () => {
    for (const route of ['closed', 'onward'] as const) {
      const piece = tunnel({ route });
      const [layer] = piece.layers;
      if (layer.kind !== 'tunnel') throw new Error('no tunnel');
      const { track } = tunnelRoute(layer, piece.tile);
      if (!track) throw new Error('no track');
      const centres = centresOf(piece, 48, 6);
      centres.forEach((centre, i) => {
        const want = track.path.pointAt(((i + 0.5) / 48) * track.path.length);
        expect(Math.hypot(...subtract(centre, want))).toBeLessThan(1e-3);
      });
      for (const point of routePoints(layer)) {
        const near = Array.from({ length: 2000 }, (_, i) => track.path.pointAt((i / 2000) * track.path.length));
        expect(Math.min(...near.map((p) => Math.hypot(...subtract(p, point))))).toBeLessThan(0.02);
      }
    }
  });

  it('goes on in the next tile where it left this one, turned as it was', () => {
    const piece = tunnel({ route: 'onward', rings: 20, twist: 1 / 6 });
    const { position } = layerElements(piece, 'one', 0);
    // the ring past the end is the first, a tile farther and a side on
    for (let c = 0; c < 6; c++) {
      const last = [...position.subarray((20 * 6 + c) * 3, (20 * 6 + c) * 3 + 3)];
      const side = (c + 1) % 6;
      const first = [...position.subarray(side * 3, side * 3 + 3)];
      expect(last[0]).toBeCloseTo(first[0], 5);
      expect(last[1]).toBeCloseTo(first[1], 5);
      expect(last[2]).toBeCloseTo(first[2] - piece.tile, 5);
    }
  });

  it('a camera along it flies in its middle and closes; one that travels on is told', () => {
    for (const [route, tiles] of [
      ['ring', 2],
      ['closed', 1],
      ['onward', 3],
    ] as const) {
      const piece = tunnel({ route });
      const flown = (kind: string): Piece =>
        PieceSchema.parse({ ...piece, flight: { route: { kind, follow: 'one', tilesPerLap: tiles } } });
      expect(stateReport(flown('along')).findings.filter(({ ok }) => !ok)).toEqual([]);
      const centres = centresOf(piece, 48, 6);
      const at = cameraPose(flown('along'), 10.5 / 48 / tiles).position;
      expect(Math.hypot(...subtract(at, centres[10]))).toBeLessThan(1e-3);
      const travelling = stateReport(flown('run'));
      expect(travelling.ok).toBe(route === 'onward');
      const repair = travelling.findings.find(({ ok }) => !ok)?.repair;
      if (repair) expect(stateReport(setAt(flown('run'), repair.path, repair.value)).ok).toBe(true);
      expect(repair !== undefined).toBe(route !== 'onward');
    }
  });

  it('a drawn section has the corners of its outline', () => {
    const outline = [
      [-0.5, -0.5],
      [0.5, -0.5],
      [0, 0.5],
    ];
    const { position } = layerElements(
      pieceWith({ kind: 'tunnel', section: 'drawn', outline, rings: 4, nested: 0, radius: 3, twist: 0 } as never),
      'one',
      0,
    );
    expect([...position.subarray(0, 9)].map((v) => Number(v.toFixed(6)))).toEqual([-3, -3, -1, 3, -3, -1, 0, 3, -1]);
  });
});

describe('every kind of layer', () => {
  it.each(LAYERS.names)('%s: has a summary, drawings and a batch of its own size', (kind) => {
    const piece = pieceWith({ kind });
    const batch = layerBatch(piece, 'one', 0.2);
    expect(batch.color.length).toBe(batch.count * 3);
    expect(Math.hypot(...batch.quaternion.subarray(0, 4))).toBeCloseTo(1, 5);
    expect(definitionOf(kind).drawings(piece.layers[0], 1, worldOf(piece)).length).toBeGreaterThan(0);
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
            route: ['straight', 'helix', 'ring', 'closed', 'onward'][Math.floor(a * 4.99)],
            section: ['polygon', 'circle', 'super', 'drawn'][Math.floor(b * 3.99)],
            ringRadius: 0.05 + c * 400,
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

  it('colours are read from the gradient between its texels, as a linear filter does', () => {
    const piece = demo('plankton-bloom');
    const layer = piece.layers[0];
    const gradient = [
      { at: 0, colour: '#000000' },
      { at: 1, colour: '#ffffff' },
    ];
    const steep = { ...piece, layers: [{ ...layer, gradient }, ...piece.layers.slice(1)] } as typeof piece;
    const { color, place, count } = layerBatch(steep, layer.id, 0.2, 0.02);
    let worst = 0;
    for (let i = 0; i < count; i++) {
      const at = Math.min(1 - 0.5 / 256, Math.max(0.5 / 256, place[i]));
      worst = Math.max(worst, Math.abs(color[i * 3] - gradientAt(gradient, at)[0]));
    }
    // the nearest texel alone is off by up to half a texel's step, 0.006 here
    expect(worst).toBeLessThan(1e-4);
  });

  it('says which layer is missing', () => {
    expect(() => layerBatch(demo('ropewalk-tunnel'), 'gone', 0)).toThrow('no layer "gone"');
  });
});

describe('copies', () => {
  const copies = (more: object) => layerElements(pieceWith({ kind: 'copies', ahead: 0, ...more } as never), 'one', 0);

  it('a grid stands in its steps, a ring on its radius, each turned with it', () => {
    const grid = copies({ countX: 3, countY: 2, countZ: 2, stepX: 0.5, stepY: 1, stepZ: 2 });
    expect([...grid.position.subarray(0, 6)]).toEqual([-0.5, -0.5, 1, 0, -0.5, 1]);
    expect([...grid.position.subarray(33, 36)]).toEqual([0.5, 0.5, -1]);
    const ring = copies({ arrangement: 'ring', count: 8, radius: 2 });
    for (let i = 0; i < 8; i++) {
      const [x, y, z] = ring.position.subarray(i * 3, i * 3 + 3);
      expect(Math.hypot(x, y)).toBeCloseTo(2, 5);
      expect(z).toBeCloseTo(0, 6);
      // its top points outwards
      const [qz, qw] = [ring.rotation[i * 4 + 2], ring.rotation[i * 4 + 3]];
      expect(-2 * qz * qw).toBeCloseTo(x / 2, 4);
      expect(1 - 2 * qz * qz).toBeCloseTo(y / 2, 4);
    }
  });

  it('on a ball they are spread evenly, fronts outwards', () => {
    const { position, rotation } = copies({ arrangement: 'sphere', count: 400, radius: 3 });
    let upper = 0;
    for (let i = 0; i < 400; i++) {
      const p = [...position.subarray(i * 3, i * 3 + 3)];
      expect(Math.hypot(...p)).toBeCloseTo(3, 4);
      if (p[1] > 1.5) upper++;
      const [x, y, z, w] = rotation.subarray(i * 4, i * 4 + 4);
      const front = [2 * (x * z + w * y), 2 * (y * z - w * x), 1 - 2 * (x * x + y * y)];
      front.forEach((v, k) => expect(v).toBeCloseTo(p[k] / 3, 3));
    }
    // the zone above half the radius is a quarter of a sphere's surface (Archimedes)
    expect(upper / 400).toBeCloseTo(0.25, 2);
  });

  it('along a helix they stand evenly by its length, at their distance from it', () => {
    const piece = PieceSchema.parse({
      id: 'p',
      name: 'Test',
      lap: { frames: 100, rate: { num: 25, den: 1 } },
      layers: [
        {
          ...newLayer('copies', 'one', 'One', 5),
          arrangement: 'route',
          count: 12,
          radius: 0.5,
          winds: 2,
          follow: 'way',
        },
        { ...newLayer('tunnel', 'way', 'Way', 1), route: 'helix', helixRadius: 1.2, helixTurns: 1 },
      ],
      flight: {},
      look: {},
    });
    const { position } = layerElements(piece, 'one', 0);
    for (let i = 0; i < 12; i++) {
      const advance = ((i + 0.5) / 12) * 8;
      const angle = (2 * Math.PI * advance) / 8;
      const gap = Math.hypot(
        position[i * 3] - 1.2 * Math.cos(angle),
        position[i * 3 + 1] - 1.2 * Math.sin(angle),
        position[i * 3 + 2] + advance,
      );
      expect(gap).toBeCloseTo(0.5, 4);
    }
  });

  it('what each copy has more than the one before adds up', () => {
    const { position, rotation, size } = copies({
      arrangement: 'line',
      count: 5,
      spacing: 1,
      turnZ: 0.1,
      moveY: 0.25,
      grow: 3,
    });
    expect([...position.subarray(0, 3)]).toEqual([0, -0.5, 2]);
    expect([...position.subarray(12, 15)]).toEqual([0, 0.5, -2]);
    expect(rotation[4 * 4 + 2]).toBeCloseTo(Math.sin(Math.PI * 0.4), 5);
    expect(size[4] / size[0]).toBeCloseTo(3, 4);
  });

  it('at a working share whole rows remain where they were', () => {
    const piece = pieceWith({ kind: 'copies', countX: 8, countY: 3, countZ: 2 } as never);
    const all = layerElements(piece, 'one', 0);
    const half = layerElements(piece, 'one', 0, 0.5);
    expect(half.count).toBe(24);
    for (let i = 0; i < half.count; i++)
      expect(half.position.subarray(i * 3, i * 3 + 3)).toEqual(all.position.subarray(i * 6, i * 6 + 3));
  });

  it('a body is exchanged on a frame, and back, also across the seam', () => {
    const at = (from: number, to: number, frame: number) =>
      within({ from, to, outside: false }, frame, 100) ? 'other' : 'first';
    expect([59, 60, 89, 90].map((f) => at(60, 90, f))).toEqual(['first', 'other', 'other', 'first']);
    expect([89, 90, 99, 0, 9, 10].map((f) => at(90, 110, f))).toEqual([
      'first',
      'other',
      'other',
      'other',
      'other',
      'first',
    ]);
    expect([5, 95].map((f) => at(90, 10, f))).toEqual(['other', 'other']);
    const first = { from: 60, to: 90, outside: true };
    for (let f = 0; f < 100; f++) expect(within(first, f, 100)).toBe(at(60, 90, f) === 'first');
  });
});

describe('ground and growth', () => {
  const land = { ...newLayer('ground', 'land', 'Land', 4), rows: 24, relief: 1.5, valley: 1, width: 20 };
  const world = (plants: object): Piece =>
    PieceSchema.parse({
      id: 'p',
      name: 'Test',
      lap: { frames: 100, rate: { num: 25, den: 1 } },
      layers: [{ ...newLayer('plants', 'one', 'One', 5), ground: 'land', ...plants }, land],
      flight: {},
      look: {},
    });

  it('tiles: its last row is its first, one tile on, in height and slope', () => {
    const piece = world({});
    const { position, rotation, count } = layerElements(piece, 'land', 0);
    const across = count / 25;
    for (let c = 0; c < across; c++) {
      const last = 24 * across + c;
      expect(position[last * 3 + 1]).toBeCloseTo(position[c * 3 + 1], 5);
      expect(position[last * 3 + 2]).toBeCloseTo(position[c * 3 + 2] - 8, 5);
      for (let k = 0; k < 4; k++) expect(rotation[last * 4 + k]).toBeCloseTo(rotation[c * 4 + k], 4);
    }
  });

  it('its normals are those of its heights', () => {
    const at = worldOf(world({})).groundOf('land');
    if (!at) throw new Error('no ground');
    for (let i = 0; i < 60; i++) {
      const [x, z, h] = [((i * 37) % 100) / 6 - 8, -((i * 53) % 80) / 10, 1e-3];
      expect(at(x, z).slopeX).toBeCloseTo((at(x + h, z).height - at(x - h, z).height) / (2 * h), 2);
      expect(at(x, z).slopeZ).toBeCloseTo((at(x, z + h).height - at(x, z - h).height) / (2 * h), 2);
    }
  });

  it('the valley stays low for the camera', () => {
    const at = worldOf(world({})).groundOf('land');
    for (let i = 0; i < 50; i++) expect(at?.((i / 50) * 2 - 1, -i * 0.16).height).toBeCloseTo(-1.2, 6);
  });

  it('plants stand on the ground, off the path, within slope and heights, and no two too near', () => {
    const piece = world({ count: 900, slope: 20, low: -1.1, high: -0.4, path: 0.8, distance: 0.3, clumps: 0 });
    const at = worldOf(piece).groundOf('land');
    const { position, count } = layerElements(piece, 'one', 0);
    expect(count).toBeGreaterThan(60);
    for (let i = 0; i < count; i++) {
      const [x, y, z] = position.subarray(i * 3, i * 3 + 3);
      const here = at?.(x, z);
      expect(y).toBeCloseTo(here?.height ?? NaN, 4);
      expect(Math.abs(x)).toBeGreaterThanOrEqual(0.8 - 1e-5);
      expect(y).toBeGreaterThanOrEqual(-1.1 - 1e-5);
      expect(y).toBeLessThanOrEqual(-0.4 + 1e-5);
      expect(Math.hypot(here?.slopeX ?? 9, here?.slopeZ ?? 9)).toBeLessThanOrEqual(
        Math.tan((20 * Math.PI) / 180) + 1e-3,
      );
      for (let j = 0; j < i; j++) {
        let dz = z - position[j * 3 + 2];
        dz -= 8 * Math.round(dz / 8);
        expect(Math.hypot(x - position[j * 3], dz)).toBeGreaterThanOrEqual(0.3 - 1e-4);
      }
    }
  });

  it('every species grows, finely and more simply, to about its height', () => {
    const names = Object.keys(SPECIES) as SpeciesName[];
    expect(names.length).toBeGreaterThanOrEqual(12);
    const forms = new Set<number>();
    for (const name of names) {
      const [fine, coarse] = [grow(SPECIES[name], 7, true), grow(SPECIES[name], 7, false)];
      expect(coarse.index.length).toBeLessThan(fine.index.length);
      expect(fine.position.every(Number.isFinite)).toBe(true);
      expect(fine.radius).toBeGreaterThan(0.3);
      expect(fine.radius).toBeLessThan(1.5);
      forms.add(fine.index.length);
      expect(grow(SPECIES[name], 8, true).position).not.toEqual(fine.position);
    }
    expect(forms.size).toBe(names.length);
  });
});
