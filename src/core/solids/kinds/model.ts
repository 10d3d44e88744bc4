import type { Vec3 } from '../../space/vector';
import { giveDetails } from '../details/details';
import { stretched, type Mesh } from '../mesh';
import { MODELS, type HeldModel } from '../models/model';
import { platonic } from '../platonic';
import type { ModelUp, Solid } from '../solid';

/** Ways that vertices are looked for in, to stand for a model when the seam is checked. */
const WAYS = 60;

/** A vertex of the coarsest detail for each of some ways: the farthest that way. The ways are spread evenly over a ball (a spiral by the golden angle). */
function farthest(position: Float32Array, index: Uint32Array): Uint32Array {
  const found = new Set<number>();
  for (let i = 0; i < WAYS; i++) {
    const y = 1 - (2 * (i + 0.5)) / WAYS;
    const turn = i * Math.PI * (3 - Math.sqrt(5));
    const [x, z] = [Math.sqrt(1 - y * y) * Math.cos(turn), Math.sqrt(1 - y * y) * Math.sin(turn)];
    let [best, most] = [index[0], -Infinity];
    for (const v of index) {
      const along = position[v * 3] * x + position[v * 3 + 1] * y + position[v * 3 + 2] * z;
      if (along > most) [best, most] = [v, along];
    }
    found.add(best);
  }
  return Uint32Array.from(found);
}

/** Where x, y and z of a model go when another of its axes is up: the axis, and its sign. */
const TURNS: Readonly<Record<'y' | 'z' | 'x', readonly (readonly [number, number])[]>> = {
  y: [
    [0, 1],
    [1, 1],
    [2, 1],
  ],
  z: [
    [0, 1],
    [2, 1],
    [1, -1],
  ],
  x: [
    [1, -1],
    [0, 1],
    [2, 1],
  ],
};

/** How a model, which stands as was guessed, is turned so that the axis of its file that is asked for is up. */
function turnFor({ facts }: HeldModel, up: ModelUp): readonly (readonly [number, number])[] {
  if (up === 'file' || up === facts.up) return TURNS.y;
  // back to how its file has it first: what was z up lies down again
  const back: readonly (readonly [number, number])[] =
    facts.up === 'z'
      ? [
          [0, 1],
          [2, -1],
          [1, 1],
        ]
      : TURNS.y;
  return TURNS[up].map(([axis, sign]) => [back[axis][0], back[axis][1] * sign] as const);
}

const turned = (of: Float32Array, turn: readonly (readonly [number, number])[]): Float32Array => {
  if (turn === TURNS.y) return of;
  const out = new Float32Array(of.length);
  for (let i = 0; i < of.length; i += 3) for (let k = 0; k < 3; k++) out[i + k] = of[i + turn[k][0]] * turn[k][1];
  return out;
};

/** As wide, high and deep as it is to be. */
function scaled(of: Float32Array, by: Vec3): Float32Array {
  return by.every((v) => v === 1) ? of : of.map((v, i) => v * by[i % 3]);
}

/** Unit vectors that stay square to faces when these are scaled. */
function scaledNormals(of: Float32Array, by: Vec3): Float32Array {
  if (by.every((v) => v === 1)) return of;
  const out = of.map((v, i) => v / by[i % 3]);
  for (let i = 0; i < out.length; i += 3) {
    const length = Math.hypot(out[i], out[i + 1], out[i + 2]) || 1;
    for (let k = 0; k < 3; k++) out[i + k] /= length;
  }
  return out;
}

function meshOf(held: HeldModel, up: ModelUp, by: Vec3): Mesh {
  const turn = turnFor(held, up);
  const position = scaled(turned(held.position, turn), by);
  const normal = scaledNormals(turned(held.normal, turn), by);
  const { details, facts, materials, rasters, dye, uv } = held;
  const most = Math.max(...by);
  let radius = 0;
  for (let i = 0; i < position.length; i += 3)
    radius = Math.max(radius, position[i] ** 2 + position[i + 1] ** 2 + position[i + 2] ** 2);
  const mesh: Mesh = {
    position,
    normal,
    index: details[0].index,
    piece: null,
    uv,
    worn: { materials, rasters, dye },
    sample: farthest(position, details[details.length - 1].index),
    open: !facts.closed,
    radius: Math.sqrt(radius),
  };
  return giveDetails(
    mesh,
    details.map((detail) => ({ ...detail, error: detail.error * most, longest: detail.longest * most })),
  );
}

/** What stands for a model that is not here. */
const standIn = platonic('octahedron');

/** A model of one's own, one unit along its longest side, about the middle of the box around it. */
export const model = {
  kind: 'model',
  label: 'Model',
  uses: ['model'],
  proportioned: true,
  mesh({ model: ref, modelUp, wide, high, deep }) {
    const held = MODELS.at(ref);
    return held ? meshOf(held, modelUp, [wide, high, deep]) : stretched(standIn, [wide, high, deep]);
  },
  // it looks the same after a whole turn alone, for all that is known of it
  turnStep: () => 1,
} as const satisfies Solid;
