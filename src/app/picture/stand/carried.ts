import { stillAt, standAt, type Placement } from '../../../core/elements/place/form';
import { definitionOf, type Layer } from '../../../core/layers/kinds';
import type { Piece } from '../../../core/piece/schema';
import { add, scale, type Vec3 } from '../../../core/space/vector';
import type { Animated } from '../../../core/time/animated';
import { cameraPose } from '../../../core/world/camera';
import { inPicture, type InPicture } from '../../../core/world/inPicture';
import { broughtTo } from '../../parts/keys';
import { gripsOf } from '../../steps/build/map/handles';

/** What is done to a layer by its grips in the picture. */
export type StandGrip = 'carry' | 'away' | 'turn' | 'tilt' | 'scale';

/** Degrees that a layer is turned by a pixel, and the most and least that one drag scales. */
const DEGREES_A_PIXEL = 0.5;
const SCALES = { least: 0.05, most: 20 };

const round = (v: number, step = 0.001): number => Math.round(v / step) * step;

/** Where a layer stands, as a whole, at a phase, and what it says of that; null for one that says no place of its own. */
function standOf(layer: Layer, tile: number, phase: number): { own: Placement; at: Vec3 } | null {
  const placement = definitionOf(layer.kind).placed?.(layer, tile) ?? null;
  // only what the map turns too has a place that is its own to change
  if (!placement || !('ahead' in layer) || !gripsOf(layer).includes('turn')) return null;
  const { aside, above, ahead } = standAt(stillAt(placement, phase), phase);
  return { own: layer as Placement, at: [aside, above, -ahead] };
}

/** Where the grips of a layer are in the picture: about its own place, in the tile nearest before the camera; null out of sight. */
export function gripsAt(piece: Piece, layer: Layer, phase: number): InPicture | null {
  const stand = standOf(layer, piece.tile, phase);
  if (!stand || layer.hidden) return null;
  const [x, y, z] = stand.at;
  const ahead = layer.once ? 0 : Math.ceil((z - cameraPose(piece, phase).position[2]) / piece.tile);
  const seen = inPicture(piece, [x, y, z - Math.max(0, ahead) * piece.tile], phase);
  return seen && Math.min(seen.x, seen.y) > 0 && Math.max(seen.x, seen.y) < 1 ? seen : null;
}

/**
 * The fields of a layer after one of its grips was dragged.
 * @param by pixels to the right and down, of a picture so many pixels wide
 * @param reach how many times as far from its middle the pointer is now, for what scales
 * @returns only what changes
 */
export function carried(
  layer: Layer,
  grip: StandGrip,
  seen: InPicture,
  by: readonly [number, number],
  width: number,
  reach: number,
  phase: number,
): Record<string, Animated> {
  const stand = standOf(layer, 1, phase);
  if (!stand) return {};
  const { own } = stand;
  const now = standAt(own, phase);
  const metres = seen.span / width;
  const to = (name: keyof typeof now, value: number, step?: number): Record<string, Animated> => ({
    [name]: broughtTo(own[name], phase, round(value, step)),
  });
  switch (grip) {
    case 'carry':
    case 'away': {
      const moved =
        grip === 'carry'
          ? add(scale(seen.right, by[0] * metres), scale(seen.up, -by[1] * metres))
          : scale(seen.away, -by[1] * metres * 2);
      return {
        ...to('aside', now.aside + moved[0]),
        ...to('above', now.above + moved[1]),
        ...to('ahead', now.ahead - moved[2]),
      };
    }
    case 'turn':
      return to('heading', now.heading + by[0] * DEGREES_A_PIXEL, 0.1);
    case 'tilt':
      return to('pitch', now.pitch - by[1] * DEGREES_A_PIXEL, 0.1);
    case 'scale':
      return to('scale', Math.max(0.001, now.scale * Math.min(SCALES.most, Math.max(SCALES.least, reach))));
  }
}
