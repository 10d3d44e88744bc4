import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { EngineClient } from '../protocol';
import { Lane } from './lane';

/** Engines whose work takes as long as it says, and that end when they are closed. */
function engines() {
  const made = { started: 0, closed: 0 };
  const start = (): EngineClient => {
    made.started++;
    return { api: {}, ended: new Promise(() => undefined), close: () => made.closed++ } as unknown as EngineClient;
  };
  return { made, start };
}
const after =
  <T>(ms: number, value: T) =>
  () =>
    new Promise<T>((resolve) => setTimeout(() => resolve(value), ms));
const outcome = (work: Promise<unknown>) => work.then(String, (error: Error) => error.name);

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

describe('a lane of background work', () => {
  it('of what is asked for in a row does the first and the last', async () => {
    const { made, start } = engines();
    const lane = new Lane(start);
    const asked = ['a', 'b', 'c', 'd'].map((name) => outcome(lane.run(after(500, name))));
    await vi.advanceTimersByTimeAsync(1100);
    expect(await Promise.all(asked)).toEqual(['a', 'superseded', 'superseded', 'd']);
    expect(made).toEqual({ started: 1, closed: 0 });
  });

  it('ends what takes too long once something newer waits, and goes on with another engine', async () => {
    const { made, start } = engines();
    const lane = new Lane(start);
    const slow = outcome(lane.run(after(1e9, 'slow')));
    await vi.advanceTimersByTimeAsync(60_000);
    const next = outcome(lane.run(after(100, 'next')));
    await vi.advanceTimersByTimeAsync(1700);
    expect(await Promise.all([slow, next])).toEqual(['superseded', 'next']);
    expect(made).toEqual({ started: 2, closed: 1 });
  });

  it('is cancelled at once, whatever it is in the middle of', async () => {
    const { start } = engines();
    const lane = new Lane(start);
    const asked = [lane.run(after(1e9, 'slow')), lane.run(after(1, 'waiting'))].map(outcome);
    lane.cancel();
    await vi.advanceTimersByTimeAsync(1);
    expect(await Promise.all(asked)).toEqual(['cancelled', 'cancelled']);
    const again = outcome(lane.run(after(1, 'again')));
    await vi.advanceTimersByTimeAsync(2);
    expect(await again).toBe('again');
  });

  it('after a failure starts anew', async () => {
    const { made, start } = engines();
    const lane = new Lane(start);
    const failed = outcome(lane.run(() => Promise.reject(new TypeError('broken'))));
    await vi.advanceTimersByTimeAsync(1);
    expect(await failed).toBe('TypeError');
    const well = outcome(lane.run(after(1, 'well')));
    await vi.advanceTimersByTimeAsync(2);
    expect(await well).toBe('well');
    expect(made).toEqual({ started: 2, closed: 1 });
  });
});
