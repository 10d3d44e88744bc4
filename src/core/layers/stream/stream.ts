import { fitNoise } from '../../noise/fit';
import { momentOf } from '../../noise/moment';
import { UNPLACED, type Placement } from '../../elements/place/form';
import type { Drawing } from '../drawing';
import type { World } from '../../elements/world';
import { profileHalves } from '../../forms';
import type { Mesh } from '../../solids/mesh';
import {
  bodyOf,
  modelNotes,
  modelRemarks,
  sourceMesh,
  sourceOf,
  sourceTurnStep,
  type Body,
  type Source,
} from '../../solids/source';
import { surfacePoints } from '../../solids/surface';
import { evaluateAnimated } from '../../time/animated';
import { spriteOf, withModel } from '../base';
import { plainCurve } from '../../elements/curve';
import { carriedAlong, courseValues, paceOf } from '../../elements/course';
import { boxOf, still } from '../../elements/extent';
import type { LayerDefinition } from '../definition';
import { placedExtent } from '../../elements/place/place';
import { birthsOf, type Births } from './births';
import { streamForm, streamKernel, streamPlace, type StreamValues } from './stream.gen';
import { presets } from './presets';
import { StreamForm, type StreamLayer } from './form';
import { groupValues, leastOf, mostOf } from './groups';
import { wayOf } from './way';

const HEADING_VECTOR = {
  up: [0, 1, 0],
  down: [0, -1, 0],
  ahead: [0, 0, -1],
  back: [0, 0, 1],
  aside: [1, 0, 0],
  outward: [0, 1, 0],
} as const;

/** The longest that anything of a particle is there, in seconds. */
const longestLife = (layer: StreamLayer): number =>
  layer.life * (1 + layer.lifeSpread) * mostOf(layer.groups, 'life') + (isRibbons(layer) ? layer.ribbon : 0);

const isRibbons = (layer: StreamLayer): boolean => layer.drawn === 'ribbons';

const rateOf = (layer: StreamLayer): number => (layer.stated === 'rate' ? layer.rate : layer.alive / layer.life);

/** Births of the finished piece; the lap's length is a property of the piece, so it is asked for. */
export const streamBirths = (layer: StreamLayer, seconds: number): Births =>
  birthsOf(rateOf(layer), seconds, longestLife(layer));

/** The first births of a lap that are shown at a share: any first ones are spread evenly over it. */
const drawnOf = ({ births: all }: Births, share: number): number => Math.max(1, Math.round(all * share));

/** A life without change. */
const EVEN = [1, 1, 1, 1, 1, 1, 1, 1];

const isBodies = (layer: StreamLayer): boolean => layer.drawn === 'bodies';
/** Places of each particle that are drawn: its own, or those of its ribbon. */
const nodesOf = (layer: StreamLayer): number => (isRibbons(layer) ? layer.nodes : 1);
/** Whether its emitter goes along a route. */
const alongRoute = (layer: StreamLayer): boolean => layer.travels && layer.carried === 'no';
const travelling = (layer: StreamLayer): Placement =>
  alongRoute(layer) || layer.carried !== 'no' ? { ...UNPLACED, once: layer.once } : layer;

/** The body it is made of, or whose surface it comes from, in a size of its own. */
const sourceIn = (layer: StreamLayer): Source => ({ ...layer, exchanges: [] });
/** The body that it is made of, or comes from. */
const usedBody = (layer: StreamLayer): Body[] =>
  isBodies(layer) || layer.form === 'surface' ? [bodyOf(sourceIn(layer))] : [];
const surfaceOf = (layer: StreamLayer): Mesh => sourceMesh(bodyOf(sourceIn(layer)));

/** How far from its own middle a stream gets, in metres, and how far its bodies reach; of one that travels, at any place of its route. */
function reachOf(layer: StreamLayer, context: World): { half: [number, number, number]; radius: number } {
  const route = context.routeOf(layer.follow);
  const age = longestLife(layer);
  const inherited =
    (wayOf(layer, context)?.fastest ?? 0) +
    layer.circle * 2 * Math.PI * Math.abs(layer.circleTurns) +
    (alongRoute(layer) ? paceOf(route, context.tile) * context.tile * Math.abs(layer.rounds) : 0);
  const fastest = layer.speed * (1 + layer.speedSpread) * mostOf(layer.groups, 'speed') + inherited / context.seconds;
  const k = layer.drag * leastOf(layer.groups, 'drag');
  const slow = k * age < 0.02 ? age : (1 - Math.exp(-k * age)) / k;
  const strong = layer.drag * mostOf(layer.groups, 'drag');
  const blown = strong * age < 0.02 ? 0 : age - (1 - Math.exp(-strong * age)) / strong;
  const fall = k * age < 0.02 ? (age * age) / 2 : (age - slow) / k;
  const loose = fastest * slow + 4 * layer.turbulence * mostOf(layer.groups, 'swirl');
  const radius = isBodies(layer)
    ? surfaceOf(layer).radius *
      2 *
      layer.size *
      2 ** layer.variation *
      Math.max(...layer.sizeLife) *
      mostOf(layer.groups, 'size')
    : 0;
  // a surface's own size is in units of the body, whose corners may reach beyond half of it
  const spanned = layer.form === 'surface' ? 2 * surfaceOf(layer).radius : 1;
  const wind = [layer.windX, layer.windY, layer.windZ].map((v) => Math.abs(v) * blown * mostOf(layer.groups, 'wind'));
  const half: [number, number, number] = [
    (layer.width / 2) * spanned + layer.circle + loose + wind[0] + radius,
    (layer.height / 2) * spanned + layer.circle + loose + wind[1] + Math.abs(layer.gravity) * fall + radius,
    (layer.depth / 2) * spanned + loose + wind[2] + radius,
  ];
  return { half, radius };
}

/** What stream.glsl adds to the seed for its whirls. */
const WHIRL_SEED = 61;

/** The noise that carries a stream's particles, and its table of a moment. */
function whirlOf(layer: StreamLayer, context: World, phase: number, share: number) {
  const noise = fitNoise(layer.whirl, context.tile);
  const { half, radius } = reachOf(layer, context);
  const { table, from, size, octaves } = momentOf(
    { ...noise, seed: layer.seed + WHIRL_SEED, potentials: 3, lap: phase, cycles: layer.whirlCycles, octaves: 1 },
    boxOf(
      layer.travels || layer.carried !== 'no' ? stream.extent(layer, context) : placedExtent(UNPLACED, half, radius),
    ),
    // a ribbon has been through the noise of other moments
    layer.turbulence > 0 && !isRibbons(layer) ? stream.elementCount(layer, share, context) : 0,
  );
  return {
    whirlScale: noise.scale,
    whirlPeriod: noise.period,
    whirlCycles: layer.whirlCycles,
    whirl: table,
    whirlFrom: from,
    whirlSize: size,
    whirlOctaves: octaves,
  };
}

const NO_WAY = new Float64Array(4);

/** Each place of each ribbon and the one before it. */
function ribbonPairs(many: number, nodes: number): Uint32Array {
  const out = new Uint32Array(many * (nodes - 1) * 2);
  for (let ribbon = 0, i = 0; ribbon < many; ribbon++)
    for (let node = 1; node < nodes; node++) {
      out[i++] = ribbon * nodes + node - 1;
      out[i++] = ribbon * nodes + node;
    }
  return out;
}

export const stream: LayerDefinition<StreamLayer, StreamValues> = {
  kind: 'stream',
  label: 'Stream',
  need: 'Release particles',
  describe: 'Particles or bodies born, carried and gone, already under way at the first frame',
  form: StreamForm,
  presets,
  bodies: isBodies,
  takesFile: (layer, kind, file) => (kind === 'model' && isBodies(layer) ? withModel(layer, file) : null),
  notes: (layer) => usedBody(layer).flatMap(modelNotes),
  remarks: (layer) => usedBody(layer).flatMap(modelRemarks),
  curve: ({ carried, path }) => (carried === 'drawn' ? plainCurve('path', path, 0) : null),
  carriedBy: ({ carried, layer }) => (carried === 'element' ? layer : null),
  follows: (layer) => layer.follow,
  liesAlong: alongRoute,
  placed: travelling,
  kernel: streamKernel,
  elementCount(layer, share, context) {
    const all = streamBirths(layer, context.seconds);
    return drawnOf(all, share) * all.generations * nodesOf(layer);
  },
  counted(layer, share, context) {
    const { rate } = streamBirths(layer, context.seconds);
    return { count: Math.round(rate * layer.life * share), noun: `alive, ${Number(rate.toFixed(2))} born a second` };
  },
  tiled: alongRoute,
  turnStep: (layer, axis, each) => (each && isBodies(layer) ? sourceTurnStep(bodyOf(sourceIn(layer)), axis) : 1),
  rest(layer, context, share) {
    if (layer.form !== 'surface') return null;
    const all = streamBirths(layer, context.seconds);
    const { generations } = all;
    const born = drawnOf(all, share);
    const one = surfacePoints(surfaceOf(layer), born, layer.seed);
    const nodes = nodesOf(layer);
    const out = new Float32Array(born * generations * nodes * 4);
    for (let g = 0; g < generations; g++)
      for (let i = 0; i < one.length; i++) {
        const value = one[i] * [layer.width, layer.height, layer.depth, 1][i % 4];
        const [particle, k] = [g * born + Math.floor(i / 4), i % 4];
        for (let node = 0; node < nodes; node++) out[(particle * nodes + node) * 4 + k] = value;
      }
    return out;
  },
  values(layer, context, phase, share) {
    const all = streamBirths(layer, context.seconds);
    const route = context.routeOf(alongRoute(layer) ? layer.follow : null);
    const [sizeA, sizeB] = profileHalves(layer.sizeLife);
    const [lightA, lightB] = profileHalves(isBodies(layer) ? EVEN : layer.lightLife);
    const whirl = whirlOf(layer, context, phase, share);
    const [widthA, widthB] = profileHalves(layer.ribbonWidth);
    const [fadeA, fadeB] = profileHalves(layer.ribbonLight);
    const nodes = nodesOf(layer);
    const way = wayOf(layer, context);
    return {
      seed: layer.seed,
      births: all.births,
      drawn: drawnOf(all, share),
      step_: all.step,
      generations: all.generations,
      seconds: context.seconds,
      form: streamForm[layer.form],
      extent: [layer.width, layer.height, layer.depth],
      heading: HEADING_VECTOR[layer.sent],
      speed: layer.speed,
      speedSpread: layer.speedSpread,
      spread: layer.spread,
      outwards: layer.sent === 'outward' ? 1 : 0,
      life: layer.life,
      lifeSpread: layer.lifeSpread,
      early: layer.early,
      drag: layer.drag,
      wind: [layer.windX, layer.windY, -layer.windZ],
      gravity: [0, -layer.gravity, 0],
      turbulence: layer.turbulence,
      ...whirl,
      ...groupValues(layer.groups),
      travel: context.tile * layer.rounds,
      tile: context.tile,
      circle: layer.circle,
      circleTurns: layer.circleTurns,
      ...courseValues(route),
      routeOn: alongRoute(layer) ? 1 : 0,
      // a mesh is one size across, a particle's size is its radius
      radius: layer.size * (isBodies(layer) ? 2 : 1),
      variation: layer.variation,
      sizeA,
      sizeB,
      lightA,
      lightB,
      nodes,
      nodeStep: layer.ribbon / Math.max(1, nodes - 1) / context.seconds,
      widthA,
      widthB,
      fadeA,
      fadeB,
      carried: way ? 1 : 0,
      way: way?.table ?? NO_WAY,
      waySamples: way ? way.table.length / 4 : 1,
      wayGain: way?.gain ?? [0, 0, 0],
      placeBy: streamPlace[layer.placeBy],
      placeSpread: layer.placeSpread,
      lap: phase,
    };
  },
  drawings(layer, share, context): Drawing[] {
    const count = stream.elementCount(layer, share, context);
    if (isBodies(layer)) return [{ as: 'bodies', mesh: surfaceOf(layer), first: 0, count }];
    if (isRibbons(layer))
      return [{ as: 'segments', pairs: ribbonPairs(count / layer.nodes, layer.nodes), sized: true }];
    const order = Uint32Array.from({ length: count }, (_, id) => id);
    const { generations } = streamBirths(layer, context.seconds);
    return [{ as: 'sprites', order, parts: [{ from: 0, to: 1, first: 0, count }], fair: count / generations }];
  },
  structure: (layer) => [
    layer.drawn,
    nodesOf(layer),
    layer.form === 'surface' && [layer.width, layer.height, layer.depth, layer.seed],
    (layer.form === 'surface' || isBodies(layer)) && sourceOf(sourceIn(layer)),
  ],
  look: (layer) => ({
    softness: layer.softness,
    lineWidth: 0,
    matter: layer.matter,
    pattern: layer.pattern,
    lines: layer.lines,
    ...spriteOf(layer),
  }),
  gradient: (layer) => layer.gradient,
  light: (layer, phase) => (isBodies(layer) ? 1 : evaluateAnimated(layer.light, phase)),
  extent(layer, context) {
    const { half, radius } = reachOf(layer, context);
    const way = wayOf(layer, context);
    if (way) {
      const { low, high } = way;
      const [wide, tall, deep] = [0, 1, 2].map((k) => (high[k] - low[k]) / 2 + half[k]);
      // it has been that way for as long as the longest of its particles live
      const back = Math.abs(way.gain[2]) * (1 + longestLife(layer) / context.seconds);
      const middle = -(low[2] + high[2]) / 2;
      return still({
        halfWidth: wide + Math.abs(way.gain[0]),
        halfHeight: tall + Math.abs(way.gain[1]),
        centre: [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2],
        from: middle - deep - back,
        to: middle + deep + back,
        body: radius,
      });
    }
    if (!alongRoute(layer)) return placedExtent(travelling(layer), half, radius);
    const route = context.routeOf(layer.follow);
    const along = context.tile / 2;
    const place: Placement = { ...UNPLACED, ahead: along };
    const straight = placedExtent(place, [half[0], half[1], half[2] + along], radius);
    return carriedAlong(straight, route, Math.hypot(...half));
  },
  closingSteps: () => ({}),
};
