import { PLAIN, type FormatInfo } from '../format';

/** The same in finer colours, at twice the size. */
export const hapQ = {
  ...PLAIN,
  kind: 'hapQ',
  label: 'MOV, HAP Q',
  short: 'HAP Q',
  extension: '.mov',
  mime: 'video/quicktime',
  holds: 'film',
  by: 'machine',
  depth: 8,
  takes: { pixels: 'either', alpha: false, channels: false },
} as const satisfies FormatInfo;
