import type { Preset } from '../definition';
import type { TunnelLayer } from './form';

export const presets: readonly Preset<TunnelLayer>[] = [
  {
    label: 'Rope frames',
    fields: {},
    treatments: [{ kind: 'disorder', shiftX: 0.03, shiftY: 0.03, shiftZ: 0, turns: 0.004, spread: 0.03 }],
  },
  {
    label: 'Wire net',
    fields: { lines: 'net', section: 'circle', nested: 0, rings: 32, twist: 0, width: 0.006, light: 0.9 },
  },
  {
    label: 'Soft square with ribs',
    fields: { section: 'super', roundness: 5, wall: 'ribs', rings: 30, nested: 0, twist: 0, light: 0.8 },
  },
  {
    label: 'Growing rings',
    fields: { nested: 0.7, rings: 40 },
    treatments: [{ kind: 'stagger', by: 'along', overlap: 0.2, ease: 'over' }],
  },
  {
    label: 'Swaying tube',
    fields: { section: 'circle', nested: 0, wall: 'skin', lines: 'rings', rings: 48, twist: 0, wobble: 0.12 },
    treatments: [{ kind: 'bend', axis: 'along', amount: 8 }],
  },
  {
    label: 'Wandering gallery',
    fields: { route: 'onward', section: 'drawn', nested: 0, lines: 'net', rings: 28, twist: 0, width: 0.008 },
  },
  {
    label: 'Ring of frames',
    fields: { route: 'ring', ringRadius: 6, radius: 1.4, rings: 80, twist: 1, sides: 4, nested: 0.7 },
  },
  {
    label: 'Drawn circuit',
    fields: { route: 'closed', section: 'circle', nested: 0, lines: 'net', rings: 72, twist: 0, radius: 1.2 },
  },
];
