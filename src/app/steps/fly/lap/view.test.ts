import { describe, expect, it } from 'vitest';
import { lapView, seenAt } from './view';

describe('the unrolled lap', () => {
  const view = lapView({ law: 'swing', middle: 2, reach: 3, cycles: 1, wave: 'sine', shift: 0 }, [], 1000, 160);

  it('shows one and a quarter laps, and finds phases and values again', () => {
    expect(view.phase(0)).toBeCloseTo(-0.125, 12);
    expect(view.phase(1000)).toBeCloseTo(1.125, 12);
    expect(view.phase(view.x(0.37))).toBeCloseTo(0.37, 12);
    expect(view.value(view.y(-0.6))).toBeCloseTo(-0.6, 9);
    expect(view.y(5)).toBeLessThan(view.y(-1));
    expect(view.y(5)).toBeGreaterThan(0);
    expect(view.y(-1)).toBeLessThan(view.height);
  });

  it('makes room for handles, and holds for a value that does not move', () => {
    const handles = lapView(1, [9], 400, 100);
    expect(handles.y(9)).toBeGreaterThan(0);
    expect(handles.y(1)).toBeLessThan(handles.height);
    expect(lapView(0, [], 400, 100).line).not.toContain('NaN');
  });

  it('what is near the seam is seen on both sides of it', () => {
    expect(seenAt(0.05).map((p) => Number(p.toFixed(9)))).toEqual([0.05, 1.05]);
    expect(seenAt(0.95).map((p) => Number(p.toFixed(9)))).toEqual([-0.05, 0.95]);
    expect(seenAt(0.5)).toEqual([0.5]);
  });
});
