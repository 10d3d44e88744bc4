import { describe, expect, it } from 'vitest';
import { looked, moved, paced } from './move';

const view = { aside: 0, above: 0, ahead: 0, yaw: 0, pitch: 0, roll: 0 };
const keys = (...list: string[]): Set<string> => new Set(list);

describe('flying by hand', () => {
  it('goes where it looks, at its pace, no faster on a diagonal', () => {
    expect(moved(view, keys('KeyW'), 2, 0.5).ahead).toBeCloseTo(1, 9);
    expect(moved({ ...view, yaw: 90 }, keys('KeyW'), 2, 0.5)).toMatchObject({ aside: 1 });
    expect(moved({ ...view, pitch: 90 }, keys('KeyW'), 1, 1).above).toBeCloseTo(1, 9);
    const diagonal = moved(view, keys('KeyW', 'KeyD'), 1, 1);
    expect(Math.hypot(diagonal.aside, diagonal.ahead)).toBeCloseTo(1, 9);
    expect(moved(view, keys('KeyA'), 1, 1).aside).toBeCloseTo(-1, 9);
    expect(moved(view, keys('KeyR', 'KeyF'), 1, 1)).toEqual(view);
    expect(moved(view, keys('KeyX'), 1, 1)).toEqual(view);
  });

  it('looks around but not over', () => {
    expect(looked(view, 10, 5)).toMatchObject({ yaw: 10, pitch: -5 });
    expect(looked(view, 0, -500).pitch).toBe(90);
  });

  it('the wheel changes the pace within reason', () => {
    expect(paced(1, 1)).toBeGreaterThan(1);
    expect(paced(paced(1, 3), -3)).toBeCloseTo(1, 9);
    expect(paced(1, 1000)).toBe(200);
  });
});
