import { film } from './film/film';
import { plain } from './plain/plain';

/** Every kind of matter, in the order they are offered. A new kind is a folder and its name here, and its program in engine/matter. */
export const LIST = [plain, film] as const;
