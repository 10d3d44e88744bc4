import { form, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { shinesField, type MatterDefinition } from '../definition';

const EmissionForm = form({
  kind: tag('emission'),
  glowing: shinesField(1, 'Light of its own, in its colour. No other light falls on it.'),
});
export type Emission = ValueOf<typeof EmissionForm>;

export const emission: MatterDefinition<Emission> = {
  kind: 'emission',
  label: 'Emission',
  describe: 'Nothing but light of its own: even, whatever shines on it.',
  form: EmissionForm,
  values: ({ glowing }, phase) => [0, 1, evaluateAnimated(glowing, phase)],
};
