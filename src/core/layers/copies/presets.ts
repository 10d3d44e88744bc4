import { newMatter } from '../../matter/kinds';
import { ramp, three } from '../../forms';
import { stockFile } from '../../kept';
import { wound } from '../../time/animated';
import type { Preset } from '../definition';
import type { CopiesLayer } from './form';

/** The preset that brings a model. */
export const MODEL_PRESET = 'Ring of a model';

export const presets: readonly Preset<CopiesLayer>[] = [
  {
    label: 'Block of boxes',
    fields: { countX: 10, countY: 6, countZ: 3 },
    treatments: [{ kind: 'wave', amount: 0.12, swings: 'along', runs: 'rings', wavelength: 2, beats: 2 }],
  },
  {
    label: 'Assembling grid',
    fields: {
      countX: 12,
      countY: 7,
      countZ: 3,
      size: 0.28,
      ...three('step', 0.3),
      gradient: ramp('#9aa2a9', '#e9edf0', '#f7f9fa'),
    },
    treatments: [
      {
        kind: 'disorder',
        shiftX: 3,
        shiftY: 2,
        shiftZ: 5,
        turns: 0.3,
        spread: 1.5,
        amount: {
          law: 'keyed',
          keys: [
            { id: 'a', at: 0.06, value: 1, ease: [0.25, 0, 0.12, 1] },
            { id: 'b', at: 0.6, value: 0, ease: 'hold' },
            { id: 'c', at: 0.76, value: 0, ease: [0.5, 0, 0.55, 1] },
          ],
        },
      },
    ],
  },
  {
    label: 'Living tunnel of frames',
    fields: {
      arrangement: 'line',
      fill: true,
      count: 20,
      source: 'frame',
      sides: 6,
      thickness: 0.06,
      size: 3.4,
      deep: 2,
      turnZ: 1 / 24,
      matter: newMatter('plain', { metal: 0.9, rough: 0.25 }),
      gradient: ramp('#2a2d31', '#5f6a78'),
    },
    treatments: [{ kind: 'turn', what: 'each', axis: 'along', amount: wound(1 / 6) }],
  },
  {
    label: 'Growing balls',
    fields: {
      source: 'sphere',
      detail: 5,
      arrangement: 'scatter',
      count: 90,
      ...three('box', 6),
      distance: 0.6,
      size: 0.5,
      variation: 1,
      matter: newMatter('plain', { metal: 0.5, rough: 0.3 }),
    },
    treatments: [
      { kind: 'stagger', by: 'chance', ease: 'over', overlap: 0.3 },
      { kind: 'drift', amount: 0.12 },
    ],
  },
  {
    label: 'Burst',
    fields: {
      source: 'icosahedron',
      arrangement: 'grid',
      countX: 1,
      countY: 1,
      countZ: 1,
      size: 2,
      matter: newMatter('plain', { metal: 0.85, rough: 0.2 }),
      gradient: ramp('#2b2b31', '#8a8f9a'),
    },
    treatments: [
      { kind: 'shatter', pieces: 60, away: 1.2 },
      { kind: 'turn', axis: 'up', amount: wound(1) },
    ],
  },
  {
    label: 'Spiral of rings',
    fields: {
      source: 'torus',
      detail: 5,
      thickness: 0.12,
      arrangement: 'spiral',
      count: 40,
      winds: 3,
      radius: 2,
      radiusEnd: 0.2,
      size: 0.5,
      matter: newMatter('plain', { glowing: 1.5 }),
      gradient: ramp('#7c4dff', '#ff7bd5', '#ffffff'),
      placeBy: 'order',
    },
    treatments: [{ kind: 'turn', axis: 'along', amount: wound(1) }],
  },
  {
    label: 'One model',
    fields: {
      source: 'model',
      model: stockFile('Capstan'),
      arrangement: 'grid',
      countX: 1,
      countY: 1,
      countZ: 1,
      size: 1.5,
      matter: newMatter('modelled'),
    },
    treatments: [{ kind: 'turn', axis: 'up', amount: wound(1) }],
  },
  {
    label: 'Lantern carried by',
    fields: {
      source: 'model',
      model: stockFile('Storm lantern'),
      arrangement: 'grid',
      countX: 1,
      countY: 1,
      countZ: 1,
      size: 0.9,
      matter: newMatter('modelled'),
      aside: {
        law: 'keyed',
        keys: [
          { id: 'a', at: 0, value: -2.4, ease: 'smooth' },
          { id: 'b', at: 0.5, value: 2.4, ease: 'smooth' },
        ],
      },
      above: { law: 'swing', middle: 0, reach: 0.06, cycles: 8, wave: 'sine', shift: 0 },
      heading: { law: 'swing', middle: 0, reach: 70, cycles: 1, wave: 'sine', shift: 0.25 },
      bank: { law: 'swing', middle: 0, reach: 7, cycles: 4, wave: 'sine', shift: 0.1 },
    },
  },
  {
    label: MODEL_PRESET,
    fields: {
      source: 'model',
      model: stockFile('Storm lantern'),
      arrangement: 'ring',
      count: 12,
      radius: 1.6,
      size: 0.8,
      matter: newMatter('modelled'),
      gradient: ramp('#ffd9a0', '#f4ead6'),
    },
    treatments: [{ kind: 'turn', what: 'each', axis: 'up', amount: wound(1) }],
  },
];
