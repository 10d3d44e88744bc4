import { bare } from './bare/bare';
import { cells } from './cells/cells';
import { flow } from './flow/flow';
import { picture } from './picture/picture';

/** Every kind of pattern, in the order they are offered. A new kind is a folder and its name here, and its program in engine/matter/pattern. */
export const LIST = [bare, cells, flow, picture] as const;
