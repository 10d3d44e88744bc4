import { form, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { shinesField, type MatterDefinition } from '../definition';

const HeadlampForm = form({
  kind: tag('headlamp'),
  glowing: shinesField(1, 'How bright it is. The lights of the look do not fall on it.'),
});
export type Headlamp = ValueOf<typeof HeadlampForm>;

export const headlamp: MatterDefinition<Headlamp> = {
  kind: 'headlamp',
  label: 'Headlamp',
  describe: 'Dark, and seen by a lamp at the camera that reaches a few metres; no other light falls on it.',
  form: HeadlampForm,
  values: ({ glowing }, phase) => [0, 1, evaluateAnimated(glowing, phase)],
};
