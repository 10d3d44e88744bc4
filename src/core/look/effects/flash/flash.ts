import { animated, colour, form, integer, number, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const FlashForm = form({
  ...effectBase,
  kind: tag('flash'),
  beats: integer(4, {
    label: 'Beats',
    perLap: true,
    unit: 'per lap',
    min: 1,
    max: 2000,
    comfort: 32,
    hint: 'Flashes in a lap, evenly.',
  }),
  shift: number(0, {
    label: 'Shift',
    unit: '% of a beat',
    min: 0,
    max: 1,
    display: 100,
    decimals: 0,
    hint: 'How much later than the beat.',
  }),
  fades: number(0.25, {
    label: 'Fades over',
    unit: '% of a beat',
    min: 0.01,
    max: 1,
    display: 100,
    decimals: 0,
    hint: 'Share of a beat after which a third of it is left; at the next beat there is none.',
  }),
  lights: animated(1, {
    label: 'Lights up',
    unit: 'EV',
    min: -8,
    max: 8,
    comfort: 3,
    hint: 'Exposures by which the picture is brighter at the flash; below 0 it goes dark.',
  }),
  veil: animated(0, {
    label: 'Veil',
    unit: '×',
    min: 0,
    max: 100,
    comfort: 1,
    hint: 'Light that is added over everything at the flash.',
  }),
  colour: colour('#ffffff', { label: 'Colour', hint: 'Of the veil.' }),
  ...effectReach(),
});
export type Flash = ValueOf<typeof FlashForm>;

/** How much of a flash there is at a phase, 1 at each beat and 0 before the next. */
export function flashAt({ beats, shift, fades }: Pick<Flash, 'beats' | 'shift' | 'fades'>, phase: number): number {
  const turns = beats * phase - shift;
  // what is a beat but for rounding is a beat
  const since = turns - Math.floor(turns + 1e-9);
  const end = Math.exp(-1 / fades);
  return Math.max(0, (Math.exp(-Math.max(0, since) / fades) - end) / (1 - end));
}

export const flash: EffectDefinition<Flash> = {
  kind: 'flash',
  label: 'Flash',
  family: 'light',
  describe: 'The picture lights up on every beat and fades.',
  form: FlashForm,
  space: 'scene',
  summary: ({ beats, lights }, phase) => {
    const ev = evaluateAnimated(lights, phase);
    return `${beats} a lap · ${ev >= 0 ? '+' : ''}${ev.toFixed(1)} EV`;
  },
};
