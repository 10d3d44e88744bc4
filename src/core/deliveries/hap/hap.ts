import { PLAIN, type FormatInfo } from '../format';

/** What stage players unpack on the graphics card, many layers at once. */
export const hap = {
  ...PLAIN,
  kind: 'hap',
  label: 'MOV, HAP',
  short: 'HAP',
  extension: '.mov',
  mime: 'video/quicktime',
  holds: 'film',
  by: 'machine',
  depth: 8,
  takes: { pixels: 'either', alpha: false, channels: false },
} as const satisfies FormatInfo;
