/** How a clip closes: over and over, to and fro, or with its last frames blended into its first. */
export type Closing = 'over' | 'fro' | 'blended';

export interface Play {
  closes: Closing;
  /** frames that are blended, where they are */
  blend: number;
}

/** What is shown of a clip: one frame, or two with the share 0..1 of the second. */
export interface ClipFrame {
  first: number;
  second: number;
  share: number;
}

/** The most frames that can be blended: what is left must show each frame once. */
export const mostBlend = (frames: number): number => Math.floor(frames / 2);

/** Frames after which it is where it was. */
export function periodOf({ closes, blend }: Play, frames: number): number {
  if (closes === 'fro') return Math.max(1, 2 * frames - 2);
  return closes === 'blended' ? Math.max(1, frames - Math.min(blend, mostBlend(frames))) : frames;
}

const mod = (n: number, by: number): number => ((n % by) + by) % by;

/**
 * What is shown at a place of the period, in whole frames. To and fro its first and last frames are shown once. Blended, the first
 * frames come up out of the last: the share of the end falls from k/(k+1) to 1/(k+1), so that neither side of the join
 * is seen twice.
 */
export function shownAt(play: Play, frames: number, place: number): ClipFrame {
  const period = periodOf(play, frames);
  const at = mod(Math.floor(place), period);
  if (play.closes === 'fro') {
    const first = at < frames ? at : period - at;
    return { first, second: first, share: 0 };
  }
  const blended = frames - period;
  if (play.closes === 'over' || at >= blended) return { first: at, second: at, share: 0 };
  return { first: period + at, second: at, share: (at + 1) / (blended + 1) };
}

/**
 * Where in its period a clip is that closes `times` over a lap.
 * @param frame whole, of the lap; need not lie within it @param start frames of the clip
 */
export const placeAt = (period: number, times: number, frame: number, lapFrames: number, start: number): number =>
  // whole numbers before the division: every lap is the same to the last bit
  Math.floor((mod(frame, lapFrames) * times * period) / lapFrames) + start;

/** A speed at which a clip closes. */
export interface LegalSpeed {
  times: number;
  /** 1: as fast as it was made */
  speed: number;
}

/** Speeds at which a clip closes, the one nearest to its own first. @param seconds of a period as it was made */
export function legalSpeeds(seconds: number, lapSeconds: number, most = 6): LegalSpeed[] {
  const own = lapSeconds / seconds;
  const speeds = Array.from({ length: Math.ceil(own) + most }, (_, i) => ({ times: i + 1, speed: (i + 1) / own }));
  const off = ({ speed }: LegalSpeed): number => Math.abs(Math.log(speed));
  return speeds.sort((a, b) => off(a) - off(b)).slice(0, most);
}
