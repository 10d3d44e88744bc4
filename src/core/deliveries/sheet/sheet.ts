import { PLAIN, type FormatInfo } from '../format';

/** Nine frames of the lap in three rows, to judge it at a glance. */
export const sheet = {
  ...PLAIN,
  kind: 'sheet',
  label: 'Contact sheet, nine frames',
  short: 'Contact sheet',
  extension: '.png',
  mime: 'image/png',
  holds: 'sheet',
} as const satisfies FormatInfo;
