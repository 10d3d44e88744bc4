import { ramp } from '../../forms';
import { wound } from '../../time/animated';
import type { Preset } from '../definition';
import type { LinksLayer } from './form';

export const presets: readonly Preset<LinksLayer>[] = [
  { label: 'Shell of lamps', fields: {}, treatments: [{ kind: 'turn', axis: 'up', amount: wound(1) }] },
  {
    label: 'Breathing net',
    fields: { form: 'ball', count: 900, width: 4, height: 4, depth: 4, most: 5, distance: 0.6 },
    treatments: [{ kind: 'drift', amount: 0.4, scale: 2, cycles: 2 }],
  },
  {
    label: 'Lattice',
    fields: {
      form: 'grid',
      slices: 9,
      stacks: 6,
      rowsDeep: 9,
      width: 5,
      height: 3.2,
      depth: 5,
      jitter: 0,
      most: 6,
      distance: 0.75,
      linkGradient: ramp('#0c4a5c', '#5fe3c0', '#e9fff6'),
    },
    treatments: [{ kind: 'wave', amount: 0.25, wavelength: 3 }],
  },
  {
    label: 'Endless web',
    fields: {
      form: 'box',
      count: 1400,
      width: 7,
      height: 5,
      depth: 8,
      wraps: true,
      most: 4,
      distance: 0.8,
      size: 0.006,
    },
    treatments: [{ kind: 'drift', amount: 0.3 }],
  },
];
