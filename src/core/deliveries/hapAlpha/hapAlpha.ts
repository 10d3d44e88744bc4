import { PLAIN, type FormatInfo } from '../format';

/** The same with alpha. */
export const hapAlpha = {
  ...PLAIN,
  kind: 'hapAlpha',
  label: 'MOV, HAP Alpha',
  short: 'HAP Alpha',
  extension: '.mov',
  mime: 'video/quicktime',
  holds: 'film',
  by: 'machine',
  depth: 8,
  takes: { pixels: 'either', alpha: true, channels: false },
} as const satisfies FormatInfo;
