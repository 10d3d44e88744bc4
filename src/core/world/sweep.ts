import { newLayer, definitionOf, type Layer } from '../layers/kinds';
import type { Piece } from '../piece/schema';
import { add, length, rotate, scale, subtract, type Quaternion, type Vec3 } from '../space/vector';
import { layerElements, worldOf } from './layers';
import type { TableFrame } from './lightMoves';

/** Bodies of a layer that are looked at. */
const MOST_BODIES = 300;
/** Width of a sweep in distances from the camera to its subject, and how much of it lies behind the subject. */
const WIDE = 3;
const BEHIND = 0.16;

/** The lowest point of what stands about a place, in metres; null where nothing does. */
function lowestAbout(piece: Piece, phase: number, middle: Vec3, within: number): number | null {
  let lowest: number | null = null;
  for (const layer of piece.layers) {
    if (layer.hidden || !definitionOf(layer.kind).bodies?.(layer)) continue;
    const { position, rotation, size } = layerElements(piece, layer.id, phase, layer.working);
    for (const drawing of definitionOf(layer.kind).drawings(layer, layer.working, worldOf(piece))) {
      if (drawing.as !== 'bodies' || drawing.rides) continue;
      const every = Math.max(1, Math.ceil(drawing.count / MOST_BODIES));
      for (let i = drawing.first; i < drawing.first + drawing.count; i += every) {
        const centre: Vec3 = [position[i * 3], position[i * 3 + 1], position[i * 3 + 2]];
        if (size[i] <= 0 || length(subtract(centre, middle)) > within) continue;
        const turn: Quaternion = [rotation[i * 4], rotation[i * 4 + 1], rotation[i * 4 + 2], rotation[i * 4 + 3]];
        const { position: mesh } = drawing.mesh;
        for (let v = 0; v < mesh.length; v += 3) {
          const y = centre[1] + size[i] * rotate(turn, [mesh[v], mesh[v + 1], mesh[v + 2]])[1];
          if (lowest === null || y < lowest) lowest = y;
        }
      }
    }
  }
  return lowest;
}

/**
 * A studio sweep under what the camera looks at, which bends up behind it; null where something surrounds everything already.
 * @param frame about what it is set up
 */
export function sweepUnder(piece: Piece, phase: number, frame: TableFrame, id: string): Layer | null {
  if (piece.layers.some(({ kind }) => definitionOf(kind).surrounds)) return null;
  const { middle, towards, away } = frame;
  const size = Math.max(4, WIDE * away);
  const floor = lowestAbout(piece, phase, middle, 1.5 * away) ?? middle[1] - 0.35 * away;
  const [aside, , behind] = add(middle, scale(towards, -BEHIND * size));
  const rounded = (v: number): number => Number(v.toFixed(3)) + 0;
  // the mesh has its floor a quarter of its width beneath its middle
  return {
    ...newLayer('backdrop', id, 'Sweep', 1),
    ...{ form: 'sweep', once: true, size: rounded(size), gradient: [{ at: 0, colour: '#6a6c70' }] },
    ...{ aside: rounded(aside), above: rounded(floor + size / 4), ahead: rounded(-behind) },
    heading: rounded((Math.atan2(-towards[0], towards[2]) * 180) / Math.PI),
  } as Layer;
}
