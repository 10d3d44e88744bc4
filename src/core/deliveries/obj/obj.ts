import { PLAIN, type FormatInfo } from '../format';

/** The same, every body where it stands. */
export const obj = {
  ...PLAIN,
  kind: 'obj',
  label: 'OBJ, the world',
  short: 'OBJ world',
  extension: '.zip',
  mime: 'application/zip',
  holds: 'pictures',
  each: '.obj',
  takes: { pixels: 'world', alpha: false, channels: false },
} as const satisfies FormatInfo;
