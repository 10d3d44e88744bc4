import { ramp } from '../forms';
import { stockFile } from '../kept';
import { newMatter, type Matter } from './kinds';
import { newPattern, type Pattern } from './pattern/kinds';

/** Something that is chosen as it is. */
export interface Ready<T> {
  label: string;
  is: T;
}

/** Matter to begin with. */
export const READY_MATTER: readonly Ready<Matter>[] = [
  { label: 'Chalk', is: newMatter('plain', { rough: 1 }) },
  { label: 'Enamel', is: newMatter('plain', { rough: 0.16 }) },
  { label: 'Lacquer', is: newMatter('plain', { rough: 0.6, coat: 1, coatRough: 0.04 }) },
  { label: 'Cast metal', is: newMatter('plain', { metal: 1, rough: 0.48 }) },
  { label: 'Mirror', is: newMatter('plain', { metal: 1, rough: 0.06 }) },
  { label: 'Lamp', is: newMatter('emission', { glowing: 3 }) },
  {
    label: 'Velvet',
    is: newMatter('facing', { colours: ramp('#0a0610', '#3a1746', '#d59bdc'), rough: 1, bend: 1.4 }),
  },
  {
    label: 'Bright rim',
    is: newMatter('facing', { colours: ramp('#04070c', '#0c2233', '#7fd8ff'), rough: 0.6, bend: 1.8, rimLight: 2.5 }),
  },
  { label: 'Clear glass', is: newMatter('glass', { colours: ramp('#ffffff', '#e8f3f0') }) },
  { label: 'Frosted', is: newMatter('glass', { rough: 0.45 }) },
  {
    label: 'Bottle',
    is: newMatter('glass', { colours: ramp('#f2fff6', '#8fd6ae', '#2f8a63'), thick: 1.6, rough: 0.05 }),
  },
  { label: 'Soap', is: newMatter('film', { film: 1 }) },
  {
    label: 'Oil on steel',
    is: newMatter('film', { film: 0.6, metal: 1, rough: 0.25, thick: 420, uneven: 260, falls: 0, streaks: 1.4 }),
  },
];

/** Patterns to begin with. */
export const READY_PATTERNS: readonly Ready<Pattern>[] = [
  {
    label: 'Crackle',
    is: newPattern('cells', {
      ...{ by: 'edges', patch: 0.3, contrast: 5, level: 0.8, colour: 0.9, relief: -0.12, cycles: 0 },
      colours: ramp('#d8d2c2', '#8a8478', '#16130f'),
    }),
  },
  {
    label: 'Pebbles',
    is: newPattern('cells', {
      ...{ by: 'domes', patch: 0.26, colour: 0.6, relief: 0.45, cycles: 1 },
      colours: ramp('#0c0e10', '#4c5054', '#b9b3a6'),
    }),
  },
  {
    label: 'Fields',
    is: newPattern('cells', {
      ...{ by: 'own', patch: 0.3, colour: 1, roughens: 0.7, cycles: 1 },
      colours: ramp('#12202a', '#1f5c66', '#d8b25a', '#efe6cf'),
    }),
  },
  {
    label: 'Dimples',
    is: newPattern('cells', { by: 'round', patch: 0.22, colour: 0, relief: 0.5, contrast: 1.6, cycles: 0 }),
  },
  {
    label: 'Rust',
    is: newPattern('flow', {
      ...{ octaves: 4, patch: 0.55, contrast: 3, colour: 0.9, roughens: 0.9, relief: 0.03, cycles: 0 },
      colours: ramp('#15181b', '#2a2523', '#8a3f1a', '#c9713a'),
    }),
  },
  {
    label: 'Overcast',
    is: newPattern('flow', {
      octaves: 3,
      patch: 0.6,
      colour: 1,
      cycles: 2,
      colours: ramp('#101a2c', '#4a6a86', '#e9edf0'),
    }),
  },
  {
    label: 'Embers',
    is: newPattern('flow', {
      ...{ octaves: 3, patch: 0.45, contrast: 5, level: 0.62, colour: 1, shines: 5, cycles: 2 },
      colours: ramp('#0b0605', '#3a0f06', '#ff5a1e', '#ffd9a0'),
    }),
  },
  {
    label: 'Worn',
    is: newPattern('flow', { octaves: 4, patch: 0.4, contrast: 2, colour: 0, roughens: 0.9, relief: 0.02, cycles: 0 }),
  },
  {
    label: 'Planks',
    is: newPattern('picture', { file: stockFile('Weathered planks'), putOn: 'sides', relief: 0.06, repeats: true }),
  },
  {
    label: 'Rope',
    is: newPattern('picture', {
      ...{ file: stockFile('Rope weave'), putOn: 'around', patch: 0.5, relief: 0.1, repeats: true },
    }),
  },
  {
    label: 'Salt',
    is: newPattern('picture', {
      ...{ file: stockFile('Salt crystals'), putOn: 'sides', patch: 0.8, relief: 0.12, repeats: true },
    }),
  },
];
