import { newMatter } from '../../matter/kinds';
import { ramp } from '../../forms';
import type { Preset } from '../definition';
import type { GroundLayer } from './form';

export const presets: readonly Preset<GroundLayer>[] = [
  { label: 'Soft hills', fields: {} },
  {
    label: 'Columns of stone',
    fields: {
      form: 'columns',
      relief: 1.1,
      feature: 1.3,
      octaves: 1,
      valley: 1.6,
      rows: 280,
      gradient: ramp('#0b0d12', '#262c33', '#8a8f8c'),
    },
  },
  { label: 'Sharp ridges', fields: { form: 'ridged', relief: 2.6, feature: 8, octaves: 5, valley: 2 } },
  {
    label: 'Still water',
    fields: {
      surface: 'water',
      mirrors: 'all',
      above: -1.1,
      matter: newMatter('plain', { rough: 0.06, metal: 0.85 }),
      gradient: ramp('#5f7480'),
    },
  },
  {
    label: 'Polished floor',
    fields: {
      relief: 0,
      rows: 2,
      mirrors: 'all',
      matter: newMatter('plain', { rough: 0.22 }),
      gradient: ramp('#0e1013'),
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
