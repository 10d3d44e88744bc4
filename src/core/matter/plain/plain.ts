import { animated, form, largest, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { MATTER_HEADING as group, surfaceFields, surfaceValues, type MatterDefinition } from '../definition';

const PlainForm = form({
  kind: tag('plain'),
  ...surfaceFields(0.45),
  coat: animated(0, {
    label: 'Clear coat',
    min: 0,
    max: 1,
    group,
    hint: 'A layer of lacquer over it, with highlights of its own. 0: none. 1: all over.',
  }),
  coatRough: animated(0.05, {
    label: 'Its roughness',
    min: 0.02,
    max: 1,
    group,
    hint: 'Roughness of the clear coat. 0: polished. 1: dull.',
  }),
});
export type Plain = ValueOf<typeof PlainForm>;

export const plain: MatterDefinition<Plain> = {
  kind: 'plain',
  label: 'Plain',
  describe: 'Stone, plastic, paint or metal, rough or polished.',
  form: PlainForm,
  values: (matter, phase) => [
    ...surfaceValues(matter, phase),
    evaluateAnimated(matter.coat, phase),
    evaluateAnimated(matter.coatRough, phase),
  ],
  coated: ({ coat }) => largest(coat) > 0,
};
