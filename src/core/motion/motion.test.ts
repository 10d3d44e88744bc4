import { describe, expect, it } from 'vitest';
import { readBvh } from '../../formats/motion/bvh';
import { wobblyBvh } from '../../../tests/motions';
import { fromAxis, fromTurn, multiply, rotate, toTurn, type Quaternion, type Vec3 } from '../space/vector';
import { cycleOf, type Cycle } from './cycle';
import { bestStretch, differenceOf, differencesOf, nearStretch } from './differences';
import type { Motion } from './motion';
import { heightOf, poseOf } from './pose';

const motionOf = (text: string): Motion => readBvh(new TextEncoder().encode(text), 'wobble.bvh');
const near = (a: readonly number[], b: readonly number[], digits = 9): void =>
  a.forEach((v, i) => expect(v).toBeCloseTo(b[i], digits));

describe('turns', () => {
  it('a third of a turn about the diagonal goes round the axes: J. Kuipers, Quaternions and Rotation Sequences, 1999, example 5.1 (from memory)', () => {
    const third: Quaternion = [0.5, 0.5, 0.5, 0.5];
    near(fromAxis([1, 1, 1].map((v) => v / Math.sqrt(3)) as Vec3, (2 * Math.PI) / 3), third);
    near(rotate(third, [1, 0, 0]), [0, 1, 0]);
    near(rotate(third, [0, 1, 0]), [0, 0, 1]);
    near(multiply(multiply(third, third), third), [0, 0, 0, -1]);
    // Hamilton, 1843: i j = k
    near(multiply([1, 0, 0, 0], [0, 1, 0, 0]), [0, 0, 1, 0]);
  });

  it('are an axis times an angle, and back, the shorter way around', () => {
    for (const turn of [
      [0, 0, 0],
      [1e-9, 0, 0],
      [0.3, -1, 0.5],
      [0, 3.1, 0],
    ] as Vec3[]) {
      near(toTurn(fromTurn(turn)), turn);
      near(toTurn(fromTurn(turn).map((v) => -v) as Quaternion), turn);
    }
  });
});

/** Places and turns of a joint in a cycle, as far beyond its end as wanted. */
const placeIn = ({ places, samples }: Cycle, joints: number, j: number, i: number): Vec3 => {
  const at = ((((i % samples) + samples) % samples) * joints + j) * 3;
  return [places[at], places[at + 1], places[at + 2]];
};

/** The largest change of step from one sample to the next: at the seam, and anywhere else. */
function jolts(cycle: Cycle, joints: number): { seam: number; place: number; elsewhere: number } {
  let [seam, elsewhere, place] = [0, 0, 0];
  for (let j = 0; j < joints; j++)
    for (let i = 0; i < cycle.samples; i++) {
      const [a, b, c] = [i - 1, i, i + 1].map((at) => placeIn(cycle, joints, j, at));
      const jolt = Math.hypot(...a.map((v, k) => v - 2 * b[k] + c[k]));
      if (i === 0 || i === cycle.samples - 1) seam = Math.max(seam, jolt);
      else elsewhere = Math.max(elsewhere, jolt);
      if (i === 0) place = Math.max(place, Math.hypot(...a.map((v, k) => v - b[k])));
    }
  return { seam, place, elsewhere };
}

describe('a stretch of a motion', () => {
  const wobble = motionOf(wobblyBvh({ frames: 120, period: 31 }));

  it('that closes best is as long as the motion takes to come back', () => {
    const { from, to } = bestStretch(wobble);
    expect((to - from) % 31).toBe(0);
    expect(differenceOf(wobble, from, to)).toBeLessThan(1e-4);
    expect(differenceOf(wobble, from, from + 15)).toBeGreaterThan(0.1);
  });

  it('is found wherever the figure went and however it turned meanwhile', () => {
    const about = motionOf(wobblyBvh({ order: 'YXZ', frames: 120, period: 31, turning: 2 }));
    const { from, to } = bestStretch(about);
    expect((to - from) % 31).toBe(0);
    expect(differenceOf(about, from, to)).toBeLessThan(1e-4);
    // frames apart from a pose to the same are as unlike as nothing, half of that as unlike as can be
    const { side, step, values } = differencesOf(about);
    expect(step).toBe(1);
    expect(values[5 * side + 36]).toBeLessThan(1e-4);
    expect(values[5 * side + 20]).toBeGreaterThan(0.1);
    expect(values[20 * side + 5]).toBe(values[5 * side + 20]);
  });

  it('is moved to where its ends are most alike', () => {
    expect(nearStretch(wobble, { from: 10, to: 38 }, 4)).toSatisfy(
      ({ from, to }: { from: number; to: number }) => to - from === 31,
    );
  });

  it('of a file of one frame is that frame', () => {
    const still = motionOf(wobblyBvh({ frames: 1 }));
    expect(bestStretch(still)).toEqual({ from: 0, to: 0 });
    const cycle = cycleOf(still, { from: 0, to: 0 }, 10, 'sway');
    expect(cycle.samples).toBe(1);
    expect(Math.min(...cycle.places.filter((_, i) => i % 3 === 1))).toBe(0);
  });

  it.each([
    ['that comes back', 5, 36, 0],
    ['that does not', 5, 30, 0],
    ['that does not, of a figure that goes round', 7, 33, 2],
  ])('%s closes in place and speed', (_, from, to, turning) => {
    const motion = motionOf(wobblyBvh({ order: 'YXZ', frames: 120, period: 31, turning }));
    const cycle = cycleOf(motion, { from, to }, 10, 'sway');
    const { seam, elsewhere, place } = jolts(cycle, motion.joints.length);
    // a jump in speed is twice as large and more: see below
    expect(seam).toBeLessThan(elsewhere * 1.4);
    // and no frame is shown twice: the step across the seam is a step
    expect(place).toBeGreaterThan(1e-4);
  });

  it('that does not come back jumps where nothing is blended: the check above can fail', () => {
    const { seam, elsewhere } = jolts(cycleOf(wobble, { from: 5, to: 20 }, 0, 'sway'), wobble.joints.length);
    expect(seam).toBeGreaterThan(elsewhere * 3);
  });

  it('is left as it is away from its seam, but for its way', () => {
    const cycle = cycleOf(wobble, { from: 5, to: 30 }, 6, 'sway');
    const own = poseOf(wobble, 5 + 12);
    // from the hips on, whichever way it faces
    const distance = (places: ArrayLike<number>, first: number): number =>
      Math.hypot(...[0, 1, 2].map((k) => places[first + k] - places[first + 9 + k]));
    expect(distance(cycle.places, 12 * wobble.joints.length * 3)).toBeCloseTo(distance(own.places, 0), 5);
  });

  it('keeps how far it goes, ahead, however it went; held, it does not even sway', () => {
    for (const turning of [0, 2]) {
      const motion = motionOf(wobblyBvh({ order: 'YXZ', frames: 120, period: 31, pace: 0.05, turning }));
      const { gain, turn, seconds } = cycleOf(motion, { from: 4, to: 35 }, 8, 'sway');
      expect(gain[2]).toBeCloseTo(-0.05 * 31, 2);
      expect(gain[0]).toBeCloseTo(0, 6);
      expect(turn).toBeCloseTo(turning === 0 ? 0 : -62, 1);
      expect(seconds).toBeCloseTo(31 * 0.04);
      const held = cycleOf(motion, { from: 4, to: 35 }, 8, 'held');
      for (let i = 0; i < held.samples; i++)
        near(
          placeIn(held, motion.joints.length, 0, i).filter((_, k) => k !== 1),
          [0, 0],
          6,
        );
    }
  });
});

describe('how high a figure is', () => {
  it('is from its lowest joint to its highest as it stands at rest', () => {
    expect(heightOf(motionOf(wobblyBvh({ frames: 1 })))).toBeCloseTo(0.3 + 0.5 + 0.3 + 0.45, 2);
  });
});
