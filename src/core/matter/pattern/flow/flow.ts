import { form, integer, tag, type ValueOf } from '../../../forms';
import { drivingFields, lyingFields, noiseFields, PATTERN_HEADING, type PatternDefinition } from '../definition';

const FlowForm = form({
  kind: tag('flow'),
  octaves: integer(3, {
    label: 'Octaves',
    min: 1,
    max: 4,
    comfort: 4,
    group: PATTERN_HEADING,
    hint: 'Finer noise upon noise: more is busier, and takes longer.',
  }),
  ...lyingFields({ own: 0.5, metres: 1, view: 0.2, hint: 'About the distance from one bright patch to the next' }),
  ...noiseFields,
  ...drivingFields(['#171a1e', '#5d6a70', '#e8e2d0'], { colour: 0.8, relief: 0 }),
});
export type Flow = ValueOf<typeof FlowForm>;

export const flow: PatternDefinition<Flow> = {
  kind: 'flow',
  label: 'Clouds',
  describe: 'Soft noise that boils and comes back: clouds, rust, marble, or worn paint.',
  form: FlowForm,
  choices: ({ octaves, cycles }) => [octaves, cycles, 0],
};
