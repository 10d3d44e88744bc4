import { isMoving, mixtureAt, statedMix, type Mixed } from '../time/mixed';
import {
  gradientAt,
  gradientTable,
  hexToLinear,
  linearToHex,
  linearToOklab,
  oklabToLinear,
  type Gradient,
  type Rgb,
} from './colour';

/** A colour over the lap, `#rrggbb` or a law of such; mixed in Oklab, hues turned about its axis of greys. */
export type AnimatedColour = Mixed<string>;
/** A gradient over the lap: mixed in Oklab place by place. */
export type AnimatedGradient = Mixed<Gradient>;

/** A colour of Oklab with its hue turned on by so many turns. */
function turned([L, a, b]: Rgb, turns: number): Rgb {
  const [c, s] = [Math.cos(2 * Math.PI * turns), Math.sin(2 * Math.PI * turns)];
  return [L, c * a - s * b, s * a + c * b];
}

/** Linear light of a sum of colours, each of linear light, by shares in Oklab; never negative. */
function mix(of: readonly (readonly [Rgb, number])[], turn: number): Rgb {
  const sum: Rgb = [0, 0, 0];
  for (const [rgb, share] of of) linearToOklab(rgb).forEach((v, k) => (sum[k] += v * share));
  return oklabToLinear(turned(sum, turn)).map((v) => Math.max(0, v)) as Rgb;
}

/** The colour at a phase, which is not wrapped: linear light, never negative. */
export function colourAt(value: AnimatedColour, phase: number): Rgb {
  if (!isMoving(value)) return hexToLinear(value);
  const { of, turn } = mixtureAt(value, phase);
  return mix(
    of.map(([hex, share]) => [hexToLinear(hex), share] as const),
    turn,
  );
}

/** The colour at a phase as `#rrggbb`, clipped to what a display shows. */
export const hexAt = (value: AnimatedColour, phase: number): string =>
  isMoving(value) ? linearToHex(colourAt(value, phase)) : value;

/** Below this chroma of Oklab a colour is a grey to the eye: it has no hue to turn. */
const GREY = 0.02;

/** Whether a colour has no hue. */
export function isGrey(hex: string): boolean {
  const [, a, b] = linearToOklab(hexToLinear(hex));
  return Math.hypot(a, b) < GREY;
}

/** What is plainly another colour is at least so far away in Oklab. */
const PLAINLY = 0.05;

/** A colour that is plainly another, and goes with it: a sixth of all hues on, or, of what is nearly grey, darker or lighter. */
export function besideColour(hex: string): string {
  const own = linearToOklab(hexToLinear(hex));
  const hued = linearToHex(oklabToLinear(turned(own, 1 / 6)));
  const shown = linearToOklab(hexToLinear(hued));
  if (Math.hypot(...own.map((v, k) => v - shown[k])) > PLAINLY) return hued;
  return linearToHex(oklabToLinear([own[0] + (own[0] > 0.5 ? -0.35 : 0.35), own[1], own[2]]));
}

/** The tables of gradients, which never change. */
const tables = new WeakMap<Gradient, Map<number, Float32Array>>();

function tableOf(gradient: Gradient, size: number): Float32Array {
  const known = tables.get(gradient) ?? new Map<number, Float32Array>();
  tables.set(gradient, known);
  let table = known.get(size);
  if (!table) known.set(size, (table = gradientTable(gradient, size)));
  return table;
}

/** The gradient at a phase, which is not wrapped, as a table of `size` RGBA texels of linear light, alpha 1; not to be written to. */
export function gradientTableAt(value: AnimatedGradient, phase: number, size = 256): Float32Array {
  if (!isMoving(value)) return tableOf(value, size);
  const { of, turn } = mixtureAt(value, phase);
  if (of.length === 1 && of[0][1] === 1 && turn === 0) return tableOf(of[0][0], size);
  const parts = of.map(([gradient, share]) => [tableOf(gradient, size), share] as const);
  const out = new Float32Array(size * 4);
  for (let i = 0; i < size * 4; i += 4) {
    const at = ([table, share]: (typeof parts)[number]) =>
      [[table[i], table[i + 1], table[i + 2]] as Rgb, share] as const;
    out.set(mix(parts.map(at), turn), i);
    out[i + 3] = 1;
  }
  return out;
}

/** Linear red, green and blue at places of a gradient, 0..1, as the linear filter of a texture reads its table. */
export function gradientColoursAt(value: AnimatedGradient, phase: number, places: ArrayLike<number>): Float64Array {
  const table = gradientTableAt(value, phase);
  const out = new Float64Array(places.length * 3);
  for (let i = 0; i < places.length; i++) {
    // between the middles of texels
    const at = Math.min(255, Math.max(0, places[i] * 256 - 0.5));
    const [low, share] = [Math.floor(at), at - Math.floor(at)];
    const high = Math.min(255, low + 1);
    for (let k = 0; k < 3; k++) out[i * 3 + k] = table[low * 4 + k] * (1 - share) + table[high * 4 + k] * share;
  }
  return out;
}

/** Stops that a gradient may have at most. */
export const MOST_STOPS = 12;

/**
 * The gradient at a phase as stops that can be shown and worked on. Between the stops of all that it is mixed of it is as straight in
 * Oklab as each of them: theirs are enough. Where they are too many for one gradient they are spread evenly.
 */
export function gradientOf(value: AnimatedGradient, phase: number): Gradient {
  if (!isMoving(value)) return value;
  const { of, turn } = mixtureAt(value, phase);
  if (of.length === 1 && of[0][1] === 1 && turn === 0) return of[0][0];
  const own = [...new Set(of.flatMap(([gradient]) => gradient.map(({ at }) => at)))].sort((a, b) => a - b);
  const places = own.length <= MOST_STOPS ? own : Array.from({ length: MOST_STOPS }, (_, i) => i / (MOST_STOPS - 1));
  return places.map((at) => {
    const parts = of.map(([gradient, share]) => [gradientAt(gradient, at), share] as const);
    return { at, colour: linearToHex(mix(parts, turn)) };
  });
}

/** Whether all of a gradient is one colour, at every phase. */
export const isEven = (value: AnimatedGradient): boolean =>
  statedMix(value).every((one) => new Set(one.map(({ colour }) => colour.toLowerCase())).size === 1);
