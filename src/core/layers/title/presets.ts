import { stockFile } from '../../kept';
import { newMatter } from '../../matter/kinds';
import { ramp } from '../../forms';
import type { Preset } from '../definition';
import type { TitleLayer } from './form';

const arriving = {
  law: 'keyed' as const,
  keys: [
    { id: 'a', at: 0.06, value: 0, ease: [0, 0, 1, 1] as [number, number, number, number] },
    { id: 'b', at: 0.36, value: 1, ease: 'hold' as const },
    { id: 'c', at: 0.72, value: 1, ease: [0, 0, 1, 1] as [number, number, number, number] },
    { id: 'd', at: 0.96, value: 0, ease: 'hold' as const },
  ],
};

export const presets: readonly Preset<TitleLayer>[] = [
  { label: 'Condensed, with depth', fields: {} },
  {
    label: 'Letters that sharpen',
    fields: {
      text: 'Saltmarsh\nLamplight Week',
      font: stockFile('Spectral'),
      depth: 0.04,
      bevel: 0.006,
      tracking: 0.04,
    },
    treatments: [
      { kind: 'stagger', amount: arriving, overlap: 0.45, ease: 'settle', grow: 0, fade: 1, blur: 0.5, fromZ: -0.6 },
    ],
  },
  {
    label: 'Out from behind its base line',
    fields: { text: 'THE BELL BARGE', elements: 'words', edge: 'base', depth: 0, bevel: 0 },
    treatments: [{ kind: 'stagger', amount: arriving, overlap: 0.6, ease: 'settle', grow: 0, fade: 0, fromY: -0.62 }],
  },
  {
    label: 'Steps into place',
    fields: { text: 'ROPEWALK', font: stockFile('Saira Stencil'), tracking: 0.06 },
    treatments: [{ kind: 'leap' }],
  },
  {
    label: 'Countdown',
    fields: {
      shows: 'number',
      font: stockFile('Space Mono'),
      digits: 2,
      size: 1.6,
      depth: 0.1,
      matter: newMatter('plain', { glowing: 1.2 }),
      gradient: ramp('#ff8a2a', '#ffe2a8'),
    },
  },
  {
    label: 'Wide, glowing',
    fields: {
      text: 'TIDE',
      font: stockFile('Unbounded'),
      depth: 0,
      tracking: 0.12,
      matter: newMatter('plain', { glowing: 1.6 }),
      gradient: ramp('#2fd3c4', '#e8fff8'),
      placeBy: 'across',
    },
  },
];
