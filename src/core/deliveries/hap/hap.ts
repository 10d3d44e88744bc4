import { MACHINE_FILM, type FormatInfo } from '../format';

/** What stage players unpack on the graphics card, many layers at once. */
export const hap = {
  ...MACHINE_FILM,
  kind: 'hap',
  label: 'MOV, HAP',
  short: 'HAP',
  extension: '.mov',
  mime: 'video/quicktime',
  depth: 8,
} as const satisfies FormatInfo;
