import { evaluateAnimated, type Animated } from '../../../../core/time/animated';

/** Part of the lap shown before its start and after its end: 1¼ laps in all, so curves are seen across the seam. */
export const MARGIN = 0.125;
const SAMPLES = 400;
const FOOT = 16;

/** How phases and values lie in the unrolled lap. */
export interface LapView {
  x(phase: number): number;
  y(value: number): number;
  phase(x: number): number;
  value(y: number): number;
  /** of the curve, from one eighth of a lap before the seam to one eighth after it */
  line: string;
  height: number;
}

/** The curve of a value over one and a quarter laps, fitted into a box. @param handles values of handles that must fit too */
export function lapView(value: Animated, handles: readonly number[], width: number, height: number): LapView {
  const at = (i: number): number => -MARGIN + (i / SAMPLES) * (1 + 2 * MARGIN);
  const samples = Array.from({ length: SAMPLES + 1 }, (_, i) => evaluateAnimated(value, at(i)));
  const all = [...samples, ...handles];
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const room = (high - low || Math.max(1, Math.abs(high))) * 0.14;
  const inner = height - FOOT;
  const x = (phase: number): number => ((phase + MARGIN) / (1 + 2 * MARGIN)) * width;
  const y = (v: number): number => inner - 4 - ((v - low + room) / (high - low + 2 * room)) * (inner - 8);
  return {
    x,
    y,
    phase: (px) => (px / width) * (1 + 2 * MARGIN) - MARGIN,
    value: (py) => low - room + ((inner - 4 - py) / (inner - 8)) * (high - low + 2 * room),
    line: samples.map((v, i) => `${i === 0 ? 'M' : 'L'}${x(at(i)).toFixed(1)} ${y(v).toFixed(1)}`).join(''),
    height: inner,
  };
}

/** Where something at a phase of the lap is seen in 1¼ laps: once, or twice near the seam. */
export const seenAt = (phase: number): number[] =>
  [phase - 1, phase, phase + 1].filter((p) => p >= -MARGIN - 1e-9 && p <= 1 + MARGIN + 1e-9);
