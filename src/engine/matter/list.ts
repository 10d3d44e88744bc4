import type { MatterKind } from '../../core/matter/kinds';
import { film } from './film/film';
import { plain } from './plain/plain';
import type { MatterProgram } from './program';

/** The program of every kind of matter: the compiler asks for one of each. */
export const PROGRAMS = { plain, film } satisfies Record<MatterKind, MatterProgram>;
