import { PLAIN, type FormatInfo } from '../format';

/** A moving picture that pages and mails show as a picture. */
export const webp = {
  ...PLAIN,
  kind: 'webp',
  label: 'WebP, moving',
  short: 'WebP',
  extension: '.webp',
  mime: 'image/webp',
  holds: 'film',
  thins: true,
} as const satisfies FormatInfo;
