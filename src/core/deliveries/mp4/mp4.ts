import { PLAIN, type FormatInfo } from '../format';

export const mp4 = {
  ...PLAIN,
  kind: 'mp4',
  label: 'MP4, H.264',
  short: 'MP4',
  extension: '.mp4',
  mime: 'video/mp4',
  holds: 'film',
  rated: true,
  sounds: true,
} as const satisfies FormatInfo;
