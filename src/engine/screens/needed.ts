import { definitionOf, type Layer } from '../../core/layers/kinds';
import { PANEL } from '../../core/layers/definition';
import type { DrawingOf, Pictured } from '../../core/layers/drawing';
import type { Piece } from '../../core/piece/schema';
import { isHere } from '../../core/type/here';
import { worldOf } from '../../core/world/layers';
import type { FrameRequest } from '../frame/request';
import { MOST_DRAWN, sizeOf, type NeededFrames } from './pixels';

/** Pictures of fewer passes are looked at for a moment: a panel is taken to fill the frame at most. In others twice that. */
const FEW_PASSES = 2;

type PicturedBodies = DrawingOf<'bodies'> & { pictured: Pictured };
const isPictured = (drawing: { as: string }): drawing is PicturedBodies =>
  drawing.as === 'bodies' && 'pictured' in drawing && drawing.pictured !== undefined;

/** What the frames of a file are known by among those of others. */
export const fileKey = ({ file, kind }: Pick<Pictured, 'file' | 'kind'>): string => `${kind} ${file?.hash ?? ''}`;

/** Frames of a clip that some panels show. @param numbers eight each, as LayerDefinition.panels gives them */
export function framesIn(numbers: Float32Array, first: number, count: number): Set<number> {
  const frames = new Set<number>();
  for (let i = first; i < first + count; i++) {
    const at = i * PANEL.numbers;
    frames.add(numbers[at + PANEL.first]);
    if (numbers[at + PANEL.share] > 0) frames.add(numbers[at + PANEL.second]);
  }
  return frames;
}

/** The largest share of a picture's width that some panels show. */
function widest(numbers: Float32Array, first: number, count: number): number {
  let most = 0;
  for (let i = first; i < first + count; i++)
    most = Math.max(most, Math.abs(numbers[i * PANEL.numbers + PANEL.rect + 2]));
  return Math.min(1, most);
}

/** What some layers of a piece show at a frame: frames of each file, as large as is of use in the picture. */
export function neededFrames(piece: Piece, request: FrameRequest): Map<string, NeededFrames> {
  const needed = new Map<string, NeededFrames & { frames: Set<number> }>();
  const world = worldOf(piece);
  const across = request.width * (request.passes > FEW_PASSES ? 2 : 1);
  const visit = (layer: Layer): void => {
    const definition = definitionOf(layer.kind);
    if (layer.hidden || !definition.panels) return;
    const share = request.working ? layer.working : 1;
    const numbers = definition.panels(layer, share, world, request.phase);
    for (const { pictured, first, count } of definition.drawings(layer, share, world).filter(isPictured)) {
      const { file, kind } = pictured;
      if (!file || !isHere(kind, file)) continue;
      const texels = sizeOf(pictured).width * widest(numbers, first, count);
      const level = Math.max(0, Math.floor(Math.log2(texels / across)));
      const known = needed.get(fileKey(pictured));
      const frames = framesIn(numbers, first, count);
      if (known) for (const frame of known.frames) frames.add(frame);
      needed.set(fileKey(pictured), { file, kind, frames, level: Math.min(level, known?.level ?? level) });
    }
  };
  piece.layers.forEach(visit);
  return fittedIn(needed, MOST_DRAWN / 2);
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
