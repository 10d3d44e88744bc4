import { animated, choice, form, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { brightFields } from '../fields';
import { effectReach } from '../reach';

const share = { unit: '%', display: 100, decimals: 0, min: -3, max: 3, comfort: 0.5 };
const byPlace = { when: { field: 'origin', is: ['place'] } };

const RaysForm = form({
  ...effectBase,
  kind: tag('rays'),
  origin: choice(
    'place',
    { place: 'A place of the picture', sun: 'The first sun' },
    {
      label: 'Come from',
      hint: 'Where they run together: a place, or where the first of the suns that shine is, or would be.',
    },
  ),
  aside: animated(0, {
    label: 'Aside',
    ...share,
    ...byPlace,
    hint: 'To the right of the middle, as a share of the width.',
  }),
  above: animated(0.2, { label: 'Above', ...share, ...byPlace, hint: 'Above the middle, as a share of the height.' }),
  way: choice(
    'out',
    { out: 'Away from there', in: 'Towards there' },
    { label: 'Run', hint: 'From what is bright outwards, or in.' },
  ),
  length: animated(0.5, {
    label: 'Length',
    unit: '× the distance',
    min: 0.02,
    max: 3,
    comfort: 1.5,
    hint: 'How much farther out a third is left: 0.5 is half as far again as the light itself is from there.',
  }),
  ...brightFields,
  ...effectReach(),
});
export type Rays = ValueOf<typeof RaysForm>;

export const rays: EffectDefinition<Rays> = {
  kind: 'rays',
  label: 'Rays',
  family: 'light',
  describe:
    'Beams from what is bright, away from a place or the sun, or towards it; what is dark before them cuts them.',
  form: RaysForm,
  space: 'scene',
  start: { gain: 1.5, threshold: 0.5 },
  summary: ({ origin, gain }, phase) =>
    evaluateAnimated(gain, phase) > 0
      ? `from ${origin === 'sun' ? 'the sun' : 'a place'}, ${evaluateAnimated(gain, phase).toFixed(1)} ×`
      : 'none',
};
