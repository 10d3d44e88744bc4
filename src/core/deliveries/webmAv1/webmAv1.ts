import { PLAIN, type FormatInfo } from '../format';

export const webmAv1 = {
  ...PLAIN,
  kind: 'webmAv1',
  label: 'WebM, AV1',
  short: 'WebM AV1',
  extension: '.webm',
  mime: 'video/webm',
  holds: 'film',
  rated: true,
  sounds: true,
} as const satisfies FormatInfo;
