import { MACHINE_FILM, type FormatInfo } from '../format';

/** What editors and media servers take in: every frame by itself, ten bits. */
export const prores422 = {
  ...MACHINE_FILM,
  kind: 'prores422',
  label: 'MOV, ProRes 422 HQ',
  short: 'ProRes 422 HQ',
  extension: '.mov',
  mime: 'video/quicktime',
  depth: 10,
} as const satisfies FormatInfo;
