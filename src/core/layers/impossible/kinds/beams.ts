import type { Vec3 } from '../../../space/vector';
import { beamsAlong, cornersOf } from '../blocks';
import type { Made } from './made';
import { meeting } from './meeting';

/**
 * A figure of square beams, the first and the last of which are two halves of one.
 * @param half half the thickness of a beam @param eases see Made
 */
export function ofBeams(places: Vec3[], half: number, reads: Vec3, eases: number): Made {
  const beams = places.length - 1;
  const blocks = beamsAlong(
    places,
    Array.from({ length: beams }, (): Vec3 => [half, half, half]),
    reads,
  );
  const meets = meeting(cornersOf(blocks[0]), cornersOf(blocks[beams - 1]), reads);
  return { blocks, reads, way: places, bends: half, before: 4 * half, eases, meets };
}
