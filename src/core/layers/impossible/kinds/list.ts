import { crate } from './crate';
import type { FigureKind } from './made';
import { prongs } from './prongs';
import { square } from './square';
import { stairs } from './stairs';
import { threeBeams } from './threeBeams';
import { walkway } from './walkway';

/** Every impossible figure, in the order they are offered. Another is a file here and its name in the list. */
export const FIGURES = { threeBeams, square, crate, stairs, prongs, walkway } satisfies Record<string, FigureKind>;
export type FigureName = keyof typeof FIGURES;
