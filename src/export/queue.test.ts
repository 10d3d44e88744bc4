import { beforeEach, describe, expect, it } from 'vitest';
import { DELIVERY, type Delivery } from '../core/deliveries/form';
import { PieceSchema } from '../core/piece/schema';
import { Trouble } from '../core/trouble';
import { FORMATS } from '../core/deliveries/formats';
import { deliveryName, ExportQueue, type Job, type JobStore, type QueueMeans } from './queue';
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
  remarks: [],
  seconds: 1,
  found: 0,
});
const settle = async (): Promise<void> => {
  for (let i = 0; i < 5; i++) await new Promise((resolve) => setTimeout(resolve));
};

/** What every page of a browser sees. */
class Browser implements JobStore {
  private readonly rows = new Map<string, Job>();
  private readonly watching = new Set<(jobs: readonly Job[]) => void>();
  private last: Promise<void> = Promise.resolve();

  private sorted(): Job[] {
    return [...this.rows.values()].sort((a, b) => a.order - b.order);
  }
  private tell(): void {
    for (const tell of this.watching) tell(this.sorted());
  }
  all(): Promise<Job[]> {
    return Promise.resolve(this.sorted());
  }
  put(job: Job): Promise<void> {
    this.rows.set(job.id, job);
    this.tell();
    return Promise.resolve();
  }
  change(id: string, change: Partial<Job>): Promise<boolean> {
    const job = this.rows.get(id);
    if (job) this.rows.set(id, { ...job, ...change });
    this.tell();
    return Promise.resolve(job !== undefined);
  }
  remove(id: string): Promise<void> {
    this.rows.delete(id);
    this.tell();
    return Promise.resolve();
  }
  watch(tell: (jobs: readonly Job[]) => void): () => void {
    this.watching.add(tell);
    void Promise.resolve().then(() => tell(this.sorted()));
    return () => this.watching.delete(tell);
  }
  /** one page after another */
  lock(work: () => Promise<void>): Promise<void> {
    const mine = this.last.then(work);
    this.last = mine.catch(() => undefined);
    return mine;
  }
  /** a page that crashes lets go of what it held */
  crash(): void {
    this.last = Promise.resolve();
  }
}

/** Jobs begun, each with how it is brought to an end. */
let begun: { page: string; name: string; end(result: ExportResult): void; fail(error: Error): void }[];
let forgotten: string[];
let swept: string[][];
let busy: boolean[];
let ended: Job[];
let wentOn: string[];
let files: (Blob | null)[];
let browser: Browser;

function open(page = 'one', more: Partial<QueueMeans> = {}): ExportQueue {
  const queue = new ExportQueue(
    {
      jobs: browser,
      alone: (work) => browser.lock(work),
      forget: (id) => Promise.resolve(void forgotten.push(id)),
      sweep: (ids) => Promise.resolve(void swept.push([...ids])),
      program: '1',
      start(own, asked, keeping, progress) {
        let end: (result: ExportResult) => void = () => undefined;
        let fail: (error: Error) => void = () => undefined;
        const result = new Promise<ExportResult>((resolve, reject) => ([end, fail] = [resolve, reject]));
        begun.push({ page, name: `${'own' in keeping ? keeping.own : ''} ${asked.width} ${own.name}`, end, fail });
        progress({ done: 3, of: 48, left: null });
        return { result, stop: () => end({ state: 'stopped', done: 3 }) };
      },
      ...more,
    },
    {
      busy: (now) => busy.push(now),
      goesOn: ({ id, done: kept }) => wentOn.push(`${id} ${kept}`),
      ended: (job, file) => {
        ended.push(job);
        files.push(file);
      },
    },
  );
  queue.begin();
  return queue;
}
beforeEach(() => {
  [begun, forgotten, swept, busy, ended, files, wentOn] = [[], [], [], [], [], [], []];
  browser = new Browser();
});
const states = async (): Promise<string[]> => (await browser.all()).map(({ id, state }) => `${id} ${state}`);

describe('the queue', () => {
  it('renders one after another, names each file by what is in it, and keeps what was read back', async () => {
    const queue = open();
    await queue.add('a', piece, delivery());
    await queue.add('b', piece, delivery({ first: 4, last: 9 }));
    await settle();
    expect(await states()).toEqual(['a running', 'b waiting']);
    expect(queue.jobs.map(({ name, of }) => `${name} ${of}`)).toEqual([
      'quay-blocks-64x36-png.zip 48',
      'quay-blocks-64x36-4-9-png.zip 6',
    ]);
    expect(queue.jobs[0]).toMatchObject({ done: 3, of: 48, left: null });
    begun[0].end(done());
    await settle();
    expect(await states()).toEqual(['a done', 'b running']);
    begun[1].end(done(false));
    await settle();
    expect(queue.jobs[1]).toMatchObject({ state: 'done', verified: false, says: 'one is missing' });
    expect(busy).toEqual([true, false, true, false]);
    expect(ended.map(({ id }) => id)).toEqual(['a', 'b']);
    expect(await files[0]?.arrayBuffer()).toEqual(new Uint8Array([1, 2]).buffer);
  });

  it('files of one ending have names of their own', () => {
    const name = (format: Delivery['format']) => deliveryName(piece, delivery({ format }));
    const names = FORMATS.map(({ kind }) => name(kind as Delivery['format']));
    expect(new Set(names).size).toBe(FORMATS.length);
    expect([name('mp4'), name('hevc'), name('exr'), name('poster')]).toEqual([
      ...['quay-blocks-64x36.mp4', 'quay-blocks-64x36-hevc.mp4'],
      ...['quay-blocks-64x36-exr.zip', 'quay-blocks-64x36-0.png'],
    ]);
  });

  it('goes on after what fails or is refused, says why, and tries again when it is wished', async () => {
    const queue = open();
    for (const id of ['a', 'b', 'c']) await queue.add(id, piece, delivery());
    await settle();
    begun[0].fail(new Trouble('stopped', 'it stopped', { would: 'Trying again may help.' }));
    await settle();
    begun[1].end({ state: 'refused', says: 'odd sizes' });
    await settle();
    expect(queue.jobs.map(({ state, says }) => `${state} ${says}`)).toEqual([
      'failed it stopped. Trying again may help.',
      'failed odd sizes',
      'running ',
    ]);
    await queue.goOn('a');
    begun[2].end(done());
    await settle();
    expect(begun.map(({ name }) => name[0])).toEqual(['a', 'b', 'c', 'a']);
    // nothing that was finished is given back for it
    expect(forgotten).toEqual([]);
  });

  it('what rests stops at once, keeps what is finished, and goes on', async () => {
    const queue = open();
    await queue.add('a', piece, delivery());
    await queue.add('b', piece, delivery());
    await settle();
    await queue.pause('a');
    await settle();
    expect(await states()).toEqual(['a paused', 'b running']);
    expect(queue.jobs[0]).toMatchObject({ done: 3, left: null });
    await queue.goOn('a');
    begun[1].end(done());
    await settle();
    expect(begun.map(({ name }) => name[0])).toEqual(['a', 'b', 'a']);
    expect([forgotten, ended.map(({ id }) => id)]).toEqual([[], ['b']]);
  });

  it('one that is to be first takes the place of the one that is rendered, which goes on after it', async () => {
    const queue = open();
    for (const id of ['a', 'b', 'c']) await queue.add(id, piece, delivery());
    await settle();
    await queue.first('c');
    await settle();
    expect(await states()).toEqual(['c running', 'a waiting', 'b waiting']);
    begun[1].end(done());
    await settle();
    expect(begun.map(({ name }) => name[0])).toEqual(['a', 'c', 'a']);
  });

  it('what is forgotten gives its room back, also while it is rendered', async () => {
    const queue = open();
    for (const id of ['a', 'b']) await queue.add(id, piece, delivery());
    await settle();
    await queue.forget('a');
    await settle();
    expect(await states()).toEqual(['b running']);
    expect(forgotten).toEqual(['a']);
    begun[1].end(done());
    await settle();
    await queue.forget('b');
    expect(forgotten).toEqual(['a', 'b']);
    expect(queue.jobs).toEqual([]);
  });

  it('two pages never render at once; the second takes over when the first is done', async () => {
    const [one, two] = [open('one'), open('two')];
    await one.add('a', piece, delivery());
    await two.add('b', piece, delivery());
    await settle();
    expect(begun.map(({ page, name }) => page + name[0])).toEqual(['onea']);
    expect(two.jobs.map(({ state }) => state)).toEqual(['running', 'waiting']);
    // whoever is looked at can stop it
    await two.pause('a');
    await settle();
    expect(await states()).toEqual(['a paused', 'b running']);
    expect(begun).toHaveLength(2);
  });

  it('what a page leaves that crashes, the next goes on with', async () => {
    const one = open('one');
    await one.add('a', piece, delivery());
    await settle();
    browser.crash();
    const two = open('two');
    await settle();
    expect(begun.map(({ page, name }) => page + name[0])).toEqual(['onea', 'twoa']);
    begun[1].end(done());
    await settle();
    expect(two.jobs[0]).toMatchObject({ state: 'done', verified: true });
    expect([forgotten, wentOn]).toEqual([[], ['a 3']]);
  });

  it('what another program has begun is begun anew', async () => {
    const one = open('one');
    await one.add('a', piece, delivery());
    await settle();
    browser.crash();
    open('two', { program: '2' });
    await settle();
    expect([forgotten, wentOn]).toEqual([['a'], []]);
    expect((await browser.all())[0].program).toBe('2');
    expect(begun).toHaveLength(2);
  });

  it('what is left of jobs that are not there any more is given back, once, when nobody renders', async () => {
    const one = open();
    await settle();
    await one.add('a', piece, delivery());
    await settle();
    begun[0].end(done());
    await settle();
    open('two');
    await settle();
    expect(swept).toEqual([[], ['a']]);
  });

  it('a job that cannot even begin is a failed one', async () => {
    const queue = open('one', {
      start() {
        throw new Trouble('not-started', 'no worker');
      },
    });
    await queue.add('a', piece, delivery());
    await settle();
    expect(queue.jobs[0]).toMatchObject({ state: 'failed', says: 'no worker' });
    expect(busy).toEqual([true, false]);
  });
});
