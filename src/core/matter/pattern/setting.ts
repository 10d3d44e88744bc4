import { evaluateAnimated } from '../../time/animated';
import { RUN, type Driven } from './definition';
import type { Covering } from './kinds';

/** What takes a place to one in patches: rows of a matrix for (x, y, z, 1), whose fourth the other three are divided by. */
export type Rows = readonly [Row, Row, Row, Row];
export type Row = readonly [number, number, number, number];

/** Patches after which noise repeats across what has no tile. */
const WIDE = 512;

const runsOf = (pattern: Covering): number => ('runs' in pattern ? pattern.runs : 0);

/** Patches that a pattern has run down at a phase, which is not wrapped. */
export const runAt = (pattern: Covering, phase: number): number => RUN * runsOf(pattern) * phase;

/** Whole patches along each axis after which a pattern repeats. @param along of the tile; across where nothing else is said */
export const periodOf = (pattern: Covering, along = WIDE): [number, number, number] => [
  WIDE,
  runsOf(pattern) === 0 ? WIDE : RUN,
  along,
];

/** How it evolves: the most cycles a lap, at least 1, and the laps that have gone by; none of what stands still. */
export function evolution(pattern: Covering, phase: number): { cycles: number; lap: number } {
  const cycles = 'cycles' in pattern ? pattern.cycles : 0;
  return { cycles: Math.max(1, cycles), lap: cycles > 0 ? phase : 0 };
}

/** What it does at a phase: level, contrast, how far it colours, roughens, how much light it gives off, relief. */
export const drivesAt = (pattern: Driven, phase: number): [number, number, number, number, number, number] => [
  evaluateAnimated(pattern.level, phase),
  evaluateAnimated(pattern.contrast, phase),
  evaluateAnimated(pattern.colour, phase),
  evaluateAnimated(pattern.roughens, phase),
  evaluateAnimated(pattern.shines, phase),
  evaluateAnimated(pattern.relief, phase),
];
