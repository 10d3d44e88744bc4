import { useStore } from 'zustand';
import type { Delivery } from '../../../core/deliveries/form';
import type { Piece } from '../../../core/piece/schema';
import { startExport } from '../../../export/client';
import { ExportQueue, type Job } from '../../../export/queue';
import { saveBlob } from '../../shell/save';
import { announce } from '../../state/announce';
import { useBench } from '../../state/bench';
import { newId } from '../../state/edit';
import { say, unsay } from '../../state/notices';

/** Asks before the page is left while something is being rendered: it would be lost. */
const holdPage = (event: BeforeUnloadEvent): void => event.preventDefault();

const endedNotice = ({ id }: Job): string => `ended ${id}`;

/** Reads out how a job ended, and shows it where the queue is not in sight. */
function tellEnd(job: Job, words: string, well: boolean): void {
  announce(`${job.name} ${well ? 'is ready' : 'failed'}.`);
  const { step, history } = useBench.getState();
  if (step !== 'export' || !history) say(words, { id: endedNotice(job), tone: well ? 'remark' : 'trouble' });
}

function ended(job: Job): void {
  const { name, state, says, verified, result } = job;
  if (state === 'cancelled') announce(`${name} was cancelled.`);
  if (state === 'failed') tellEnd(job, `${name} was not rendered: ${says}`, false);
  if (state !== 'done' || !result) return;
  saveBlob(result, name);
  tellEnd(job, `${name} is ready${verified ? '' : `, but ${says}`}.`, verified);
}

/** What this page renders. */
export const queue = new ExportQueue(startExport, {
  busy: (busy) => (busy ? addEventListener : removeEventListener)('beforeunload', holdPage),
  ended,
});

export const useJobs = (): readonly Job[] => useStore(queue.store, ({ jobs }) => jobs);

/** Puts a delivery of the piece as it is now into the queue. */
export const render = (piece: Piece, delivery: Delivery): void => queue.add(newId('job'), piece, delivery);

/** The queue is in sight: what was said of it elsewhere is said there. */
export const seen = (): void => queue.jobs.forEach((job) => unsay(endedNotice(job)));
