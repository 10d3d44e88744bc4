import { bodyLook } from '../base';
import { isEven } from '../../colour/animated';
import {
  arrangedLayer,
  arrangementExtent,
  arrangementValues,
  drawnOf,
  isEvenRing,
  placesKey,
  restOf,
  totalOf,
} from '../../arrangement';
import type { World } from '../../elements/world';
import { memo } from '../../memo';
import { NO_PICTURE } from '../../pictures/facts';
import type { Mesh } from '../../solids/mesh';
import { faced, panel } from '../../solids/panel';
import { broken } from '../../solids/pieces';
import { NO_MODEL } from '../../solids/solid';
import { solidMesh } from '../../solids/solids';
import { evaluateAnimated } from '../../time/animated';
import { wholeFrame } from '../../time/exposure';
import { piecesOf } from '../../treatments/kinds';
import { PANEL, type LayerDefinition } from '../definition';
import type { Drawing } from '../drawing';
import { rectOf, type Cell } from './crop';
import { dealOf, type Dealt } from './deal';
import { ScreenForm, type ScreenLayer } from './form';
import { loadedShare, panelLook } from './look';
import { presets } from './presets';
import { screenFacing, screenKernel, screenPlace, type ScreenValues } from './screen.gen';
import { shownFile, showsOf, type Shown } from '../../shows/kinds';

/** Panels of a layer that light what is near them. */
const MOST_LAMPS = 6;

const dealt = (layer: ScreenLayer, share: number): readonly Dealt[] => dealOf(layer, share, totalOf(layer));

/** Whether the panels stand around something, turned with that. */
const isAround = (layer: ScreenLayer): boolean =>
  layer.align && ['ring', 'spiral', 'route', 'sphere'].includes(layer.arrangement);

/** Width over height of a picture; of what stands in for it where it is not there. */
function ownShape(shown: Shown | undefined): number {
  const { width, height } = (shown && showsOf(shown.kind).sizeOf(shown)) ?? NO_PICTURE;
  return width / height;
}

/** Columns and rows of the panels, where they show one picture together. */
function cellOf(layer: ScreenLayer, index: number): Cell {
  if (layer.arrangement !== 'grid') return { column: index, row: 0, columns: totalOf(layer), rows: 1 };
  const { countX: columns, countY: rows } = layer;
  return { column: index % columns, row: rows - 1 - (Math.floor(index / columns) % rows), columns, rows };
}

/** Width over height of the panels that show something. */
function panelShape(layer: ScreenLayer, shown: Shown | undefined): number {
  if (layer.shape === 'set') return layer.wide;
  const { columns, rows } = layer.parts === 'split' ? cellOf(layer, 0) : { columns: 1, rows: 1 };
  return ((ownShape(shown) * layer.partWide) / layer.partHigh) * (rows / columns);
}

const meshes = memo<Mesh>(40);

/** What panels of a shape are, one unit high. */
function meshOf(layer: ScreenLayer, wide: number): Mesh {
  const { count, seed } = piecesOf(layer.treatments);
  const { stands, solid, sides, bevel, thickness, deep, caps, curve } = layer;
  const behind = layer.second ? layer.behind : 0;
  return meshes(
    JSON.stringify([stands, solid, sides, bevel, thickness, deep, caps, curve, behind, wide, count, seed]),
    () => {
      const whole =
        stands === 'faces'
          ? faced(
              solidMesh(solid, { ...NO_MODEL, sides, bevel, thickness, deep, wide, high: 1, detail: 2, outline: [] }),
              caps,
            )
          : panel({ wide, curve: stands === 'curved' ? curve : 0, behind });
      return count > 1 ? broken(whole, count, seed) : whole;
    },
  );
}

/** Stretches of the panels that show the same. */
function groupsOf(layer: ScreenLayer, share: number): { shown: Shown | undefined; first: number; count: number }[] {
  const groups: { shows: number; first: number; count: number }[] = [];
  dealt(layer, share).forEach(({ shows }, i) => {
    const last = groups.at(-1);
    if (last?.shows === shows) last.count++;
    else groups.push({ shows, first: i, count: 1 });
  });
  return groups.map(({ shows, ...stretch }) => ({ ...stretch, shown: layer.shows[shows] }));
}

const tables = memo<Float64Array>(24);

/** The table of the kernel: which of all panels each that is drawn is. */
const dealtTable = (layer: ScreenLayer, share: number): Float64Array => {
  const panels = dealt(layer, share);
  return tables(JSON.stringify(panels.map(({ index }) => index)), () =>
    Float64Array.from(panels.flatMap(({ index }) => [index, 0, 0, 0])),
  );
};

export const screen: LayerDefinition<ScreenLayer, ScreenValues> = {
  ...arrangedLayer,
  kind: 'screen',
  label: 'Screens',
  need: 'Place a screen',
  describe: 'Pictures and clips on panels, curved ones, or the faces of bodies',
  form: ScreenForm,
  presets,
  onFrames: ({ shows }) => shows.some(({ kind }) => showsOf(kind).steps),
  kernel: screenKernel,
  counted: (layer, share) => ({ count: drawnOf(layer, share), noun: 'panels' }),
  turnStep(layer, axis, each) {
    const alike = layer.shows.length < 2 && layer.parts === 'same' && layer.flip !== 'chance';
    const still = layer.shows.every(({ kind }) => !showsOf(kind).steps) && layer.loads === 'none';
    const plain = layer.spread === 0 || isEven(layer.gradient);
    const even = isEvenRing(layer) && layer.variation === 0;
    return !each && axis === 'along' && even && alike && still && plain ? 1 / layer.count : 1;
  },
  rest: (layer, { tile }, share) =>
    restOf(
      layer,
      tile,
      dealt(layer, share).map(({ index }) => index),
    ),
  values: (layer, world, _phase, share) => ({
    ...arrangementValues(layer, world),
    dealt: dealtTable(layer, share),
    seed: layer.seed,
    panelSize: layer.size,
    facing: isAround(layer) ? screenFacing[layer.facing] : screenFacing.along,
    variation: layer.variation,
    placeBy: screenPlace[layer.placeBy],
    placeSpread: layer.spread,
  }),
  drawings: (layer, share): Drawing[] =>
    groupsOf(layer, share).map(({ shown, first, count }) => {
      const wide = panelShape(layer, shown);
      return {
        as: 'bodies',
        mesh: meshOf(layer, wide),
        first,
        count,
        pictured: { file: shown?.file ?? null, kind: shown?.kind ?? 'picture', wide },
      };
    }),
  panels(layer, share, world, phase) {
    const panels = dealt(layer, share);
    const out = new Float32Array(panels.length * PANEL.numbers);
    const frame = Math.round(wholeFrame(layer, phase, world.frames) * world.frames);
    const loaded = layer.loads === 'none' ? 1 : evaluateAnimated(layer.loaded, phase);
    const total = totalOf(layer);
    panels.forEach(({ index, shows, order }, i) => {
      const shown = layer.shows.at(shows);
      const rect = rectOf(layer, ownShape(shown), panelShape(layer, shown), cellOf(layer, index), index, layer.seed);
      const { first, second, share } = shown
        ? showsOf(shown.kind).shownAt(shown, { order, key: index, seed: layer.seed }, frame, world)
        : { first: 0, second: 0, share: 0 };
      out.set([...rect, first, second, share, loadedShare(loaded, layer.loadSpread, index, total)], i * PANEL.numbers);
    });
    return out;
  },
  lamps(layer) {
    // what is shown on the faces of bodies shines every way
    if (!layer.lights || layer.stands === 'faces') return [];
    return dealt(layer, 1)
      .slice(0, MOST_LAMPS)
      .map(({ shows }, element) => {
        const shown = layer.shows.at(shows);
        const wide = panelShape(layer, shown);
        const { file, kind } = shown ?? { file: null, kind: 'picture' as const };
        return { element, wide, high: 1, gives: layer.emission, shows: { file, kind } };
      });
  },
  structure: (layer) => [
    layer.shows.map((shown) => [shown.kind, shown.file?.hash, shown.weight, ownShape(shown), isKnown(shown)]),
    [
      layer.dealt,
      layer.seed,
      layer.stands,
      layer.solid,
      layer.sides,
      layer.bevel,
      layer.thickness,
      layer.deep,
      layer.caps,
    ],
    [layer.shape, layer.wide, layer.curve, layer.second && layer.behind, layer.parts, layer.partWide, layer.partHigh],
    layer.parts === 'split' && [layer.arrangement, layer.countX, layer.countY],
    piecesOf(layer.treatments),
    placesKey(layer),
  ],
  look: (layer, _world, phase) => ({
    ...bodyLook(layer),
    panel: panelLook(layer, phase),
  }),
  gradient: (layer) => layer.gradient,
  light: () => 1,
  extent(layer, world: World) {
    const largest = layer.size * Math.max(1, layer.grow) * 2 ** layer.variation;
    const shapes = new Set([undefined, ...layer.shows].map((shown) => panelShape(layer, shown)));
    const radius = Math.max(...[...shapes].map((wide) => meshOf(layer, wide).radius));
    return arrangementExtent(layer, world, radius * largest);
  },
  madeFor: ['picture', 'clip'],
  takesFile(layer, kind, file) {
    const shown = shownFile(kind, file, `s${layer.shows.length}-${file.hash.slice(0, 8)}`);
    if (!shown) return null;
    // what it comes with makes room for the first that is brought in
    const stock = layer.shows.every((one) =>
      presets.some(({ fields }) => fields.shows?.some((own) => isSame(own, one))),
    );
    return { ...layer, shows: stock ? [shown] : [...layer.shows, shown] };
  },
  remarks: (layer) =>
    layer.shows.length === 0
      ? ['It shows nothing yet: add a picture or a clip, or drop one here.']
      : layer.shows.flatMap((shown) => {
          if (!shown.file) return [`A ${shown.kind} has no file yet.`];
          if (!isKnown(shown))
            return [`“${shown.file.name}” is not here: a stand-in is drawn. Bring the file in again.`];
          const seam = showsOf(shown.kind).ownSeam?.(shown);
          return seam && !seam.ok ? [`“${shown.file.name}” ${seam.says}.`] : [];
        }),
  placesTell: true,
  ownSeams: (layer) =>
    layer.shows.flatMap((shown, index) => {
      const seam = showsOf(shown.kind).ownSeam?.(shown);
      if (!seam) return [];
      const { mended, ...found } = seam;
      const name = shown.file?.name ?? shown.kind;
      const repair = mended && { says: mended.says, path: ['shows', index], value: mended.value };
      return [{ ...found, id: `${layer.id}:${shown.id}`, subject: `${layer.name}: ${name}`, repair }];
    }),
};

const isKnown = (shown: Shown): boolean => showsOf(shown.kind).sizeOf(shown) !== null;
const isSame = (a: Shown, b: Shown): boolean => a.file?.hash === b.file?.hash;
