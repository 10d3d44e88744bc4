import { animated, choice, flag, heading, layerRef, number } from '../../forms';
import { evaluateAnimated, type Animated } from '../../time/animated';
import type { Asked } from '../channels';
import { levelIn, stretchFields, type Stretch } from '../stretch';
import { ellipseMask, lightMask } from './mask.gen';

const when = heading('How much', 1);
const where = heading('Where', 2);

const inEllipse = { group: where, kept: true, when: { field: 'mask', is: ['ellipse'] } };
const byDepth = { group: where, kept: true, when: { field: 'mask', is: ['near'] } };
const byLight = { group: where, kept: true, when: { field: 'mask', is: ['light'] } };
const share = { unit: '%', display: 100, decimals: 0 };

/** How much of an effect there is, when, and where: fields of every effect that can be left out. @param amount at first */
export const effectReach = (amount = 1) => ({
  amount: animated(amount, {
    label: 'Amount',
    ...share,
    min: 0,
    max: 1,
    group: when,
    hint: 'How much of it there is. At 0 it is not there, and costs nothing.',
  }),
  acts: choice(
    'always',
    { always: 'All the lap', stretch: 'For a stretch' },
    { label: 'Acts', group: when, kept: true, hint: 'All the lap, or from one frame up to another.' },
  ),
  ...stretchFields('acts', when),
  mask: choice(
    'everywhere',
    {
      everywhere: 'Everywhere',
      ellipse: 'In an ellipse',
      light: 'By brightness',
      near: 'By depth',
      layer: 'Where a layer is',
    },
    { label: 'Acts on', group: where, kept: true, hint: 'Which part of the picture it changes.' },
  ),
  maskAside: animated(0, {
    ...{ label: 'Aside', ...share, min: -2, max: 2, comfort: 0.5, ...inEllipse },
    hint: 'Its middle, to the right of the picture’s, as a share of the width.',
  }),
  maskAbove: animated(0, {
    ...{ label: 'Above', ...share, min: -2, max: 2, comfort: 0.5, ...inEllipse },
    hint: 'Its middle, above the picture’s, as a share of the height.',
  }),
  maskWide: animated(0.7, {
    ...{ label: 'Wide', ...share, min: 0.01, max: 4, comfort: 1.5, ...inEllipse },
    hint: 'From rim to rim, as a share of the width.',
  }),
  maskHigh: animated(0.7, {
    ...{ label: 'High', ...share, min: 0.01, max: 4, comfort: 1.5, ...inEllipse },
    hint: 'From rim to rim, as a share of the height.',
  }),
  maskSoft: number(0.6, {
    ...{ label: 'Soft', ...share, min: 0, max: 1, ...inEllipse },
    hint: 'Share of the way from its middle to its rim over which it fades.',
  }),
  maskNone: number(0.2, {
    ...{ label: 'None at', min: 0, max: 100, comfort: 1, ...byLight },
    hint: 'Brightness up to which it does nothing: 1 is white, light may be more.',
  }),
  maskAll: number(0.8, {
    ...{ label: 'All at', min: 0, max: 100, comfort: 1, ...byLight },
    hint: 'Brightness from which on all of it is there; at or below the other, at once.',
  }),
  maskFrom: animated(4, {
    ...{ label: 'All up to', unit: 'm', min: 0, max: 10_000, comfort: 30, ...byDepth },
    hint: 'Depth up to which all of it is there.',
  }),
  maskTo: animated(12, {
    ...{ label: 'None from', unit: 'm', min: 0, max: 10_000, comfort: 60, ...byDepth },
    hint: 'Depth from which on it does nothing; at or before the other, at once.',
  }),
  maskLayer: layerRef({
    ...{ label: 'Layer', group: where, kept: true, when: { field: 'mask', is: ['layer'] } },
    ...{ of: 'any', none: 'None yet' },
    hint: 'It acts where this layer hides what is behind it, and where its light is, as bright as that is.',
  }),
  maskTurned: flag(false, {
    ...{
      label: 'The other way round',
      group: where,
      kept: true,
      when: { field: 'mask', is: ['ellipse', 'light', 'near', 'layer'] },
    },
    hint: 'It acts where it would not: outside, in the dark, far away, or wherever the layer is not.',
  }),
});

/** An effect that has them. */
export interface Reaching extends Stretch {
  amount: Animated;
  acts: 'always' | 'stretch';
  mask: 'everywhere' | 'ellipse' | 'light' | 'near' | 'layer';
  maskAside: Animated;
  maskAbove: Animated;
  maskWide: Animated;
  maskHigh: Animated;
  maskSoft: number;
  maskNone: number;
  maskAll: number;
  maskFrom: Animated;
  maskTo: Animated;
  maskLayer: string | null;
  maskTurned: boolean;
}

/** A moment of a lap: its phase, which is not wrapped, and the frame, of so many. */
export interface Moment {
  phase: number;
  frame: number;
  frames: number;
}

/** How much of an effect there is at a moment, 0 to 1, wherever it acts. */
export const levelAt = (reach: Reaching, { phase, frame, frames }: Moment): number =>
  evaluateAnimated(reach.amount, phase) * levelIn(reach.acts === 'always' ? null : reach, frame, frames);

/** The ellipse of a mask at a phase: its middle from the picture's lower left, and its radii, all shares of width and height. */
export function ellipseOf(effect: Reaching, phase: number): { middle: [number, number]; radii: [number, number] } {
  const at = (value: Animated): number => evaluateAnimated(value, phase);
  return {
    middle: [0.5 + at(effect.maskAside), 0.5 + at(effect.maskAbove)],
    radii: [at(effect.maskWide) / 2, at(effect.maskHigh) / 2],
  };
}

/** What the mask of an effect asks of a frame; null where it asks for nothing but the picture. */
export function maskAsks(effect: Reaching, phase: number): Asked | null {
  if (effect.mask === 'layer') return { of: 'layer', id: effect.maskLayer ?? '' };
  const [from, to] = [effect.maskFrom, effect.maskTo].map((value) => evaluateAnimated(value, phase));
  return effect.mask === 'near' ? { of: 'near', from, to } : null;
}

/**
 * How far an effect acts on a place of the picture, 0 to 1, besides its amount.
 * @param at shares of width and height from the lower left
 * @param colour there before it acts: linear light, or code values 0..1 of what a display shows
 * @param there how far what it asks for is there, 0 to 1
 */
export function maskAt(
  effect: Reaching,
  phase: number,
  at: readonly [number, number],
  colour: readonly [number, number, number],
  there = 1,
): number {
  if (effect.mask === 'everywhere') return 1;
  const { middle, radii } = ellipseOf(effect, phase);
  const share =
    effect.mask === 'ellipse'
      ? ellipseMask(...at, ...middle, ...radii, effect.maskSoft)
      : effect.mask === 'light'
        ? lightMask(...colour, effect.maskNone, effect.maskAll)
        : there;
  return effect.maskTurned ? 1 - share : share;
}
