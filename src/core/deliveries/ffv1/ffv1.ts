import { MACHINE_FILM, type FormatInfo } from '../format';

/** Every code value of sixteen bits, to be kept. */
export const ffv1 = {
  ...MACHINE_FILM,
  kind: 'ffv1',
  label: 'MKV, FFV1 without loss',
  short: 'FFV1',
  extension: '.mkv',
  mime: 'video/x-matroska',
  depth: 16,
  takes: { pixels: 'either', alpha: true, channels: false },
} as const satisfies FormatInfo;
