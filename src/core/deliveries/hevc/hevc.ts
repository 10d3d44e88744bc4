import { MACHINE_FILM, type FormatInfo } from '../format';

/** Small files without steps in dark gradients. */
export const hevc = {
  ...MACHINE_FILM,
  kind: 'hevc',
  label: 'MP4, H.265 of ten bits',
  short: 'H.265',
  extension: '.mp4',
  mime: 'video/mp4',
  depth: 10,
  rated: true,
} as const satisfies FormatInfo;
