import { mostBlend, periodOf, shownAt, type Closing, type Play } from './closing';

/**
 * How well a clip closes one way: the largest change at its join over what is usual elsewhere in it, and the largest departure
 * from even motion over what is usual. 1 and less: the join is not to be told from the rest.
 */
export interface Join {
  closes: Closing;
  blend: number;
  step: number;
  bend: number;
}

/** Each way it can close, and the best first. */
export type Joins = readonly Join[];

/** A clip's frames in small: linear light of a few places of each, one list a frame. */
export type SmallFrames = readonly Float32Array[];

/** Places across and down of a frame in small. */
export const SMALL = [32, 18] as const;

/** Light under which a change is not seen: about a code value in the middle of the range. */
const UNSEEN = 0.002;
/** Of all changes so many are no greater than what is called usual. */
const USUAL = 0.9;
/** Shares of a clip that are tried for blending. */
const BLENDS = [1 / 3, 1 / 4, 1 / 6, 1 / 12];
/** A way that keeps the clip as it is is proposed unless another is so many times better. */
const WORTH = 1.25;

const rms = (a: Float32Array, of: (i: number) => number): number => {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += of(i) ** 2;
  return Math.sqrt(sum / a.length);
};
const stepOf = (a: Float32Array, b: Float32Array): number => rms(a, (i) => b[i] - a[i]);
const bendOf = (a: Float32Array, b: Float32Array, c: Float32Array): number => rms(b, (i) => b[i] - (a[i] + c[i]) / 2);

function usual(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return Math.max(UNSEEN, sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * USUAL))] ?? 0);
}

/** A frame as it is shown, of two where it is blended. */
function shown(frames: SmallFrames, play: Play, place: number): Float32Array {
  const { first, second, share } = shownAt(play, frames.length, place);
  if (share === 0) return frames[first];
  const [a, b] = [frames[first], frames[second]];
  return a.map((v, i) => v + (b[i] - v) * share);
}

/** Places of the period about which a clip does not simply go on. */
function joinsOf({ closes, blend }: Play, frames: number): number[] {
  if (closes === 'fro') return [0, frames - 1];
  const blended = closes === 'blended' ? Math.min(blend, mostBlend(frames)) : 0;
  return Array.from({ length: blended + 2 }, (_, i) => i - 1);
}

/** Frames of usual change that two pictures may be apart and still be taken for one. */
const DOUBLE = 12;

/** How far apart the two frames are that are seen at once where it is blended: the double picture, over what changes usually. */
function doubled(frames: SmallFrames, play: Play, step: number): number {
  if (play.closes !== 'blended') return 0;
  const period = periodOf(play, frames.length);
  const apart = Array.from({ length: frames.length - period }, (_, i) => stepOf(frames[period + i], frames[i]));
  return usual(apart) / step / DOUBLE;
}
const worst = ({ step, bend }: Join): number => Math.max(step, bend);

/** What can be told from the rest of a clip: more than so many times what is usual. */
const SEEN = 1.6;

/** Whether a join shows. */
export const isSeen = (join: Join): boolean => worst(join) > SEEN;

/**
 * How a clip would close each way, the best first: as it is where that is as good. Measured as the picture half of the seam report is, on
 * small frames: the step between neighbours, and the residual of a frame to the mean of its neighbours, at the join against elsewhere in the clip.
 * @param frames at least 2
 * @throws RangeError for fewer
 */
export function joinsOfClip(frames: SmallFrames): Joins {
  if (frames.length < 2) throw new RangeError('a clip of one frame has no join');
  const inside = frames.length - 1;
  const step = usual(Array.from({ length: inside }, (_, i) => stepOf(frames[i], frames[i + 1])));
  const bend = usual(
    Array.from({ length: Math.max(0, inside - 1) }, (_, i) => bendOf(frames[i], frames[i + 1], frames[i + 2])),
  );
  const measured = (closes: Closing, blend: number): Join => {
    const play = { closes, blend };
    const join: Join = { closes, blend, step: 0, bend: doubled(frames, play, step) };
    for (const at of joinsOf(play, frames.length)) {
      const [a, b, c] = [-1, 0, 1].map((k) => shown(frames, play, at + k));
      join.step = Math.max(join.step, stepOf(a, b) / step, stepOf(b, c) / step);
      join.bend = Math.max(join.bend, bendOf(a, b, c) / bend);
    }
    return join;
  };
  const blends = [...new Set(BLENDS.map((share) => Math.floor(share * frames.length)))].filter(
    (k) => k >= 1 && k <= mostBlend(frames.length),
  );
  const blended = blends.map((k) => measured('blended', k)).sort((a, b) => worst(a) - worst(b));
  // what is not to be seen as it is needs no help
  const cost = (join: Join): number => (join.closes !== 'over' ? worst(join) * WORTH : isSeen(join) ? worst(join) : 0);
  return [measured('over', 0), ...blended.slice(0, 1), measured('fro', 0)].sort((a, b) => cost(a) - cost(b));
}
