import { stockFile } from '../../kept';
import { newMatter } from '../../matter/kinds';
import { ramp } from '../../forms';
import type { Preset } from '../definition';
import type { ScreenLayer } from './form';
import { SHOWS, type Shown } from '../../shows/kinds';

const shown = (kind: 'picture' | 'clip', name: string, more: object = {}): Shown =>
  SHOWS.schema.parse({ id: name.toLowerCase().replace(/\W+/g, '-'), kind, file: stockFile(name), ...more });

const arrives = {
  law: 'keyed' as const,
  keys: [
    { id: 'a', at: 0.04, value: 0, ease: [0.2, 0, 0.6, 1] as [number, number, number, number] },
    { id: 'b', at: 0.5, value: 1, ease: 'hold' as const },
    { id: 'c', at: 0.86, value: 1, ease: [0.4, 0, 0.8, 1] as [number, number, number, number] },
    { id: 'd', at: 0.98, value: 0, ease: 'hold' as const },
  ],
};

export const presets: readonly Preset<ScreenLayer>[] = [
  {
    label: 'Wall of boards',
    fields: {
      shows: [shown('clip', 'Tide chart'), shown('picture', 'Harbour plan'), shown('clip', 'Scanning beam')],
      countX: 4,
      countY: 3,
      countZ: 1,
      stepX: 1.72,
      stepY: 1.02,
      size: 0.94,
      shape: 'set',
      dots: 'round',
      dotRows: 54,
      dotGap: 0.24,
      emission: 2.6,
    },
  },
  {
    label: 'Spread along the travel',
    fields: {
      shows: [
        shown('picture', 'Depth soundings'),
        shown('clip', 'Signal flags'),
        shown('picture', 'Tide table'),
        shown('picture', 'Berth numbers'),
      ],
      arrangement: 'depth',
      count: 18,
      fill: true,
      boxX: 7,
      boxY: 4,
      clear: 1.1,
      size: 1.1,
      variation: 0.6,
      emission: 2.6,
      second: true,
      dots: 'square',
      dotRows: 72,
      dotGap: 0.2,
      between: 'open',
    },
  },
  {
    label: 'One picture around a ring',
    fields: {
      shows: [shown('picture', 'Harbour plan')],
      arrangement: 'ring',
      count: 12,
      radius: 2.4,
      stands: 'curved',
      curve: 30,
      facing: 'in',
      emission: 2.4,
      parts: 'split',
      shape: 'set',
      wide: 0.51,
      size: 2.4,
      fitted: 'fill',
      lineRows: 90,
      lineRun: 6,
      // so that it reads upright below whoever flies in
      heading: 180,
    },
  },
  {
    label: 'Loads block by block',
    fields: {
      shows: [shown('picture', 'Gauge dial'), shown('picture', 'Net and floats'), shown('picture', 'Salt crystals')],
      arrangement: 'line',
      count: 3,
      spacing: 0,
      ...{ moveX: 1.9, size: 1.5, loads: 'chance', loaded: arrives, blockRows: 12, loadSpread: 0.4 },
      shape: 'set',
      wide: 1.2,
      smooth: false,
    },
  },
  {
    label: 'Turning lamp boxes',
    fields: {
      shows: [shown('clip', 'Lamp test'), shown('clip', 'Signal flags', { start: 24 })],
      stands: 'faces',
      solid: 'box',
      shape: 'set',
      wide: 1,
      deep: 1,
      size: 0.7,
      countX: 5,
      countY: 3,
      countZ: 1,
      stepX: 1.1,
      stepY: 1.1,
      surface: 0.4,
      matter: newMatter('plain', { rough: 0.35 }),
      gradient: ramp('#ffffff', '#ffe2b0'),
      placeBy: 'chance',
    },
    treatments: [{ kind: 'turn' }],
  },
];
