import { balance } from './balance/balance';
import { corner } from './corner/corner';
import { curves } from './curves/curves';
import { distortion } from './distortion/distortion';
import { dither } from './dither/dither';
import { flash } from './flash/flash';
import { fold } from './fold/fold';
import { fog } from './fog/fog';
import { fringe } from './fringe/fringe';
import { glow } from './glow/glow';
import { grade } from './grade/grade';
import { gradientMap } from './gradientMap/gradientMap';
import { grain } from './grain/grain';
import { grid } from './grid/grid';
import { rays } from './rays/rays';
import { sharpen } from './sharpen/sharpen';
import { slices } from './slices/slices';
import { star } from './star/star';
import { table } from './table/table';
import { tint } from './tint/tint';
import { trails } from './trails/trails';
import { tone } from './tone/tone';
import { blocks } from './blocks/blocks';
import { blur } from './blur/blur';
import { dust } from './dust/dust';
import { flare } from './flare/flare';
import { floor } from './floor/floor';
import { halation } from './halation/halation';
import { move } from './move/move';
import { stepped } from './stepped/stepped';
import { vignette } from './vignette/vignette';
import type { Effect, EffectKind } from '../../core/look/effects/kinds';
import type { EffectProgram } from './program';

/** The program of every kind of effect: the compiler asks for one of each. */
export const PROGRAMS = {
  stepped,
  trails,
  fog,
  glow,
  halation,
  star,
  flare,
  rays,
  corner,
  flash,
  floor,
  fold,
  move,
  blur,
  distortion,
  grid,
  fringe,
  vignette,
  balance,
  tone,
  grade,
  curves,
  tint,
  gradientMap,
  table,
  sharpen,
  slices,
  blocks,
  dust,
  grain,
  dither,
} satisfies {
  [K in EffectKind]: EffectProgram<Extract<Effect, { kind: K }>>;
};
