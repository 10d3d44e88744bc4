/** A frame of a lap, of any number of a frame. */
export const frameOfLap = (frame: number, frames: number): number => ((frame % frames) + frames) % frames;

/** Frames of a lap from one up to another, which is not in it and may be beyond the seam: none from a frame to itself, all of the lap a lap later. */
export const stretchLasts = ({ from, to }: { from: number; to: number }, frames: number): number =>
  to - from >= frames ? frames : frameOfLap(to - from, frames);
