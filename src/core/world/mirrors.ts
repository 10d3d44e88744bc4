import type { Layer } from '../layers/kinds';
import { definitionOf } from '../layers/kinds';
import type { Piece } from '../piece/schema';
import { hash4, unitFrom } from '../random/hash';
import { add, cross, dot, scale, subtract, type Vec3 } from '../space/vector';
import { sceneOfPiece } from './camera';
import { elementIn } from './elements';
import { standsOnce } from './route';

/** A plane of the world: all places p with normal · p = along, metres. The normal is of length 1. */
export interface Plane {
  normal: Vec3;
  along: number;
}

/** Elements that are looked at to find whether all of a layer lie in a plane. */
const LOOKED_AT = 24;
/** How far they may lie from it, as a share of how far they are apart. */
const EVEN = 1e-4;

/** The layers of a piece in which what stands on them is to be mirrored. */
export const mirrorsOf = (piece: Piece): Layer[] =>
  piece.layers.filter((layer) => !layer.hidden && definitionOf(layer.kind).mirrors?.(layer));

/**
 * The plane in which all elements of a layer lie; null where they lie in none, or, going on from tile to tile, not in the same.
 * @param phase not wrapped
 */
export function planeOf(piece: Piece, layer: Layer, phase: number): Plane | null {
  const scene = sceneOfPiece(piece);
  const count = definitionOf(layer.kind).elementCount(layer, 1, scene.world);
  const all = Math.min(count, LOOKED_AT);
  const places = Array.from({ length: all }, (_, i): Vec3 => {
    const id = count <= LOOKED_AT ? i : Math.min(count - 1, Math.floor(unitFrom(hash4(i, 0, 0, 19)[0]) * count));
    return elementIn(scene, layer.id, id, phase)?.position ?? [0, 0, 0];
  });
  if (places.length < 3) return null;
  const [from] = places;
  const ways = places.map((p) => subtract(p, from));
  // across the two that span most
  let normal: Vec3 = [0, 0, 0];
  for (const a of ways)
    for (const b of ways) {
      const n = cross(a, b);
      if (dot(n, n) > dot(normal, normal)) normal = n;
    }
  const area = Math.hypot(...normal);
  if (area === 0) return null;
  normal = scale(normal, (normal[1] < 0 ? -1 : 1) / area);
  const even = ways.every((way) => Math.abs(dot(way, normal)) <= EVEN * Math.sqrt(area));
  if (!even || (!standsOnce(piece, layer) && Math.abs(normal[2]) > EVEN)) return null;
  return { normal, along: dot(normal, from) };
}

/** Where a place is seen in a mirror that lies in a plane. */
export const mirrored = ({ normal, along }: Plane, p: Vec3): Vec3 =>
  add(p, scale(normal, 2 * (along - dot(normal, p))));
