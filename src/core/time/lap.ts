/** An exact frame rate in frames per second: 24000/1001 is `{ num: 24000, den: 1001 }`. */
export interface Rate {
  num: number;
  den: number;
}

/** Frames per second as a number. */
export const rateHz = (rate: Rate): number => rate.num / rate.den;

/** Duration of a lap of `frames` whole frames, in seconds. */
export const lapSeconds = (frames: number, rate: Rate): number => (frames * rate.den) / rate.num;

/** Phase at which frame `index` is shown; any integer, not wrapped. */
export const framePhase = (index: number, frames: number): number => index / frames;

/** Fractional part in [0, 1), also of negative numbers. */
export const wrapPhase = (phase: number): number => phase - Math.floor(phase);

/**
 * Frames of a lap given as beats at a tempo, and what the rounding to whole frames costs.
 * @returns frames (at least 1) and drift in seconds per hour of playing, positive when the clip runs late.
 */
export function framesFromBeats(beats: number, bpm: number, rate: Rate): { frames: number; driftPerHour: number } {
  const exact = (beats * 60 * rateHz(rate)) / bpm;
  const frames = Math.max(1, Math.round(exact));
  return { frames, driftPerHour: ((frames - exact) / exact) * 3600 };
}

/** Bar and beat (both counted from 1) at a phase of a lap of `beats` beats, four to the bar. */
export function barBeat(phase: number, beats: number): { bar: number; beat: number } {
  const at = Math.floor(wrapPhase(phase) * beats + 1e-9);
  return { bar: Math.floor(at / 4) + 1, beat: (at % 4) + 1 };
}

/** The whole frame, 0 … frames − 1, that a phase belongs to. */
export const frameAt = (phase: number, frames: number): number => Math.floor(wrapPhase(phase) * frames + 1e-6) % frames;
