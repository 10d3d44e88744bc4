import type { Piece } from '../piece/schema';
import { add, inverse, length, multiply, rotate, subtract } from '../space/vector';
import type { Animated } from '../time/animated';
import { lapSeconds, rateHz } from '../time/lap';
import { acrossAt, cameraPose, type CameraPose, flightOf } from './camera';

/** How a flight feels, at equally spaced moments of the lap. The hand that holds the camera is left out. */
export interface Comfort {
  /** metres per second */
  speed: Float32Array;
  /** degrees per second that the line of sight turns */
  turning: Float32Array;
  /** widths of the picture per second that what is in focus moves across it */
  motion: Float32Array;
  /** degrees per second about the line of sight */
  rolling: Float32Array;
  warnings: ComfortWarning[];
}

/** Something that will look or feel wrong, and what would mend it. */
export interface ComfortWarning {
  id: 'long-lens' | 'roll' | 'through';
  /** phase at which it is worst */
  at: number;
  says: string;
  /** changes of the piece that mend it, none when it takes a new idea */
  fixes: Fix[];
}

export interface Fix {
  says: string;
  changes: readonly { path: readonly (string | number)[]; value: unknown }[];
}

/** Moments of the lap that are looked at. */
export const COMFORT_SAMPLES = 240;

/** Degrees per second; more about the line of sight makes people dizzy. Common practice, no published source. */
export const DIZZY = 30;
/** Widths of the picture per second above which a move is fast; focal length on 36 mm from which a lens is long. Common practice, no published source. */
export const FAST = 0.6;
export const LONG_MM = 50;

/** Places in the picture whose movement is averaged: its middle, and halfway to each corner. */
const PLACES: readonly (readonly [number, number])[] = [
  [0, 0],
  [0.25, 0.25],
  [-0.25, 0.25],
  [0.25, -0.25],
  [-0.25, -0.25],
];

/** Mean way across the picture, in its widths, of what is in focus at one pose until another. */
function picturedMotion(from: CameraPose, to: CameraPose, aspect: number): number {
  const d = from.focusDistance;
  let sum = 0;
  for (const [u, v] of PLACES) {
    const width = acrossAt(from, d);
    const world = add(from.position, rotate(from.quaternion, [u * width, (v * width) / aspect, -d]));
    const [x, y, z] = rotate(inverse(to.quaternion), subtract(world, to.position));
    const across = acrossAt(to, Math.max(0.01, -z));
    sum += Math.hypot(x / across - u, y / across - v / aspect);
  }
  return sum / PLACES.length;
}

/** Speed, turning, apparent motion and roll along the lap, and what is wrong with them. */
export function flightComfort(piece: Piece, samples = COMFORT_SAMPLES): Comfort {
  const unshaken: Piece = { ...piece, flight: { ...piece.flight, handScale: 0 } };
  const seconds = lapSeconds(piece.lap.frames, piece.lap.rate);
  const aspect = piece.frame.width / piece.frame.height;
  const h = 1 / 4096;
  const dt = h * seconds;
  const out = [0, 1, 2, 3].map(() => new Float32Array(samples));
  const [speed, turning, motion, rolling] = out;
  for (let i = 0; i < samples; i++) {
    const phase = i / samples;
    const [a, b] = [cameraPose(unshaken, phase - h / 2), cameraPose(unshaken, phase + h / 2)];
    speed[i] = length(subtract(b.position, a.position)) / dt;
    const q = multiply(inverse(a.quaternion), b.quaternion);
    const sign = q[3] < 0 ? -1 : 1;
    // small rotations: the vector part is half the angle
    const [rx, ry, rz] = [q[0], q[1], q[2]].map(
      (v) => ((2 * Math.asin(Math.min(1, Math.abs(v)))) / dt) * Math.sign(v) * sign,
    );
    turning[i] = (Math.hypot(rx, ry) * 180) / Math.PI;
    rolling[i] = (Math.abs(rz) * 180) / Math.PI;
    motion[i] = picturedMotion(a, b, aspect) / dt;
  }
  const found = { speed, turning, motion, rolling };
  return { ...found, warnings: [...longLens(unshaken, found), ...dizzyRoll(piece, found, seconds)] };
}

const worstAt = (values: Float32Array): number => values.reduce((at, v, i) => (v > values[at] ? i : at), 0);

/** The value with everything it states multiplied. */
export const scaledBy = (value: Animated, factor: number): Animated => {
  const round = (v: number): number => Number((v * factor).toPrecision(4));
  if (typeof value === 'number') return round(value);
  if (value.law === 'keyed') return { ...value, keys: value.keys.map((key) => ({ ...key, value: round(key.value) })) };
  if (value.law === 'swing') return { ...value, middle: round(value.middle), reach: round(value.reach) };
  return { ...value, start: round(value.start), perLap: round(value.perLap) };
};

function longLens(piece: Piece, { motion }: Pick<Comfort, 'motion'>): ComfortWarning[] {
  const { flight } = piece;
  if (flight.lens !== 'perspective') return [];
  let worst = -1;
  motion.forEach((v, i) => {
    const pose = cameraPose(piece, i / motion.length);
    if (v > FAST && (pose.focalMm / pose.sensorMm) * 36 >= LONG_MM && (worst < 0 || v > motion[worst])) worst = i;
  });
  if (worst < 0) return [];
  const at = worst / motion.length;
  const { focalMm } = cameraPose(piece, at);
  // the way across the picture grows with the focal length
  const factor = Math.max(0.1, FAST / motion[worst]);
  const fits =
    flight.hold === 'none'
      ? [
          {
            says: `Widen to ${(focalMm * factor).toFixed(0)} mm there`,
            changes: [{ path: ['flight', 'focalMm'], value: scaledBy(flight.focalMm, factor) }],
          },
        ]
      : [];
  const slower = slowed(piece, motion[worst] / FAST);
  return [
    {
      id: 'long-lens',
      at,
      says: `A fast move through a long lens: at ${focalMm.toFixed(0)} mm the picture moves ${motion[worst].toFixed(2)} of its widths a second.`,
      fixes: [...fits, slower],
    },
  ];
}

/** A longer lap, so that everything takes its time. */
function slowed(piece: Piece, factor: number): Fix {
  const { lap } = piece;
  const frames = Math.min(100_000, Math.ceil((lap.frames * factor) / 5) * 5);
  const beats = lap.tempo ? Math.ceil(lap.tempo.beats * factor) : 0;
  const exact = lap.tempo ? Math.round((beats * 60 * rateHz(lap.rate)) / lap.tempo.bpm) : frames;
  return {
    says: lap.tempo ? `Lengthen the lap to ${beats} beats` : `Lengthen the lap to ${frames} frames`,
    changes: [
      {
        path: ['lap'],
        value: { ...lap, frames: exact, tempo: lap.tempo ? { ...lap.tempo, beats } : null },
      },
    ],
  };
}

function dizzyRoll(piece: Piece, { rolling }: Pick<Comfort, 'rolling'>, seconds: number): ComfortWarning[] {
  const worst = worstAt(rolling);
  if (rolling[worst] <= DIZZY) return [];
  const { flight } = piece;
  const factor = DIZZY / rolling[worst];
  const fixes: Fix[] = [];
  if (flight.bank !== 0) {
    const bank = Number((flight.bank * factor * 0.97).toFixed(2));
    fixes.push({ says: `Bank by ${bank} instead`, changes: [{ path: ['flight', 'bank'], value: bank }] });
    fixes.push({
      says: 'Lean more softly',
      changes: [{ path: ['flight', 'bankSoft'], value: Number((flight.bankSoft * 2 + 0.4).toFixed(2)) }],
    });
  }
  if (typeof flight.roll === 'object') {
    const whole = flight.roll.law === 'wound' ? Math.trunc((DIZZY / 360) * seconds) : 0;
    if (flight.roll.law === 'wound' && whole >= 1)
      fixes.push({
        says: `Roll ${whole} times a lap`,
        changes: [
          { path: ['flight', 'roll'], value: { ...flight.roll, perLap: whole * Math.sign(flight.roll.perLap || 1) } },
        ],
      });
    else if (flight.roll.law !== 'wound')
      fixes.push({
        says: 'Roll less',
        changes: [{ path: ['flight', 'roll'], value: scaledBy(flight.roll, factor) }],
      });
  }
  fixes.push(slowed(piece, 1 / factor));
  return [
    {
      id: 'roll',
      at: worst / rolling.length,
      says: `Rolls ${rolling[worst].toFixed(0)}° a second; more than ${DIZZY} makes people dizzy.`,
      fixes,
    },
  ];
}

/** Frame at which a warning is worst, for words. */
export const warningFrame = (warning: ComfortWarning, piece: Piece): number =>
  Math.round(warning.at * piece.lap.frames) % piece.lap.frames;

/** How far the lap's way is, and its mean speed. */
export function flightLength(piece: Piece): { metres: number; perSecond: number } {
  const metres = flightOf(piece).track.length;
  return { metres, perSecond: metres / lapSeconds(piece.lap.frames, piece.lap.rate) };
}
