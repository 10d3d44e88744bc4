import { Held } from '../kept';

/** What is known of a picture without its pixels. */
export interface PictureFacts {
  name: string;
  /** pixels; of an SVG drawing those it is drawn in */
  width: number;
  height: number;
}

/** Every picture that is known. */
export const PICTURES = new Held<PictureFacts>();

/** What stands in for a picture or a clip that is not there has these proportions. */
export const NO_PICTURE: PictureFacts = { name: 'no picture', width: 1600, height: 900 };

/** The most pixels a side, and in all, that a picture or a frame of a clip may have. */
export const MOST_SIDE = 8192;
export const MOST_PIXELS = 40e6;

/** Pixels on the longer side in which an SVG drawing is drawn. */
export const DRAWN_SIDE = 2048;
