import { Held } from '../kept/held';
import { RF } from '../kernel/scratch';
import type { Rgb } from './colour';
import { tetrahedron } from './lookup.gen';

/** What every colour becomes: read from a table of some, and mixed between them. */
export interface ColourTable {
  name: string;
  /** whether the channels are looked up one by one, each in its own column, or as a colour in a cube */
  of: 'channels' | 'colours';
  /** entries of a channel */
  side: number;
  /** channel values of the first entry and of the last */
  low: Rgb;
  high: Rgb;
  /** three numbers an entry; of colours side³ of them, red the fastest */
  values: Float32Array;
}

/** Every table that is known. */
export const TABLES = new Held<ColourTable>();

/** The most entries a side: of colours what a texture of 4096 pixels a row holds well, of channels what their format may have. */
export const MOST_ENTRIES = { colours: 129, channels: 65_536 } as const;

/** Cell and place in it along one channel. */
function cellOf({ side, low, high }: ColourTable, c: Rgb, k: number): [cell: number, within: number] {
  const x = Math.min(1, Math.max(0, (c[k] - low[k]) / (high[k] - low[k]))) * (side - 1);
  const cell = Math.min(Math.floor(x), side - 2);
  return [cell, x - cell];
}

/**
 * What a colour becomes. What lies outside of the table becomes what its border does.
 * @param c code values, 0 to 1 of what a display shows
 */
export function lookedUp(table: ColourTable, c: Rgb): Rgb {
  const { of, side, values } = table;
  const [[x, u], [y, v], [z, w]] = [cellOf(table, c, 0), cellOf(table, c, 1), cellOf(table, c, 2)];
  const out: Rgb = [0, 0, 0];
  if (of === 'channels') {
    for (const [k, [cell, within]] of [[x, u] as const, [y, v] as const, [z, w] as const].entries())
      out[k] = values[3 * cell + k] * (1 - within) + values[3 * cell + 3 + k] * within;
    return out;
  }
  tetrahedron(u, v, w);
  const [ax, ay, az, bx, by, bz, s0, s1, s2, s3] = RF;
  const corners = [
    [0, 0, 0, s0],
    [ax, ay, az, s1],
    [bx, by, bz, s2],
    [1, 1, 1, s3],
  ] as const;
  for (const [i, j, l, share] of corners) {
    const at = 3 * (x + i + side * (y + j + side * (z + l)));
    for (let k = 0; k < 3; k++) out[k] += share * values[at + k];
  }
  return out;
}
