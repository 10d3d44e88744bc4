import { describe, expect, it } from 'vitest';
import { Pace } from './estimate';

/** A clock that is set by hand. */
function paced(frames: number, parts: number) {
  let now = 5000;
  const pace = new Pace(frames, parts, () => now);
  return { pace, after: (ms: number) => ((now += ms), pace) };
}

describe('what is left of a delivery', () => {
  it('is not known before the first frame, which is forgotten once there are others', () => {
    const { pace, after } = paced(12, 1);
    expect(pace.left()).toBeNull();
    after(3000).frame();
    expect(pace.left()).toBe(33);
    after(100).frame();
    expect(pace.left()).toBeCloseTo(1);
    expect(pace.done).toBe(2);
  });

  it('follows a change of speed', () => {
    const { pace, after } = paced(221, 1);
    for (let i = 0; i < 101; i++) after(10).frame();
    for (let i = 0; i < 20; i++) after(50).frame();
    // a hundred frames, of which a third take five times as long
    expect(pace.left()).toBeCloseTo((100 * (40 * 10 + 20 * 50)) / 60 / 1000);
  });

  it('counts what encoders hold back until a part ends, and that all is put together and read back', () => {
    const { pace, after } = paced(30, 3);
    for (let i = 0; i < 10; i++) after(100).frame();
    after(700).part();
    expect(pace.left()).toBeCloseTo(20 * 0.1 + 2 * 0.7);
    // a third of all
    after(400).tried(1 / 3, 400);
    expect(pace.left()).toBeCloseTo(20 * 0.1 + 2 * 0.7 + 1.2);
    for (let i = 0; i < 20; i++) after(100).frame();
    after(700).part();
    after(700).part();
    expect(pace.left()).toBeCloseTo(1.2);
  });
});
