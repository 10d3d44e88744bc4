import type { Drawing } from '../drawing';
import type { World } from '../../elements/world';
import type { Extent } from '../../elements/extent';
import { evaluateAnimated } from '../../time/animated';
import { DARK } from '../base';
import type { LayerDefinition } from '../definition';
import { placedExtent } from '../../elements/place/place';
import { linksForm, linksKernel, type LinksValues } from './links.gen';
import { presets } from './presets';
import { LinksForm, type LinksLayer } from './form';

const free = (layer: LinksLayer): boolean => layer.form === 'ball' || layer.form === 'box';

function totalOf(layer: LinksLayer): number {
  if (layer.form === 'globe') return layer.slices * layer.stacks;
  if (layer.form === 'grid') return layer.slices * layer.stacks * layer.rowsDeep;
  return layer.count;
}

/** Every stride-th point is drawn at a working share; it divides the slices, so the rhythm stays even. */
function strideOf(layer: LinksLayer, share: number): number {
  if (free(layer)) return 1;
  const each = layer.form === 'even' ? layer.count : layer.slices;
  let stride = Math.max(1, Math.min(each, Math.round(1 / share)));
  while (each % stride !== 0) stride--;
  return stride;
}

const ownExtent = (layer: LinksLayer): Extent =>
  placedExtent(layer, [layer.width / 2, layer.height / 2, layer.depth / 2], 0);

const joined = (a: Extent, b: Extent): Extent => {
  const left = Math.min(a.centre[0] - a.halfWidth, b.centre[0] - b.halfWidth);
  const right = Math.max(a.centre[0] + a.halfWidth, b.centre[0] + b.halfWidth);
  const low = Math.min(a.centre[1] - a.halfHeight, b.centre[1] - b.halfHeight);
  const high = Math.max(a.centre[1] + a.halfHeight, b.centre[1] + b.halfHeight);
  return {
    ...a,
    centre: [(left + right) / 2, (low + high) / 2],
    halfWidth: (right - left) / 2,
    halfHeight: (high - low) / 2,
    from: Math.min(a.from, b.from),
    to: Math.max(a.to, b.to),
    bend: Math.max(a.bend, b.bend),
    carried: Math.max(a.carried, b.carried),
  };
};

export const links: LayerDefinition<LinksLayer, LinksValues> = {
  kind: 'links',
  label: 'Links',
  need: 'Connect points',
  describe: 'A net of lines between points that come near one another',
  form: LinksForm,
  presets,
  placed: (layer) => layer,
  madeOf: (layer) => [layer.from, layer.to],
  alone: (layer) => ({ ...layer, from: null, to: null }),
  sketch: (layer) => ({ as: 'near', metres: Math.cbrt(layer.width * layer.height * layer.depth) / 4 }),
  kernel: linksKernel,
  elementCount: (layer, share) =>
    free(layer) ? Math.max(1, Math.round(layer.count * share)) : totalOf(layer) / strideOf(layer, share),
  counted: (layer, share, context) =>
    layer.from === null
      ? { count: links.elementCount(layer, share, context), noun: 'points' }
      : { count: 0, noun: 'points of its own' },
  tiled: (layer) => layer.wraps,
  turnStep: () => 1,
  values: (layer, _, __, share) => ({
    seed: layer.seed,
    form: linksForm[layer.form],
    total: totalOf(layer),
    stride: strideOf(layer, share),
    extent: [layer.width, layer.height, layer.depth],
    rows: [layer.slices, layer.stacks, layer.rowsDeep],
    jitter: layer.jitter * 0.5,
    dot_: layer.size,
    variation: layer.variation,
    placeSpread: layer.spread,
  }),
  drawings(layer, share, context): Drawing[] {
    const net: Drawing = { as: 'links', from: layer.from, to: layer.to };
    const count = links.elementCount(layer, share, context);
    if (layer.size === 0 || layer.from !== null) return [net];
    const order = Uint32Array.from({ length: count }, (_, id) => id);
    return [net, { as: 'sprites', order, parts: [{ from: 0, to: 1, first: 0, count }] }];
  },
  structure: (layer) => [layer.size === 0, layer.from, layer.to],
  linking: (layer, phase) => ({
    limit: evaluateAnimated(layer.distance, phase),
    most: layer.most,
    wraps: layer.wraps,
    falloff: layer.falloff,
    thickness: layer.thickness,
    light: evaluateAnimated(layer.light, phase),
    gradient: layer.linkGradient,
  }),
  look: () => ({
    softness: 0.6,
    lineWidth: 0,
    matter: DARK,
    sprite: 0,
  }),
  gradient: (layer) => layer.gradient,
  light: (layer, phase) => evaluateAnimated(layer.pointLight, phase),
  extent(layer, context: World) {
    const first = layer.from === null ? ownExtent(layer) : context.extentOf(layer.from);
    return layer.to === null ? first : joined(first, context.extentOf(layer.to));
  },
  closingSteps: () => ({}),
};
