import { PLAIN, type FormatInfo } from '../format';

export const gif = {
  ...PLAIN,
  kind: 'gif',
  label: 'GIF, 256 colours',
  short: 'GIF',
  extension: '.gif',
  mime: 'image/gif',
  holds: 'film',
  thins: true,
} as const satisfies FormatInfo;
