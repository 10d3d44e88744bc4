import {
  arrangedLayer,
  arrangementExtent,
  arrangementValues,
  indicesOf,
  isUnturned,
  placesKey,
  restOf,
  totalOf,
} from '../../arrangement';
import type { Placement } from '../../elements/place/form';
import { memo } from '../../memo';
import { motionAt, motionKey } from '../../motion/known';
import { MOTIONS } from '../../motion/motion';
import { setAt } from '../../solids/details/details';
import { limb } from '../../solids/lathe';
import { stretched, type Mesh } from '../../solids/mesh';
import { broken } from '../../solids/pieces';
import { PLAIN_SHAPE } from '../../solids/solid';
import { solidMesh } from '../../solids/solids';
import { modelNotes, modelRemarks } from '../../solids/source';
import { MODELS } from '../../solids/models/model';
import { evaluateAnimated } from '../../time/animated';
import { piecesOf } from '../../treatments/kinds';
import { bodyLook, DARK, spriteOf } from '../base';
import type { LayerDefinition } from '../definition';
import type { Drawing } from '../drawing';
import { placesOnBones, type Bone } from './bones';
import { figureKernel, figurePlace, type FigureValues } from './figure.gen';
import { FigureForm, type FigureLayer } from './form';
import { bonesIn, cycleIn, cyclesOf, farOf, movesOf, stretchOf, wayOf } from './moves';
import { presets } from './presets';

/** Steps around a limb. */
const ROUND = 16;

const meshes = memo<Mesh>(240);
const scattered = memo<Float64Array>(8);

/** What the body of a bone is, besides the bone itself. */
const bodyKey = (layer: FigureLayer): string =>
  JSON.stringify([
    motionKey(layer.motion),
    layer.bone,
    layer.girth,
    piecesOf(layer.treatments),
    ...(layer.bone === 'model' ? [layer.model?.hash, layer.modelUp, MODELS.at(layer.model) !== null] : []),
  ]);

/** The body of a bone, in units of the figure's height: it ends at the origin and runs down from there. */
const boneMesh = (layer: FigureLayer, bone: Bone): Mesh =>
  meshes(`${bodyKey(layer)} ${bone.joint}`, () => {
    const { length, inset, across } = bone;
    const [first, last] = bone.radii.map((radius) => radius * layer.girth);
    const { count, seed } = piecesOf(layer.treatments);
    const whole = (): Mesh => {
      if (layer.bone === 'limb') {
        const inside = length * Math.max(0.05, 1 - inset[0] - inset[1]);
        return setAt(stretched(limb(inside, first, last, ROUND), [across[0], 1, across[1]]), 1, [
          0,
          -inset[1] * length,
          0,
        ]);
      }
      const { model, modelUp } = layer;
      const body = solidMesh(layer.bone, { ...PLAIN_SHAPE, model, modelUp });
      // a model keeps its proportions; all else is as thick as a limb would be
      if (layer.bone === 'model') return setAt(body, length, [0, -length / 2, 0]);
      const thick = first + last;
      return setAt(stretched(body, [thick * across[0], length, thick * across[1]]), 1, [0, -length / 2, 0]);
    };
    return count > 1 ? broken(whole(), count, seed) : whole();
  });

/** The model that its bones are, where they are one. */
const ofModel = ({ drawn, bone, model, modelUp }: FigureLayer) =>
  drawn === 'bodies' && bone === 'model' ? [{ name: bone, model, modelUp } as const] : [];

const areBodies = ({ drawn }: FigureLayer): boolean => drawn === 'bodies';

/** Particles of each figure at a share of the final count. */
const particlesOf = (layer: FigureLayer, share: number): number => Math.max(1, Math.round(layer.points * share));

/** Elements of each figure: its joints, or its particles. */
const eachOf = (layer: FigureLayer, share: number): number =>
  layer.drawn === 'points' ? particlesOf(layer, share) : motionAt(layer.motion).joints.length;

/** Where its particles are on its bones. */
const particlesAt = (layer: FigureLayer, count: number): Float64Array => {
  const around = layer.around / layer.tall;
  return scattered(JSON.stringify([motionKey(layer.motion), count, layer.girth, around, layer.seed]), () =>
    placesOnBones(bonesIn(layer), count, layer.girth, around, layer.seed),
  );
};

const NONE = new Float64Array(4);

/** The ends of each bone, among its joints. */
function bonePairs(layer: FigureLayer): number[] {
  const { joints } = motionAt(layer.motion);
  const figures = totalOf(layer);
  return bonesIn(layer).flatMap(({ joint }) =>
    Array.from({ length: figures }, (_, i) => [joints[joint].parent * figures + i, joint * figures + i]).flat(),
  );
}

/** Where it stands; one that goes ahead by tiles does so on top of it, where that does not move by itself. */
function placedOf(layer: FigureLayer, tile: number): Placement {
  const placement = arrangedLayer.placed(layer);
  if (layer.travel !== 'tiles' || typeof placement.ahead !== 'number') return placement;
  return { ...placement, ahead: { law: 'wound', start: placement.ahead, perLap: layer.tiles * tile } };
}

/** The height of its middle and half its height where it stands upright and keeps to its place; where it does not, as it is told and all of it. */
function risen(layer: FigureLayer, half: number): { lift: Placement['above']; high: number } {
  const { above, scale, pitch, bank } = layer;
  const upright = pitch === 0 && bank === 0 && typeof above === 'number' && typeof scale === 'number';
  return upright && isUnturned(layer) ? { lift: above + half * scale, high: half } : { lift: above, high: 2 * half };
}

const whole = (v: number): string => (v < 1 ? v.toFixed(2) : v.toFixed(1));

export const figure: LayerDefinition<FigureLayer, FigureValues> = {
  ...arrangedLayer,
  kind: 'figure',
  label: 'Figure',
  need: 'Bring a moving figure',
  describe: 'Motion capture, yours or ours, that closes: as bodies, particles or lines; one, or many out of step',
  form: FigureForm,
  presets,
  bodies: areBodies,
  madeFor: ['motion'],
  takesFile: (layer, kind, file) =>
    kind === 'motion'
      ? { ...layer, motion: file, stretch: null }
      : kind === 'model' && areBodies(layer)
        ? { ...layer, bone: 'model', model: file }
        : null,
  notes(layer) {
    if (!MOTIONS.at(layer.motion)) return [];
    const { joints, frames, step } = motionAt(layer.motion);
    const { from, to } = stretchOf(layer);
    const { seconds, samples } = cycleIn(layer);
    const through =
      samples > 1 ? `frames ${from} to ${to} close, ${whole(seconds)} s` : frames > 1 ? 'it stands still' : 'one pose';
    const way = wayOf(layer);
    const goes = samples > 1 && way > 0.05 ? `; each time it goes ${whole(way)} m` : '';
    const long = frames > 1 ? `, ${whole(frames * step)} s` : '';
    return [`${joints.length} joints${long}: ${through}${goes}.`, ...ofModel(layer).flatMap(modelNotes)];
  },
  remarks: (layer) => [
    ...(MOTIONS.at(layer.motion)
      ? []
      : [
          layer.motion
            ? `“${layer.motion.name}” is not here: a figure that stands still is drawn. Bring the file in again.`
            : 'It has no motion yet: choose one, or drop a .bvh file here.',
        ]),
    ...ofModel(layer).flatMap(modelRemarks),
  ],
  named: (layer) =>
    layer.drawn === 'points'
      ? null
      : { one: 'Figure', many: totalOf(layer), names: motionAt(layer.motion).joints.map(({ name }) => name) },
  // others number them figure by figure, so that another figure more renames none
  numbered(layer, number) {
    if (layer.drawn === 'points') return number;
    const joints = motionAt(layer.motion).joints.length;
    const figures = totalOf(layer);
    // beyond the last is the last
    const own = Math.min(number, joints * figures - 1);
    return (own % joints) * figures + Math.floor(own / joints);
  },
  placed: placedOf,
  kernel: figureKernel,
  elementCount: (layer, share) => eachOf(layer, share) * totalOf(layer),
  counted: (layer, share) => {
    const figures = totalOf(layer);
    return layer.drawn === 'points'
      ? { count: figures * particlesOf(layer, share), noun: 'particles' }
      : { count: figures, noun: figures === 1 ? 'figure' : 'figures' };
  },
  sketch: (layer) => (layer.drawn === 'points' ? { as: 'dots' } : { as: 'pairs', pairs: bonePairs(layer) }),
  turnStep: () => 1,
  rest(layer, { tile }, share) {
    const one = restOf(layer, tile, indicesOf(layer, 1));
    if (!one) return null;
    const each = eachOf(layer, share);
    const out = new Float32Array(one.length * each);
    for (let k = 0; k < each; k++) out.set(one, k * one.length);
    return out;
  },
  values(layer, world, phase, share) {
    const points = layer.drawn === 'points';
    return {
      ...arrangementValues(layer, world),
      seed: layer.seed,
      figures: totalOf(layer),
      particles: points ? 1 : 0,
      ...movesOf(layer),
      places: points ? particlesAt(layer, particlesOf(layer, share)) : NONE,
      joints: motionAt(layer.motion).joints.length,
      tall: layer.tall,
      cycles: cyclesOf(layer, world),
      start: layer.start,
      late: layer.late,
      odd: layer.odd,
      back: layer.travel === 'tiles' && layer.tiles < 0 ? 1 : 0,
      radius_: layer.size,
      placeBy: figurePlace[layer.placeBy],
      placeSpread: layer.spread,
      lap: phase,
    };
  },
  drawings(layer, share): Drawing[] {
    const figures = totalOf(layer);
    if (layer.drawn === 'points') {
      const count = figures * particlesOf(layer, share);
      const order = Uint32Array.from({ length: count }, (_, id) => id);
      return [{ as: 'sprites', order, parts: [{ from: 0, to: 1, first: 0, count }], fair: count }];
    }
    if (layer.drawn === 'lines') return [{ as: 'segments', pairs: Uint32Array.from(bonePairs(layer)) }];
    return bonesIn(layer).map((bone) => ({
      as: 'bodies',
      mesh: boneMesh(layer, bone),
      first: bone.joint * figures,
      count: figures,
    }));
  },
  structure: (layer) => [
    layer.drawn,
    motionKey(layer.motion),
    areBodies(layer) && bodyKey(layer),
    totalOf(layer),
    placesKey(layer),
  ],
  look: (layer) =>
    areBodies(layer)
      ? bodyLook(layer)
      : { softness: layer.softness, lineWidth: layer.width, matter: DARK, ...spriteOf(layer) },
  gradient: (layer) => layer.gradient,
  light: (layer, phase) => (areBodies(layer) ? 1 : evaluateAnimated(layer.light, phase)),
  extent(layer, world) {
    const thick = areBodies(layer)
      ? Math.max(0, ...bonesIn(layer).map((bone) => boneMesh(layer, bone).radius))
      : layer.around / layer.tall + 0.1 * layer.girth;
    const largest = layer.tall * Math.max(1, layer.grow);
    const { far, around, up } = farOf(layer);
    const aside = (around + thick) * largest;
    const { lift, high } = risen(layer, (up / 2) * largest);
    return arrangementExtent(
      { ...layer, ...placedOf(layer, world.tile), above: lift },
      world,
      (far + thick) * largest,
      [aside, high + thick * largest, aside],
    );
  },
};
