import { PLAIN, type FormatInfo } from '../format';

/** What editors and media servers take in: every frame by itself, ten bits. */
export const prores422 = {
  ...PLAIN,
  kind: 'prores422',
  label: 'MOV, ProRes 422 HQ',
  short: 'ProRes 422 HQ',
  extension: '.mov',
  mime: 'video/quicktime',
  holds: 'film',
  by: 'machine',
  depth: 10,
  takes: { pixels: 'either', alpha: false, channels: false },
} as const satisfies FormatInfo;
