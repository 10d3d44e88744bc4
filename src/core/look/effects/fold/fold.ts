import { animated, form, integer, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const FoldForm = form({
  ...effectBase,
  kind: tag('fold'),
  parts: integer(1, {
    label: 'Parts',
    min: 1,
    max: 64,
    comfort: 12,
    hint: '1 mirrors one half of the picture onto the other; more are so many pairs of mirrors about the middle.',
  }),
  turn: animated(0, {
    label: 'Turn',
    unit: 'turns',
    min: -1000,
    max: 1000,
    comfort: 1,
    hint: 'By how much the mirrors stand turned; whole turns in a lap close.',
  }),
  ...effectReach(),
});
export type Fold = ValueOf<typeof FoldForm>;

export const fold: EffectDefinition<Fold> = {
  kind: 'fold',
  label: 'Mirrored',
  family: 'screen',
  describe: 'One part of the picture mirrored onto all others about its middle.',
  form: FoldForm,
  space: 'scene',
  closingSteps: () => ({ turn: 1 }),
  summary: ({ parts, turn }, phase) =>
    `${parts === 1 ? 'two halves' : `${2 * parts} parts`} · ${evaluateAnimated(turn, phase).toFixed(2)} turns`,
};
