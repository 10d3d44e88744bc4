import { form, number, tag, type ValueOf } from '../../../forms';
import { effectBase, shareWords, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const GrainForm = form({
  ...effectBase,
  kind: tag('grain'),
  size: number(0.002, {
    label: 'Size',
    unit: '% of height',
    min: 0.0005,
    max: 0.02,
    display: 100,
    decimals: 2,
    hint: 'As a share of the shorter side of the frame.',
  }),
  ...effectReach(0.15),
});
export type Grain = ValueOf<typeof GrainForm>;

export const grain: EffectDefinition<Grain> = {
  kind: 'grain',
  label: 'Grain',
  family: 'lens',
  describe: 'The texture of film, new in every frame and the same in every lap.',
  form: GrainForm,
  space: 'display',
  usual: true,
  graded: true,
  summary: ({ amount }, phase) => shareWords(amount, phase),
};
