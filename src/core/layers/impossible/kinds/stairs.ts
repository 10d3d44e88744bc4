import { add, type Vec3 } from '../../../space/vector';
import { block, cornersOf } from '../blocks';
import type { FigureKind } from './made';
import { meeting } from './meeting';

/** By how many steps the two flights that come towards the reader are longer than those opposite. */
const LONGER = 2;

/** Places of a hop from one step to the next. */
const HOP = 10;

/**
 * Four flights of stairs around a court that rise all the way round (Penrose and Penrose 1958). Seen from `reads` the last step is before
 * the first, a step below it: the flights towards the reader are so much longer that what they gain in depth is what all rise.
 */
export const stairs: FigureKind = {
  label: 'Stairs that only climb',
  make({ width, height, thickness, steps }) {
    const [short, long] = [Math.max(1, Math.round(steps)), Math.max(1, Math.round(steps)) + 1];
    const tread = width / (long + LONGER);
    const lean = height / width;
    const flights: [Vec3, number][] = [
      [[-tread, 0, 0], long],
      [[0, 0, -tread], short],
      [[tread, 0, 0], long + LONGER],
      [[0, 0, tread], short + LONGER],
    ];
    const total = flights.reduce((sum, [, count]) => sum + count, 0);
    const rise = (LONGER * tread * lean) / total;
    const reads: Vec3 = [LONGER * tread, LONGER * tread * lean, LONGER * tread];
    // the first step is in the middle of a flight away from the reader, where the one before it hides its foot anyway
    const begun = Math.ceil(long / 2);
    const [[away, first], ...others] = flights;
    const ways = [[away, first - begun] as const, ...others, [away, begun] as const].flatMap(([way, count]) =>
      Array.from({ length: count }, () => way),
    );
    const places = ways.reduce<Vec3[]>(
      (so, way) => [...so, add(so[so.length - 1], [way[0], rise, way[2]])],
      [[0, 0, 0]],
    );
    const half = tread / 2;
    const blocks = places
      .slice(0, total)
      .map(([x, y, z]) => block([x - half, y - Math.max(thickness, 2 * rise), z - half], [x + half, y, z + half]));
    const stands = tread * 0.22;
    const way = ways.flatMap((_, i) => {
      const [from, to] = [places[i], places[i + 1]];
      return Array.from({ length: HOP }, (_, k): Vec3 => {
        const t = k / HOP;
        const hop = 4 * t * (1 - t) * tread * 0.4 + t * rise;
        return [from[0] + (to[0] - from[0]) * t, from[1] + hop + stands, from[2] + (to[2] - from[2]) * t];
      });
    });
    const next = add(places[0], reads);
    const last = cornersOf(block([next[0] - half, next[1], next[2] - half], [next[0] + half, next[1], next[2] + half]));
    return {
      blocks,
      reads,
      way: [...way, add(way[0], reads)],
      bends: 0,
      before: 0,
      eases: 1.5 * tread,
      meets: meeting(cornersOf(blocks[0]), last, reads),
    };
  },
};
