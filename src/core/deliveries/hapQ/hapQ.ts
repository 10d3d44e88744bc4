import { MACHINE_FILM, type FormatInfo } from '../format';

/** The same in finer colours, at twice the size. */
export const hapQ = {
  ...MACHINE_FILM,
  kind: 'hapQ',
  label: 'MOV, HAP Q',
  short: 'HAP Q',
  extension: '.mov',
  mime: 'video/quicktime',
  depth: 8,
} as const satisfies FormatInfo;
