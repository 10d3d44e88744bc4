import { form, tag, type ValueOf } from '../../forms';
import { surfaceFields, surfaceValues, type MatterDefinition } from '../definition';

const PlainForm = form({ kind: tag('plain'), ...surfaceFields(0.45) });
export type Plain = ValueOf<typeof PlainForm>;

export const plain: MatterDefinition<Plain> = {
  kind: 'plain',
  label: 'Plain',
  describe: 'Stone, plastic, paint or metal, rough or polished.',
  form: PlainForm,
  values: surfaceValues,
};
