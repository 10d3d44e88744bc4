import { animated, form, integer, number, seed, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const DustForm = form({
  ...effectBase,
  kind: tag('dust'),
  specks: animated(0, {
    label: 'Specks',
    unit: 'a picture',
    min: 0,
    max: 400,
    comfort: 60,
    decimals: 0,
    hint: 'How many there are on a frame, on average.',
  }),
  size: number(0.004, {
    label: 'Size',
    unit: '% of height',
    min: 0.0005,
    max: 0.03,
    comfort: 0.01,
    display: 100,
    decimals: 2,
    hint: 'Of the largest, from side to side; most are smaller.',
  }),
  light: number(0.5, {
    label: 'Light ones',
    unit: '%',
    min: 0,
    max: 1,
    display: 100,
    decimals: 0,
    hint: 'Share of them that is light, as dust on a negative; the others are dark.',
  }),
  stays: integer(2, {
    label: 'Stay',
    unit: 'frames',
    min: 1,
    max: 240,
    comfort: 24,
    retimes: true,
    hint: 'Frames after which there are others; the lap is cut into as many whole turns of them as fit.',
  }),
  seed: seed({ label: 'Chance', hint: 'Where they are.' }),
  ...effectReach(),
});
export type Dust = ValueOf<typeof DustForm>;

/** The turn of specks that a frame of a lap shows, from 0: as many in a lap as fit, each of whole frames. */
export function dustTurn({ stays }: Pick<Dust, 'stays'>, frame: number, frames: number): number {
  const turns = Math.max(1, Math.floor(frames / stays));
  return Math.floor((frame * turns) / frames);
}

export const dust: EffectDefinition<Dust> = {
  kind: 'dust',
  label: 'Dust',
  family: 'lens',
  describe: 'Specks on the film, others every few frames, the same every lap.',
  form: DustForm,
  space: 'display',
  start: { specks: 24 },
  summary: ({ specks, stays }, phase) =>
    evaluateAnimated(specks, phase) > 0
      ? `${evaluateAnimated(specks, phase).toFixed(0)} specks for ${stays} frames`
      : 'none',
};
