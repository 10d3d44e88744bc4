import type { Drawing } from '../drawing';
import { reachedValues } from '../../forms';
import { pathFromSpec } from '../../space/path';
import { trackOf, type Track } from '../../space/track';
import type { Vec3 } from '../../space/vector';
import { evaluateAnimated } from '../../time/animated';
import { carriedAlong, courseValues, STRAIGHT, type RouteShape } from '../../elements/course';
import type { LayerDefinition } from '../definition';
import { tunnelKernel, tunnelPlace, tunnelWobble, type TunnelValues } from './tunnel.gen';
import { still } from '../../elements/extent';
import { plainCurve } from '../../elements/curve';
import { presets } from './presets';
import { TunnelForm, type TunnelLayer } from './form';

/** Corners that stand for a circle. */
const CIRCLE_CORNERS = 64;
function cornersOf({ section, sides, outline }: TunnelLayer): number {
  if (section === 'drawn') return outline.length;
  return section === 'polygon' ? sides : CIRCLE_CORNERS;
}
const copiesOf = (layer: TunnelLayer): number => (layer.nested > 0 ? 2 : 1);

/** Every stride-th ring is drawn at a working share: strides divide the count, so the rhythm stays even. */
function strideOf(layer: TunnelLayer, share: number): number {
  let stride = Math.max(1, Math.min(layer.rings, Math.round(1 / share)));
  while (layer.rings % stride !== 0) stride--;
  return stride;
}

/** The step of rotation under which the section looks the same, in turns. */
function sectionStep(layer: TunnelLayer): number {
  const stretched = layer.flatness !== 1;
  if (layer.placeBy === 'side' || layer.section === 'drawn') return 1;
  if (layer.section === 'super') return stretched ? 1 / 2 : 1 / 4;
  const corners = cornersOf(layer);
  if (!stretched) return 1 / corners;
  return corners % 2 === 0 ? 1 / 2 : 1;
}

/** Points that stand for a ring: the curve through them is within a hundred-thousandth of it. */
const RING_POINTS = 32;

/** Where the route of a ring or a drawn curve passes. */
export function routePoints({ route, ringRadius, curve, onward }: TunnelLayer): Vec3[] {
  if (route !== 'ring') return (route === 'closed' ? curve : onward).map((p): Vec3 => [p.aside, p.above, -p.ahead]);
  return Array.from({ length: RING_POINTS }, (_, i): Vec3 => {
    const turn = (2 * Math.PI * i) / RING_POINTS;
    return [-ringRadius * Math.cos(turn), 0, -ringRadius * Math.sin(turn)];
  });
}

const tracks = new WeakMap<TunnelLayer, { tile: number; track: Track }>();

export function tunnelRoute(layer: TunnelLayer, tile: number): RouteShape {
  if (layer.route === 'straight') return STRAIGHT;
  if (layer.route === 'helix')
    return { radius: layer.helixRadius, turnsPerMetre: layer.helixTurns / tile, track: null };
  const known = tracks.get(layer);
  if (known?.tile === tile) return { ...STRAIGHT, track: known.track };
  const points = routePoints(layer);
  const track =
    layer.route === 'onward'
      ? trackOf(pathFromSpec({ kind: 'onward', points, advance: tile }), tile)
      : trackOf(pathFromSpec({ kind: 'closed', points }), 0);
  tracks.set(layer, { tile, track });
  return { ...STRAIGHT, track };
}

/** A drawn section as the kernel reads it, four numbers a corner, in units of the radius. */
const sections = new WeakMap<readonly unknown[], Float64Array>();
function sectionTable({ outline }: TunnelLayer): Float64Array {
  const known = sections.get(outline);
  if (known) return known;
  const table = Float64Array.from(outline.flatMap(([x, y]) => [2 * x, 2 * y, 0, 0]));
  sections.set(outline, table);
  return table;
}

/** The farthest a section comes from the route, in units of its radius, before it is made flatter or higher. */
function sectionReach({ section, outline }: TunnelLayer): number {
  if (section === 'drawn') return 2 * Math.max(...outline.map(([x, y]) => Math.hypot(x, y)));
  // a square's corners are √2 away; no superellipse of exponent under 1 comes farther out than 1
  return section === 'super' ? Math.SQRT2 : 1;
}

function linePairs(layer: TunnelLayer, drawn: number): Uint32Array {
  const corners = cornersOf(layer);
  const copies = copiesOf(layer);
  const perRing = corners * copies;
  const pairs: number[] = [];
  for (let ring = 0; ring < drawn; ring++)
    for (let copy = 0; copy < copies; copy++)
      for (let corner = 0; corner < corners; corner++) {
        const base = ring * perRing + copy * corners;
        if (layer.lines !== 'wires') pairs.push(base + corner, base + ((corner + 1) % corners));
        if (layer.lines !== 'rings' && corner % Math.max(1, corners >> 4) === 0)
          pairs.push(base + corner, base + perRing + corner);
      }
  return new Uint32Array(pairs);
}

/** Rings that are worked out: one past the tile, and for the slopes of a wall one more on either side. */
const ringsOf = (layer: TunnelLayer, share: number): number =>
  layer.rings / strideOf(layer, share) + (layer.wall === 'none' ? 1 : 3);

export const tunnel: LayerDefinition<TunnelLayer, TunnelValues> = {
  kind: 'tunnel',
  label: 'Tunnel',
  need: 'Enclose the camera',
  describe: 'An outline carried along a straight, winding, round or drawn route',
  form: TunnelForm,
  presets,
  kernel: tunnelKernel,
  elementCount: (layer, share) => ringsOf(layer, share) * cornersOf(layer) * copiesOf(layer),
  counted: (layer, share) => ({
    count: layer.rings / strideOf(layer, share),
    noun: ['ring', 'closed'].includes(layer.route) ? 'rings around' : 'rings per tile',
  }),
  solid: true,
  route: tunnelRoute,
  curve(layer, tile) {
    if (layer.route === 'closed') return plainCurve('curve', layer.curve, 0);
    return layer.route === 'onward' ? plainCurve('onward', layer.onward, tile) : null;
  },
  rowOf: (layer) => cornersOf(layer) * copiesOf(layer),
  sketch: () => ({ as: 'lines' }),
  tiled: () => true,
  turnStep: (layer, axis, each) => (axis === 'along' && (each || layer.route === 'straight') ? sectionStep(layer) : 1),
  values(layer, context, phase, share) {
    const route = tunnelRoute(layer, context.tile);
    return {
      seed: layer.seed,
      corners: cornersOf(layer),
      roundness: layer.section === 'super' ? layer.roundness : 0,
      drawn: layer.section === 'drawn' ? 1 : 0,
      section: sectionTable(layer),
      flatness: layer.flatness,
      copies: copiesOf(layer),
      innerRatio: layer.nested,
      innerTurn: layer.nestedTurn,
      radius: evaluateAnimated(layer.radius, phase),
      rings: layer.rings,
      stride: strideOf(layer, share),
      tile: context.tile,
      twist: layer.twist,
      wobble: evaluateAnimated(layer.wobble, phase),
      wobbleBy: tunnelWobble[layer.wobbleBy],
      wobbleCycles: layer.wobbleCycles,
      placeBy: tunnelPlace[layer.placeBy],
      placeSpread: layer.spread,
      placeCycles: layer.placeCycles,
      placeDetail: layer.placeDetail,
      accent: layer.accent,
      ...courseValues(route),
      lap: phase,
    };
  },
  drawings(layer, share) {
    const drawn = layer.rings / strideOf(layer, share);
    const out: Drawing[] = [];
    if (layer.lines !== 'none') out.push({ as: 'segments', pairs: linePairs(layer, drawn) });
    if (layer.wall !== 'none')
      out.push({
        as: 'surface',
        corners: cornersOf(layer),
        copies: copiesOf(layer),
        rings: drawn,
        gaps: layer.wall === 'ribs',
        round: layer.section === 'circle' || layer.section === 'super',
      });
    return out;
  },
  structure: (layer) => [cornersOf(layer), layer.section, layer.nested > 0, layer.lines, layer.wall, layer.rings],
  look: (layer) => ({
    softness: 0,
    lineWidth: layer.width,
    matter: layer.matter,
    pattern: layer.pattern,
    lines: layer.ink,
    sprite: 0,
  }),
  gradient: (layer) => layer.gradient,
  light: (layer, phase) => evaluateAnimated(layer.light, phase),
  extent(layer, context) {
    const radius = Math.max(...reachedValues(layer.radius).map(Math.abs));
    const wobble = Math.max(...reachedValues(layer.wobble).map(Math.abs));
    const most = radius * sectionReach(layer) * Math.max(1, layer.flatness) * (1 + wobble);
    const straight = still({
      halfWidth: most,
      halfHeight: most,
      // the ring past the end closes the walls onto the next tile
      to: context.tile * (1 + 1 / layer.rings),
      body: most,
    });
    return carriedAlong(straight, tunnelRoute(layer, context.tile), most);
  },
  closingSteps: (layer) => ({ twist: sectionStep(layer), helixTurns: 1 }),
};
