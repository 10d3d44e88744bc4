import { animatedIn, mixedIn, type Held, type Part } from '../forms/walk';
import { isShown } from '../forms';
import { partsOfPiece, type Piece } from '../piece/schema';
import { evaluateAnimated, type Animated } from '../time/animated';
import { mixtureAt, type Moving } from '../time/mixed';
import { wrapPhase } from '../time/lap';
import { stepsOf } from '../world/steps';
import { TOLERANCE, SLOPE_TOLERANCE, type Finding } from './finding';
import { smoothAtSeam } from './slopes';
import { isUsed, layerIdOf, subjectOf } from './values';

/** Shares of the lap over which slopes are taken beside a key. */
const BESIDE = 2 ** -14;
/** Moments at which a value's range and pace are taken. */
const SAMPLES = 96;
/** What breaks elsewhere in the lap by this share of what it does at the seam makes that one of several: a rhythm, and no fault of the seam. */
const ALIKE = 0.5;

/** How a value breaks off at one moment, as shares of its range and of its quickest pace. */
interface Break {
  jump: number;
  kink: number;
}

/** The course of a value over the lap as numbers of equal weight, and the moments at which it may break off. */
interface Course {
  at(phase: number): number[];
  moments: number[];
}

const moments = (keys: readonly { at: number }[]): number[] => keys.map(({ at }) => at);

/** A triangle turns round twice in each of its cycles. */
const corners = ({ cycles, shift }: { cycles: number; shift: number }): number[] =>
  Array.from({ length: Math.max(0, Math.round(2 * cycles)) }, (_, i) => wrapPhase((i / 2 - shift) / cycles));

/** Null for what cannot break off. */
function courseOf(value: Animated | Moving<unknown>, step: number): Course | null {
  if (typeof value === 'number' || value.law === 'wound') return null;
  if (value.law === 'swing' && !Number.isInteger(value.cycles)) return null;
  const may = value.law === 'keyed' ? moments(value.keys) : value.wave === 'triangle' ? corners(value) : [];
  if (may.length === 0) return null;
  if ('middle' in value || (value.law === 'keyed' && value.keys.every((key) => typeof key.value === 'number'))) {
    const number = value as Exclude<Animated, number>;
    // what is the same after a step goes round, as an angle does
    return step > 0
      ? { moments: may, at: (phase) => round(evaluateAnimated(number, phase) / step) }
      : { moments: may, at: (phase) => [evaluateAnimated(number, phase)] };
  }
  // of colours and gradients it is the shares in which they are mixed
  const mixed = value as Moving<unknown>;
  const stated = new Map<string, number>();
  const place = (one: unknown): number => {
    const name = JSON.stringify(one);
    return stated.get(name) ?? (stated.set(name, stated.size), stated.size - 1);
  };
  for (const key of 'keys' in mixed ? mixed.keys : []) place(key.value);
  return {
    moments: may,
    at: (phase) => {
      const shares: number[] = [];
      for (const [one, share] of mixtureAt(mixed, phase).of) shares[place(one)] = (shares[place(one)] ?? 0) + share;
      return Array.from({ length: Math.max(stated.size, shares.length) }, (_, i) => shares[i] ?? 0);
    },
  };
}

const round = (turns: number): number[] => [Math.cos(2 * Math.PI * turns), Math.sin(2 * Math.PI * turns)];
const apart = (a: readonly number[], b: readonly number[]): number => Math.hypot(...a.map((v, i) => v - (b[i] ?? 0)));
const scaled = (a: readonly number[], b: readonly number[], by: number): number[] =>
  a.map((v, i) => (v - (b[i] ?? 0)) * by);

/** How a course breaks off at a moment. */
function breakAt({ at }: Course, moment: number, range: number, pace: number): Break {
  const h = BESIDE;
  // just beside it, on either side
  const [before, after] = [moment - 1e-9, moment + 1e-9];
  const here = [at(before), at(after)];
  const coming = scaled(here[0], at(before - h), 1 / h);
  const going = scaled(at(after + h), here[1], 1 / h);
  return { jump: apart(here[0], here[1]) / range, kink: apart(coming, going) / pace };
}

/** What changes over the lap in a part, and stands in no layer's or light's own report. */
const coursesIn = (piece: Piece, part: Part) => {
  const { closing } = stepsOf(piece, part);
  const held: readonly (Held & { value: Animated | Moving<unknown> })[] = [...animatedIn(part), ...mixedIn(part)];
  return held
    .filter(({ field }) => isShown(field.control, part.value) && !field.control?.summed && !field.control?.counts)
    .map(({ name, field, path, value }) => ({
      subject: subjectOf(part, field.control?.label ?? name),
      layerId: layerIdOf(piece, part),
      ...{ path, value, course: courseOf(value, closing[name] ?? 0) },
    }));
};

/**
 * What comes back, but breaks off at the seam and nowhere else: effects, colours, the sky, what layers are made of. What moves is
 * looked at with what it moves.
 */
export function courseFindings(piece: Piece): Finding[] {
  return partsOfPiece(piece)
    .filter(({ path: [room, list, of] }) => room !== 'flight' && list !== 'lights' && of !== 'treatments')
    .filter(isUsed)
    .flatMap((part) => coursesIn(piece, part))
    .flatMap(({ course, value, path, subject, layerId }): Finding[] => {
      if (!course) return [];
      const seen = Array.from({ length: SAMPLES }, (_, i) => course.at((i + 0.5) / SAMPLES));
      const range = Math.max(
        ...seen.map((v) => apart(v, seen[0])),
        ...course.moments.map((m) => apart(course.at(m), seen[0])),
      );
      if (range === 0) return [];
      const pace = Math.max(range, ...seen.map((v, i) => SAMPLES * apart(v, seen[(i + 1) % SAMPLES])));
      const near = (moment: number): boolean => Math.min(wrapPhase(moment), 1 - wrapPhase(moment)) < 1e-6;
      const seam = breakAt(course, 0, range, pace);
      const others = course.moments.filter((m) => !near(m)).map((m) => breakAt(course, m, range, pace));
      const most = (of: keyof Break): number => Math.max(0, ...others.map((one) => one[of]));
      const jumps = seam.jump > TOLERANCE && most('jump') < ALIKE * seam.jump;
      const kinks =
        seam.jump <= TOLERANCE &&
        seam.kink > SLOPE_TOLERANCE &&
        most('kink') < ALIKE * seam.kink &&
        most('jump') <= TOLERANCE;
      if (!jumps && !kinks) return [];
      const smooth = typeof value === 'object' && value.law === 'keyed' ? smoothAtSeam(value) : value;
      const says = jumps
        ? `jumps by ${percent(seam.jump)} of its range at the seam, and nowhere else`
        : `turns a corner at the seam, by ${percent(seam.kink)} of its quickest pace, and nowhere else`;
      return [
        {
          id: `course:${path.join('.')}`,
          ...{ subject, layerId, ok: false, says },
          ...{ gap: jumps ? seam.jump : 0, slopeGap: jumps ? 0 : seam.kink },
          repair: smooth === value ? null : { says: 'Match its slopes at the seam', path, value: smooth },
        },
      ];
    });
}

const percent = (share: number): string => `${Math.round(100 * share)} %`;
