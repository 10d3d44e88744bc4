import { useStore } from 'zustand';
import type { Delivery } from '../../../core/deliveries/form';
import type { Piece } from '../../../core/piece/schema';
import { troubleWords } from '../../../core/trouble';
import { finishedFile, finishedPictures, PROGRAM, startExport } from '../../../export/client';
import { forgetFiles, sweepFiles } from '../../../export/kept/ownFiles';
import { ExportQueue, type Job } from '../../../export/queue';
import { allJobs, changeJob, putJob, removeJob, watchJobs } from '../../../store/jobs';
import { storeTrouble } from '../../../store/room';
import { saveBlob } from '../../shell/save';
import { announce } from '../../state/announce';
import { useBench } from '../../state/bench';
import { newId } from '../../state/edit';
import { say, unsay } from '../../state/notices';

/** Held by the page that renders. */
const LOCK = 'isomorph rendering';

/** Asks before the page is left while something is being rendered: it would rest until a page is open again. */
const holdPage = (event: BeforeUnloadEvent): void => event.preventDefault();

const endedNotice = ({ id }: Job): string => `ended ${id}`;

/** Reads out how a job ended, and shows it where the queue is not in sight. */
function tellEnd(job: Job, words: string, well: boolean): void {
  announce(`${job.name} ${well ? 'is ready' : 'failed'}.`);
  const { step, history } = useBench.getState();
  if (step !== 'export' || !history) say(words, { id: endedNotice(job), tone: well ? 'remark' : 'trouble' });
}

/** Says what is rendered without being asked for, where the queue is not in sight. */
function goesOn(job: Job): void {
  const { step, history } = useBench.getState();
  if (step !== 'export' || !history)
    say(`${job.name} goes on: ${job.done} of ${job.of} frames were finished before.`, {
      ...{ id: endedNotice(job), tone: 'remark' },
    });
}

function ended(job: Job, file: Blob | null): void {
  const { name, state, says, verified } = job;
  if (state === 'failed') tellEnd(job, `${name} was not rendered: ${says}`, false);
  if (state !== 'done' || !file) return;
  saveBlob(file, name);
  tellEnd(job, `${name} is ready${verified ? '' : `, but ${says}`}.`, verified);
}

/** What this browser renders, whichever page does. */
export const queue = new ExportQueue(
  {
    start: startExport,
    jobs: { all: allJobs, put: putJob, change: changeJob, remove: removeJob, watch: watchJobs },
    alone: async (work) => void (await navigator.locks.request(LOCK, work)),
    forget: forgetFiles,
    sweep: sweepFiles,
    program: PROGRAM,
  },
  {
    goesOn,
    busy: (busy) => (busy ? addEventListener : removeEventListener)('beforeunload', holdPage),
    ended,
  },
);

// not where pages are made on the server, or in tests of other rooms
if (typeof window !== 'undefined') queue.begin();

export const useJobs = (): readonly Job[] => useStore(queue.store, ({ jobs }) => jobs);

/** Puts a delivery of the piece as it is now into the queue. */
export const render = (piece: Piece, delivery: Delivery): void =>
  void queue
    .add(newId('job'), piece, delivery)
    .catch((error: unknown) =>
      say(`The delivery was not put into the queue: ${storeTrouble(error)}.`, { tone: 'trouble' }),
    );

/** Saves the file of a job that is done. */
export async function saveJob({ id, name, piece, delivery }: Job): Promise<void> {
  try {
    const file = await finishedFile(piece, delivery, id);
    if (file) saveBlob(file, name);
    else say(`${name} is not kept any more. Render it again.`, { tone: 'trouble' });
  } catch (error) {
    say(`${name} was not saved: ${troubleWords(error)}`, { tone: 'trouble' });
  }
}

/** Whether this browser lets pages write into folders. */
export const canSaveFolder = typeof window !== 'undefined' && 'showDirectoryPicker' in window;

declare global {
  interface Window {
    /** of the File System Access draft (WICG), where it is there */
    showDirectoryPicker?(options: { id: string; mode: 'readwrite' }): Promise<FileSystemDirectoryHandle>;
  }
}

/** Saves the pictures of a job that is done into a folder the user chooses, one after another. */
export async function saveJobFolder({ id, name, piece, delivery }: Job): Promise<void> {
  const notice = `folder ${id}`;
  try {
    const folder = await window.showDirectoryPicker?.({ id: 'isomorph', mode: 'readwrite' });
    if (!folder) return;
    const pictures = await finishedPictures(piece, delivery, id);
    if (!pictures) {
      say(`${name} is not kept any more. Render it again.`, { tone: 'trouble' });
      return;
    }
    for (const [index, picture] of pictures.entries()) {
      say(`${index} of ${pictures.length} pictures are in “${folder.name}”.`, { id: notice, tone: 'remark' });
      const out = await (await folder.getFileHandle(picture.name, { create: true })).createWritable();
      await picture.file.stream().pipeTo(out);
    }
    say(`${pictures.length} pictures are in “${folder.name}”.`, { id: notice, tone: 'remark' });
  } catch (error) {
    unsay(notice);
    if (error instanceof DOMException && error.name === 'AbortError') return;
    say(`The pictures were not all saved: ${troubleWords(error)}`, { tone: 'trouble' });
  }
}

/** The queue is in sight: what was said of it elsewhere is said there. */
export const seen = (): void => queue.jobs.forEach((job) => unsay(endedNotice(job)));
