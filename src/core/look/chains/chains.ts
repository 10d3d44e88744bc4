import {
  EFFECTS,
  effectOf,
  inOrder,
  startedEffect,
  startedEffects,
  type Effect,
  type EffectKind,
} from '../effects/kinds';

/** Effects under a name, to be taken over into any piece. */
export interface Chain {
  name: string;
  effects: Effect[];
}

/** A chain that ships. */
export interface ShippedChain extends Chain {
  /** one sentence */
  describe: string;
}

const chain = (
  name: string,
  describe: string,
  kinds: readonly (readonly [kind: EffectKind, more?: object])[],
): ShippedChain => ({
  name,
  describe,
  effects: inOrder(
    kinds.map(([kind, more = {}], i) => EFFECTS.schema.parse({ ...startedEffect(kind, `${kind}-${i}`), ...more })),
  ),
});

const glow = (id: string, radius: number, threshold: number, gain: number, tint = '#ffffff'): object => ({
  ...{ id, radius, threshold, gain, tint },
});
const trembling = (reach: number, shift: number): object => ({
  ...{ law: 'swing', middle: 0, reach, cycles: 24, wave: 'noise', shift },
});

/** Chains that ship. They are small: each is a place to go on from. */
export const CHAINS: readonly ShippedChain[] = [
  { name: 'As at first', describe: 'What every new piece has.', effects: startedEffects() },
  chain('Old reel', 'Warm film that trembles: red rims, grain, dust and a lamp too dim for the corners.', [
    ['glow', { layers: [glow('a', 0.012, 0.7, 0.35, '#ffd9b0'), glow('b', 0.06, 0.5, 0.25, '#ffb070')] }],
    ['halation', { gain: 1.1 }],
    ['move', { aside: trembling(0.0022, 0), above: trembling(0.0035, 0.37), turn: 0, size: 1.012 }],
    ['vignette', { amount: 0.55 }],
    ['balance', { white: 7600 }],
    ['tone'],
    ['grade', { lift: 0.025, contrast: 1.12, saturation: 0.82 }],
    ['grain', { amount: 0.5, size: 0.003 }],
    ['dust', { specks: 14 }],
    ['dither'],
  ]),
  chain('Through a wide lens', 'Glow, colours that part towards the corners, a slight barrel, crisp in the middle.', [
    ['glow', { layers: [glow('a', 0.004, 0.8, 0.4), glow('b', 0.02, 0.6, 0.3), glow('c', 0.09, 0.5, 0.2)] }],
    ['distortion', { barrel: 0.06 }],
    ['fringe', { apart: 0.006 }],
    ['vignette', { amount: 0.4 }],
    ['tone'],
    ['sharpen', { strength: 0.5, mask: 'ellipse', maskWide: 1, maskHigh: 1 }],
    ['grain', { amount: 0.18 }],
    ['dither'],
  ]),
  chain('Lost signal', 'Bands and blocks break out, and the colours part; between bursts it is clean.', [
    ['glow', { layers: [glow('a', 0.01, 0.7, 0.4), glow('b', 0.05, 0.6, 0.2)] }],
    ['fringe', { apart: 0.01 }],
    ['tone'],
    ['grade', { contrast: 1.15, saturation: 1.1 }],
    ['slices', { bursts: 3, lasts: 8 }],
    ['blocks', { bursts: 2, lasts: 10, share: 0.3, seed: 4 }],
    ['grain', { amount: 0.2 }],
    ['dither'],
  ]),
  chain('Wall of lamps', 'Round lamps, as bright as the picture, with much colour.', [
    ['glow', { layers: [glow('a', 0.02, 0.6, 0.5), glow('b', 0.1, 0.5, 0.3)] }],
    ['tone', { exposure: 0.4 }],
    ['grade', { contrast: 1.1, saturation: 1.25 }],
    ['grid', { cell: 0.016, shape: 'round', gap: 0.18 }],
    ['dither'],
  ]),
  chain('After the rain', 'A wet floor under everything, and night colours.', [
    ['glow', { layers: [glow('a', 0.015, 0.6, 0.4), glow('b', 0.08, 0.5, 0.35, '#bcd4ff')] }],
    ['floor', { line: 0.28, stretch: 1.8, blur: 0.4, fades: 0.3, amount: 0.8 }],
    ['vignette', { amount: 0.35 }],
    ['tone'],
    ['tint', { shadows: '#123a5c', lights: '#ffd8a8', shadowsBy: 0.35, lightsBy: 0.2 }],
    ['grain', { amount: 0.2 }],
    ['dither'],
  ]),
  chain('Rush', 'All but the middle is drawn out from it: for tunnels and dives.', [
    ['glow', { layers: [glow('a', 0.01, 0.7, 0.4), glow('b', 0.06, 0.6, 0.3)] }],
    [
      'blur',
      { way: 'zoom', long: 0.18, mask: 'ellipse', maskTurned: true, maskWide: 1.1, maskHigh: 1.3, maskSoft: 0.8 },
    ],
    ['fringe', { apart: 0.012 }],
    ['vignette', { amount: 0.4 }],
    ['tone'],
    ['dither'],
  ]),
];

/**
 * Effects of a chain for a piece: with names of their own, and acting everywhere where they acted on a layer that the piece does not have.
 * @param id makes a name
 */
export const takenOver = (effects: readonly Effect[], layers: readonly { id: string }[], id: () => string): Effect[] =>
  inOrder(effects).map((effect) => {
    const own = { ...effect, id: effectOf(effect.kind).always ? effect.kind : id() };
    return 'mask' in own && own.mask === 'layer' && !layers.some((layer) => layer.id === own.maskLayer)
      ? { ...own, mask: 'everywhere', maskLayer: null }
      : own;
  });
