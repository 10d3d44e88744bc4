import { EFFECTS, startedEffect, withEffect, type Effect, type EffectKind } from '../effects/kinds';
import type { Animated } from '../../time/animated';
import { frameOfLap } from '../../time/stretch';

/** When something passes: about a frame of a lap, over so many frames. */
export interface Passing {
  /** its middle */
  frame: number;
  /** frames it takes; nearly those of the lap at most */
  long: number;
  /** of the lap */
  frames: number;
}

/** Effects that are there for a moment, and hide what changes in its middle: they are added to those of a piece. */
export interface Passage {
  name: string;
  /** one sentence */
  describe: string;
  /** each with fields that are not what they are at first */
  effects(at: Passing): [kind: EffectKind, more: object][];
}

const wrapped = (v: number): number => v - Math.floor(v);

/** Frames before and after the middle; a few of the lap are left as they are. */
const halfOf = ({ long, frames }: Passing): number => Math.max(1, Math.min(long, frames - 4) / 2);

/** A value that goes from one to another in the middle and back, and rests elsewhere. */
function there(at: Passing, rest: number, value: number): Animated {
  const half = halfOf(at);
  const key = (name: string, frames: number, v: number, ease: 'hold' | readonly [number, number, number, number]) => ({
    ...{ id: name, at: wrapped((at.frame + frames) / at.frames), value: v },
    ease: typeof ease === 'string' ? ease : ([...ease] as [number, number, number, number]),
  });
  return {
    law: 'keyed',
    keys: [
      key('begins', -half, rest, [0.7, 0, 0.9, 0.7]),
      key('middle', 0, value, [0.1, 0.3, 0.3, 1]),
      key('ends', half, rest, 'hold'),
    ],
  };
}

/** A value that goes through to where the picture is the same again, fastest in the middle. */
function through(at: Passing, to: number): Animated {
  const half = halfOf(at);
  const [begins, ends] = [-half, half].map((frames) => wrapped((at.frame + frames) / at.frames));
  return {
    law: 'keyed',
    keys: [
      { id: 'begins', at: begins, value: 0, ease: [0.75, 0, 0.25, 1] },
      { id: 'ends', at: ends, value: to, ease: 'hold' },
    ],
  };
}

/** A stretch of whole frames about the middle. @param share of all of it */
function stretch(at: Passing, share = 1, fades = 0): object {
  const half = Math.ceil(halfOf(at) * share);
  const frame = (n: number): number => frameOfLap(Math.round(n), at.frames);
  return {
    ...{ acts: 'stretch', from: frame(at.frame - half), to: frame(at.frame + half + 1) },
    ...{ fadeIn: Math.round(half * fades), fadeOut: Math.round(half * fades) },
  };
}

export const PASSAGES: readonly Passage[] = [
  {
    name: 'Swept aside',
    describe: 'The picture rushes off to one side and comes in from the other.',
    effects: (at) => [
      // after two widths what is mirrored at the sides is the picture itself again
      ['move', { aside: through(at, 2), above: 0, turn: 0, size: 1, ...stretch(at) }],
      ['blur', { way: 'line', turn: 0, long: there(at, 0, 0.5), ...stretch(at) }],
    ],
  },
  {
    name: 'Rolled over',
    describe: 'A whole turn, nearer in its middle.',
    effects: (at) => [
      ['move', { aside: 0, above: 0, turn: through(at, 1), size: there(at, 1, 1.5), ...stretch(at) }],
      ['blur', { way: 'spin', long: there(at, 0, 0.45), ...stretch(at) }],
    ],
  },
  {
    name: 'Swelling',
    describe: 'The middle swells towards the eye and draws everything out.',
    effects: (at) => [
      ['blur', { way: 'zoom', long: there(at, 0, 0.6), ...stretch(at) }],
      ['distortion', { barrel: there(at, 0, 1.6), ...stretch(at) }],
      ['fringe', { apart: 0.02, ...stretch(at, 1, 0.8) }],
    ],
  },
  {
    name: 'Out of focus',
    describe: 'Everything melts in patches and comes back.',
    effects: (at) => [['blur', { way: 'round', long: there(at, 0, 0.7), uneven: 0.5, patches: 0.6, ...stretch(at) }]],
  },
  {
    name: 'Torn',
    describe: 'Bands and blocks tear the picture apart for its length.',
    effects: (at) => [
      ['slices', { bursts: 1, lasts: at.frames, shift: 0.18, split: 0.02, ...stretch(at) }],
      ['blocks', { bursts: 1, lasts: at.frames, share: 0.5, shift: 0.3, coarse: 0.4, ...stretch(at, 0.6) }],
    ],
  },
  {
    name: 'Through white',
    describe: 'Lights up to white in a moment and fades slowly: it hides a cut at its first frame.',
    effects: (at) => [
      [
        'flash',
        {
          ...{ beats: 1, shift: wrapped(at.frame / at.frames), lights: 3, veil: 1 },
          fades: Math.min(1, Math.max(0.01, at.long / 4 / at.frames)),
          ...stretch({ ...at, frame: at.frame + halfOf(at) }),
        },
      ],
    ],
  },
  {
    name: 'Through black',
    describe: 'Fades to black and out of it.',
    effects: (at) => [['grade', { ...NEUTRAL, gain: there(at, 1, 0), ...stretch(at) }]],
  },
];

/** A grade that changes nothing. */
const NEUTRAL = { liftRed: 0, liftGreen: 0, gainRed: 0, gainGreen: 0, contrast: 1 };

/** Effects with those of a passage. @param id makes a name */
export const withPassage = (effects: readonly Effect[], passage: Passage, at: Passing, id: () => string): Effect[] =>
  passage
    .effects(at)
    .map(([kind, more]) => EFFECTS.schema.parse({ ...startedEffect(kind, id()), ...more }))
    .reduce<Effect[]>((so, effect) => withEffect(so, effect), [...effects]);
