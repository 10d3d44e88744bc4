import { clip } from './clip';
import { picture } from './picture';

/** Every kind of thing that panels show, in the order they are offered. A new kind is a file and its name here. */
export const LIST = [picture, clip] as const;
