import { PLAIN, type FormatInfo } from '../format';

/** The same as a table. */
export const cameraCsv = {
  ...PLAIN,
  kind: 'cameraCsv',
  label: 'CSV, the camera',
  short: 'CSV camera',
  extension: '.csv',
  mime: 'text/csv',
  holds: 'track',
  each: null,
  takes: { pixels: 'camera', alpha: false, channels: false },
} as const satisfies FormatInfo;
