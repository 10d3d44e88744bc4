import { PLAIN, type FormatInfo } from '../format';

/** Every particle, and the middle of every body. */
export const ply = {
  ...PLAIN,
  kind: 'ply',
  label: 'PLY, its points',
  short: 'PLY points',
  extension: '.zip',
  mime: 'application/zip',
  holds: 'pictures',
  each: '.ply',
  takes: { pixels: 'world', alpha: false, channels: false },
} as const satisfies FormatInfo;
