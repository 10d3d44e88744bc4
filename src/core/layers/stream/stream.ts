import { z } from 'zod';
import { animated, choice, flag, gradient, integer, layerRef, number, profile, vectorFields } from '../../piece/fields';
import { sourceFields, sourceMesh, sourceTurnStep } from '../../solids/source';
import { surfacePoints } from '../../solids/surface';
import { evaluateAnimated } from '../../time/animated';
import { fitNoise } from '../../treatments/base';
import {
  layerBase,
  layerSeed,
  matterFields,
  matterOf,
  placement,
  spriteFields,
  spriteOf,
  type Placement,
} from '../base';
import { carriedAlong, courseValues, paceOf } from '../course';
import type { Drawing, LayerContext, LayerDefinition } from '../definition';
import { placedExtent } from '../place/place';
import { birthsOf, type Births } from './births';
import { signatures, sources, streamRun } from './stream.gen';

const FORMS = {
  point: 'A point',
  box: 'A box',
  plane: 'A flat plane',
  ball: 'A ball’s surface',
  disc: 'A flat disc',
  surface: 'The surface of a body',
};
const FORM_INDEX = { point: 0, box: 1, plane: 2, ball: 3, disc: 4, surface: 5 } as const;
const PLACES = { age: 'By age', chance: 'By chance', group: 'By group', birth: 'By time of birth' };
const PLACE_INDEX = { age: 0, chance: 1, group: 2, birth: 3 } as const;
const HEADINGS = { up: 'Up', down: 'Down', ahead: 'Ahead', back: 'Back', aside: 'Aside', outward: 'Outwards' };
const HEADING_VECTOR = {
  up: [0, 1, 0],
  down: [0, -1, 0],
  ahead: [0, 0, -1],
  back: [0, 0, 1],
  aside: [1, 0, 0],
  outward: [0, 1, 0],
} as const;

const emitter = 'Emitter';
const births = 'Births';
const motion = 'Motion';
const over = 'Over its life';
const apart = 'Groups';
const tint = 'Colour';
const body = { field: 'drawn', is: ['bodies'] };
const mote = { field: 'drawn', is: ['particles'] };
const sized = { field: 'form', is: ['box', 'plane', 'ball', 'disc', 'surface'] };
const factor = { unit: '×', min: 0.05, max: 20, comfort: 3, decimals: 2, group: apart };

/** Fields of a body are shown only when the stream is drawn as bodies. */
const bodyFields = Object.fromEntries(
  Object.entries({ ...sourceFields, ...matterFields })
    .filter(([name]) => !['size', 'variation', 'exchange', 'exchangeFrom', 'exchangeTo'].includes(name))
    .map(([name, field]) => {
      const meta = field.meta() as { when?: { field: string; is: readonly unknown[] } };
      return [name, field.meta({ ...meta, and: body } as never)];
    }),
) as unknown as Omit<
  typeof sourceFields & typeof matterFields,
  'size' | 'variation' | 'exchange' | 'exchangeFrom' | 'exchangeTo'
>;

const StreamSchema = z.looseObject({
  ...layerBase,
  kind: z.literal('stream'),
  form: choice('disc', FORMS, { label: 'Born on', group: emitter, hint: 'Where particles come from.' }),
  width: number(1, {
    label: 'Width',
    unit: 'm',
    min: 0,
    max: 1000,
    comfort: 6,
    group: emitter,
    when: sized,
    hint: 'Of the emitter, in metres.',
  }),
  height: number(1, {
    label: 'Height',
    unit: 'm',
    min: 0,
    max: 1000,
    comfort: 6,
    group: emitter,
    when: sized,
    hint: 'Of the emitter, in metres.',
  }),
  depth: number(1, {
    label: 'Depth',
    unit: 'm',
    min: 0,
    max: 1000,
    comfort: 6,
    group: emitter,
    when: sized,
    hint: 'Of the emitter, in metres.',
  }),
  circle: number(0, {
    label: 'Goes around',
    unit: 'm',
    min: 0,
    max: 1000,
    comfort: 4,
    group: emitter,
    hint: 'Radius of a ring around the travel on which the emitter moves; its motion is passed on.',
  }),
  circleTurns: integer(1, {
    label: 'Rounds',
    unit: 'per lap',
    min: -64,
    max: 64,
    comfort: 6,
    group: emitter,
    hint: 'Whole rounds in a lap.',
  }),
  travels: flag(false, {
    label: 'Travels the route',
    group: emitter,
    hint: 'The emitter moves along the travel, through the tile.',
  }),
  rounds: integer(1, {
    label: 'Tiles',
    unit: 'per lap',
    min: -64,
    max: 64,
    comfort: 4,
    group: emitter,
    when: { field: 'travels', is: [true] },
    hint: 'Tiles it travels in a lap.',
  }),
  follow: layerRef({
    label: 'Follows',
    group: emitter,
    when: { field: 'travels', is: [true] },
    hint: 'The tunnel whose route it travels.',
  }),
  stated: choice(
    'rate',
    { rate: 'Births per second', alive: 'Number alive' },
    { label: 'Stated as', group: births, hint: 'Which of the two numbers is given.' },
  ),
  rate: number(40, {
    label: 'Births',
    unit: 'per second',
    min: 0.01,
    max: 60_000,
    comfort: 400,
    decimals: 2,
    group: births,
    when: { field: 'stated', is: ['rate'] },
    hint: 'Rounded so that a whole number is born in each lap.',
  }),
  alive: integer(200, {
    label: 'Alive',
    min: 1,
    max: 60_000,
    comfort: 2000,
    group: births,
    when: { field: 'stated', is: ['alive'] },
    hint: 'Particles there at any time, when none dies early.',
  }),
  life: number(4, {
    label: 'Life',
    unit: 's',
    min: 0.02,
    max: 600,
    comfort: 12,
    decimals: 2,
    group: births,
    hint: 'Seconds; it may be longer than the lap.',
  }),
  lifeSpread: number(0.2, {
    label: 'Life variation',
    min: 0,
    max: 0.95,
    group: births,
    hint: 'Share by which lives differ.',
  }),
  early: number(0, {
    label: 'Early death',
    min: 0,
    max: 1,
    group: births,
    hint: 'Share of the particles that die before their time, at random.',
  }),
  sent: choice('up', HEADINGS, {
    label: 'Sent',
    group: motion,
    hint: 'The way they set off; outwards is away from the emitter.',
  }),
  speed: number(0.6, {
    label: 'Speed',
    unit: 'm/s',
    min: 0,
    max: 1000,
    comfort: 6,
    decimals: 2,
    group: motion,
    hint: 'Metres a second at birth.',
  }),
  speedSpread: number(0.3, {
    label: 'Speed variation',
    min: 0,
    max: 1,
    group: motion,
    hint: 'Share by which speeds differ.',
  }),
  spread: number(0.2, {
    label: 'Spread',
    min: 0,
    max: 1,
    group: motion,
    hint: '0: straight on. 1: in every direction.',
  }),
  drag: number(0.5, {
    label: 'Drag',
    unit: 'per s',
    min: 0,
    max: 60,
    comfort: 4,
    decimals: 2,
    group: motion,
    hint: 'How quickly they take the speed of the wind.',
  }),
  ...vectorFields('wind', 0, {
    labels: ['Wind aside', 'Wind up', 'Wind ahead'],
    unit: 'm/s',
    min: -100,
    max: 100,
    comfort: 2,
    decimals: 2,
    group: motion,
    hint: 'Metres a second of the air that drags them along.',
  }),
  gravity: number(0, {
    label: 'Weight',
    unit: 'm/s²',
    min: -100,
    max: 100,
    comfort: 10,
    decimals: 2,
    group: motion,
    hint: 'Downward pull; 9.81 is the Earth’s, negative floats up.',
  }),
  turbulence: number(0.3, {
    label: 'Turbulence',
    unit: 'm',
    min: 0,
    max: 100,
    comfort: 2,
    decimals: 2,
    group: motion,
    hint: 'Metres an old particle is carried by swirls.',
  }),
  whirl: number(1.5, {
    label: 'Swirl size',
    unit: 'm',
    min: 0.05,
    max: 500,
    comfort: 6,
    group: motion,
    hint: 'Metres across one swirl; fitted so that it tiles.',
  }),
  whirlCycles: integer(2, {
    label: 'Evolves',
    unit: 'cycles per lap',
    min: 1,
    max: 64,
    comfort: 8,
    group: motion,
    hint: 'Most whole cycles the swirls make in a lap.',
  }),
  drawn: choice(
    'particles',
    { particles: 'Particles of light', bodies: 'Bodies' },
    { label: 'Drawn as', group: over, hint: 'Points of light, or a body for each.' },
  ),
  size: number(0.012, {
    label: 'Size',
    unit: 'mm',
    min: 0.00005,
    max: 20,
    comfort: 0.3,
    display: 1000,
    decimals: 1,
    group: over,
    hint: 'Radius in millimetres where the size curve is 1.',
  }),
  variation: number(0.5, {
    label: 'Size variation',
    min: 0,
    max: 3,
    comfort: 1,
    group: over,
    hint: '0: alike. 1: half to twice.',
  }),
  sizeLife: profile([0.5, 1, 1, 1, 1, 1, 1, 0.8], {
    label: 'Size',
    min: 0,
    max: 2,
    group: over,
    hint: 'From birth to death, as multiples of the size.',
  }),
  lightLife: profile([0, 0.8, 1, 1, 0.9, 0.7, 0.35, 0], {
    label: 'Light',
    min: 0,
    max: 2,
    group: over,
    when: mote,
    hint: 'From birth to death.',
  }),
  ...spriteFields({ group: over, when: mote }),
  softness: number(0.6, {
    label: 'Softness',
    min: 0,
    max: 1,
    group: over,
    when: mote,
    hint: '0: a disc with a clear edge. 1: fades from its centre.',
  }),
  groups: integer(1, {
    label: 'Groups',
    min: 1,
    max: 8,
    comfort: 5,
    group: apart,
    hint: 'Particles shared out among groups that differ by the factors below.',
  }),
  groupSpeed: number(0.7, {
    label: 'Speed',
    ...factor,
    when: { field: 'groups', is: [2, 3, 4, 5, 6, 7, 8] },
    hint: 'From each group to the next.',
  }),
  groupLife: number(1.2, {
    label: 'Life',
    ...factor,
    when: { field: 'groups', is: [2, 3, 4, 5, 6, 7, 8] },
    hint: 'From each group to the next.',
  }),
  groupDrag: number(1, {
    label: 'Drag',
    ...factor,
    when: { field: 'groups', is: [2, 3, 4, 5, 6, 7, 8] },
    hint: 'From each group to the next.',
  }),
  groupSize: number(0.7, {
    label: 'Size',
    ...factor,
    when: { field: 'groups', is: [2, 3, 4, 5, 6, 7, 8] },
    hint: 'From each group to the next.',
  }),
  light: animated(3, {
    label: 'Light',
    unit: '×',
    min: 0,
    max: 10_000,
    comfort: 40,
    group: tint,
    when: mote,
    hint: 'Brightness.',
  }),
  gradient: gradient(['#fff1cf', '#ff9a4a', '#5a1a2a'], {
    label: 'Gradient',
    group: tint,
    hint: 'Colours from first to last place.',
  }),
  placeBy: choice('age', PLACES, {
    label: 'Place on it',
    group: tint,
    hint: 'What decides where on the gradient a particle is.',
  }),
  placeSpread: number(1, {
    label: 'Spread',
    min: 0,
    max: 4,
    comfort: 2,
    group: tint,
    hint: 'How much of the gradient is used.',
  }),
  ...bodyFields,
  ...placement,
  ...layerSeed,
});
export type StreamLayer = z.infer<typeof StreamSchema>;

const groupFactor = (each: number, groups: number): number => Math.max(1, each ** (groups - 1));

/** The longest life of any particle in seconds. */
const longestLife = (layer: StreamLayer): number =>
  layer.life * (1 + layer.lifeSpread) * groupFactor(layer.groupLife, layer.groups);

const rateOf = (layer: StreamLayer): number => (layer.stated === 'rate' ? layer.rate : layer.alive / layer.life);

/** Births of the finished piece; the lap's length is a property of the piece, so it is asked for. */
export const streamBirths = (layer: StreamLayer, seconds: number): Births =>
  birthsOf(rateOf(layer), seconds, longestLife(layer));

/** The first births of a lap that are shown at a share: any first ones are spread evenly over it. */
const drawnOf = ({ births: all }: Births, share: number): number => Math.max(1, Math.round(all * share));

const isBodies = (layer: StreamLayer): boolean => layer.drawn === 'bodies';
const travelling = (layer: StreamLayer): Placement =>
  (layer.travels
    ? { ...layer, ahead: 0, aside: 0, above: 0, heading: 0, pitch: 0, bank: 0, scale: 1 }
    : layer) as unknown as Placement;

const surfaceOf = (layer: StreamLayer) => sourceMesh(layer.source, layer as never, 0, 0);

export const stream: LayerDefinition<StreamLayer> = {
  kind: 'stream',
  label: 'Stream',
  need: 'Release particles',
  describe: 'Particles or bodies born, carried and gone, already under way at the first frame',
  schema: StreamSchema,
  bodies: isBodies,
  placed: (layer) => travelling(layer),
  kernel: { entry: 'streamElement', sources, signature: signatures.streamElement, run: streamRun },
  elementCount(layer, share, context) {
    const all = streamBirths(layer, context.seconds);
    return drawnOf(all, share) * all.generations;
  },
  counted(layer, share, context) {
    const { rate } = streamBirths(layer, context.seconds);
    return { count: Math.round(rate * layer.life * share), noun: `alive, ${Number(rate.toFixed(2))} born a second` };
  },
  tiled: (layer) => layer.travels,
  turnStep: (layer, axis, each) => (each && isBodies(layer) ? sourceTurnStep(layer.source, layer as never, axis) : 1),
  rest(layer, context, share) {
    if (layer.form !== 'surface') return null;
    const all = streamBirths(layer, context.seconds);
    const { generations } = all;
    const born = drawnOf(all, share);
    const one = surfacePoints(surfaceOf(layer), born, layer.seed);
    const out = new Float32Array(born * generations * 4);
    for (let g = 0; g < generations; g++)
      for (let i = 0; i < one.length; i++)
        out[g * one.length + i] = one[i] * [layer.width, layer.height, layer.depth, 1][i % 4];
    return out;
  },
  values(layer, context, phase, share) {
    const all = streamBirths(layer, context.seconds);
    const route = context.routeOf(layer.travels ? layer.follow : null);
    const whirl = fitNoise(layer.whirl, context.tile);
    return {
      seed: layer.seed,
      births: all.births,
      drawn: drawnOf(all, share),
      step_: all.step,
      generations: all.generations,
      seconds: context.seconds,
      form: FORM_INDEX[layer.form],
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
      whirlScale: whirl.scale,
      whirlPeriod: whirl.period,
      whirlCycles: layer.whirlCycles,
      groups: layer.groups,
      groupFactors: [layer.groupSpeed, layer.groupLife, layer.groupDrag, layer.groupSize],
      travel: context.tile * layer.rounds,
      tile: context.tile,
      circle: layer.circle,
      circleTurns: layer.circleTurns,
      ...courseValues(route),
      routeOn: layer.travels ? 1 : 0,
      // a mesh is one size across, a particle's size is its radius
      radius: layer.size * (isBodies(layer) ? 2 : 1),
      variation: layer.variation,
      sizeA: layer.sizeLife.slice(0, 4),
      sizeB: layer.sizeLife.slice(4),
      lightA: isBodies(layer) ? [1, 1, 1, 1] : layer.lightLife.slice(0, 4),
      lightB: isBodies(layer) ? [1, 1, 1, 1] : layer.lightLife.slice(4),
      placeBy: PLACE_INDEX[layer.placeBy],
      placeSpread: layer.placeSpread,
      lap: phase,
    };
  },
  drawings(layer, share, context): Drawing[] {
    const count = stream.elementCount(layer, share, context);
    if (isBodies(layer))
      return [{ as: 'bodies', mesh: sourceMesh(layer.source, layer as never, 0, 0), first: 0, count, shown: null }];
    const order = Uint32Array.from({ length: count }, (_, id) => id);
    return [{ as: 'sprites', order, parts: [{ from: 0, to: 1, first: 0, count }] }];
  },
  structure: (layer) => [
    layer.drawn,
    layer.form === 'surface' && [layer.width, layer.height, layer.depth, layer.seed],
    (layer.form === 'surface' || isBodies(layer)) &&
      (Object.keys(sourceFields) as (keyof StreamLayer)[]).map((name) =>
        name === 'size' || name === 'variation' ? 0 : layer[name],
      ),
  ],
  look: (layer) => ({
    softness: layer.softness,
    lineWidth: 0,
    largestRadius: isBodies(layer)
      ? 0
      : layer.size * 2 ** layer.variation * Math.max(...layer.sizeLife) * groupFactor(layer.groupSize, layer.groups),
    matter: matterOf(layer as never),
    ...spriteOf(layer),
  }),
  gradient: (layer) => layer.gradient,
  light: (layer, phase) => (isBodies(layer) ? 1 : evaluateAnimated(layer.light, phase)),
  extent(layer, context: LayerContext) {
    const route = context.routeOf(layer.follow);
    const age = longestLife(layer);
    const inherited =
      layer.circle * 2 * Math.PI * Math.abs(layer.circleTurns) +
      (layer.travels ? paceOf(route, context.tile) * context.tile * Math.abs(layer.rounds) : 0);
    const fastest =
      layer.speed * (1 + layer.speedSpread) * groupFactor(layer.groupSpeed, layer.groups) + inherited / context.seconds;
    const k = layer.drag * Math.min(1, layer.groupDrag ** (layer.groups - 1));
    const slow = k * age < 0.02 ? age : (1 - Math.exp(-k * age)) / k;
    const strong = layer.drag * groupFactor(layer.groupDrag, layer.groups);
    const blown = strong * age < 0.02 ? 0 : age - (1 - Math.exp(-strong * age)) / strong;
    const fall = k * age < 0.02 ? (age * age) / 2 : (age - slow) / k;
    const loose = fastest * slow + 4 * layer.turbulence;
    const radius = isBodies(layer)
      ? surfaceOf(layer).radius *
        2 *
        layer.size *
        2 ** layer.variation *
        Math.max(...layer.sizeLife) *
        groupFactor(layer.groupSize, layer.groups)
      : 0;
    // a surface's own size is in units of the body, whose corners may reach beyond half of it
    const spanned = layer.form === 'surface' ? 2 * surfaceOf(layer).radius : 1;
    const wind = [layer.windX, layer.windY, layer.windZ].map((v) => Math.abs(v) * blown);
    const half: [number, number, number] = [
      (layer.width / 2) * spanned + layer.circle + loose + wind[0] + radius,
      (layer.height / 2) * spanned + layer.circle + loose + wind[1] + Math.abs(layer.gravity) * fall + radius,
      (layer.depth / 2) * spanned + loose + wind[2] + radius,
    ];
    if (!layer.travels) return placedExtent(layer, half, radius);
    const along = context.tile / 2;
    const place: Placement = {
      ...travelling(layer),
      once: false,
      aside: 0,
      above: 0,
      ahead: along,
      heading: 0,
      pitch: 0,
      bank: 0,
      scale: 1,
    };
    const straight = placedExtent(place, [half[0], half[1], half[2] + along], radius);
    return carriedAlong(straight, route, Math.hypot(...half));
  },
  closingSteps: () => ({}),
};
