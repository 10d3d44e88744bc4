import type { Seen } from '../../seen/sorter';

/** How often the cells of a block can be halved in number, with not at all. */
export const DETAILS = 4;

/**
 * Blocks as they are drawn beside one another. Along a side both have the vertices of the one that has fewer.
 * @param seen blocks and repetitions, by how often they are halved
 * @param across blocks of a repetition from side to side
 * @param along and from its beginning to its end, where the next begins
 * @returns three numbers each: the block, its repetition, and two bits for each side from the lowest on: how often it is halved
 *   at the least column, the last, the first row and the last
 */
export function besideOneAnother({ pairs, starts }: Seen, across: number, along: number): Int32Array {
  const halved = new Map<number, number>();
  const lowest = Math.min(0, ...repetitionsOf(pairs, starts[DETAILS]));
  // all repetitions are one long sheet of rows of blocks
  const keyOf = (column: number, row: number): number => (row - lowest * along) * across + column;
  for (let detail = 0; detail < DETAILS; detail++)
    for (let i = starts[detail]; i < starts[detail + 1]; i++) {
      const [block, repetition] = [pairs[2 * i], pairs[2 * i + 1]];
      halved.set(keyOf(block % across, Math.floor(block / across) + repetition * along), detail);
    }
  const out = new Int32Array(starts[DETAILS] * 3);
  for (let detail = 0; detail < DETAILS; detail++)
    for (let i = starts[detail]; i < starts[detail + 1]; i++) {
      const [block, repetition] = [pairs[2 * i], pairs[2 * i + 1]];
      const [column, row] = [block % across, Math.floor(block / across) + repetition * along];
      const side = (there: boolean, at: number): number => Math.max(detail, there ? (halved.get(at) ?? 0) : 0);
      const sides =
        side(column > 0, keyOf(column - 1, row)) |
        (side(column < across - 1, keyOf(column + 1, row)) << 2) |
        (side(true, keyOf(column, row - 1)) << 4) |
        (side(true, keyOf(column, row + 1)) << 6);
      out.set([block, repetition, sides], i * 3);
    }
  return out;
}

function repetitionsOf(pairs: Int32Array, count: number): Set<number> {
  const found = new Set<number>();
  for (let i = 0; i < count; i++) found.add(pairs[2 * i + 1]);
  return found;
}
