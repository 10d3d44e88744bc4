import { memo } from '../../memo';
import { cycleOf, type Cycle } from '../../motion/cycle';
import type { Stretch } from '../../motion/differences';
import { bestIn, motionAt, motionKey } from '../../motion/known';
import { heightOf, placeIn, turnIn } from '../../motion/pose';
import { multiply, scale, type Quaternion } from '../../space/vector';
import type { World } from '../../elements/world';
import { bonesOf, type Bone } from './bones';
import type { FigureLayer } from './form';

const cycles = memo<Cycle>(24);
const bones = memo<Bone[]>(24);
const tables = memo<Float64Array>(12);

/** The stretch that is gone through: as chosen, as far as there are frames, or the one that closes best. */
export const stretchOf = ({ motion, stretch }: Pick<FigureLayer, 'motion' | 'stretch'>): Stretch => {
  if (stretch === null) return bestIn(motion);
  const last = motionAt(motion).frames - 1;
  const from = Math.min(stretch.from, Math.max(0, last - 1));
  return { from, to: Math.max(from, Math.min(stretch.to, last)) };
};

const travelOf = ({ travel }: FigureLayer): 'sway' | 'held' => (travel === 'held' ? 'held' : 'sway');

/** What its table depends on. */
const cycleKey = (layer: FigureLayer): string =>
  JSON.stringify([motionKey(layer.motion), stretchOf(layer), layer.blend, travelOf(layer)]);

/** What it goes through over and over. */
export const cycleIn = (layer: FigureLayer): Cycle =>
  cycles(cycleKey(layer), () => cycleOf(motionAt(layer.motion), stretchOf(layer), layer.blend, travelOf(layer)));

export const bonesIn = (layer: Pick<FigureLayer, 'motion'>): Bone[] =>
  bones(motionKey(layer.motion), () => bonesOf(motionAt(layer.motion)));

/** Metres to a unit of its file. */
export const metresOf = (layer: FigureLayer): number => layer.tall / heightOf(motionAt(layer.motion));

/** Most entries of a table: rows of 1024, as many as every graphics card has. */
const MOST_ENTRIES = 1024 * 2048;

/** How many moments of its stretch are in the table: all, or every few of a long one with many joints. */
function momentsOf(layer: FigureLayer): number {
  const { samples } = cycleIn(layer);
  const most = Math.floor(MOST_ENTRIES / (2 * motionAt(layer.motion).joints.length));
  return Math.ceil(samples / Math.ceil(samples / most));
}

/**
 * Where its bones are at the moments of its stretch, as shares of its height: two entries a joint and moment (figure.glsl). A joint that no bone ends at is turned as itself.
 */
export function movesOf(layer: FigureLayer): { moves: Float64Array; samples: number } {
  const samples = momentsOf(layer);
  const moves = tables(cycleKey(layer), () => {
    const motion = motionAt(layer.motion);
    const { joints } = motion;
    const cycle = cycleIn(layer);
    const share = 1 / heightOf(motion);
    const turnsOf = new Map(bonesIn(layer).map(({ joint, turn }) => [joint, turn]));
    const deep: number[] = [];
    for (const { parent } of joints) deep.push(parent < 0 ? 0 : deep[parent] + 1);
    const deepest = Math.max(1, ...deep);
    const out = new Float64Array(Math.max(1, samples * joints.length) * 8);
    for (let i = 0; i < samples; i++) {
      const at = Math.round((i * cycle.samples) / samples) % cycle.samples;
      const turnAt = (j: number): Quaternion => turnIn(cycle.turns, at * joints.length + j);
      joints.forEach(({ parent }, j) => {
        const bone = turnsOf.get(j);
        const turn = bone && parent >= 0 ? multiply(turnAt(parent), bone) : turnAt(j);
        out.set(
          [...scale(placeIn(cycle.places, at * joints.length + j), share), deep[j] / deepest, ...turn],
          (i * joints.length + j) * 8,
        );
      });
    }
    return out;
  });
  return { moves, samples };
}

/** How far from where it stands its joints get, as shares of its height: any way, over the ground, and up. */
export function farOf(layer: FigureLayer): { far: number; around: number; up: number } {
  const { places } = cycleIn(layer);
  let [far, around, up] = [0, 0, 0];
  for (let i = 0; i < places.length; i += 3) {
    const ground = Math.hypot(places[i], places[i + 2]);
    far = Math.max(far, Math.hypot(ground, places[i + 1]));
    around = Math.max(around, ground);
    up = Math.max(up, Math.abs(places[i + 1]));
  }
  const share = 1 / heightOf(motionAt(layer.motion));
  return { far: far * share, around: around * share, up: up * share };
}

/** Metres that it goes each time through, as large as it is, before it is scaled as a whole. */
export const wayOf = (layer: FigureLayer): number => Math.abs(cycleIn(layer).gain[2]) * metresOf(layer);

/** From here on it goes somewhere: metres, for a figure one metre high. */
const GOES = 0.1;

/** How often it is gone through in a lap: as said, or as comes nearest to its own pace. */
export function cyclesOf(layer: FigureLayer, world: Pick<World, 'seconds' | 'tile'>): number {
  if (layer.cycles > 0) return layer.cycles;
  const { samples, seconds } = cycleIn(layer);
  if (samples === 1) return 1;
  const grown = typeof layer.scale === 'number' ? layer.scale : 1;
  const way = wayOf(layer) * grown;
  const wanted =
    layer.travel === 'tiles' && layer.tiles !== 0 && way > GOES * layer.tall * grown
      ? (Math.abs(layer.tiles) * world.tile) / way
      : world.seconds / seconds;
  return Math.max(1, Math.round(wanted));
}
