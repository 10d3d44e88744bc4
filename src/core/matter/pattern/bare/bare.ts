import { form, tag, type ValueOf } from '../../../forms';
import type { PatternDefinition } from '../definition';

const BareForm = form({ kind: tag('bare') });
export type Bare = ValueOf<typeof BareForm>;

export const bare: PatternDefinition<Bare> = {
  kind: 'bare',
  label: 'Even',
  describe: 'No pattern: the same all over.',
  form: BareForm,
  choices: () => [0, 0, 0],
};
