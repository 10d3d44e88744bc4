import { createStore, type StoreApi } from 'zustand/vanilla';
import { formatOf } from '../core/deliveries/formats';
import { deliveryFrames, type Delivery } from '../core/deliveries/form';
import type { Piece } from '../core/piece/schema';
import { troubleWords } from '../core/trouble';
import { pieceFileName } from '../formats/pieceFile';
import type { RunningExport } from './client';
import type { ExportProgress, ExportResult } from './worker';

/** A delivery of a piece as it was when it was asked for. */
export interface Job {
  id: string;
  name: string;
  piece: Piece;
  delivery: Delivery;
  state: 'waiting' | 'running' | 'done' | 'cancelled' | 'failed';
  progress: ExportProgress | null;
  /** what verification found, why it was refused, or how far it came */
  says: string;
  verified: boolean;
  result: Blob | null;
}

/** File name of a delivery: piece, size, and the frames when they are not the whole lap. */
export function deliveryName(piece: Piece, delivery: Delivery): string {
  const { first, last, whole } = deliveryFrames(delivery, piece.lap.frames);
  const part = whole ? '' : `-${first}-${last}`;
  return pieceFileName(piece, `-${delivery.width}x${delivery.height}${part}${formatOf(delivery.format).extension}`);
}

/** Begins a job: see client.ts. */
export type Start = (piece: Piece, delivery: Delivery, progress: (now: ExportProgress) => void) => RunningExport;

/** What the queue tells of its work. */
export interface QueueListener {
  /** from when on something is being rendered, and until when */
  busy(busy: boolean): void;
  /** a job has ended, however it did */
  ended(job: Job): void;
}

/** Jobs, one rendered after another; those who look at it subscribe to its store. */
export class ExportQueue {
  readonly store: StoreApi<{ jobs: readonly Job[] }> = createStore(() => ({ jobs: [] }));
  private running: { id: string; job: RunningExport } | null = null;
  /** what gives back the files of the jobs that are done */
  private readonly files = new Map<string, () => void>();

  constructor(
    private readonly start: Start,
    private readonly listener: QueueListener,
  ) {}

  get jobs(): readonly Job[] {
    return this.store.getState().jobs;
  }

  /** @param id of the new job */
  add(id: string, piece: Piece, delivery: Delivery): void {
    const name = deliveryName(piece, delivery);
    const fresh = { state: 'waiting', progress: null, says: '', verified: false, result: null } as const;
    this.set([...this.jobs, { id, name, piece, delivery, ...fresh }]);
    void this.next();
  }

  cancel(id: string): void {
    if (this.running?.id === id) this.running.job.cancel();
    else this.update(id, { state: 'cancelled', says: 'not started' });
  }

  /** Takes a job from the list, and its file from the disk. */
  forget(id: string): void {
    this.files.get(id)?.();
    this.files.delete(id);
    this.set(this.jobs.filter((job) => job.id !== id));
  }

  private set(jobs: readonly Job[]): void {
    this.store.setState({ jobs });
  }

  private update(id: string, change: Partial<Job>): void {
    this.set(this.jobs.map((job) => (job.id === id ? { ...job, ...change } : job)));
  }

  /** Renders the job that waits longest, then the next; never throws. */
  private async next(): Promise<void> {
    if (this.running) return;
    const job = this.jobs.find(({ state }) => state === 'waiting');
    if (!job) return;
    const { id } = job;
    this.update(id, { state: 'running' });
    this.listener.busy(true);
    try {
      this.running = { id, job: this.start(job.piece, job.delivery, (progress) => this.update(id, { progress })) };
      const result = await this.running.job.result;
      if (result.state === 'done') this.files.set(id, this.running.job.giveBack);
      this.update(id, ended(job.delivery, result));
    } catch (error) {
      this.update(id, { state: 'failed', says: troubleWords(error) });
    }
    this.running = null;
    this.listener.busy(false);
    const now = this.jobs.find((other) => other.id === id);
    if (now) this.listener.ended(now);
    void this.next();
  }
}

/** What a job is once it has ended. */
function ended({ format }: Delivery, result: ExportResult): Partial<Job> {
  switch (result.state) {
    case 'refused':
      return { state: 'failed', says: result.says };
    case 'cancelled':
      return { state: 'cancelled', says: `stopped after ${result.done} frames` };
    case 'done': {
      // a part of a file on the disk is that file: nothing is read
      const blob = result.file.slice(0, result.file.size, formatOf(format).mime);
      return { state: 'done', says: result.verified.says, verified: result.verified.ok, result: blob };
    }
  }
}
