import { PLAIN, type FormatInfo } from '../format';

export const webm = {
  ...PLAIN,
  kind: 'webm',
  label: 'WebM, VP9',
  short: 'WebM',
  extension: '.webm',
  mime: 'video/webm',
  holds: 'film',
  rated: true,
  sounds: true,
  tenBits: true,
  takes: { pixels: 'either', alpha: false, channels: false },
} as const satisfies FormatInfo;
