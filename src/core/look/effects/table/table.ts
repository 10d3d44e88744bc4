import { stockFile } from '../../../kept';
import { file, form, tag, type ValueOf } from '../../../forms';
import { effectBase, shareWords, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const TableForm = form({
  ...effectBase,
  kind: tag('table'),
  file: file('table', null, {
    label: 'Table',
    hint: 'What every colour of the display becomes: a .cube file, of one dimension or three. Between its entries colours are mixed in tetrahedra.',
  }),
  ...effectReach(),
});
export type Table = ValueOf<typeof TableForm>;

export const table: EffectDefinition<Table> = {
  kind: 'table',
  label: 'Lookup table',
  family: 'colour',
  describe: 'Every colour becomes what a table says, from a .cube file; on what the display shows.',
  form: TableForm,
  space: 'display',
  start: { file: stockFile('Sodium quay') },
  summary: ({ file, amount }, phase) => (file ? `${file.name}, ${shareWords(amount, phase)}` : 'no table yet'),
};
