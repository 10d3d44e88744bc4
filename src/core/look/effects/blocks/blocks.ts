import { animated, form, integer, number, seed, tag, type ValueOf } from '../../../forms';
import { effectBase, shareWords, type EffectDefinition } from '../definition';
import { burstFields } from '../fields';
import { effectReach } from '../reach';

const BlocksForm = form({
  ...effectBase,
  kind: tag('blocks'),
  ...burstFields,
  block: number(0.08, {
    label: 'Block',
    unit: '% of height',
    min: 0.01,
    max: 1,
    comfort: 0.3,
    display: 100,
    decimals: 1,
    hint: 'Side of a block; some are two wide.',
  }),
  share: number(0.35, {
    label: 'Blocks that move',
    unit: '%',
    min: 0,
    max: 1,
    display: 100,
    decimals: 0,
    hint: 'Share of the blocks that show another place of the picture.',
  }),
  shift: animated(0.1, {
    label: 'Shift',
    unit: '% of height',
    min: 0,
    max: 1,
    comfort: 0.4,
    display: 100,
    decimals: 1,
    hint: 'How far away that place is at most.',
  }),
  coarse: number(0.3, {
    label: 'Coarse',
    unit: '%',
    min: 0,
    max: 1,
    display: 100,
    decimals: 0,
    hint: 'Share of those that moved which show few large dots.',
  }),
  dots: integer(4, { label: 'Dots', min: 1, max: 32, comfort: 8, hint: 'Of a coarse block, either way.' }),
  seed: seed({ label: 'Chance', hint: 'When it breaks out, and which blocks move.' }),
  ...effectReach(),
});
export type Blocks = ValueOf<typeof BlocksForm>;

export const blocks: EffectDefinition<Blocks> = {
  kind: 'blocks',
  label: 'Blocks',
  family: 'screen',
  describe: 'Blocks of the picture show another place of it, some coarsely, in short bursts.',
  form: BlocksForm,
  space: 'display',
  summary: ({ bursts, lasts, shift }, phase) => `${bursts} bursts of ${lasts} frames, ${shareWords(shift, phase)}`,
};
