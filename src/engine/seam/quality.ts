import type { Piece } from '../../core/piece/schema';

/** How the pictures of a lap are compared: small and at once, or as they will be delivered. */
export type Quality = 'small' | 'final';

/** Width the pictures are compared at: enough to see a single mote pop. */
const WIDTH = 320;
/** Most that those of final quality are: four of them are held at a time. */
const MOST_WIDTH = 1920;

/** The size and the passes that a lap is compared at. */
export function seamSize({ frame, samples }: Piece, quality: Quality) {
  const width = quality === 'small' ? WIDTH : Math.min(MOST_WIDTH, frame.width);
  const height = Math.max(16, Math.round((width * frame.height) / frame.width));
  return { width, height, passes: quality === 'small' ? 1 : samples };
}
