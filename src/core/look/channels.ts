/**
 * How far something is there in a pixel, 0 to 1, as an effect asks for it; the mean of all passes of a frame, so that it is as blurred and as
 * smooth at its rims as the picture is. What is seen through, and light that is added, has no depth: behind it counts.
 */
export type Asked =
  /** anything that hides what is behind it, or air that dims that: the alpha of the picture without what is behind everything */
  | { of: 'anything' }
  /** a layer: where it hides what is behind it, or as bright as the light is that it adds */
  | { of: 'layer'; id: string }
  /** what is near: all of it at `from` metres, none from `to` metres on */
  | { of: 'near'; from: number; to: number }
  /** fog: none at `from` metres, and `distance` metres farther 63 % */
  | { of: 'fog'; from: number; distance: number };

/** By what two of them are the same. */
export const askedKey = (asked: Asked): string => JSON.stringify(asked);

/** What of a frame is shown in place of the picture. */
export type Channel =
  | { of: 'picture' }
  | Range
  /** drawn lines alone, which are a picture of their own: core/world/linesAlone.ts */
  | { of: 'lines' }
  | Numbers;

/** The picture in greys, and what of it has a channel at its greatest code value or all three at their least in colours of their own. */
export interface Range {
  of: 'range';
}

/** A channel that is numbers. */
export type Numbers =
  /** how far the picture hides what is behind it */
  | { of: 'alpha' }
  /** metres along the line of sight's axis and normals as the camera has them, at the frame's own phase from the middle of the lens: not filtered */
  | { of: 'depth' | 'normal' }
  /** pixels to the right and up that what is seen goes in a frame, of the picture as large as it is drawn, as unfiltered */
  | { of: 'motion' }
  | { of: 'layer'; id: string };

/** What the engine draws of a frame. */
export type Drawn = { of: 'picture' } | Range | Numbers;

export const PICTURE: Drawn = { of: 'picture' };

/** What a channel is made of that is asked for as effects ask; null of one that is drawn otherwise. */
export const channelAsks = (channel: Drawn): Asked | null =>
  channel.of === 'layer' ? channel : channel.of === 'alpha' ? { of: 'anything' } : null;
