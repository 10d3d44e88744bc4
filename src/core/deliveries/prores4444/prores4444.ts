import { MACHINE_FILM, type FormatInfo } from '../format';

/** The same with colours at full resolution, and alpha. */
export const prores4444 = {
  ...MACHINE_FILM,
  kind: 'prores4444',
  label: 'MOV, ProRes 4444',
  short: 'ProRes 4444',
  extension: '.mov',
  mime: 'video/quicktime',
  depth: 10,
  takes: { pixels: 'either', alpha: true, channels: false },
} as const satisfies FormatInfo;
