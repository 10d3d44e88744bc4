import { animated, form, number, tag, type ValueOf } from '../../../forms';
import { effectBase, shareWords, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const share = { unit: '% of height', display: 100, decimals: 0 };

const FloorForm = form({
  ...effectBase,
  kind: tag('floor'),
  line: animated(0.3, {
    label: 'Line',
    ...share,
    min: -1,
    max: 2,
    comfort: 1,
    hint: 'Where the floor begins, above the lower edge of the picture.',
  }),
  stretch: number(1.4, {
    label: 'Stretch',
    unit: '×',
    min: 0.2,
    max: 10,
    comfort: 3,
    hint: 'How much longer what it shows is than what stands over it.',
  }),
  blur: animated(0.25, {
    label: 'Rough',
    unit: '%',
    display: 100,
    decimals: 0,
    min: 0,
    max: 2,
    comfort: 0.6,
    hint: 'How far it is drawn out downwards, as a share of how far below the line it is.',
  }),
  fades: animated(0.35, {
    label: 'Fades over',
    ...share,
    min: 0.01,
    max: 4,
    comfort: 1,
    hint: 'How far below the line a third of it is left.',
  }),
  ...effectReach(),
});
export type Floor = ValueOf<typeof FloorForm>;

export const floor: EffectDefinition<Floor> = {
  kind: 'floor',
  label: 'Mirror floor',
  family: 'screen',
  describe: 'Below a line the picture is seen once more, upside down, longer and rougher the farther down.',
  form: FloorForm,
  space: 'scene',
  start: { amount: 0.8 },
  summary: ({ line, stretch }, phase) => `below ${shareWords(line, phase)} · ${stretch.toFixed(1)} ×`,
};
