import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { joinsOf } from './tried';
import type { Answered, Asked, Start } from './worker';

/** Stands in for the workers of the browser: answers as the real one does, unless it is told not to. */
class FakeWorker {
  static made: FakeWorker[] = [];
  onmessage: ((event: { data: Answered }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  asked: string[] = [];
  ended = false;
  silent = false;

  constructor() {
    FakeWorker.made.push(this);
    this.say({ started: true });
  }

  private say(data: Answered): void {
    queueMicrotask(() => {
      if (!this.ended && !this.silent) this.onmessage?.({ data });
    });
  }

  postMessage(asked: Asked | Start): void {
    this.asked.push(asked.do);
    this.say(asked.do === 'start' ? { started: true } : { joins: null });
  }

  terminate(): void {
    this.ended = true;
  }
}

const ask = () => joinsOf(new Blob(), 'tide.mp4');

describe('workers that try files', () => {
  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal('Worker', FakeWorker);
    FakeWorker.made = [];
  });
  afterEach(async () => {
    await vi.advanceTimersByTimeAsync(2000);
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('serve what is asked soon after, when they say that they are there, and end when nothing is', async () => {
    await ask();
    for (let i = 0; i < 2; i++) {
      await vi.advanceTimersByTimeAsync(900);
      await ask();
    }
    const asked = ['join', 'start', 'join', 'start', 'join'];
    expect(FakeWorker.made).toMatchObject([{ asked, ended: false }]);
    await vi.advanceTimersByTimeAsync(1100);
    expect(FakeWorker.made[0].ended).toBe(true);
    await ask();
    expect(FakeWorker.made.length).toBe(2);
  });

  it('are one each for what is asked at the same time, of which one is kept', async () => {
    await Promise.all([ask(), ask(), ask()]);
    expect(FakeWorker.made.length).toBe(3);
    expect(FakeWorker.made.filter(({ ended }) => !ended).length).toBe(1);
  });

  it('that have died meanwhile are heard of, ended, and not asked again', async () => {
    await ask();
    FakeWorker.made[0].silent = true;
    const late = expect(ask()).rejects.toThrow('did not start');
    await vi.advanceTimersByTimeAsync(9500);
    await late;
    expect(FakeWorker.made[0].ended).toBe(true);
    await ask();
    expect(FakeWorker.made.length).toBe(2);
  });
});
