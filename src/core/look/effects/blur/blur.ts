import { animated, choice, form, integer, number, seed, tag, type ValueOf } from '../../../forms';
import { effectBase, shareWords, type EffectDefinition } from '../definition';
import { TURNED } from '../fields';
import { effectReach } from '../reach';

const about = {
  when: { field: 'way', is: ['zoom', 'spin'] },
  unit: '%',
  display: 100,
  decimals: 0,
  min: -2,
  max: 2,
  comfort: 0.5,
};

const BlurForm = form({
  ...effectBase,
  kind: tag('blur'),
  way: choice(
    'line',
    { line: 'Along a line', round: 'All round', zoom: 'From a place', spin: 'Around a place' },
    { label: 'Blurs', hint: 'Which way the picture is drawn out.' },
  ),
  long: animated(0, {
    label: 'By',
    unit: '% of height',
    min: 0,
    max: 2,
    comfort: 0.3,
    display: 100,
    decimals: 1,
    hint: 'How far it is drawn out; from a place and around it, half the height away from there.',
  }),
  turn: animated(0, {
    ...TURNED,
    when: { field: 'way', is: ['line'] },
    hint: 'The line, to the left from level; by half turns a lap it closes.',
  }),
  aside: animated(0, {
    label: 'Aside',
    ...about,
    hint: 'The place, to the right of the middle, as a share of the width.',
  }),
  above: animated(0, { label: 'Above', ...about, hint: 'Above the middle, as a share of the height.' }),
  uneven: animated(0, {
    label: 'Uneven',
    ...{ unit: '%', min: 0, max: 1, display: 100, decimals: 0 },
    hint: 'By noise it is drawn out less in some patches, at 100 % not at all in some.',
  }),
  patches: number(0.4, {
    label: 'Patches',
    unit: '% of height',
    ...{ min: 0.02, max: 10, comfort: 1, display: 100, decimals: 0 },
    hint: 'About how large they are.',
  }),
  cycles: integer(2, {
    label: 'Patches change',
    perLap: true,
    unit: 'per lap',
    ...{ min: 1, max: 1000, comfort: 12 },
    hint: 'The most whole cycles that any of them goes through in a lap.',
  }),
  seed: seed({ label: 'Chance', hint: 'Where the patches are.' }),
  ...effectReach(),
});
export type Blur = ValueOf<typeof BlurForm>;

const WAYS: Record<Blur['way'], string> = {
  line: 'along a line',
  round: 'all round',
  zoom: 'from a place',
  spin: 'around a place',
};

export const blur: EffectDefinition<Blur> = {
  kind: 'blur',
  label: 'Blur',
  family: 'lens',
  describe: 'The picture blurred along a line, all round, from a place or around one; everywhere, or in patches.',
  form: BlurForm,
  space: 'scene',
  start: { long: 0.08 },
  closingSteps: () => ({ turn: 0.5 }),
  summary: ({ way, long }, phase) => `${WAYS[way]}, ${shareWords(long, phase)}`,
};
