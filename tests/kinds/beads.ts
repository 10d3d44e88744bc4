// A kind of layer that no one ships: a row of beads along the travel, made from one file.
import { STRAIGHT, courseValues } from '../../src/core/elements/course';
import { boxOf, still } from '../../src/core/elements/extent';
import type { CameraView } from '../../src/core/elements/world';
import { form, gradient, heading, integer, number, tag, type ValueOf } from '../../src/core/forms';
import { fitNoise } from '../../src/core/noise/fit';
import { momentOf } from '../../src/core/noise/moment';
import { DARK, layerBase, layerSeed } from '../../src/core/layers/base';
import type { LayerDefinition } from '../../src/core/layers/definition';
import { fieldKernel, fieldPlace, fieldShape, type FieldValues } from '../../src/core/layers/field/field.gen';

const row = heading('Row');

const BeadsForm = form({
  ...layerBase,
  kind: tag('beads'),
  count: integer(12, { label: 'Beads', min: 1, max: 500, group: row, hint: 'Beads in a tile.' }),
  above: number(0, { label: 'Above', unit: 'm', min: -10, max: 10, drags: 'above', group: row, hint: 'Metres.' }),
  aside: number(0, { label: 'Aside', unit: 'm', min: -10, max: 10, drags: 'aside', group: row, hint: 'Metres.' }),
  windings: number(3, { label: 'Windings', min: -20, max: 20, group: row, hint: 'Must be whole to close.' }),
  gradient: gradient(['#ffffff'], { label: 'Gradient', group: row, hint: 'Their colour.' }),
  ...layerSeed,
});
export type Beads = ValueOf<typeof BeadsForm>;

export const beads: LayerDefinition<Beads, FieldValues> = {
  kind: 'beads',
  label: 'Beads',
  need: 'String beads',
  describe: 'Beads in a row along the travel',
  form: BeadsForm,
  presets: [{ label: 'A short string', fields: { count: 24, gradient: [{ at: 0, colour: '#ffcc88' }] } }],
  kernel: fieldKernel,
  elementCount: (layer, share) => Math.max(1, Math.round(layer.count * share)),
  counted: (layer, share) => ({ count: Math.max(1, Math.round(layer.count * share)), noun: 'beads' }),
  tiled: () => true,
  turnStep: () => 1,
  values(layer, { tile }, phase) {
    const noise = fitNoise(1, tile);
    // asked for nothing
    const moment = momentOf(
      { ...noise, seed: 0, potentials: 1, lap: phase, cycles: 1, octaves: 1 },
      boxOf(still({})),
      0,
    );
    return {
      seed: layer.seed,
      shape: fieldShape.grid,
      extent: [0.001, 0.001, tile],
      inner: 0,
      at: [layer.aside, layer.above, -tile / 2],
      grid: [1, 1, layer.count],
      stride: 1,
      jitter: 0,
      radius: 0.06,
      variation: 0,
      sizeBy: 0,
      profileA: [1, 1, 1, 1],
      profileB: [1, 1, 1, 1],
      glint: 0,
      placeBy: fieldPlace.random,
      placeSpread: 1,
      placeScale: noise.scale,
      placePeriod: noise.period,
      placeCycles: 1,
      patch_: moment.table,
      patchFrom: moment.from,
      patchSize: moment.size,
      patchOctaves: moment.octaves,
      chosen: 0,
      choices: new Float64Array(4),
      tile,
      ...courseValues(STRAIGHT),
      lap: phase,
    };
  },
  drawings(layer, share) {
    const count = beads.elementCount(layer, share, { ...NOWHERE, seconds: 1, frames: 25 });
    const order = Uint32Array.from({ length: count }, (_, id) => id);
    return [{ as: 'sprites', order, parts: [{ from: 0, to: 1, first: 0, count }] }];
  },
  structure: (layer) => layer.count,
  look: () => ({ softness: 0.4, lineWidth: 0, matter: DARK, sprite: 0 }),
  gradient: (layer) => layer.gradient,
  light: () => 4,
  extent: (layer, { tile }) => still({ centre: [layer.aside, layer.above], to: tile }),
  closingSteps: () => ({ windings: 1 }),
};

/** A camera that looks along the travel from its start. */
const STILL: CameraView = {
  position: [0, 0, 0],
  rotation: [0, 0, 0, 1],
  near: 0.1,
  focus: 1,
  span: (distance) => distance,
  half: [0.5, 0.5],
};

/** A world in which nothing is known: a row of beads asks nothing of it. */
const NOWHERE = {
  tile: 1,
  routeOf: () => STRAIGHT,
  groundOf: () => null,
  landOf: () => null,
  groundKey: () => '',
  extentOf: () => still({}),
  elementAt: () => null,
  cameraView: () => STILL,
};
