import type { MatterKind } from '../../core/matter/kinds';
import { emission } from './emission/emission';
import { facing } from './facing/facing';
import { film } from './film/film';
import { glass } from './glass/glass';
import { headlamp } from './headlamp/headlamp';
import { modelled } from './modelled/modelled';
import { plain } from './plain/plain';
import type { MatterProgram } from './program';
import { sides } from './sides/sides';

/** The program of every kind of matter: the compiler asks for one of each. */
export const PROGRAMS = { plain, emission, facing, film, glass, headlamp, sides, modelled } satisfies Record<
  MatterKind,
  MatterProgram
>;
