import { balance } from './balance/balance';
import { corner } from './corner/corner';
import { dither } from './dither/dither';
import { flash } from './flash/flash';
import { fringe } from './fringe/fringe';
import { glow } from './glow/glow';
import { grade } from './grade/grade';
import { grain } from './grain/grain';
import { sharpen } from './sharpen/sharpen';
import { tone } from './tone/tone';
import { vignette } from './vignette/vignette';

/** Every kind of effect, in the order they are offered. A new kind is a folder and its name here, and its program in engine/effects. */
export const LIST = [glow, corner, flash, fringe, vignette, balance, tone, grade, sharpen, grain, dither] as const;
