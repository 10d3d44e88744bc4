import { placedExtent } from '../../elements/place/place';
import { memo } from '../../memo';
import { still } from '../../elements/extent';
import type { World } from '../../elements/world';
import { dot, rotate, type Vec3 } from '../../space/vector';
import { evaluateAnimated } from '../../time/animated';
import { wholeFrame } from '../../time/exposure';
import { FONTS } from '../../type/font';
import { MARKS } from '../../type/mark';
import { bodyLook } from '../base';
import type { LayerDefinition } from '../definition';
import type { Mesh } from '../../solids/mesh';
import type { Drawing } from '../drawing';
import { piecesOf } from '../../treatments/kinds';
import { compositionKey, compositionOf, fontOf, isDrum, meshOf, sketchShapes } from './compose';
import { edgeAlong, wayOut } from './edge';
import { TitleForm, type TitleLayer } from './form';
import { numberText } from './number';
import { presets } from './presets';
import { ridingOf, standingOf, type Standing } from './standing';
import { titleKernel, titlePlace, type TitleValues } from './title.gen';

/** Numbers an element has in the table of letters. */
const WIDE = 8;
/** Radians that its base lines rise: those of letters in a plane do. */
const slopeOf = (layer: TitleLayer): number =>
  layer.shows === 'mark' || isDrum(layer) ? 0 : (layer.rise * Math.PI) / 180;

/** The way out from its edge, in the world. */
const outOfEdge = (layer: TitleLayer, { turn }: Standing): Vec3 => rotate(turn, [...wayOut(layer, slopeOf(layer)), 0]);

const standing = (layer: TitleLayer, world: World, phase: number): Standing =>
  standingOf(layer, compositionOf(layer).half, world, phase);

const tables = memo<Float64Array>(40);

/** Two entries an element: see title.glsl. @param shown letters of a number; null where all are there */
function lettersOf(layer: TitleLayer, stands: Standing, shown: readonly string[] | null): Float64Array {
  const edge = layer.edge === 'none' ? null : [layer.edge, layer.edgeAt, slopeOf(layer), stands];
  return tables(JSON.stringify([compositionKey(layer), edge, shown]), () => {
    const { elements, order, key } = compositionOf(layer);
    const table = new Float64Array(Math.max(1, elements.length) * WIDE);
    const out = outOfEdge(layer, stands);
    const middle = dot(stands.at, out);
    elements.forEach(({ x, y, z, turn, base, slot, text }, i) => {
      const there = shown === null || shown[slot] === text ? 1 : 0;
      const cut = middle + edgeAlong(layer, base) * stands.em;
      table.set([x, y, z, order[i], turn / (2 * Math.PI), cut, there, key[i]], i * WIDE);
    });
    return table;
  });
}

/** Farther than any camera goes, in metres. */
const ANYWHERE = 1e5;

/** Up to so many triangles working out coarser letters takes longer than it ever saves. */
const FEW_TRIANGLES = 60_000;

const plural = (layer: TitleLayer): string =>
  layer.shows === 'mark' ? 'shapes' : layer.shows === 'number' ? 'places' : layer.elements;

export const title: LayerDefinition<TitleLayer, TitleValues> = {
  kind: 'title',
  label: 'Title',
  need: 'Set a title',
  describe: 'Words, a number that counts, or a mark, flat or with depth, letter by letter',
  form: TitleForm,
  presets,
  bodies: () => true,
  countsAll: true,
  onFrames: ({ shows }) => shows === 'number',
  sketch: (layer) => ({ as: 'shapes', shapes: sketchShapes(layer) }),
  rides: ({ stands }) => stands === 'frame',
  stands(layer, world, phase) {
    const { at, turn, em } = standing(layer, world, phase);
    const { half } = compositionOf(layer);
    return { at, turn, half: [half[0] * em, half[1] * em, (layer.depth / 2) * em] };
  },
  margin: ({ stands, margin }) => (stands === 'frame' ? margin : null),
  kernel: titleKernel,
  elementCount: (layer) => compositionOf(layer).elements.length,
  restKey: compositionKey,
  counted: (layer) => ({ count: new Set(compositionOf(layer).key).size, noun: plural(layer) }),
  tiled: () => false,
  turnStep: () => 1,
  values(layer, world, phase) {
    const at = wholeFrame(layer, phase, world.frames);
    const shown =
      layer.shows === 'number'
        ? [...numberText(layer, evaluateAnimated(layer.value, at), world.frames / world.seconds)]
        : null;
    const { half } = compositionOf(layer);
    const stands = standing(layer, world, phase);
    return {
      letters: lettersOf(layer, stands, shown),
      stand: stands.at,
      turned: stands.turn,
      seed: layer.seed,
      emSize: stands.em,
      half_: [half[0], half[1]],
      drum: isDrum(layer) ? 1 : 0,
      placeBy: titlePlace[layer.placeBy],
      placeSpread: layer.spread,
    };
  },
  drawings(layer): Drawing[] {
    const { elements } = compositionOf(layer);
    const groups: { mesh: Mesh; first: number; count: number }[] = [];
    elements.forEach((element, i) => {
      const last = groups.at(-1);
      if (last && elements[i - 1].shape === element.shape) last.count++;
      else groups.push({ mesh: meshOf(layer, element), first: i, count: 1 });
    });
    const triangles = groups.reduce((sum, { mesh, count }) => sum + (mesh.index.length / 3) * count, 0);
    const whole = triangles <= FEW_TRIANGLES;
    const cut = layer.edge !== 'none';
    const rides = ridingOf(layer);
    return groups.map((group) => ({ as: 'bodies', ...group, cut, rides, whole }));
  },
  structure: (layer) => [
    compositionKey(layer),
    layer.depth,
    layer.bevel,
    layer.round,
    layer.edge !== 'none',
    ridingOf(layer),
    piecesOf(layer.treatments),
  ],
  look: (layer, world, phase) => ({
    ...bodyLook(layer),
    cut: layer.edge === 'none' ? null : outOfEdge(layer, standing(layer, world, phase)),
  }),
  gradient: (layer) => layer.gradient,
  light: () => 1,
  extent(layer) {
    if (layer.stands === 'frame')
      return still({ halfWidth: ANYWHERE, halfHeight: ANYWHERE, from: -ANYWHERE, to: ANYWHERE });
    const { half, elements } = compositionOf(layer);
    const body = Math.max(0, ...elements.map((element) => meshOf(layer, element).radius)) * layer.size;
    const deep = (layer.depth / 2) * layer.size;
    return placedExtent(
      layer,
      [half[0] * layer.size, half[1] * layer.size, half[2] * layer.size + Math.max(deep, 1e-3)],
      body,
    );
  },
  madeFor: ['font', 'mark'],
  takesFile: (layer, kind, ref) =>
    kind === 'font' ? { ...layer, font: ref } : kind === 'mark' ? { ...layer, shows: 'mark', mark: ref } : null,
  remarks(layer) {
    if (layer.shows === 'mark') {
      if (!layer.mark) return ['It has no drawing yet: choose an SVG, or drop one here.'];
      return MARKS.at(layer.mark) ? [] : [`The drawing “${layer.mark.name}” is not here: a frame stands in for it.`];
    }
    if (!layer.font) return ['It has no font: choose one.'];
    if (!FONTS.at(layer.font))
      return [`The font “${layer.font.name}” is not here: frames stand in for its letters. Bring the file in again.`];
    const said = layer.shows === 'words' ? layer.text : numberText(layer, 0, 25);
    const lacking = fontOf(layer).lacks(said);
    return lacking.length > 0 ? [`The font “${layer.font.name}” has no ${lacking.slice(0, 12).join(' ')}`] : [];
  },
  closingSteps: () => ({}),
};
