import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../../tests/pieces';
import { newPattern, type Covering } from '../../matter/pattern/kinds';
import type { Piece } from '../../piece/schema';
import { stateReport } from '../../seam/report';
import { edgesOf } from '../../solids/edges';
import { add, cross, dot, length, normalize, rotate, inverse, scale, subtract, type Vec3 } from '../../space/vector';
import { cameraPose } from '../../world/camera';
import { layerElements, layerExtent, worldOf } from '../../world/layers';
import { definitionOf } from '../kinds';
import { boxOf } from '../../elements/extent';
import { lyingOf } from '../../world/pattern';
import { facesOf, type Block } from './blocks';
import { FIGURES, type FigureName } from './kinds/list';
import { depthBetween, meetsOf, partsIn, stoodOf, wayOf, WAY_STEPS, type Shaped } from './stood';

const NAMES = Object.keys(FIGURES) as FigureName[];
const shaped = (figure: FigureName, fields: Partial<Shaped> = {}): Shaped => ({
  ...{ figure, width: 2, height: 2, thickness: 0.32, steps: 2 },
  ...{ from: 45, over: 35.264389682754654, distance: 0, parts: 'whole' as const },
  ...fields,
});
const SIZES: Partial<Shaped>[] = [{}, { width: 3, height: 1.7, thickness: 0.2, steps: 3 }, { from: -20, over: 12 }];
const NO_PIECES = { count: 1, seed: 1 };

/** A piece that has one figure, and a camera before it. */
const before = (figure: object, flight: object = {}): Piece => ({
  ...pieceOf({ kind: 'impossible', id: 'one', once: true, ...figure } as never),
  ...{ frame: { width: 1920, height: 1080 } },
  flight: {
    ...pieceOf({ kind: 'impossible' } as never).flight,
    ...{ aim: 'own', lens: 'orthographic', widthM: 6 },
    route: { kind: 'reading', of: 'one', aside: 0, over: 0, back: 14 },
    ...flight,
  } as Piece['flight'],
});

/** Where a place is seen by a piece's camera, in pixels of a frame so many wide. */
function seenAt(piece: Piece, place: Vec3, phase = 0, wide = 1920): [number, number] {
  const { position, quaternion, orthoWidth, sensorMm, focalMm } = cameraPose(piece, phase);
  const [x, y, z] = rotate(inverse(quaternion), subtract(place, position));
  const metres = orthoWidth ?? (-z * sensorMm) / focalMm;
  return [(x * wide) / metres, (y * wide) / metres];
}

/** The way of each thing that goes round it, and the figure, in the world of a piece. */
const inWorld = (piece: Piece, place: Vec3): Vec3 => {
  const [layer] = piece.layers;
  if (layer.kind !== 'impossible') throw new TypeError();
  return add(place, [0, 0, -Number(layer.ahead)]);
};

describe.each(NAMES)('%s', (name) => {
  it.each(SIZES)(
    'seems to meet where it does not: within half a pixel, and farther apart than it is thick (%o)',
    (sizes) => {
      const shape = shaped(name, sizes);
      const meets = meetsOf(shape);
      expect(meets.length).toBeGreaterThan(3);
      const piece = before({ ...shape, figure: name });
      for (const [a, b] of meets) {
        const [p, q] = [a, b].map((place) => seenAt(piece, inWorld(piece, place)));
        expect(Math.hypot(p[0] - q[0], p[1] - q[1])).toBeLessThan(0.5);
        const thick = name === 'prongs' ? shape.height / 5 : Math.min(shape.thickness, shape.width / 5);
        expect(Math.abs(depthBetween(stoodOf(shape), a, b))).toBeGreaterThan(thick);
      }
    },
  );

  it('reads from its isometric side through an isometric lens, at the same places', () => {
    const shape = shaped(name);
    const piece = before(
      { ...shape },
      {
        lens: 'isometric',
        aim: 'target',
        aimAt: { ...pieceOf({ kind: 'copies' } as never).flight.aimAt, on: 'layer', layer: 'one' },
      },
    );
    for (const [a, b] of meetsOf(shape)) {
      const [p, q] = [a, b].map((place) => seenAt(piece, inWorld(piece, place)));
      expect(Math.hypot(p[0] - q[0], p[1] - q[1])).toBeLessThan(0.5);
    }
    // and from no other
    const aside = before({ ...shape }, { route: { kind: 'reading', of: 'one', aside: 4, over: 0, back: 14 } });
    const off = meetsOf(shape).map(([a, b]) => {
      const [p, q] = [a, b].map((place) => seenAt(aside, inWorld(aside, place)));
      return Math.hypot(p[0] - q[0], p[1] - q[1]);
    });
    expect(Math.max(...off)).toBeGreaterThan(3);
  });

  it('reads from near by through a lens with perspective, and from as near only', () => {
    const shape = shaped(name, { distance: 9 });
    const seen = { lens: 'perspective', focalMm: 40, sensorMm: 36 };
    const at = (back: number): number[] => {
      const piece = before({ ...shape }, { ...seen, route: { kind: 'reading', of: 'one', aside: 0, over: 0, back } });
      return meetsOf(shape).map(([a, b]) => {
        const [p, q] = [a, b].map((place) => seenAt(piece, inWorld(piece, place)));
        return Math.hypot(p[0] - q[0], p[1] - q[1]);
      });
    };
    expect(Math.max(...at(9))).toBeLessThan(0.5);
    expect(Math.max(...at(10))).toBeGreaterThan(3);
  });

  it('has flat faces that look out, and lines at its edges alone', () => {
    for (const parts of ['whole', 'blocks'] as const)
      for (const { mesh, fade } of partsIn(shaped(name, { parts }), NO_PIECES)) {
        expect(mesh.index.length).toBeGreaterThan(0);
        for (let i = 0; i < mesh.index.length; i += 3) {
          const [a, b, c] = [0, 1, 2].map(
            (k) => [...mesh.position.subarray(mesh.index[i + k] * 3, mesh.index[i + k] * 3 + 3)] as Vec3,
          );
          const out = cross(subtract(b, a), subtract(c, a));
          if (length(out) < 1e-9) continue;
          const own = [...mesh.normal.subarray(mesh.index[i] * 3, mesh.index[i] * 3 + 3)] as Vec3;
          expect(dot(normalize(out), own)).toBeGreaterThan(0.97);
        }
        if (parts === 'whole' && fade === 1) {
          const { folds } = edgesOf(mesh, mesh.index);
          expect([...folds].every((fold) => fold > -1)).toBe(true);
        }
      }
  });

  it('has a way round it that goes evenly as it is seen, and ends where it began', () => {
    const shape = shaped(name);
    const { places, length: far } = wayOf(shape);
    const { reading } = stoodOf(shape);
    const flat = places.map((place) => rotate(inverse(reading), place));
    const [first, last] = [flat[0], flat[WAY_STEPS]];
    expect(Math.hypot(first[0] - last[0], first[1] - last[1])).toBeLessThan(1e-6);
    const steps = flat.slice(1).map((p, i) => Math.hypot(p[0] - flat[i][0], p[1] - flat[i][1]));
    // bends are rounded, which makes them shorter
    expect(Math.max(...steps)).toBeLessThan((far / WAY_STEPS) * 1.01);
    expect(length(subtract(places[0], places[WAY_STEPS]))).toBeLessThan(1e-6);
  });

  it('stays within its extent, breaks and all', () => {
    const piece = before({
      figure: name,
      carries: 'lamps',
      count: 5,
      breaks: { law: 'swing', middle: 0, reach: 50, cycles: 1, wave: 'sine', shift: 0 },
      parts: 'blocks',
    });
    const { low, high } = boxOf(layerExtent(piece, piece.layers[0]));
    for (const phase of [0, 0.3, 0.8]) {
      const { position, count } = layerElements(piece, 'one', phase);
      for (let i = 0; i < count * 3; i++) {
        expect(position[i]).toBeGreaterThan(low[i % 3] - 1e-6);
        expect(position[i]).toBeLessThan(high[i % 3] + 1e-6);
      }
    }
  });
});

it('parts that are alike are drawn at once, and each of them breaks into pieces', () => {
  const drawn = (fields: object): number => {
    const piece = before(fields);
    const [layer] = piece.layers;
    return layer.kind === 'impossible' ? definitionOf('impossible').drawings(layer, 1, worldOf(piece)).length : NaN;
  };
  expect(drawn({ figure: 'stairs', parts: 'blocks' })).toBe(1);
  // all that stays, and five that fade
  expect(drawn({ figure: 'prongs' })).toBeLessThanOrEqual(6);
  const broken = partsIn(shaped('crate', { parts: 'blocks' }), { count: 5, seed: 2 });
  expect(broken.map(({ mesh }) => mesh.piece !== null)).toEqual(broken.map(() => true));
});

/** What is seen of blocks from their reader at a place: the number of the nearest, its face’s direction, and its depth. */
function nearestAt(
  blocks: readonly Block[],
  reads: Vec3,
  at: [number, number],
): { block: number; axis: number; depth: number } | null {
  const towards = normalize(reads);
  const right = normalize(cross([0, 1, 0], towards));
  const up = cross(towards, right);
  const from = add(scale(right, at[0]), scale(up, at[1]));
  let best: { block: number; axis: number; depth: number } | null = null;
  blocks.forEach((one, block) => {
    // between the planes of a convex body: the line enters where the last of them is passed
    let [enters, leaves] = [-Infinity, Infinity];
    let axis = -1;
    const planes = [
      ...[0, 1, 2].flatMap((k): [Vec3, number, number][] => {
        const out: Vec3 = [0, 0, 0];
        out[k] = 1;
        return [
          [out, one.high[k], k],
          [scale(out, -1), -one.low[k], k],
        ];
      }),
      ...one.cuts.map(({ normal, at: far }): [Vec3, number, number] => [normal, far, 3]),
    ];
    for (const [normal, far, k] of planes) {
      const speed = -dot(normal, towards);
      const gap = far - dot(normal, from);
      if (Math.abs(speed) < 1e-12) {
        if (gap < 0) enters = Infinity;
      } else if (speed < 0) {
        if (gap / speed > enters) {
          enters = gap / speed;
          axis = k;
        }
      } else leaves = Math.min(leaves, gap / speed);
    }
    // along the line of sight, away from the reader
    if (enters < leaves - 1e-9 && (best === null || -enters > best.depth)) best = { block, axis, depth: -enters };
  });
  return best;
}

describe('the picture', () => {
  it('of three beams is the same after a third of a turn, its faces in turn', () => {
    const { blocks, reads } = FIGURES.threeBeams.make(shaped('threeBeams'));
    const towards = normalize(reads);
    const right = normalize(cross([0, 1, 0], towards));
    const up = cross(towards, right);
    const seen = blocks.flatMap((one) =>
      facesOf(one, blocks).flatMap(({ corners }) => corners.map((p): Vec3 => [dot(p, right), dot(p, up), 0])),
    );
    const spans = [0, 1].map((k) => [Math.min(...seen.map((p) => p[k])), Math.max(...seen.map((p) => p[k]))]);
    // the middle of the triangle its three corners make
    const corner = [
      [0, 0, 0],
      [2, 0, 0],
      [2, 2, 0],
    ].map((p) => [dot(p as Vec3, right), dot(p as Vec3, up)]);
    const middle = [0, 1].map((k) => corner.reduce((sum, p) => sum + p[k], 0) / 3);
    const [c, s] = [Math.cos((2 * Math.PI) / 3), Math.sin((2 * Math.PI) / 3)];
    const kinds = new Map<string, number>();
    let looked = 0;
    for (let i = 0; i < 4000; i++) {
      const [u, v] = [0, 1].map(
        (k) => spans[k][0] + (spans[k][1] - spans[k][0]) * ((i * [0.754877666, 0.569840296][k]) % 1),
      );
      const turned: [number, number] = [
        middle[0] + c * (u - middle[0]) - s * (v - middle[1]),
        middle[1] + s * (u - middle[0]) + c * (v - middle[1]),
      ];
      const [here, there] = [nearestAt(blocks, reads, [u, v]), nearestAt(blocks, reads, turned)];
      // on a line of the picture either may be seen
      const beside = [0.004, -0.004].flatMap((d) => [
        nearestAt(blocks, reads, [u + d, v]),
        nearestAt(blocks, reads, [u, v + d]),
      ]);
      if (beside.some((one) => one?.axis !== here?.axis)) continue;
      looked++;
      const key = `${here?.axis ?? 'none'} ${there?.axis ?? 'none'}`;
      kinds.set(key, (kinds.get(key) ?? 0) + 1);
    }
    expect(looked).toBeGreaterThan(3000);
    // nothing stays nothing, and each direction becomes one other
    expect([...kinds.keys()].sort()).toHaveLength(4);
    expect(kinds.has('none none')).toBe(true);
  });

  it.each(['square', 'stairs', 'walkway', 'threeBeams'] as const)(
    'of %s goes on across the cut as it does elsewhere',
    (name) => {
      const { blocks, reads } = FIGURES[name].make(shaped(name));
      // the end that is nearer, moved back to the other, is what is meant to be seen there
      const ends = blocks.filter(({ cuts }) => cuts.length > 0);
      const [first, last] = ends.length === 2 ? ends : [blocks[0], blocks[blocks.length - 1]];
      const sign = dot(subtract(last.low, first.low), reads) > 0 ? 1 : -1;
      const moved = (one: Block, by: number): Block => ({
        low: add(one.low, scale(reads, by)),
        high: add(one.high, scale(reads, by)),
        cuts: one.cuts.map(({ normal, at }) => ({ normal, at: at + by * dot(normal, reads) })),
        fade: 1,
      });
      const joined = [moved(first, sign), last];
      const apart = [first, last];
      let both = 0;
      for (let i = 0; i < 40_000; i++) {
        const at: [number, number] = [((i * 0.754877666) % 1) * 8 - 4, ((i * 0.569840296) % 1) * 8 - 4];
        const [meant, seen] = [nearestAt(joined, reads, at), nearestAt(apart, reads, at)];
        if (!meant && !seen) continue;
        both++;
        expect([seen?.block, seen?.axis]).toEqual([meant?.block, meant?.axis]);
      }
      expect(both).toBeGreaterThan(100);
    },
  );

  it('of a crate has an upright of the back before the front, and a beam of the floor before the nearest upright', () => {
    const { blocks, reads } = FIGURES.crate.make(shaped('crate'));
    const d = 2 * 0.62;
    const towards = normalize(reads);
    const right = normalize(cross([0, 1, 0], towards));
    const up = cross(towards, right);
    const at = (p: Vec3): [number, number] => [dot(p, right), dot(p, up)];
    // where the top beam of the front is seen crossing the farthest upright, and the nearest upright the back beam of the floor
    const crossings: [Vec3, 'far'][] = [
      [[d, 2, d], 'far'],
      [[2, d, d], 'far'],
    ];
    for (const [place] of crossings) {
      const seen = nearestAt(blocks, reads, at(place));
      if (!seen) throw new Error('nothing is there');
      // it is at the back, behind where the beam that has the gap would be
      expect(seen.depth).toBeLessThan(dot(place, towards) - 0.3);
    }
  });
});

describe('hold and break', () => {
  const orbit = {
    route: { kind: 'reading', of: 'one', aside: { law: 'wound', start: 0, perLap: 360 }, over: 0, back: 14 },
  };
  const viewed = (piece: Piece, phase: number): Vec3[] => {
    const { quaternion } = cameraPose(piece, phase);
    const { rotation } = layerElements(piece, 'one', phase);
    const turn = [...rotation.slice(0, 4)] as [number, number, number, number];
    return [
      [1, 0, 0],
      [0, 1, 0],
    ].map((axis) => rotate(inverse(quaternion), rotate(turn, axis as Vec3)));
  };

  it('held it is turned to the camera wherever that goes; let go it stands', () => {
    const held = before({ hold: 1, heading: 30 }, orbit);
    const free = before({ hold: 0, heading: 30 }, orbit);
    const [still] = [viewed(held, 0)];
    for (const phase of [0.2, 0.45, 0.9]) {
      viewed(held, phase).forEach((axis, k) => axis.forEach((v, i) => expect(v).toBeCloseTo(still[k][i], 6)));
      expect([...layerElements(free, 'one', phase).rotation.slice(0, 4)]).toEqual([
        ...layerElements(free, 'one', 0).rotation.slice(0, 4),
      ]);
    }
    expect(stateReport(held).ok).toBe(true);
    expect(stateReport(free).ok).toBe(true);
  });

  it('broken it is turned out of where it reads by so many degrees', () => {
    const piece = before({ breaks: 40 });
    const { rotation } = layerElements(piece, 'one', 0);
    expect(2 * Math.acos(Math.abs(rotation[3]))).toBeCloseTo((40 * Math.PI) / 180, 9);
    expect(rotation[1]).toBeGreaterThan(0);
  });
});

describe('what covers it', () => {
  it.each([0, 9])('lies as it is read, from %f m: what seems to meet has the same place on it', (distance) => {
    for (const name of NAMES) {
      const shape = shaped(name, { distance });
      const piece = before({ ...shape, scale: 1.5, heading: 20 });
      const pattern = newPattern('cells', { lies: 'layer', metres: 0.4, runs: 2 }) as Covering;
      const { from } = lyingOf(piece, piece.layers[0], pattern, 0.3, true);
      const [layer] = piece.layers;
      if (layer.kind !== 'impossible') throw new TypeError();
      const turn = 20 * (Math.PI / 180);
      const placed = (p: Vec3): number[] => {
        const [x, y, z] = scale(p, 1.5);
        return [
          x * Math.cos(turn) - z * Math.sin(turn),
          y,
          x * Math.sin(turn) + z * Math.cos(turn) - Number(layer.ahead),
          1,
        ];
      };
      const on = (p: Vec3): number[] => {
        const at = from.map((row) => row.reduce((sum, v, k) => sum + v * placed(p)[k], 0));
        return [0, 1, 2].map((k) => at[k] / at[3]);
      };
      for (const [a, b] of meetsOf(shape)) on(a).forEach((v, k) => expect(v).toBeCloseTo(on(b)[k], 4));
    }
  });
});

describe('what goes round it', () => {
  it('closes where each takes the place of the next, and not between', () => {
    const round = { carries: 'lamps', count: 3, figure: 'square' };
    expect(stateReport(before({ ...round, rounds: 1 / 3 })).ok).toBe(true);
    expect(stateReport(before({ ...round, rounds: 0.4 })).ok).toBe(false);
    expect(stateReport(before({ ...round, carries: 'particles', count: 40, rounds: 1 })).ok).toBe(true);
    expect(stateReport(before({ ...round, carries: 'letters', text: 'ABC', count: 2, rounds: 0.5 })).ok).toBe(true);
  });

  it('is nowhere behind what it goes along', () => {
    for (const name of ['threeBeams', 'square', 'crate', 'prongs'] as const) {
      const shape = shaped(name);
      const stood = stoodOf(shape);
      const { made, reading } = stood;
      const { places } = wayOf(shape);
      const back = inverse(reading);
      const towards = normalize(made.reads);
      const right = normalize(cross([0, 1, 0], towards));
      const up = cross(towards, right);
      const [p0, q0] = [rotate(back, stood.place([0, 0, 0])), [0, 0, 0].map(() => 0)];
      for (const place of places) {
        const [x, y, z] = rotate(back, place);
        const seen = nearestAt(made.blocks, made.reads, [x - p0[0] + q0[0], y - p0[1] + q0[1]]);
        if (seen) expect(z - p0[2]).toBeGreaterThan(seen.depth);
      }
      expect(length(right) + length(up)).toBeCloseTo(2, 9);
    }
  });
});
