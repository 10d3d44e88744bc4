import { mp4 } from './mp4/mp4';
import { png } from './png/png';
import { webm } from './webm/webm';

/** Every format, in the order they are offered. A new one is a folder and its name here, and its codec in export/codecs. */
export const LIST = [mp4, webm, png] as const;
