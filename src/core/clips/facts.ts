import { Held } from '../kept';
import type { Joins } from './join';

/** What is known of a clip without its frames. */
export interface ClipFacts {
  name: string;
  /** pixels as they are shown */
  width: number;
  height: number;
  frames: number;
  /** of one time through */
  seconds: number;
  /** how it would close each way; null while nobody has looked */
  joins: Joins | null;
}

/** Every clip that is known. */
export const CLIPS = new Held<ClipFacts>();

/** The most frames a clip may have. */
export const MOST_FRAMES = 20_000;
