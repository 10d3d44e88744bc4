import { emission } from './emission/emission';
import { facing } from './facing/facing';
import { film } from './film/film';
import { glass } from './glass/glass';
import { headlamp } from './headlamp/headlamp';
import { modelled } from './modelled/modelled';
import { plain } from './plain/plain';
import { sides } from './sides/sides';

/** Every kind of matter, in the order they are offered. A new kind is a folder and its name here, and its program in engine/matter. */
export const LIST = [plain, emission, facing, film, glass, headlamp, sides, modelled] as const;
