import { colourAt } from '../../../colour/animated';
import { choice, colour, flag, form, integer, number, tag, type ValueOf } from '../../../forms';
import { effectBase, type Earlier, type EffectDefinition } from '../definition';
import { effectReach, type Moment } from '../reach';

const TrailsForm = form({
  ...effectBase,
  kind: tag('trails'),
  joins: choice(
    'brightest',
    { brightest: 'The brighter shows', added: 'Light is added', mixed: 'All are mixed' },
    { label: 'Joined', hint: 'How earlier pictures and the frame’s own become one.' },
  ),
  copies: integer(6, {
    label: 'Pictures',
    min: 1,
    max: 64,
    comfort: 16,
    hint: 'How many earlier pictures are drawn with each frame; a frame takes as much longer.',
  }),
  lasts: integer(12, {
    label: 'Back to',
    unit: 'frames',
    min: 0,
    max: 10_000,
    comfort: 60,
    retimes: true,
    hint: 'How much earlier the earliest is; at least as many pictures as frames leave no gaps.',
  }),
  drawnOut: flag(false, {
    label: 'Without gaps',
    hint: 'The shutter of each is open until the next one: streaks in place of copies, and dimmer.',
  }),
  fades: number(1, {
    label: 'Fades',
    min: 0,
    max: 8,
    comfort: 3,
    hint: 'At 0 all are as bright as the frame’s own, at 1 they fade evenly, above that the earlier ones sooner.',
  }),
  tint: colour('#ffffff', { label: 'Fades to', hint: 'Colour that the earliest is multiplied by.' }),
  ...effectReach(),
});
export type Trails = ValueOf<typeof TrailsForm>;

/** The earlier pictures of a trail at a moment, the earliest last. */
export function trailOf({ joins, copies, lasts, drawnOut, fades, tint }: Trails, { phase, frames }: Moment): Earlier {
  const end = colourAt(tint, phase);
  return {
    joins: joins === 'brightest' ? 'brightest' : 'added',
    open: drawnOut && lasts > 0 ? lasts / copies / frames : null,
    pictures: Array.from({ length: copies }, (_, i) => {
      const way = (i + 1) / copies;
      const share = brightness(i, { copies, fades });
      return { laps: (lasts * way) / frames, gain: [0, 1, 2].map((k) => share * (1 + way * (end[k] - 1))) };
    }),
  };
}

/** What one of the pictures is multiplied by before it is tinted. */
const brightness = (i: number, { copies, fades }: Pick<Trails, 'copies' | 'fades'>): number =>
  (1 - (i + 1) / (copies + 1)) ** fades;

/** What a frame's own picture and the earlier ones together are multiplied by: mixed, they are as bright as they are at their mean. */
export const trailLevel = (trails: Trails): number =>
  trails.joins === 'mixed'
    ? 1 / Array.from({ length: trails.copies }, (_, i) => brightness(i, trails)).reduce((sum, v) => sum + v, 1)
    : 1;

export const trails: EffectDefinition<Trails> = {
  kind: 'trails',
  label: 'Trails',
  family: 'screen',
  describe: 'Earlier moments of the lap are seen with each frame, fading; drawn anew, so that they close too.',
  form: TrailsForm,
  space: 'scene',
  earlier: trailOf,
  summary: ({ copies, lasts }) => `${copies} ${copies === 1 ? 'picture' : 'pictures'}, back to ${lasts} frames`,
};
