import { z } from 'zod';
import { FORMATS, formatWords } from './formats';
import { choice, flag, form, heading, integer, type ValueOf, stored } from '../forms';

const what = heading('File');
const quality = heading('Quality');
const part = heading('Part of the lap');

/** Passes of a frame as the choices they are: powers of two. */
export const PASSES = { '1': '1', '4': '4', '16': '16', '64': '64', '256': '256' } as const;

/** Something the piece is rendered to. Kept in the piece, so that a proof can be made again after a note. */
export const DELIVERY = form({
  id: stored(z.string().min(1).max(64)),
  format: choice('mp4', formatWords, {
    label: 'Format',
    group: what,
    hint: 'Video to play and share, or single pictures for compositing.',
  }),
  width: integer(1920, {
    label: 'Width',
    unit: 'px',
    min: 16,
    max: 8192,
    comfort: 3840,
    group: what,
    hint: 'Width in pixels.',
  }),
  height: integer(1080, {
    label: 'Height',
    unit: 'px',
    min: 16,
    max: 8192,
    comfort: 2160,
    group: what,
    hint: 'Height in pixels.',
  }),
  shows: choice(
    'picture',
    { picture: 'The picture', lines: 'Its drawn lines' },
    { label: 'Shows', group: what, hint: 'The piece as it is, or the lines along its layers alone, white on black.' },
  ),
  clear: flag(false, {
    label: 'Clear between',
    group: what,
    when: [
      { field: 'shows', is: ['lines'] },
      { field: 'format', is: FORMATS.filter(({ takes }) => takes.alpha).map(({ kind }) => kind) },
    ],
    hint: 'White lines with alpha instead of on black.',
  }),
  samples: choice('16', PASSES, {
    label: 'Samples',
    group: quality,
    hint: 'Passes per frame: more buys cleaner motion blur, depth of field and occlusion, and costs time.',
  }),
  rate: choice(
    'high',
    { proof: 'Small, for a look', high: 'High', master: 'Very high, for more editing' },
    {
      label: 'Data rate',
      group: quality,
      when: { field: 'format', is: FORMATS.filter(({ rated }) => rated).map(({ kind }) => kind) },
      hint: 'Bits spent on a frame of video.',
    },
  ),
  first: integer(0, {
    label: 'First frame',
    min: 0,
    max: 99_999,
    group: part,
    hint: 'Index of the first frame; 0 is at the seam.',
  }),
  last: integer(99_999, {
    label: 'Last frame',
    min: 0,
    max: 99_999,
    group: part,
    hint: 'Index of the last frame; beyond the lap it means the lap’s last.',
  }),
});
export type Delivery = ValueOf<typeof DELIVERY>;

/** The frames of a delivery, first and last included, held inside the lap. */
export function deliveryFrames(
  delivery: Delivery,
  lapFrames: number,
): { first: number; last: number; count: number; whole: boolean } {
  const last = Math.min(delivery.last, lapFrames - 1);
  const first = Math.min(delivery.first, last);
  const count = last - first + 1;
  return { first, last, count, whole: count === lapFrames };
}
