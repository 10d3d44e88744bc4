import { z } from 'zod';
import { animated, choice, gradient, integer, number, outline, points, statedValues } from '../../piece/fields';
import { pathFromSpec } from '../../space/path';
import { trackOf, type Track } from '../../space/track';
import type { Vec3 } from '../../space/vector';
import { evaluateAnimated } from '../../time/animated';
import { DARK, layerBase, layerSeed } from '../base';
import { carriedAlong, courseValues, STRAIGHT } from '../course';
import type { Drawing, LayerDefinition, RouteShape } from '../definition';
import { signatures, sources, tunnelRun } from './tunnel.gen';

/** Corners that stand for a circle. */
const CIRCLE_CORNERS = 64;

const PLACES = { random: 'Ring by chance', position: 'By position', noise: 'Noise per ring', side: 'By side' };
const PLACE_INDEX = { random: 0, position: 1, noise: 2, side: 3 } as const;

const shape = 'Section';
const way = 'Route';
const lines = 'Rings';
const tint = 'Colour';
const life = 'Life';

const TunnelSchema = z.looseObject({
  ...layerBase,
  kind: z.literal('tunnel'),
  section: choice(
    'polygon',
    { polygon: 'Polygon', circle: 'Circle', super: 'Superellipse', drawn: 'Drawn outline' },
    { label: 'Section', group: shape, hint: 'The outline carried along the route.' },
  ),
  sides: integer(5, {
    label: 'Sides',
    min: 3,
    max: 24,
    comfort: 12,
    group: shape,
    when: { field: 'section', is: ['polygon'] },
    hint: 'Corners of the polygon.',
  }),
  roundness: number(4, {
    label: 'Roundness',
    min: 0.3,
    max: 40,
    comfort: 12,
    group: shape,
    when: { field: 'section', is: ['super'] },
    hint: 'Exponent of the superellipse: 1 a diamond, 2 an ellipse, 4 a soft square, 40 a square.',
  }),
  outline: outline(
    [
      [-0.5, -0.35],
      [0.5, -0.35],
      [0.5, 0.1],
      [0.22, 0.45],
      [-0.22, 0.45],
      [-0.5, 0.1],
    ],
    {
      label: 'Outline',
      group: shape,
      when: { field: 'section', is: ['drawn'] },
      hint: 'Points of the section, twice the radius across: drag them, double-click to add one or take one away.',
    },
  ),
  flatness: number(1, {
    label: 'Height',
    unit: '× width',
    min: 0.02,
    max: 50,
    comfort: 2,
    group: shape,
    hint: 'Height of the section over its width.',
  }),
  radius: animated(2, {
    label: 'Radius',
    unit: 'm',
    min: 0.05,
    max: 500,
    comfort: 6,
    group: shape,
    hint: 'Metres from the route to a corner.',
  }),
  nested: number(0.82, {
    label: 'Inner copy',
    unit: 'of outer',
    min: 0,
    max: 0.99,
    group: shape,
    hint: 'Size of a second outline inside the first; 0 for none.',
  }),
  nestedTurn: number(0, {
    label: 'Inner turn',
    unit: 'turns',
    min: -1,
    max: 1,
    comfort: 0.5,
    group: shape,
    hint: 'How far the inner copy is turned against the outer one, in turns.',
  }),
  route: choice(
    'straight',
    { straight: 'Straight', helix: 'Helix', ring: 'Ring', closed: 'Closed curve', onward: 'Curve from tile to tile' },
    {
      label: 'Route',
      group: way,
      // whether it stands once or goes on is not for a sibling to change
      kept: true,
      hint: 'The line the outline is carried along. A ring and a closed curve stand once; the others go on from tile to tile.',
    },
  ),
  ringRadius: number(6, {
    label: 'Ring radius',
    unit: 'm',
    min: 0.05,
    max: 5000,
    comfort: 30,
    group: way,
    when: { field: 'route', is: ['ring'] },
    hint: 'Metres from the middle of the world to the route around it.',
  }),
  curve: points(
    [
      [0, 0, 2],
      [-1.5, 0.6, 7],
      [2.5, 1.2, 12],
      [7, 0, 13],
      [9, -0.8, 8],
      [6, 0, 4],
      [5, 0.5, 0],
      [2.5, 0, -2],
    ],
    {
      label: 'Points',
      group: way,
      when: { field: 'route', is: ['closed'] },
      hint: 'The curve goes through these and back to the first; drag them in the map.',
    },
  ),
  onward: points(
    [
      [0, 0, 0],
      [0.5, 0.25, 2],
      [0.15, -0.15, 4],
      [-0.55, 0.1, 6],
    ],
    {
      label: 'Points',
      group: way,
      when: { field: 'route', is: ['onward'] },
      hint: 'The curve goes through these and on to the first of the next tile; drag them in the map.',
    },
  ),
  helixRadius: number(1.2, {
    label: 'Helix radius',
    unit: 'm',
    min: 0.01,
    max: 500,
    comfort: 6,
    group: way,
    when: { field: 'route', is: ['helix'] },
    hint: 'Metres between the route and the axis it winds about.',
  }),
  helixTurns: number(1, {
    label: 'Winds',
    unit: 'turns per tile',
    min: -16,
    max: 16,
    comfort: 4,
    decimals: 2,
    group: way,
    when: { field: 'route', is: ['helix'] },
    hint: 'Turns about the axis in one tile; whole numbers close.',
  }),
  twist: number(0.2, {
    label: 'Twist',
    unit: 'turns per tile',
    min: -16,
    max: 16,
    comfort: 2,
    decimals: 3,
    group: way,
    hint: 'Turns of the outline in one tile, or once round a closed route; steps of one side close.',
  }),
  lines: choice(
    'rings',
    { none: 'None', rings: 'Rings', wires: 'Wires along', net: 'Rings and wires' },
    { label: 'Lines', group: lines, hint: 'Lines of light around, along, or both.' },
  ),
  wall: choice(
    'none',
    { none: 'None', ribs: 'Ribs', skin: 'Skin' },
    { label: 'Wall', group: lines, hint: 'Ribs: solid bands with gaps. Skin: a closed wall.' },
  ),
  rings: integer(24, {
    label: 'Rings',
    unit: 'per tile',
    min: 1,
    max: 2000,
    comfort: 120,
    group: lines,
    hint: 'Outlines in one tile, or once round a closed route.',
  }),
  width: number(0.012, {
    label: 'Width',
    unit: 'mm',
    min: 0.0005,
    max: 5,
    comfort: 0.1,
    display: 1000,
    decimals: 1,
    group: lines,
    when: { field: 'lines', is: ['rings', 'wires', 'net'] },
    hint: 'Thickness of a line in millimetres.',
  }),
  light: animated(1.3, {
    label: 'Light',
    unit: '×',
    min: 0,
    max: 10_000,
    comfort: 30,
    group: tint,
    hint: 'Brightness of lines; of ribs and skin, how much they glow by themselves.',
  }),
  gradient: gradient(['#061018', '#12566a', '#f2b84b', '#fff1cf'], {
    label: 'Gradient',
    group: tint,
    hint: 'Colours from first to last place.',
  }),
  placeBy: choice('noise', PLACES, {
    label: 'Place on it',
    group: tint,
    hint: 'What decides where on the gradient a ring is.',
  }),
  spread: number(1, {
    label: 'Spread',
    min: 0,
    max: 4,
    comfort: 2,
    group: tint,
    hint: 'How much of the gradient is used: 0 only its middle, 1 all of it.',
  }),
  placeDetail: integer(8, {
    label: 'Patches',
    unit: 'per tile',
    min: 2,
    max: 400,
    comfort: 40,
    group: tint,
    when: { field: 'placeBy', is: ['noise'] },
    hint: 'Changes of colour along one tile.',
  }),
  placeCycles: integer(2, {
    label: 'Evolves',
    unit: 'cycles per lap',
    min: 1,
    max: 64,
    comfort: 8,
    group: tint,
    when: { field: 'placeBy', is: ['noise'] },
    hint: 'Most whole cycles the colours make in a lap.',
  }),
  accent: number(0.7, {
    label: 'Accent',
    min: 0,
    max: 1,
    group: tint,
    hint: '0: all rings equally bright. 1: single rings flare up in turn.',
  }),
  wobble: animated(0, {
    label: 'Wobble',
    min: 0,
    max: 1,
    comfort: 0.4,
    group: life,
    hint: 'The wall moved in and out by noise, as a share of the radius.',
  }),
  wobbleCycles: integer(2, {
    label: 'Wobble evolves',
    unit: 'cycles per lap',
    min: 1,
    max: 64,
    comfort: 8,
    group: life,
    hint: 'Most whole cycles the wobble makes in a lap.',
  }),
  ...layerSeed,
});
export type TunnelLayer = z.infer<typeof TunnelSchema>;

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

/** Quads between ring `ring` and the next; for ribs, every second gap stays open. */
function wallTriangles(layer: TunnelLayer, drawn: number): Uint32Array {
  const corners = cornersOf(layer);
  const perRing = corners * copiesOf(layer);
  const out: number[] = [];
  for (let ring = 0; ring < drawn; ring++) {
    if (layer.wall === 'ribs' && ring % 2 === 1) continue;
    for (let corner = 0; corner < corners; corner++) {
      const a = ring * perRing + corner;
      const b = ring * perRing + ((corner + 1) % corners);
      out.push(a, b, a + perRing, b, b + perRing, a + perRing);
    }
  }
  return new Uint32Array(out);
}

export const tunnel: LayerDefinition<TunnelLayer> = {
  kind: 'tunnel',
  label: 'Tunnel',
  need: 'Enclose the camera',
  describe: 'An outline carried along a straight, winding, round or drawn route',
  schema: TunnelSchema,
  kernel: { entry: 'tunnelElement', sources, signature: signatures.tunnelElement, run: tunnelRun },
  elementCount: (layer, share) => (layer.rings / strideOf(layer, share) + 1) * cornersOf(layer) * copiesOf(layer),
  counted: (layer, share) => ({
    count: layer.rings / strideOf(layer, share),
    noun: ['ring', 'closed'].includes(layer.route) ? 'rings around' : 'rings per tile',
  }),
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
      wobbleCycles: layer.wobbleCycles,
      placeBy: PLACE_INDEX[layer.placeBy],
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
    if (layer.wall !== 'none') out.push({ as: 'surface', triangles: wallTriangles(layer, drawn), smooth: false });
    return out;
  },
  structure: (layer) => [cornersOf(layer), layer.section, layer.nested > 0, layer.lines, layer.wall, layer.rings],
  look: (layer) => ({ softness: 0, lineWidth: layer.width, largestRadius: 0, matter: DARK, sprite: 0 }),
  gradient: (layer) => layer.gradient,
  light: (layer, phase) => evaluateAnimated(layer.light, phase),
  extent(layer, context) {
    const radius = Math.max(...statedValues(layer.radius).map(Math.abs));
    const wobble = Math.max(...statedValues(layer.wobble).map(Math.abs));
    const most = radius * sectionReach(layer) * Math.max(1, layer.flatness) * (1 + wobble);
    const straight = {
      halfWidth: most,
      halfHeight: most,
      centre: [0, 0] as const,
      from: 0,
      // the ring past the end closes the walls onto the next tile
      to: context.tile * (1 + 1 / layer.rings),
      bend: 0,
      carried: 0,
      body: most,
      grown: 1,
      tilted: 0,
    };
    return carriedAlong(straight, tunnelRoute(layer, context.tile), most);
  },
  closingSteps: (layer) => ({ twist: sectionStep(layer), helixTurns: 1 }),
};
