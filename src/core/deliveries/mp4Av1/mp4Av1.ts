import { PLAIN, type FormatInfo } from '../format';

export const mp4Av1 = {
  ...PLAIN,
  kind: 'mp4Av1',
  label: 'MP4, AV1',
  short: 'MP4 AV1',
  extension: '.mp4',
  mime: 'video/mp4',
  holds: 'film',
  rated: true,
  sounds: true,
} as const satisfies FormatInfo;
