import { form, number, tag, type ValueOf } from '../../../forms';
import { effectBase, type EffectDefinition } from '../definition';

const GrainForm = form({
  ...effectBase,
  kind: tag('grain'),
  amount: number(0.15, {
    label: 'Amount',
    unit: '%',
    min: 0,
    max: 1,
    comfort: 0.6,
    display: 100,
    decimals: 0,
    hint: 'Film grain; it repeats with the lap.',
  }),
  size: number(0.002, {
    label: 'Size',
    unit: '% of height',
    min: 0.0005,
    max: 0.02,
    display: 100,
    decimals: 2,
    hint: 'As a share of the shorter side of the frame.',
  }),
});
export type Grain = ValueOf<typeof GrainForm>;

export const grain: EffectDefinition<Grain> = {
  kind: 'grain',
  label: 'Grain',
  describe: 'The texture of film, new in every frame and the same in every lap.',
  form: GrainForm,
  space: 'display',
  summary: ({ amount }) => `${Math.round(amount * 100)} %`,
};
