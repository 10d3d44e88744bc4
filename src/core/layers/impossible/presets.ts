import { ramp } from '../../forms';
import { newMatter } from '../../matter/kinds';
import { newPattern } from '../../matter/pattern/kinds';
import type { Preset } from '../definition';
import type { ImpossibleLayer } from './form';

const glowing = newPattern('cells', {
  by: 'edges',
  lies: 'layer',
  metres: 0.5,
  cycles: 2,
  colour: 1,
  colours: ramp('#140b06', '#c4501a', '#ffe2a8'),
  shines: 1.4,
  contrast: 1.3,
});

export const presets: readonly Preset<ImpossibleLayer>[] = [
  { label: 'Three beams', fields: {} },
  {
    label: 'Four beams, a lamp going round',
    fields: {
      figure: 'square',
      carries: 'lamps',
      count: 3,
      rounds: 1 / 3,
      size: 0.07,
      gradient: ramp('#9fc4bb', '#e8fff4'),
    },
  },
  { label: 'Open crate', fields: { figure: 'crate', thickness: 0.22, gradient: ramp('#d7a58f', '#f4d9c8') } },
  {
    label: 'Stairs, with a ball that climbs',
    fields: {
      figure: 'stairs',
      width: 2.6,
      height: 2.6,
      thickness: 0.5,
      carries: 'lamps',
      rounds: 1,
      size: 0.08,
      softness: 0.1,
      gradient: ramp('#b9b3d8', '#ffe9c9'),
    },
  },
  {
    label: 'Two or three prongs',
    fields: { figure: 'prongs', width: 3.2, height: 2.2, gradient: ramp('#a8bccb', '#eef4f8'), spread: 0 },
  },
  {
    label: 'Endless walkway, a lamp going round',
    fields: {
      figure: 'walkway',
      width: 2.6,
      height: 2.6,
      thickness: 0.5,
      carries: 'lamps',
      count: 2,
      rounds: 0.5,
      size: 0.07,
    },
  },
  {
    label: 'Letters round three beams',
    fields: {
      carries: 'letters',
      count: 2,
      rounds: 0.5,
      text: 'MARROW QUAY  SALTMARSH LAMPLIGHT WEEK  ',
      size: 0.14,
      glows: 2.4,
      gradient: ramp('#3a4a5c', '#ffdf9a'),
    },
  },
  {
    label: 'Glowing cells, with sparks',
    fields: {
      matter: newMatter('sides', { glowing: 0.25 }),
      pattern: glowing,
      carries: 'particles',
      count: 1400,
      rounds: 1,
      size: 0.009,
      glows: 5,
      gradient: ramp('#6b4a34', '#ffcf8a'),
    },
  },
];
