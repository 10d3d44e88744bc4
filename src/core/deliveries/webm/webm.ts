import type { FormatInfo } from '../format';

export const webm = {
  kind: 'webm',
  label: 'WebM, VP9',
  short: 'WebM',
  extension: '.webm',
  mime: 'video/webm',
  takes: { pixels: 'srgb8', alpha: false },
  rated: true,
} as const satisfies FormatInfo;
