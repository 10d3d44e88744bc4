import { ramp } from '../../forms';
import { wound } from '../../time/animated';
import type { Preset } from '../definition';
import type { FieldLayer } from './form';

export const presets: readonly Preset<FieldLayer>[] = [
  { label: 'Drifting motes', fields: {}, treatments: [{ kind: 'drift', amount: 0.25 }] },
  {
    label: 'Star sheet',
    fields: {
      shape: 'grid',
      width: 24,
      height: 8,
      count: 20_000,
      jitter: 0.5,
      size: 0.005,
      light: 1.4,
      glint: 0.95,
      gradient: ramp('#0b1c3a', '#1f5c8c', '#8fd0ff', '#fff4df'),
    },
    treatments: [{ kind: 'drift', amount: 1.4, scale: 6, cycles: 1, octaves: 4 }],
  },
  {
    label: 'Lamps along the way',
    fields: {
      shape: 'corridor',
      width: 5,
      height: 5,
      hollow: 0.4,
      count: 900,
      size: 0.02,
      light: 5,
      gradient: ramp('#7a2f1a', '#f2b84b', '#fff1cf'),
    },
    treatments: [
      { kind: 'drift', amount: 0.12 },
      { kind: 'pulse', by: 'along', waves: 3, beats: 3, sharpness: 4 },
    ],
  },
  {
    label: 'Strand of light',
    fields: {
      shape: 'strand',
      width: 2.4,
      height: 2.4,
      count: 16_000,
      size: 0.003,
      light: 2,
      gradient: ramp('#5f1f7a', '#ff6f91', '#fff1cf'),
      placeBy: 'position',
    },
    treatments: [{ kind: 'drift', amount: 0.5, scale: 1.6, cycles: 2, octaves: 3 }],
  },
  {
    label: 'Salt crystals',
    fields: {
      sprite: 'picture',
      count: 700,
      size: 0.028,
      variation: 0.5,
      light: 0.9,
      glint: 0.6,
      gradient: ramp('#5f8fb0', '#cfe6f5', '#ffffff'),
    },
    treatments: [{ kind: 'drift', amount: 0.5, scale: 3, cycles: 2 }],
  },
  {
    label: 'Glittering ball',
    fields: {
      shape: 'shell',
      width: 3,
      height: 3,
      depth: 3,
      hollow: 0.85,
      count: 12_000,
      size: 0.004,
      glint: 1,
      light: 3,
    },
    treatments: [
      { kind: 'turn', axis: 'up', amount: wound(1) },
      { kind: 'pulse', by: 'chance', beats: 4, sharpness: 6, amount: 1 },
    ],
  },
];
