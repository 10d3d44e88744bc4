import { ramp } from '../../forms';
import { stockFile } from '../../kept';
import { newMatter } from '../../matter/kinds';
import { wound } from '../../time/animated';
import type { Preset } from '../definition';
import type { FigureLayer } from './form';

export const presets: readonly Preset<FigureLayer>[] = [
  { label: 'Walker', fields: { above: -0.9, ahead: 5, heading: 200 } },
  { label: 'Walker that goes ahead', fields: { travel: 'tiles', above: -0.9, ahead: 4 } },
  {
    label: 'Tumbler of particles',
    fields: {
      motion: stockFile('Tumbling'),
      drawn: 'points',
      points: 9000,
      around: 0.09,
      light: 1.2,
      size: 0.0035,
      above: -0.9,
      ahead: 6,
      heading: 120,
      gradient: ramp('#14323c', '#3fb5a2', '#f7e2a6'),
      placeBy: 'height',
    },
    treatments: [{ kind: 'drift', amount: 0.05, scale: 0.6, cycles: 2 }],
  },
  {
    label: 'Row, one after another',
    fields: {
      count: 9,
      spacing: 0.9,
      late: 1 / 9,
      above: -0.9,
      ahead: 6,
      aside: 1.1,
      heading: 0,
      placeBy: 'figure',
      gradient: ramp('#2c3e46', '#c9563a', '#f4d9a0'),
    },
  },
  {
    label: 'Ring of tumblers',
    fields: {
      motion: stockFile('Tumbling'),
      arrangement: 'ring',
      count: 12,
      radius: 2.6,
      late: 1 / 12,
      tall: 1.1,
      gradient: ramp('#7a2f1a', '#f2b84b', '#fff1cf'),
      matter: newMatter('plain', { metal: 1, rough: 0.3, glowing: 1 }),
      placeBy: 'figure',
    },
    treatments: [{ kind: 'turn', axis: 'along', amount: wound(1) }],
  },
  {
    label: 'Drawn with light',
    fields: {
      drawn: 'lines',
      light: 3,
      width: 0.006,
      above: -0.9,
      heading: 150,
      gradient: ramp('#ff7a3c', '#ffd27a', '#9fe8ff'),
    },
    treatments: [{ kind: 'trails', count: 10, spacing: 2 }],
  },
  {
    label: 'Capsules that shatter',
    fields: { bone: 'capsule', girth: 1.2, above: -0.9, ahead: 4, heading: 160 },
    treatments: [{ kind: 'shatter', away: 0.3, fall: 0.15, pieces: 12 }],
  },
  {
    label: 'Mannequin, to judge scale by',
    fields: { motion: stockFile('Mannequin'), above: -0.9, gradient: ramp('#8d9498', '#b3b8ba', '#d6d8d6') },
  },
];
