import type { FormatInfo } from '../format';

/** Numbered pictures, held together by an archive. */
export const png = {
  kind: 'png',
  label: 'PNG sequence, zip',
  short: 'PNG sequence',
  extension: '.zip',
  mime: 'application/zip',
  takes: { pixels: 'srgb8', alpha: true },
  rated: false,
} as const satisfies FormatInfo;
