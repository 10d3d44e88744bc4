import { describe, expect, it } from 'vitest';
import { barBeat, framePhase, framesFromBeats, lapSeconds, rateHz, wrapPhase } from './lap';

describe('lap', () => {
  it('keeps exact rational rates', () => {
    expect(rateHz({ num: 24000, den: 1001 })).toBe(24000 / 1001);
    expect(lapSeconds(24000, { num: 24000, den: 1001 })).toBe(1001);
  });

  // 16 beats at 128 bpm and 29.97 fps drift 3.6 s an hour: the product's own figure, recomputed here by hand:
  // 7.5 s · 30000/1001 = 224.775 frames → 225, late by 0.225/224.775 of an hour
  it('rounds beats to whole frames and says what that costs', () => {
    const { frames, driftPerHour } = framesFromBeats(16, 128, { num: 30000, den: 1001 });
    expect(frames).toBe(225);
    expect(driftPerHour).toBeCloseTo(3.6, 1);
    expect(framesFromBeats(20, 120, { num: 30, den: 1 })).toEqual({ frames: 300, driftPerHour: 0 });
  });

  it('wraps phases of any sign', () => {
    expect(wrapPhase(-0.25)).toBe(0.75);
    expect(wrapPhase(3)).toBe(0);
    expect(framePhase(250, 250)).toBe(1);
  });

  it('counts bars and beats from one', () => {
    expect(barBeat(0, 16)).toEqual({ bar: 1, beat: 1 });
    expect(barBeat(5 / 16, 16)).toEqual({ bar: 2, beat: 2 });
    expect(barBeat(1, 16)).toEqual({ bar: 1, beat: 1 });
  });
});
