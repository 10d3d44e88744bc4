import type { FormatInfo } from '../format';

export const mp4 = {
  kind: 'mp4',
  label: 'MP4, H.264',
  short: 'MP4',
  extension: '.mp4',
  mime: 'video/mp4',
  takes: { pixels: 'srgb8', alpha: false },
  rated: true,
} as const satisfies FormatInfo;
