import { PLAIN, type FormatInfo } from '../format';

export const poster = {
  ...PLAIN,
  kind: 'poster',
  label: 'One frame, PNG',
  short: 'One frame',
  extension: '.png',
  mime: 'image/png',
  holds: 'picture',
  takes: { pixels: 'either', alpha: true, channels: false },
} as const satisfies FormatInfo;
