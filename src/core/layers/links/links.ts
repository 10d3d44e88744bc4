import { z } from 'zod';
import { animated, choice, flag, gradient, integer, layerRef, number } from '../../piece/fields';
import { evaluateAnimated } from '../../time/animated';
import { DARK, layerBase, layerSeed, placement } from '../base';
import type { Drawing, LayerContext, LayerDefinition, LayerExtent } from '../definition';
import { placedExtent } from '../place/place';
import { linksRun, signatures, sources } from './links.gen';

const FORMS = {
  even: 'Evenly on a ball',
  globe: 'Slices and stacks',
  ball: 'Within a ball',
  grid: 'Grid',
  box: 'Within a box',
};
const FORM_INDEX = { even: 0, globe: 1, ball: 2, grid: 3, box: 4 } as const;

const points = 'Points';
const net = 'Links';
const tint = 'Colour';
const at = (...is: string[]) => ({ field: 'form', is });
const rows = { min: 1, max: 400, comfort: 40, group: points };

const LinksSchema = z.looseObject({
  ...layerBase,
  kind: z.literal('links'),
  form: choice('even', FORMS, { label: 'Its points', group: points, hint: 'Where the net’s own points are.' }),
  count: integer(500, {
    label: 'Count',
    min: 1,
    max: 100_000,
    comfort: 4000,
    group: points,
    when: at('even', 'ball', 'box'),
    hint: 'Points in the finished piece.',
  }),
  slices: integer(24, {
    label: 'Slices',
    ...rows,
    when: at('globe', 'grid'),
    hint: 'Points around, or from left to right.',
  }),
  stacks: integer(12, { label: 'Stacks', ...rows, when: at('globe', 'grid'), hint: 'Points from bottom to top.' }),
  rowsDeep: integer(6, { label: 'Rows deep', ...rows, when: at('grid'), hint: 'Points along the travel.' }),
  width: number(3, {
    label: 'Width',
    unit: 'm',
    min: 0.01,
    max: 1000,
    comfort: 10,
    group: points,
    hint: 'Full width in metres.',
  }),
  height: number(3, {
    label: 'Height',
    unit: 'm',
    min: 0.01,
    max: 1000,
    comfort: 10,
    group: points,
    hint: 'Full height in metres.',
  }),
  depth: number(3, {
    label: 'Depth',
    unit: 'm',
    min: 0.01,
    max: 1000,
    comfort: 10,
    group: points,
    hint: 'Full depth in metres; as deep as the tile, a box or grid goes on without an end.',
  }),
  jitter: number(0.3, {
    label: 'Jitter',
    unit: 'of a step',
    min: 0,
    max: 1,
    group: points,
    when: at('even', 'globe', 'grid'),
    hint: '0: exactly in place. 1: half-way to the neighbours.',
  }),
  size: number(0.012, {
    label: 'Point size',
    unit: 'mm',
    min: 0,
    max: 5,
    comfort: 0.05,
    display: 1000,
    decimals: 1,
    group: points,
    hint: 'Radius of a point in millimetres; 0 shows only the links.',
  }),
  variation: number(0.6, {
    label: 'Size variation',
    min: 0,
    max: 3,
    comfort: 1,
    group: points,
    hint: '0: alike. 1: half to twice.',
  }),
  distance: animated(0.5, {
    label: 'Nearer than',
    unit: 'm',
    min: 0,
    max: 100,
    comfort: 2,
    decimals: 2,
    group: net,
    hint: 'Points nearer than this are linked; a link fades out as it grows to that length.',
  }),
  most: integer(8, {
    label: 'Most at a point',
    min: 0,
    max: 64,
    comfort: 16,
    group: net,
    hint: 'Links that a point may have, its nearest ones; 0 for any number.',
  }),
  from: layerRef({
    label: 'From',
    group: net,
    of: 'any',
    none: 'Its own points',
    hint: 'Link the elements of another layer instead of its own points.',
  }),
  to: layerRef({
    label: 'To',
    group: net,
    of: 'any',
    none: 'One another',
    hint: 'Link them to the elements of another layer instead of to one another.',
  }),
  thickness: number(0.0022, {
    label: 'Thickness',
    unit: '% of height',
    min: 0.0001,
    max: 0.2,
    comfort: 0.01,
    display: 100,
    decimals: 2,
    group: net,
    hint: 'Of a link, as a share of the frame’s height.',
  }),
  falloff: number(1.4, {
    label: 'Falls off',
    min: 0.1,
    max: 8,
    comfort: 4,
    group: net,
    hint: 'How quickly a link fades as it grows: 1 evenly, more sooner.',
  }),
  light: animated(1, {
    label: 'Link light',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 6,
    group: tint,
    hint: 'Brightness of the links.',
  }),
  linkGradient: gradient(['#1d3a78', '#7aa6ff', '#dfeaff'], {
    label: 'Links',
    group: tint,
    hint: 'From the longest link to the shortest.',
  }),
  pointLight: animated(3, {
    label: 'Point light',
    unit: '×',
    min: 0,
    max: 10_000,
    comfort: 40,
    group: tint,
    hint: 'Brightness of the points.',
  }),
  gradient: gradient(['#ffb36b', '#ffd9a0', '#fff3dc'], {
    label: 'Points',
    group: tint,
    hint: 'Colours of the points.',
  }),
  spread: number(1, {
    label: 'Spread',
    min: 0,
    max: 4,
    comfort: 2,
    group: tint,
    hint: 'How much of the points’ gradient is used.',
  }),
  ...placement,
  wraps: flag(false, {
    label: 'Links across tiles',
    group: net,
    hint: 'Points at the end of a tile are linked to those at the start of the next.',
  }),
  ...layerSeed,
});
export type LinksLayer = z.infer<typeof LinksSchema>;

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

const ownExtent = (layer: LinksLayer): LayerExtent =>
  placedExtent(layer, [layer.width / 2, layer.height / 2, layer.depth / 2], 0);

const joined = (a: LayerExtent, b: LayerExtent): LayerExtent => {
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

export const links: LayerDefinition<LinksLayer> = {
  kind: 'links',
  label: 'Links',
  need: 'Connect points',
  describe: 'A net of lines between points that come near one another',
  schema: LinksSchema,
  placed: (layer) => layer,
  kernel: { entry: 'linksElement', sources, signature: signatures.linksElement, run: linksRun },
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
    form: FORM_INDEX[layer.form],
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
  look: (layer) => ({
    softness: 0.6,
    lineWidth: 0,
    largestRadius: layer.size * 2 ** layer.variation,
    matter: DARK,
    sprite: 0,
  }),
  gradient: (layer) => layer.gradient,
  light: (layer, phase) => evaluateAnimated(layer.pointLight, phase),
  extent(layer, context: LayerContext) {
    const first = layer.from === null ? ownExtent(layer) : context.extentOf(layer.from);
    return layer.to === null ? first : joined(first, context.extentOf(layer.to));
  },
  closingSteps: () => ({}),
};
