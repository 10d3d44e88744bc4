import { PLAIN, type FormatInfo } from '../format';

/** Linear numbers, for compositing. */
export const exr = {
  ...PLAIN,
  kind: 'exr',
  label: 'EXR pictures',
  short: 'EXR pictures',
  extension: '.zip',
  mime: 'application/zip',
  holds: 'pictures',
  each: '.exr',
  takes: { pixels: 'numbers', alpha: true, channels: true },
} as const satisfies FormatInfo;
