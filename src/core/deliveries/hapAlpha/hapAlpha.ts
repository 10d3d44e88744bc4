import { MACHINE_FILM, type FormatInfo } from '../format';

/** The same with alpha. */
export const hapAlpha = {
  ...MACHINE_FILM,
  kind: 'hapAlpha',
  label: 'MOV, HAP Alpha',
  short: 'HAP Alpha',
  extension: '.mov',
  mime: 'video/quicktime',
  depth: 8,
  takes: { pixels: 'either', alpha: true, channels: false },
} as const satisfies FormatInfo;
