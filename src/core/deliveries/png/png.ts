import { PLAIN, type FormatInfo } from '../format';

export const png = {
  ...PLAIN,
  kind: 'png',
  label: 'PNG pictures',
  short: 'PNG pictures',
  extension: '.zip',
  mime: 'application/zip',
  holds: 'pictures',
  each: '.png',
  takes: { pixels: 'either', alpha: true, channels: false },
} as const satisfies FormatInfo;
