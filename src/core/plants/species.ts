import type { Tree } from './tree';

/** One kind of growth of a plant, repeated around its foot or its stem. Lengths in heights of the plant. */
export interface Part {
  form: 'blade' | 'stem' | 'frond' | 'umbel' | 'fan' | 'whorls' | 'discs';
  count: number;
  length: number;
  width: number;
  /** radians from upright */
  lean: number;
  /** how much it gives way to its weight, 0 stiff .. 3 hanging */
  weight: number;
  /** height it starts at, and how far from the middle */
  at: number;
  apart: number;
  /** leaves, rays or rings of a part that has them, and their size */
  leaves: number;
  tip: number;
}

/** The recipe of an invented plant. */
export interface Species {
  label: string;
  parts: Part[];
  /** it is a tree: nothing else grows then */
  tree?: Tree;
}

const part = (form: Part['form'], count: number, length: number, width: number, more: Partial<Part> = {}): Part => ({
  form,
  count,
  length,
  width,
  lean: 0.15,
  weight: 0.4,
  at: 0,
  apart: 0.03,
  leaves: 0,
  tip: 0,
  ...more,
});

/** The plants of the invented shore. */
export const SPECIES = {
  quayReed: {
    label: 'Quay reed',
    parts: [
      part('stem', 5, 0.95, 0.012, { lean: 0.1, weight: 0.25, apart: 0.08, tip: 0.03 }),
      part('blade', 9, 0.7, 0.028, { lean: 0.3, weight: 0.8, apart: 0.06 }),
    ],
  },
  lampRush: {
    label: 'Lamp rush',
    parts: [
      part('stem', 3, 0.9, 0.014, { lean: 0.08, weight: 0.15, apart: 0.06, tip: 0.055 }),
      part('blade', 6, 0.8, 0.022, { lean: 0.18, weight: 0.4 }),
    ],
  },
  saltTussock: {
    label: 'Salt tussock',
    parts: [part('blade', 26, 0.75, 0.02, { lean: 0.55, weight: 1.5, apart: 0.05 })],
  },
  tideParasol: {
    label: 'Tide parasol',
    parts: [
      part('umbel', 1, 0.7, 0.02, { lean: 0.06, leaves: 9, tip: 0.07 }),
      part('blade', 5, 0.25, 0.06, { lean: 0.9, weight: 0.8 }),
    ],
  },
  twinParasol: {
    label: 'Twin parasol',
    parts: [
      part('umbel', 3, 0.55, 0.014, { lean: 0.28, leaves: 7, tip: 0.055 }),
      part('frond', 4, 0.3, 0.16, { lean: 0.9, weight: 0.8, leaves: 5 }),
    ],
  },
  hookFern: { label: 'Hook fern', parts: [part('frond', 7, 0.95, 0.26, { lean: 0.55, weight: 1.3, leaves: 11 })] },
  slipFan: {
    label: 'Slip fan',
    parts: [part('fan', 5, 0.5, 0.016, { lean: 0.45, weight: 0.5, leaves: 9, tip: 0.075 })],
  },
  mastWhorl: {
    label: 'Mast whorl',
    parts: [part('whorls', 1, 1, 0.022, { lean: 0.04, weight: 0.1, leaves: 9, tip: 0.06 })],
  },
  beaconStem: {
    label: 'Beacon stem',
    parts: [
      part('stem', 7, 0.8, 0.01, { lean: 0.3, weight: 0.6, apart: 0.04, tip: 0.05 }),
      part('blade', 8, 0.22, 0.05, { lean: 1, weight: 0.9 }),
    ],
  },
  keelLeaf: { label: 'Keel leaf', parts: [part('blade', 6, 0.85, 0.17, { lean: 0.42, weight: 1, apart: 0.02 })] },
  gullFeather: { label: 'Gull feather', parts: [part('frond', 2, 1, 0.2, { lean: 0.14, weight: 0.7, leaves: 15 })] },
  stepDisc: {
    label: 'Step disc',
    parts: [part('discs', 2, 0.85, 0.02, { lean: 0.12, weight: 0.25, leaves: 6, tip: 0.11 })],
  },
  netCane: {
    label: 'Net cane',
    parts: [
      part('stem', 10, 0.9, 0.008, { lean: 0.38, weight: 1, apart: 0.03 }),
      part('whorls', 2, 0.6, 0.01, { lean: 0.2, leaves: 5, tip: 0.035 }),
    ],
  },
  moonCup: {
    label: 'Moon cup',
    parts: [
      part('discs', 5, 0.35, 0.012, { lean: 0.5, weight: 0.4, leaves: 1, tip: 0.1 }),
      part('blade', 7, 0.3, 0.05, { lean: 0.8, weight: 0.7 }),
    ],
  },
  harbourCrown: {
    label: 'Harbour crown',
    parts: [],
    tree: {
      ...{ thick: 0.075, levels: 3, boughs: 5, branches: 4, bare: 0.42, lean: 0.75, length: 0.62, crown: 0.25 },
      ...{ weight: -0.25, crooked: 0.5, leaves: 6, leaf: 0.075, wide: 0.55 },
    },
  },
  spindleMast: {
    label: 'Spindle mast',
    parts: [],
    tree: {
      ...{ thick: 0.04, levels: 1, boughs: 34, branches: 0, bare: 0.2, lean: 1.5, length: 0.36, crown: 0.93 },
      ...{ weight: 0.7, crooked: 0.12, leaves: 12, leaf: 0.055, wide: 0.22 },
    },
  },
  veilTree: {
    label: 'Veil tree',
    parts: [],
    tree: {
      ...{ thick: 0.08, levels: 2, boughs: 9, branches: 5, bare: 0.5, lean: 0.8, length: 0.62, crown: 0.2 },
      ...{ weight: 4.5, crooked: 0.25, leaves: 9, leaf: 0.07, wide: 0.2 },
    },
  },
  wreckTree: {
    label: 'Wreck tree',
    parts: [],
    tree: {
      ...{ thick: 0.09, levels: 3, boughs: 5, branches: 3, bare: 0.3, lean: 0.85, length: 0.6, crown: 0.45 },
      ...{ weight: 0.2, crooked: 0.8, leaves: 0, leaf: 0, wide: 0 },
    },
  },
} as const satisfies Record<string, Species>;
export type SpeciesName = keyof typeof SPECIES;
