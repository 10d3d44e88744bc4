import { standAt } from '../../elements/place/form';
import { placedExtent, placementTurn } from '../../elements/place/place';
import type { World } from '../../elements/world';
import { memo } from '../../memo';
import type { Mesh } from '../../solids/mesh';
import { fromAxis, inverse, multiply, slerp, type Quaternion, type Vec3 } from '../../space/vector';
import { evaluateAnimated } from '../../time/animated';
import { FONTS } from '../../type/font';
import { piecesOf } from '../../treatments/kinds';
import { bodyLook, spriteOf } from '../base';
import type { LayerDefinition } from '../definition';
import type { Drawing } from '../drawing';
import { carriedOf } from './carried';
import { ImpossibleForm, type ImpossibleLayer } from './form';
import { impossibleKernel, impossiblePlace, type ImpossibleValues } from './impossible.gen';
import { presets } from './presets';
import { partsIn, shapeKey, sketchOf, stoodOf, wayOf, WAY_STEPS } from './stood';

const DEGREE = Math.PI / 180;
const UPRIGHT: Quaternion = [0, 0, 0, 1];

const partsOf = (layer: ImpossibleLayer) => partsIn(layer, piecesOf(layer.treatments));

/** How a figure is turned from where it stands to read: with the camera as far as it holds, then out of that as far as it breaks. */
function attitudeOf(layer: ImpossibleLayer, world: World, phase: number): Quaternion {
  const { reading } = stoodOf(layer);
  const hold = evaluateAnimated(layer.hold, phase);
  const turn = placementTurn(standAt(layer, phase));
  const held =
    hold > 0
      ? slerp(
          UPRIGHT,
          multiply(inverse(turn), multiply(world.cameraView(phase).rotation, inverse(reading))),
          Math.min(1, hold),
        )
      : UPRIGHT;
  const aside = fromAxis([0, 1, 0], evaluateAnimated(layer.breaks, phase) * DEGREE);
  const tip = fromAxis([1, 0, 0], evaluateAnimated(layer.tips, phase) * DEGREE);
  return multiply(held, multiply(multiply(reading, multiply(tip, inverse(reading))), aside));
}

const tables = memo<Float64Array>(24);

/** The table of parts and of what goes round: see impossible.glsl. */
function partTable(layer: ImpossibleLayer, share: number): Float64Array {
  const parts = partsOf(layer);
  const { carried } = carriedOf(layer, share);
  const { carries, count, seed, strays, text, size, font } = layer;
  const key = [
    shapeKey(layer),
    layer.parts,
    piecesOf(layer.treatments),
    carries,
    count,
    seed,
    strays,
    text,
    size,
    font,
    carried.length,
  ];
  return tables(JSON.stringify(key), () =>
    Float64Array.from([
      ...parts.flatMap(({ middle, fade }) => [...middle, fade]),
      ...carried.flatMap(({ ahead, aside, up, order }) => [ahead, aside, up, order]),
    ]),
  );
}

const wayTables = memo<Float64Array>(24);

/** The table of the way: see impossible.glsl. */
const wayTable = (layer: ImpossibleLayer): Float64Array =>
  wayTables(shapeKey(layer), () => {
    const { places, ways } = wayOf(layer);
    return Float64Array.from(places.flatMap((place, i) => [...place, 0, ...ways[i], 0, 0]));
  });

const isOfLetters = ({ carries }: ImpossibleLayer): boolean => carries === 'letters';

/** Up to so many of what goes round have names. */
const MOST_NAMES = 200;

const ONE = { lamps: 'lamp', particles: 'particle', letters: 'letter' };

/** Metres from the middle to the farthest of a figure and of what goes round it. */
function farOf(layer: ImpossibleLayer): number {
  const parts = partsOf(layer).map(({ middle, mesh }) => Math.hypot(...middle) + mesh.radius);
  if (layer.carries === 'none') return Math.max(...parts);
  const strays = layer.carries === 'particles' ? layer.strays * layer.thickness : 0;
  const way = wayOf(layer).places.map((place) => Math.hypot(...place) + strays + 2 * layer.size);
  return Math.max(...parts, ...way);
}

export const impossible: LayerDefinition<ImpossibleLayer, ImpossibleValues> = {
  kind: 'impossible',
  label: 'Impossible figure',
  need: 'Draw the impossible',
  describe: 'Beams, stairs, a crate, a walkway that read right from one direction, and cannot be',
  form: ImpossibleForm,
  presets,
  bodies: () => true,
  solid: true,
  countsAll: true,
  placed: (layer) => layer,
  reads: (layer) => ({ turn: stoodOf(layer).reading, distance: layer.distance, half: stoodOf(layer).half }),
  stands(layer, world, phase) {
    const stand = standAt(layer, phase);
    const { reading, half } = stoodOf(layer);
    const turn = multiply(placementTurn(stand), multiply(attitudeOf(layer, world, phase), reading));
    const deep = farOf(layer);
    return {
      at: [stand.aside, stand.above, -stand.ahead],
      turn,
      half: [half[0] * stand.scale, half[1] * stand.scale, deep * stand.scale],
      flat: { distance: layer.distance * stand.scale },
    };
  },
  sketch: (layer) => ({ as: 'shapes', shapes: sketchOf(layer) }),
  kernel: impossibleKernel,
  elementCount: (layer, share) => partsOf(layer).length + carriedOf(layer, share).carried.length,
  counted(layer, share) {
    const { carried } = carriedOf(layer, share);
    if (layer.carries !== 'none')
      return { count: carried.length, noun: carried.length === 1 ? ONE[layer.carries] : layer.carries };
    const { length } = partsOf(layer);
    return { count: layer.parts === 'whole' ? 1 : length, noun: layer.parts === 'whole' ? 'figure' : 'blocks' };
  },
  named(layer) {
    const parts = partsOf(layer).length;
    const { carried } = carriedOf(layer, 1);
    if (parts + carried.length > MOST_NAMES) return null;
    const whole = layer.parts === 'whole';
    const one = { none: '', lamps: 'Lamp', particles: 'Particle', letters: 'Letter' }[layer.carries];
    return {
      one: 'Figure',
      many: 1,
      names: [
        ...Array.from({ length: parts }, (_, i) => (whole && i === 0 ? 'Figure' : `Block ${whole ? i : i + 1}`)),
        ...carried.map((_, i) => `${one} ${i + 1}`),
      ],
    };
  },
  tiled: () => false,
  turnStep: () => 1,
  values(layer, world, phase, share) {
    const { reading, half } = stoodOf(layer);
    return {
      seed: layer.seed,
      parts: partTable(layer, share),
      way: wayTable(layer),
      blocks: partsOf(layer).length,
      steps: WAY_STEPS,
      attitude: attitudeOf(layer, world, phase),
      reading,
      half_: half,
      ahead: layer.start + layer.rounds * phase,
      goes: layer.size,
      glow: evaluateAnimated(layer.glows, phase),
      tinted: layer.tinted,
      letters: isOfLetters(layer) ? 1 : 0,
      placeBy: impossiblePlace[layer.placeBy],
      placeSpread: layer.spread,
    };
  },
  drawings(layer, share): Drawing[] {
    const parts = partsOf(layer);
    const bodies: { mesh: Mesh; first: number; count: number }[] = [];
    const put = (mesh: Mesh, i: number): void => {
      const last = bodies.at(-1);
      if (last?.mesh === mesh) last.count++;
      else bodies.push({ mesh, first: i, count: 1 });
    };
    parts.forEach(({ mesh }, i) => put(mesh, i));
    const { carried, letters } = carriedOf(layer, share);
    if (isOfLetters(layer)) carried.forEach(({ letter }, i) => put(letters[letter], parts.length + i));
    const drawn: Drawing[] = bodies.map((body) => ({ as: 'bodies', ...body, whole: true }));
    if (carried.length === 0 || isOfLetters(layer)) return drawn;
    const order = Uint32Array.from(carried, (_, i) => parts.length + i);
    const all = { from: 0, to: 1, first: 0, count: carried.length };
    return [...drawn, { as: 'sprites', order, parts: [all], fair: layer.carries === 'particles' ? carried.length : 0 }];
  },
  structure: (layer) => [
    shapeKey(layer),
    layer.parts,
    piecesOf(layer.treatments),
    layer.carries,
    layer.carries !== 'none' && layer.count,
    isOfLetters(layer) && [layer.text, layer.size, layer.font?.hash, layer.font && FONTS.has(layer.font.hash)],
  ],
  look(layer, _world, phase) {
    const { aside, above, ahead } = standAt(layer, phase);
    // air before it would show how deep it is
    const airAt: Vec3 | null = layer.once ? [aside, above, -ahead] : null;
    return { ...bodyLook(layer), softness: layer.softness, ...spriteOf(layer), airAt };
  },
  gradient: (layer) => layer.gradient,
  light: () => 1,
  extent(layer) {
    const far = farOf(layer);
    return placedExtent(layer, [far, far, far], Math.max(...partsOf(layer).map(({ mesh }) => mesh.radius)));
  },
  notes: (layer) => [
    layer.distance > 0
      ? `Reads from ${Number(layer.distance.toFixed(2))} m before its middle, through a lens with perspective.`
      : 'Reads through a lens without perspective, however far it is; what is out of focus gives it away.',
  ],
  remarks(layer) {
    if (!isOfLetters(layer)) return [];
    if (!layer.font) return ['It has no font: choose one.'];
    const font = FONTS.at(layer.font);
    if (!font)
      return [`The font “${layer.font.name}” is not here: frames stand in for its letters. Bring the file in again.`];
    const lacking = font.lacks(layer.text);
    return lacking.length > 0 ? [`The font “${layer.font.name}” has no ${lacking.slice(0, 12).join(' ')}`] : [];
  },
  closingSteps: (layer) => ({
    rounds: layer.carries === 'lamps' || layer.carries === 'letters' ? 1 / layer.count : 1,
    breaks: 360,
    tips: 360,
  }),
};
