import { newMatter } from '../../matter/kinds';
import { ramp } from '../../forms';
import type { Preset } from '../definition';
import type { BackdropLayer } from './form';

export const presets: readonly Preset<BackdropLayer>[] = [
  { label: 'Dusk', fields: {} },
  {
    label: 'Night',
    fields: { gradient: ramp('#020409', '#0a1524', '#050b16', '#02040a'), stars: 0.6, clouds: 0.1, light: 0.8 },
  },
  {
    label: 'Cold dawn',
    fields: {
      gradient: ramp('#06090d', '#141d28', '#7f9db0', '#c9d8dc', '#5f7f9a', '#1f3448', '#0c1826'),
      stars: 0.05,
      light: 0.7,
    },
  },
  {
    label: 'Studio sweep',
    fields: {
      form: 'sweep',
      once: true,
      size: 14,
      ahead: 6,
      above: 1.4,
      gradient: ramp('#3a3d42'),
      matter: newMatter('plain', { rough: 0.8 }),
    },
  },
];
