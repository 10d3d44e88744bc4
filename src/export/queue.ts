import { createStore, type StoreApi } from 'zustand/vanilla';
import { FORMATS, formatOf, isDrawn } from '../core/deliveries/formats';
import { cutOf, deliveryFrames, drawnFrames, type Delivery } from '../core/deliveries/form';
import type { Piece } from '../core/piece/schema';
import { troubleWords } from '../core/trouble';
import { pieceFileName } from '../formats/pieceFile';
import type { StoredJob } from '../store/database';
import type { RunningExport } from './client';
import type { ExportProgress, ExportResult, Keeping } from './worker';

export type Job = StoredJob;

/** What tells files of one ending apart. */
function formatWord(delivery: Delivery): string {
  const { kind, extension, holds } = formatOf(delivery.format);
  if (holds === 'track') return '-camera';
  const alike = FORMATS.filter((other) => other.extension === extension).length > 1;
  const plain = FORMATS.find((other) => other.extension === extension)?.kind === kind && extension !== '.zip';
  return alike && !plain ? `-${kind.toLowerCase()}` : '';
}

/** File name of a delivery: piece, size, the frames when they are not the whole lap, and the format where its ending does not say it. */
export function deliveryName(piece: Piece, delivery: Delivery): string {
  const { first, last, whole } = deliveryFrames(delivery, piece.lap.frames);
  const { left, top, width, height } = cutOf(delivery);
  const cut = left + top > 0 || width < delivery.width || height < delivery.height;
  const place = cut && formatOf(delivery.format).holds !== 'sheet' ? `-at-${left}-${top}-${width}x${height}` : '';
  const size = isDrawn(formatOf(delivery.format)) ? `-${delivery.width}x${delivery.height}${place}` : '';
  const part = whole ? '' : first === last ? `-${first}` : `-${first}-${last}`;
  return pieceFileName(piece, `${size}${part}${formatWord(delivery)}${formatOf(delivery.format).extension}`);
}

/** Begins a job: see client.ts. */
export type Start = (
  piece: Piece,
  delivery: Delivery,
  keeping: Keeping,
  progress: (now: ExportProgress) => void,
) => RunningExport;

/** Where jobs stand: see store/jobs.ts. Every page of the browser sees the same. */
export interface JobStore {
  all(): Promise<readonly Job[]>;
  put(job: Job): Promise<void>;
  /** @returns whether it was there to be changed */
  change(id: string, change: Partial<Job>): Promise<boolean>;
  remove(id: string): Promise<void>;
  /** tells all jobs now and after every change, of this page or another */
  watch(tell: (jobs: readonly Job[]) => void): () => void;
}

/** What the queue works with. */
export interface QueueMeans {
  start: Start;
  jobs: JobStore;
  /** Does something while no other page does: waits until it may. Ends with the page, however that ends. */
  alone(work: () => Promise<void>): Promise<void>;
  /** gives back what is kept of a job */
  forget(id: string): Promise<void>;
  /** gives back what is kept of all but these */
  sweep(ids: ReadonlySet<string>): Promise<void>;
  /** names the programs that render: parts that others made are not gone on with */
  program: string;
}

/** What the queue tells of its work in this page. */
export interface QueueListener {
  /** from when on something is being rendered, and until when */
  busy(busy: boolean): void;
  /** a job goes on of which something was finished before */
  goesOn(job: Job): void;
  /** a job has come to its end, or has failed. @param file what it came to */
  ended(job: Job, file: Blob | null): void;
}

/** How often progress is written down, in milliseconds, at most. */
const TELL_MS = 400;

const isOpen = ({ state }: Job): boolean => state === 'waiting' || state === 'running';

/**
 * Jobs, one rendered after another, by one page at a time. What they are is written down, and their finished parts are kept: a page that is closed, or
 * crashes, leaves them to the next.
 */
export class ExportQueue {
  readonly store: StoreApi<{ jobs: readonly Job[] }> = createStore(() => ({ jobs: [] }));
  private running: { id: string; job: RunningExport } | null = null;
  private working = false;
  private swept = false;

  constructor(
    private readonly means: QueueMeans,
    private readonly listener: QueueListener,
  ) {}

  /** Begins to look at the jobs, and to render them. */
  begin(): void {
    this.means.jobs.watch((jobs) => this.heard(jobs));
  }

  get jobs(): readonly Job[] {
    return this.store.getState().jobs;
  }

  /** @param id of the new job */
  async add(id: string, piece: Piece, delivery: Delivery): Promise<void> {
    const order = Math.max(0, ...this.jobs.map((job) => job.order)) + 1;
    const of = drawnFrames(delivery, piece.lap.frames).length;
    const fresh = { state: 'waiting', done: 0, of, left: null, says: '', verified: false } as const;
    const { program } = this.means;
    await this.means.jobs.put({ id, order, name: deliveryName(piece, delivery), piece, delivery, program, ...fresh });
  }

  /** Lets a job rest; what is finished of it stays. */
  async pause(id: string): Promise<void> {
    await this.means.jobs.change(id, { state: 'paused', left: null });
  }

  /** Lets a job go on that rests or has failed. */
  async goOn(id: string): Promise<void> {
    await this.means.jobs.change(id, { state: 'waiting', says: '' });
  }

  /** Renders a job before all others; the one that is being rendered goes on after it. */
  async first(id: string): Promise<void> {
    const order = Math.min(0, ...this.jobs.map((job) => job.order)) - 1;
    for (const job of this.jobs)
      if (job.state === 'running' && job.id !== id) await this.means.jobs.change(job.id, { state: 'waiting' });
    await this.means.jobs.change(id, { order, state: 'waiting', says: '' });
  }

  /** Takes a job from the list, and all that is kept of it from the disk. */
  async forget(id: string): Promise<void> {
    const renders = this.jobs.find((job) => job.id === id)?.state === 'running';
    await this.means.jobs.remove(id);
    // else whoever renders it does so when it has stopped
    if (!renders) await this.means.forget(id);
  }

  private heard(jobs: readonly Job[]): void {
    this.store.setState({ jobs });
    const { running } = this;
    // somebody, here or in another page, has changed what is to be rendered
    if (running && jobs.find(({ id }) => id === running.id)?.state !== 'running') running.job.stop();
    if (jobs.some(isOpen)) void this.work();
    else if (!this.swept) void this.means.alone(() => this.sweep());
  }

  /** What was left of jobs that are not there any more. */
  private async sweep(): Promise<void> {
    if (this.swept) return;
    this.swept = true;
    await this.means.sweep(new Set((await this.means.jobs.all()).map(({ id }) => id))).catch(() => undefined);
  }

  /** Renders job after job, as long as there are any; never throws. */
  private async work(): Promise<void> {
    if (this.working) return;
    this.working = true;
    try {
      for (let more = true; more;)
        await this.means.alone(async () => {
          await this.sweep();
          // nobody else renders now: one that is said to run was ended in the middle
          const next = (await this.means.jobs.all()).find(isOpen);
          more = next !== undefined;
          if (next) await this.run(next);
        });
    } finally {
      this.working = false;
    }
  }

  private async run(job: Job): Promise<void> {
    const { id, piece, delivery, program, done } = job;
    const { jobs, start, forget } = this.means;
    if (done > 0) {
      if (program === this.means.program) this.listener.goesOn(job);
      else await forget(id);
    }
    if (!(await jobs.change(id, { state: 'running', program: this.means.program }))) return;
    this.listener.busy(true);
    let told = 0;
    const progress = (now: ExportProgress): void => {
      const at = performance.now();
      if (at - told < TELL_MS && now.done < now.of) return;
      told = at;
      void jobs.change(id, { done: now.done, of: now.of, left: now.left });
    };
    try {
      this.running = { id, job: start(piece, delivery, { own: id }, progress) };
      const result = await this.running.job.result;
      this.running = null;
      await this.ended(id, result);
    } catch (error) {
      this.running = null;
      await this.ended(id, { state: 'refused', says: troubleWords(error) });
    } finally {
      this.listener.busy(false);
    }
  }

  private async ended(id: string, result: ExportResult): Promise<void> {
    const { jobs, forget } = this.means;
    // it rests, waits, or is forgotten: whoever stopped it has said so
    if (result.state === 'stopped') {
      if (!(await jobs.change(id, { done: result.done, left: null }))) await forget(id);
      return;
    }
    const change: Partial<Job> =
      result.state === 'done'
        ? {
            state: 'done',
            says: [result.verified.says, ...result.remarks].join('; '),
            verified: result.verified.ok,
            left: null,
          }
        : { state: 'failed', says: result.says, left: null };
    if (!(await jobs.change(id, change))) {
      await forget(id);
      return;
    }
    const now = (await jobs.all()).find((job) => job.id === id);
    if (now) this.listener.ended(now, result.state === 'done' ? result.file : null);
  }
}
