import { definitionOf, type Layer } from '../../core/layers/kinds';
import { PANEL } from '../../core/layers/definition';
import type { DrawingOf, Pictured } from '../../core/layers/drawing';
import { missingFiles } from '../../core/piece/files';
import type { Piece } from '../../core/piece/schema';
import { isHere } from '../../core/piece/here';
import { worldOf } from '../../core/world/layers';
import { sightings } from '../../core/world/sightings';
import type { FrameRequest } from '../frame/request';
import { MOST_DRAWN, sizeOf, type NeededFrames } from './pixels';

type PicturedBodies = DrawingOf<'bodies'> & { pictured: Pictured };
const isPictured = (drawing: { as: string }): drawing is PicturedBodies =>
  drawing.as === 'bodies' && 'pictured' in drawing && drawing.pictured !== undefined;

/** What the frames of a file are known by among those of others. */
export const fileKey = ({ file, kind }: Pick<Pictured, 'file' | 'kind'>): string => `${kind} ${file?.hash ?? ''}`;

/** Frames of a clip that some panels show. @param numbers eight each, as LayerDefinition.panels gives them @param seen which of them are in sight */
export function framesIn(
  numbers: Float32Array,
  { first, count }: { first: number; count: number },
  seen: (element: number) => boolean,
): Set<number> {
  const frames = new Set<number>();
  for (let i = first; i < first + count; i++) {
    if (!seen(i)) continue;
    const at = i * PANEL.numbers;
    frames.add(numbers[at + PANEL.first]);
    if (numbers[at + PANEL.share] > 0) frames.add(numbers[at + PANEL.second]);
  }
  return frames;
}

/** How often a picture may be halved and still have a pixel for each of the frame's, wherever it is shown. */
function levelFor({ pictured, mesh, first, count }: PicturedBodies, numbers: Float32Array, px: Float32Array): number {
  const { height } = sizeOf(pictured);
  let least = Infinity;
  for (let i = first; i < first + count; i++)
    if (px[i] > 0) least = Math.min(least, (Math.abs(numbers[i * PANEL.numbers + PANEL.rect + 3]) * height) / px[i]);
  // of what is bent or turned the picture is seen no larger than from its front
  return Math.max(0, Math.floor(Math.log2(least / Math.max(1, mesh.open ? 1 : 2 * mesh.radius))));
}

/** Pixels a side of a picture that is only to tell its mean colour. */
const FEW_PIXELS = 32;

/** Pixels a side of a picture that covers matter. */
const MOST_COVERING = 2048;

/** What panels show at a frame. */
export interface ShownOn {
  /** frames of each file, as large as is of use in the picture, by fileKey */
  needed: ReadonlyMap<string, NeededFrames>;
  /** what each panel of a layer shows, by the layer's id: see LayerDefinition.panels */
  panels: ReadonlyMap<string, Float32Array>;
  /** the same of all panels of layers that light what is near */
  lamps: ReadonlyMap<string, Float32Array>;
}

/** As much of a request as what is shown depends on. */
type Sighted = Pick<FrameRequest, 'phase' | 'width' | 'height' | 'working'>;
/** It is asked for before a frame, and again when that is drawn. */
let last: { piece: Piece; request: Sighted; shown: ShownOn } | null = null;

/** What the panels of a piece show at a frame. */
export function shownOn(piece: Piece, request: Sighted): ShownOn {
  if (
    last?.piece === piece &&
    (Object.keys(last.request) as (keyof Sighted)[]).every((k) => last?.request[k] === request[k])
  )
    return last.shown;
  const { phase, width, height, working } = request;
  const shown = workedOut(piece, request);
  // a file that is missing may come
  const waits = missingFiles(piece).length > 0;
  last = waits ? null : { piece, request: { phase, width, height, working }, shown };
  return shown;
}

function workedOut(piece: Piece, request: Sighted): ShownOn {
  const needed = new Map<string, NeededFrames & { frames: Set<number> }>();
  const panels = new Map<string, Float32Array>();
  const lamps = new Map<string, Float32Array>();
  const world = worldOf(piece);
  const need = (pictured: Pick<Pictured, 'file' | 'kind'>, frames: Set<number>, level: number): void => {
    const known = needed.get(fileKey(pictured));
    if (known) for (const frame of known.frames) frames.add(frame);
    const { file, kind } = pictured;
    needed.set(fileKey(pictured), { file, kind, frames, level: Math.min(level, known?.level ?? level) });
  };
  /** pictures that cover matter are as large as they may be shown anywhere */
  const cover = (layer: Layer): void => {
    if (!('pattern' in layer) || layer.pattern.kind !== 'picture') return;
    const { file } = layer.pattern;
    if (!file || !isHere('picture', file)) return;
    const { width: w, height: h } = sizeOf({ file, kind: 'picture' });
    need({ file, kind: 'picture' }, new Set([0]), Math.max(0, Math.ceil(Math.log2(Math.max(w, h) / MOST_COVERING))));
  };
  const visit = (layer: Layer): void => {
    const definition = definitionOf(layer.kind);
    if (layer.hidden) return;
    cover(layer);
    if (!definition.panels) return;
    const share = request.working ? layer.working : 1;
    const numbers = definition.panels(layer, share, world, request.phase);
    panels.set(layer.id, numbers);
    // what lights what is near, does so out of sight too: a few pixels tell its mean colour
    const lit = definition.lamps?.(layer, world) ?? [];
    // however much of the layer is drawn, the lamps are those of all of it
    const whole = share === 1 || lit.length === 0 ? numbers : definition.panels(layer, 1, world, request.phase);
    if (lit.length > 0) lamps.set(layer.id, whole);
    for (const { element, shows } of lit) {
      if (!shows.file || !isHere(shows.kind, shows.file)) continue;
      const { width, height } = sizeOf(shows);
      const frames = framesIn(whole, { first: element, count: 1 }, () => true);
      need(shows, frames, Math.max(0, Math.floor(Math.log2(Math.max(width, height) / FEW_PIXELS))));
    }
    const drawings = definition.drawings(layer, share, world).filter(isPictured);
    const radius = Math.max(0, ...drawings.map(({ mesh }) => mesh.radius));
    const px = sightings(piece, layer, request.phase, share, request, radius);
    for (const drawing of drawings) {
      const { pictured } = drawing;
      const { file, kind } = pictured;
      if (!file || !isHere(kind, file)) continue;
      const level = levelFor(drawing, numbers, px);
      const frames = framesIn(numbers, drawing, (i) => px[i] > 0);
      if (frames.size > 0) need(pictured, frames, level);
    }
  };
  piece.layers.forEach(visit);
  return { needed: fittedIn(needed, MOST_DRAWN), panels, lamps };
}

/** The same, halved as often as it takes for all of it to have room. */
function fittedIn(needed: Map<string, NeededFrames>, bytes: number): Map<string, NeededFrames> {
  const total = (): number =>
    [...needed.values()].reduce((sum, one) => {
      const { width, height } = sizeOf(one);
      return sum + (one.frames.size * width * height * 4) / 4 ** one.level;
    }, 0);
  while (needed.size > 0 && total() > bytes)
    for (const [key, one] of needed) needed.set(key, { ...one, level: one.level + 1 });
  return needed;
}
