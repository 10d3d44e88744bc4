import { isPatched } from '../tint';
import { isEven } from '../../colour/animated';
import {
  arrangedLayer,
  arrangementExtent,
  arrangementValues,
  drawnOf,
  indicesOf,
  isEvenRing,
  placesKey,
  restOf,
  strideOf,
} from '../../arrangement';
import type { World } from '../../elements/world';
import { fitNoise } from '../../noise/fit';
import {
  bodiesOf,
  bodyOf,
  modelNotes,
  modelRemarks,
  sourceMesh,
  sourceOf,
  sourceTurnStep,
  type Body,
} from '../../solids/source';
import { piecesOf } from '../../treatments/kinds';
import { areTogether, bodiesOn } from '../../solids/exchange';
import { bodyLook, withModel } from '../base';
import type { LayerDefinition } from '../definition';
import type { Drawing } from '../drawing';
import { copiesKernel, copiesPlace, type CopiesValues } from './copies.gen';
import { MODEL_PRESET, presets } from './presets';
import { CopiesForm, type CopiesLayer } from './form';

const meshOf = (layer: CopiesLayer, body: Body) => {
  const { count, seed } = piecesOf(layer.treatments);
  return sourceMesh(body, count, seed);
};

export const copies: LayerDefinition<CopiesLayer, CopiesValues> = {
  ...arrangedLayer,
  kind: 'copies',
  label: 'Copies',
  need: 'Repeat a shape',
  describe: 'A body repeated in a grid, ring, spiral, line, on a ball or scattered',
  alsoFor: [
    {
      need: 'Bring a model',
      describe: 'glTF, OBJ, PLY or STL of your own, or of the kit: one of it, a ring, a grid',
      preset: MODEL_PRESET,
    },
  ],
  form: CopiesForm,
  presets,
  madeFor: ['model'],
  takesFile: (layer, kind, file) => (kind === 'model' ? withModel(layer, file) : null),
  notes: (layer) => modelNotes(bodyOf(layer)),
  remarks: (layer) => bodiesOf(layer).flatMap(modelRemarks),
  kernel: copiesKernel,
  counted(layer, share) {
    const count = drawnOf(layer, share);
    return { count, noun: count === 1 ? 'copy' : 'copies' };
  },
  turnStep(layer, axis, each) {
    if (each) return Math.max(...bodiesOf(layer).map((body) => sourceTurnStep(body, axis)));
    const alike = (layer.spread === 0 || isEven(layer.gradient)) && areTogether(layer.exchanges);
    return isEvenRing(layer) && axis === 'along' && alike && layer.variation === 0 ? 1 / layer.count : 1;
  },
  rest: (layer, { tile }, share) => restOf(layer, tile, indicesOf(layer, share)),
  values(layer, context, phase, share) {
    const patch = fitNoise(layer.placeScale, context.tile);
    return {
      ...arrangementValues(layer, context),
      seed: layer.seed,
      stride: strideOf(layer, share),
      bodySize: layer.size,
      variation: layer.variation,
      placeBy: copiesPlace[layer.placeBy],
      placeSpread: layer.spread,
      placeScale: patch.scale,
      placePeriod: patch.period,
      placeCycles: layer.placeCycles,
      // colours that stand still need not be worked out anew
      lap: isPatched(layer.placeBy) && layer.placeCycles > 0 ? phase : 0,
    };
  },
  drawings(layer, share): Drawing[] {
    const all = { as: 'bodies', first: 0, count: drawnOf(layer, share) } as const;
    const meshes = bodiesOf(layer).map((body) => meshOf(layer, body));
    if (meshes.length === 1) return [{ ...all, mesh: meshes[0] }];
    return meshes.map((mesh, body) => ({ ...all, mesh, body }));
  },
  bodiesOn(layer, share, { frames }, frame) {
    const stride = layer.arrangement === 'scatter' ? 1 : strideOf(layer, share);
    const elements = {
      count: drawnOf(layer, share),
      numberOf: (i: number) => i * stride,
      total: drawnOf(layer, 1),
      seed: layer.seed,
    };
    return bodiesOn(layer.exchanges, elements, frame, frames);
  },
  structure: (layer) => [...sourceOf(layer), piecesOf(layer.treatments), placesKey(layer)],
  look: bodyLook,
  gradient: (layer) => layer.gradient,
  light: () => 1,
  extent(layer, context: World) {
    const largest = layer.size * Math.max(1, layer.grow) * 2 ** layer.variation;
    const radius = Math.max(...bodiesOf(layer).map((body) => meshOf(layer, body).radius));
    return arrangementExtent(layer, context, radius * largest);
  },
};
