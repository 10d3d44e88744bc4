import { PLAIN, type FormatInfo } from '../format';

/** Small files without steps in dark gradients. */
export const hevc = {
  ...PLAIN,
  kind: 'hevc',
  label: 'MP4, H.265 of ten bits',
  short: 'H.265',
  extension: '.mp4',
  mime: 'video/mp4',
  holds: 'film',
  by: 'machine',
  depth: 10,
  rated: true,
  takes: { pixels: 'either', alpha: false, channels: false },
} as const satisfies FormatInfo;
