import { create } from 'zustand';
import { deliveryFrames, type Delivery } from '../../../core/deliveries/form';
import type { Piece } from '../../../core/piece/schema';
import { codecOf, startExport, type ExportProgress, type RunningExport } from '../../../export/client';
import { pieceFileName } from '../../../formats/pieceFile';
import { troubleWords } from '../../../core/trouble';
import { announce } from '../../state/announce';
import { useBench } from '../../state/bench';
import { newId } from '../../state/edit';
import { say, unsay } from '../../state/notices';
import { saveBlob } from '../../shell/save';

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

export const useJobs = create<{ jobs: Job[] }>(() => ({ jobs: [] }));

const update = (id: string, change: Partial<Job>): void =>
  useJobs.setState(({ jobs }) => ({ jobs: jobs.map((job) => (job.id === id ? { ...job, ...change } : job)) }));

let running: { id: string; job: RunningExport } | null = null;

/** File name of a delivery: piece, size, and the frames when they are not the whole lap. */
export function deliveryName(piece: Piece, delivery: Delivery): string {
  const { first, last, whole } = deliveryFrames(delivery, piece.lap.frames);
  const part = whole ? '' : `-${first}-${last}`;
  return pieceFileName(piece, `-${delivery.width}x${delivery.height}${part}${codecOf(delivery.format).extension}`);
}

/** Puts a delivery of the piece as it is now into the queue. */
export function render(piece: Piece, delivery: Delivery): void {
  const job: Job = {
    id: newId('job'),
    name: deliveryName(piece, delivery),
    piece,
    delivery,
    state: 'waiting',
    progress: null,
    says: '',
    verified: false,
    result: null,
  };
  useJobs.setState(({ jobs }) => ({ jobs: [...jobs, job] }));
  void next();
}

const endedNotice = ({ id }: Job): string => `ended ${id}`;

/** The queue is in sight: what was said of it elsewhere is said there. */
export const seen = (): void => useJobs.getState().jobs.forEach((job) => unsay(endedNotice(job)));

/** Reads out how a job ended, and shows it where the queue is not in sight. */
function tellEnd(job: Job, words: string, well: boolean): void {
  announce(`${job.name} ${well ? 'is ready' : 'failed'}.`);
  const { step, history } = useBench.getState();
  if (step !== 'export' || !history) say(words, { id: endedNotice(job), tone: well ? 'remark' : 'trouble' });
}

/** Asks before the page is left while something is being rendered: it would be lost. */
const holdPage = (event: BeforeUnloadEvent): void => event.preventDefault();

async function next(): Promise<void> {
  if (running) return;
  const job = useJobs.getState().jobs.find(({ state }) => state === 'waiting');
  if (!job) return;
  update(job.id, { state: 'running' });
  addEventListener('beforeunload', holdPage);
  running = { id: job.id, job: startExport(job.piece, job.delivery, (progress) => update(job.id, { progress })) };
  try {
    const result = await running.job.result;
    if (result.state === 'refused') {
      update(job.id, { state: 'failed', says: result.says });
      tellEnd(job, `${job.name} was not rendered: ${result.says}.`, false);
    } else if (result.state === 'cancelled') {
      update(job.id, { state: 'cancelled', says: `stopped after ${result.done} frames` });
      announce(`${job.name} was cancelled.`);
    } else {
      const blob = new Blob([result.bytes as Uint8Array<ArrayBuffer>], { type: codecOf(job.delivery.format).mime });
      update(job.id, { state: 'done', says: result.verified.says, verified: result.verified.ok, result: blob });
      saveBlob(blob, job.name);
      tellEnd(
        job,
        `${job.name} is ready${result.verified.ok ? '' : `, but ${result.verified.says}`}.`,
        result.verified.ok,
      );
    }
  } catch (error) {
    update(job.id, { state: 'failed', says: troubleWords(error) });
    tellEnd(job, `${job.name} was not rendered: ${troubleWords(error)}`, false);
  } finally {
    running = null;
    removeEventListener('beforeunload', holdPage);
    void next();
  }
}

export function cancelJob(id: string): void {
  if (running?.id === id) running.job.cancel();
  else update(id, { state: 'cancelled', says: 'not started' });
}

export const forgetJob = (id: string): void =>
  useJobs.setState(({ jobs }) => ({ jobs: jobs.filter((job) => job.id !== id) }));
