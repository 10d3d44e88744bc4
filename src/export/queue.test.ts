import { beforeEach, describe, expect, it } from 'vitest';
import { DELIVERY, type Delivery } from '../core/deliveries/form';
import { PieceSchema } from '../core/piece/schema';
import { Trouble } from '../core/trouble';
import { ExportQueue, type Job } from './queue';
import type { ExportResult } from './worker';

const piece = PieceSchema.parse({
  id: 'p',
  name: 'Quay blocks',
  lap: { frames: 48, rate: { num: 24, den: 1 } },
  layers: [],
  flight: {},
  look: {},
});
const delivery = (more: Partial<Delivery> = {}): Delivery =>
  DELIVERY.schema.parse({ id: 'd', format: 'png', width: 64, height: 36, ...more });
const done = (ok = true): ExportResult => ({
  state: 'done',
  file: new Blob([new Uint8Array([1, 2])]),
  verified: { frames: 48, seconds: 2, ok, says: ok ? '48 pictures' : 'one is missing' },
  seconds: 1,
});
const settle = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** Jobs begun, each with how it is brought to an end. */
let begun: { end(result: ExportResult): void; fail(error: Error): void }[];
/** numbers of the jobs whose files were given back, from 1 */
let givenBack: number[];
let busy: boolean[];
let ended: Job[];
let queue: ExportQueue;
beforeEach(() => {
  begun = [];
  givenBack = [];
  busy = [];
  ended = [];
  queue = new ExportQueue(
    (_, __, progress) => {
      let end: (result: ExportResult) => void = () => undefined;
      let fail: (error: Error) => void = () => undefined;
      const result = new Promise<ExportResult>((resolve, reject) => ([end, fail] = [resolve, reject]));
      begun.push({ end, fail });
      progress({ done: 3, of: 48, left: null });
      const n = begun.length;
      return { result, cancel: () => end({ state: 'cancelled', done: 3 }), giveBack: () => givenBack.push(n) };
    },
    { busy: (now) => busy.push(now), ended: (job) => ended.push(job) },
  );
});
const states = (): string[] => queue.jobs.map(({ state }) => state);

describe('the queue', () => {
  it('renders one after another, names each file by what is in it, and keeps what was read back', async () => {
    queue.add('a', piece, delivery());
    queue.add('b', piece, delivery({ first: 4, last: 9 }));
    expect(states()).toEqual(['running', 'waiting']);
    expect(queue.jobs.map(({ name }) => name)).toEqual(['quay-blocks-64x36.zip', 'quay-blocks-64x36-4-9.zip']);
    expect(queue.jobs[0].progress).toEqual({ done: 3, of: 48, left: null });
    begun[0].end(done());
    await settle();
    expect(states()).toEqual(['done', 'running']);
    begun[1].end(done(false));
    await settle();
    expect(queue.jobs[1]).toMatchObject({ state: 'done', verified: false, says: 'one is missing' });
    expect(await queue.jobs[0].result?.arrayBuffer()).toEqual(new Uint8Array([1, 2]).buffer);
    expect(busy).toEqual([true, false, true, false]);
    expect(ended.map(({ id }) => id)).toEqual(['a', 'b']);
  });

  it('goes on after what fails, is refused or is cancelled, and says why', async () => {
    for (const id of ['a', 'b', 'c', 'd']) queue.add(id, piece, delivery());
    queue.cancel('d');
    begun[0].fail(new Trouble('stopped', 'it stopped', { would: 'Trying again may help.' }));
    await settle();
    begun[1].end({ state: 'refused', says: 'odd sizes' });
    await settle();
    queue.cancel('c');
    await settle();
    expect(queue.jobs.map(({ state, says }) => `${state}: ${says}`)).toEqual([
      'failed: it stopped. Trying again may help.',
      'failed: odd sizes',
      'cancelled: stopped after 3 frames',
      'cancelled: not started',
    ]);
    expect(begun.length).toBe(3);
    queue.forget('a');
    expect(queue.jobs.map(({ id }) => id)).toEqual(['b', 'c', 'd']);
    // there was no file to give back
    expect(givenBack).toEqual([]);
  });

  it('what is forgotten gives the room of its file back, once', async () => {
    for (const id of ['a', 'b']) queue.add(id, piece, delivery());
    begun[0].end(done());
    await settle();
    begun[1].end(done());
    await settle();
    queue.forget('b');
    queue.forget('b');
    expect(givenBack).toEqual([2]);
    queue.forget('a');
    expect(givenBack).toEqual([2, 1]);
  });

  it('a job that cannot even begin is a failed one', async () => {
    const odd = new ExportQueue(
      () => {
        throw new Trouble('not-started', 'no worker');
      },
      { busy: (now) => busy.push(now), ended: (job) => ended.push(job) },
    );
    odd.add('a', piece, delivery());
    await settle();
    expect(odd.jobs[0]).toMatchObject({ state: 'failed', says: 'no worker' });
    expect(busy).toEqual([true, false]);
  });
});
