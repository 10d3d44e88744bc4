import { layerElements } from './layers';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cameraPose } from './camera';
import { evaluateAnimated, jumpsOf, type Animated, type Key } from '../time/animated';
import { exposedPhase } from '../time/exposure';
import { exposedPiece, exposureOf } from './exposed';
import { PieceSchema, type Piece } from '../piece/schema';

const FRAMES = 48;
const keyed = (...keys: [frame: number, value: number, ease: Key['ease']][]): Animated => ({
  law: 'keyed',
  keys: keys.map(([frame, value, ease]) => ({ id: String(frame), at: frame / FRAMES, value, ease })),
});
/** Holds until frame 12, jumps there, goes on evenly to frame 30, holds to the seam's own jump at frame 0. */
const CUT = keyed([0, 1, 'hold'], [12, 5, 'linear'], [30, 9, 'hold']);

const piece = (parts: { layers?: object[]; flight?: object }): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'Cuts',
    lap: { frames: FRAMES, rate: { num: 24, den: 1 } },
    layers: parts.layers ?? [],
    flight: { shutterDeg: 360, handUp: 0, ...parts.flight },
    look: {},
  });

/** Moments of the open shutter of a frame. */
const moments = (frame: number, degrees = 360): number[] =>
  [-0.5, -0.3, -1e-4, 0, 1e-4, 0.2, 0.5].map((share) => (frame + (share * degrees) / 360) / FRAMES);
const exposure = (frame: number, degrees = 360) =>
  exposureOf(piece({ flight: { shutterDeg: degrees } }), frame / FRAMES);

const copies = {
  kind: 'copies',
  id: 'row',
  name: 'Row',
  arrangement: 'line',
  count: 6,
  treatments: [
    { kind: 'stagger', id: 's', amount: keyed([0, 0.2, 'hold'], [12, 0.9, 'hold']) },
    { kind: 'bend', id: 'b', amount: keyed([0, 10, 'hold'], [12, 80, 'hold']) },
  ],
};

describe('what happens on a whole frame', () => {
  it('has happened for every moment of a frame, or for none', () => {
    for (const [frame, values] of [
      [11, [1]],
      [12, [5]],
      [47, [9]],
      [48, [1]],
      [0, [1]],
    ] as const) {
      const seen = exposedPiece(piece({ flight: { focusM: CUT } }), exposure(frame));
      const at = moments(frame).map((phase) => evaluateAnimated(seen.flight.focusM, phase));
      // the stretch from frame 12 on moves, so only what lies before the cut is held
      const before = at.slice(0, 4);
      expect(before.every((value) => Math.abs(value - before[0]) < 1e-6)).toBe(true);
      expect(before[0]).toBeCloseTo(values[0], 5);
    }
  });

  it('a cut of the camera between keys shows one view in every moment of both its frames', () => {
    const route = { kind: 'keys', aside: keyed([0, -3, 'hold'], [12, 4, 'hold']), above: 1, ahead: 2 };
    for (const frame of [11, 12, 47, 0]) {
      const seen = exposedPiece(piece({ flight: { route } }), exposure(frame));
      const poses = moments(frame).map((phase) => JSON.stringify(cameraPose(seen, phase)));
      expect(new Set(poses).size).toBe(1);
    }
  });

  it('a cut between stations too', () => {
    const stop = (id: string, aside: number) => ({
      id,
      aside,
      above: 0,
      ahead: 1,
      yaw: 0,
      pitch: 0,
      roll: 0,
      rest: 1,
      travel: 0,
    });
    const cutting = piece({ flight: { route: { kind: 'stations', stops: [stop('a', -2), stop('b', 2)] } } });
    for (const frame of [23, 24, 47, 0]) {
      const seen = exposedPiece(cutting, exposure(frame));
      const at = moments(frame).map((phase) => cameraPose(seen, phase).position[0]);
      expect(at.every((x) => x === (frame === 24 || frame === 47 ? 2 : -2))).toBe(true);
    }
    // without the exposure the frame of the cut is a double one
    expect(new Set(moments(24).map((phase) => cameraPose(cutting, phase).position[0])).size).toBe(2);
  });

  it('a held stagger and a held bend show one state, with a shutter of two frames as well', () => {
    const whole = piece({ layers: [copies] });
    for (const degrees of [180, 700])
      for (const frame of [11, 12, 47, 0]) {
        const seen = exposedPiece(whole, exposure(frame, degrees));
        const states = moments(frame, degrees).map((phase) => {
          const { position, fade, rotation } = layerElements(seen, 'row', phase);
          return JSON.stringify([[...position], [...fade], [...rotation]]);
        });
        expect(new Set(states).size).toBe(1);
      }
  });

  it('a piece in which nothing jumps stays itself', () => {
    const still = piece({
      layers: [{ ...copies, treatments: [] }],
      flight: { focusM: keyed([0, 1, 'linear'], [9, 3, 'smooth']) },
    });
    expect(exposedPiece(still, exposure(9))).toBe(still);
    const far = piece({ flight: { focusM: CUT } });
    expect(exposedPiece(far, exposure(20))).toBe(far);
  });

  it('moments on the frame’s own side of a jump are left alone, and others end beside it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: FRAMES - 1 }), { minLength: 1, maxLength: 5 }),
        fc.integer({ min: -FRAMES, max: 2 * FRAMES }),
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        (frames, frame, share) => {
          const jumps = frames.map((f) => f / FRAMES);
          const phase = (frame + share) / FRAMES;
          const at = exposedPhase(jumps, phase, exposure(frame));
          const crossed = share < 0 && frames.some((f) => (((f - frame) % FRAMES) + FRAMES) % FRAMES === 0);
          if (crossed) expect(at).toBeCloseTo(frame / FRAMES, 7);
          else expect(Math.abs(at - phase)).toBeLessThan(2e-9);
        },
      ),
    );
  });

  it('only ends of holds are jumps', () => {
    expect(jumpsOf(CUT as never)).toEqual([0, 12 / FRAMES]);
    expect(jumpsOf(keyed([0, 1, 'hold'], [9, 1, 'hold']) as never)).toEqual([]);
  });
});
