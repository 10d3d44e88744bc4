import * as Comlink from 'comlink';
import type { Delivery } from '../core/deliveries/form';
import type { Piece } from '../core/piece/schema';
import { engineUrl } from '../engine/client';
import { guarded, workerName, type Guarded } from '../engine/work/guard';
import type { ExportApi, ExportProgress, ExportResult, Keeping } from './worker';
import workerUrl from './worker.ts?worker&url';

export { workerUrl as exportUrl };
export type { ExportProgress, ExportResult, Keeping } from './worker';

/** Names the programs that draw and encode: what others have begun, these do not go on with. */
export const PROGRAM = `${engineUrl} ${workerUrl}`;

export interface RunningExport {
  /** rejects with words when drawing or encoding failed, or a worker did not start or has stopped */
  result: Promise<ExportResult>;
  /** ends it at once; what was finished stays kept */
  stop(): void;
}

const startWorker = (): Guarded<ExportApi> =>
  guarded<ExportApi>(
    'The export worker',
    workerName('export'),
    (name) => new Worker(workerUrl, { type: 'module', name }),
  );

/** Renders and encodes in workers; the calling thread only hears of progress. */
export function startExport(
  piece: Piece,
  delivery: Delivery,
  keeping: Keeping,
  progress: (progress: ExportProgress) => void,
): RunningExport {
  const worker = startWorker();
  let done = 0;
  const tell = (now: ExportProgress): void => {
    ({ done } = now);
    progress(now);
  };
  let end: (result: ExportResult) => void = () => undefined;
  const stopped = new Promise<ExportResult>((resolve) => (end = resolve));
  // its own workers, the engine and the encoder, end with it
  const result = Promise.race([worker.api.run(piece, delivery, keeping, Comlink.proxy(tell)), stopped]).finally(
    worker.close,
  );
  return { result, stop: () => end({ state: 'stopped', done }) };
}

async function withWorker<T>(work: (api: Guarded<ExportApi>['api']) => Promise<T>): Promise<T> {
  const worker = startWorker();
  try {
    return await work(worker.api);
  } finally {
    worker.close();
  }
}

/** The file of a job that was finished before, or null when it is not there any more. */
export const finishedFile = (piece: Piece, delivery: Delivery, job: string): Promise<Blob | null> =>
  withWorker((api) => api.finished(piece, delivery, job));

/** The numbered pictures of a job that was finished before, or null when they are not there any more. */
export const finishedPictures = (
  piece: Piece,
  delivery: Delivery,
  job: string,
): Promise<{ name: string; file: Blob }[] | null> => withWorker((api) => api.pictures(piece, delivery, job));
