import type { Samples } from './facts';

/** How a sound is cut to a lap. */
export interface SoundCut {
  /** seconds into it at which the lap begins */
  from: number;
  /** decibels by which it is made louder, or less than 0 softer */
  gainDb: number;
  /** seconds over which the end of the lap and its beginning are blended */
  blend: number;
}

/** Seconds over which it comes and goes where nothing is there to blend with: enough that it does not click. Common practice, no published source. */
const CLICK = 0.005;

/** Equal-power gains of what goes and what comes, at a share 0..1 of a blend. */
const powers = (share: number): [going: number, coming: number] => [
  Math.cos((share * Math.PI) / 2),
  Math.sin((share * Math.PI) / 2),
];

/** The sample that a lap begins on, counted from the first: laps of no whole number of samples differ by one, and none drifts. */
export const lapStart = (lap: number, seconds: number, hz: number): number => Math.round(lap * seconds * hz);

/**
 * A lap of a sound that goes on at the seam as anywhere else. What follows the lap in the sound is blended into its beginning, or where
 * it ends before that, what precedes it into the end; a sound with neither comes and goes in a moment. One that is shorter than the lap is heard
 * again and again.
 * @param seconds of the lap
 * @param samples of this lap, `seconds · hz` to the next whole number
 */
export function lapOfSound({ hz, channels }: Samples, cut: SoundCut, seconds: number, samples: number): Samples {
  const length = channels[0]?.length ?? 0;
  const gain = 10 ** (cut.gainDb / 20);
  const first = Math.min(Math.round(cut.from * hz), Math.max(0, length - 1));
  const rest = length - first;
  const whole = Math.round(seconds * hz);
  // what is too short goes round by itself, each time from where it begins
  const round = rest > 0 && rest < whole ? rest : 0;
  const wanted = Math.min(Math.round(cut.blend * hz), Math.floor((round || whole) / 2));
  const after = round ? 0 : Math.max(0, Math.min(wanted, rest - whole));
  const before = after > 0 ? 0 : Math.min(wanted, first);
  const click = Math.min(Math.round(CLICK * hz), Math.floor((round || whole) / 4));
  const out = channels.map((own) => {
    const at = (i: number): number => own[i] ?? 0;
    const period = round || whole;
    const one = (n: number): number => {
      const i = n % period;
      const v = at(first + i);
      if (after > 0 && i < after) {
        const [going, coming] = powers(i / after);
        return going * at(first + whole + i) + coming * v;
      }
      if (before > 0 && i >= period - before) {
        const [going, coming] = powers((i - (period - before)) / before);
        return going * v + coming * at(first + i - period);
      }
      if (after > 0 || before > 0) return v;
      return v * Math.min(1, i / click, (period - i) / click);
    };
    return Float32Array.from({ length: samples }, (_, n) => gain * one(n));
  });
  return { hz, channels: out };
}
