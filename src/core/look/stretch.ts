import { frameOfLap, stretchLasts } from '../time/stretch';
import { stretchLevel } from '../time/stretch.gen';
import { FRAMES, number, type Heading } from '../forms';

/** A stretch of the lap in whole frames, the last not in it, which may go on across the seam, with fades inside it. */
export interface Stretch {
  from: number;
  to: number;
  fadeIn: number;
  fadeOut: number;
}

/**
 * How far something is on, 0 to 1, on a frame of the lap. Fades longer than the stretch share it.
 * @param frame of the lap, not wrapped, not rounded
 * @param frames of the lap
 */
export function levelIn(stretch: Stretch | null, frame: number, frames: number): number {
  if (!stretch) return 1;
  // a frame is shown for as long as it lasts: what is on from it on is on in all of it
  const at = frameOfLap(Math.floor(frame - stretch.from + 1e-6), frames);
  return stretchLevel(at, stretchLasts(stretch, frames), stretch.fadeIn, stretch.fadeOut, frames);
}

/**
 * Fields of a stretch, which something has where another field of it is `stretch`.
 * @param field that one
 */
export function stretchFields(field: string, group: Heading) {
  const frames = {
    ...FRAMES,
    ...{ min: 0, max: 100_000, comfort: 240, decimals: 0, kept: true, group, when: { field, is: ['stretch'] } },
  };
  return {
    from: number(0, { label: 'From', moment: true, ...frames, hint: 'Frame of the lap on which it comes on.' }),
    to: number(60, {
      label: 'Up to',
      moment: true,
      ...frames,
      hint: 'Frame on which it is off again; earlier than the first, it is on across the seam.',
    }),
    fadeIn: number(12, { label: 'Comes over', ...frames, hint: 'Frames over which it comes on; 0 at once.' }),
    fadeOut: number(12, { label: 'Goes over', ...frames, hint: 'Frames over which it goes, before its end.' }),
  };
}
