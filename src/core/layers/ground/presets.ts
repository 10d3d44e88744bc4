import { newMatter } from '../../matter/kinds';
import { ramp } from '../../forms';
import type { Preset } from '../definition';
import type { GroundLayer } from './form';

export const presets: readonly Preset<GroundLayer>[] = [
  { label: 'Soft hills', fields: {} },
  { label: 'Sharp ridges', fields: { form: 'ridged', relief: 2.6, feature: 8, octaves: 5, valley: 2 } },
  {
    label: 'Still water',
    fields: {
      surface: 'water',
      above: -1.1,
      matter: newMatter('plain', { rough: 0.06, metal: 0.85 }),
      gradient: ramp('#5f7480'),
    },
  },
  {
    label: 'Dunes',
    fields: {
      relief: 1.2,
      feature: 7,
      octaves: 2,
      valley: 1,
      matter: newMatter('plain', { rough: 0.9 }),
      gradient: ramp('#2a2018', '#8a6a44', '#d9b380'),
    },
  },
];
