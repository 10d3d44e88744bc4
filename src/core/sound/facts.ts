import { Held } from '../kept';

/** What is known of a sound without its samples. */
export interface SoundFacts {
  name: string;
  seconds: number;
  channels: number;
  /** samples a second */
  hz: number;
}

/** Every sound that is known. */
export const SOUNDS = new Held<SoundFacts>();

/** A sound as samples, −1 … 1, one row for each channel. */
export interface Samples {
  hz: number;
  channels: Float32Array[];
}
