import { PICTURE, type Drawn, type Numbers } from '../../core/look/channels';
import { framePhase } from '../../core/time/lap';
import type { StillRequest } from '../protocol';

/** A picture that is asked for. */
export interface FrameRequest {
  /** position in the lap; any real */
  phase: number;
  /** index within the lap, for grain and dither */
  frameIndex: number;
  width: number;
  height: number;
  /** a power of two from 1 to 256 */
  passes: number;
  /** draw each layer's working count instead of its final one */
  working: boolean;
  /** share 0..1 of the particles that is drawn, with the light of all; 1 for all that is kept */
  density: number;
  /** times as far as shapes may be off from their meshes in a picture of few passes; 1 for as little as is seen */
  coarseness: number;
  /** grain and dither; off for measuring */
  texture: boolean;
  /** elements' own motion while the shutter is open; a live frame may leave it to the camera's */
  elementMotion: boolean;
  /** what of the frame is drawn */
  channel: Drawn;
  /** the steps that code values are rounded to where they are written, in code values of 8 bits: dither hides them; 0 where they are not rounded */
  step: number;
  /** what else of the frame is read afterwards */
  also: readonly Numbers[];
  /** nothing is behind everything: light is over black, and its alpha is how far what is there hides what would be */
  clear: boolean;
}

/** What of a frame may be less besides its size. */
export interface Lessens {
  /** it has particles of which some may be left out */
  particles: boolean;
  /** it has shapes that may be coarser */
  shapes: boolean;
}

/** What a finished still asks for. */
export const stillFrame = ({
  piece,
  frameIndex,
  width,
  height,
  passes,
  density = 1,
  coarseness = 1,
  texture = true,
  channel = PICTURE,
  clear = false,
  step = 1,
  also = [],
  later = 0,
}: StillRequest): FrameRequest => ({
  phase: framePhase(frameIndex, piece.lap.frames) + later,
  frameIndex,
  width,
  height,
  passes,
  working: false,
  density,
  coarseness,
  texture,
  elementMotion: true,
  channel,
  clear,
  step,
  also,
});
