import * as Comlink from 'comlink';
import type { Delivery } from '../core/deliveries/form';
import type { Piece } from '../core/piece/schema';
import { guarded, workerName } from '../engine/work/guard';
import { giveBack, newPlace } from './bytes/place';
import type { ExportApi, ExportProgress, ExportResult } from './worker';
import workerUrl from './worker.ts?worker&url';

export { MemorySink } from './bytes/memory';
export { codecOf } from './codecs/registry';
export { workerUrl as exportUrl };
export type { ExportProgress, ExportResult } from './worker';

/** By when a file that is being saved has been read, in milliseconds. */
const SAVED_BY_MS = 60_000;

export interface RunningExport {
  /** rejects with words when drawing or encoding failed, or a worker did not start or has stopped */
  result: Promise<ExportResult>;
  /** ends it at once */
  cancel(): void;
  /** gives back the room of its file, which cannot be read any more */
  giveBack(): void;
}

/** Renders and encodes in workers; the calling thread only hears of progress. */
export function startExport(
  piece: Piece,
  delivery: Delivery,
  progress: (progress: ExportProgress) => void,
): RunningExport {
  const worker = guarded<ExportApi>(
    'The export worker',
    workerName('export'),
    (name) => new Worker(workerUrl, { type: 'module', name }),
  );
  let done = 0;
  const tell = (now: ExportProgress): void => {
    ({ done } = now);
    progress(now);
  };
  let stop: (result: ExportResult) => void = () => undefined;
  const stopped = new Promise<ExportResult>((resolve) => (stop = resolve));
  // its own workers, the engine and the encoder, end with it
  const place = newPlace();
  // what was never written, or is still held, goes with the page: see bytes/place.ts
  const release = (): void => void giveBack(place).catch(() => undefined);
  const result = Promise.race([worker.api.run(piece, delivery, place, Comlink.proxy(tell)), stopped])
    .finally(worker.close)
    .then(
      (ended) => {
        if (ended.state !== 'done') release();
        return ended;
      },
      (error: unknown) => {
        release();
        throw error;
      },
    );
  return {
    result,
    cancel: () => stop({ state: 'cancelled', done }),
    // what was saved a moment ago may still be read
    giveBack: () => void setTimeout(release, SAVED_BY_MS),
  };
}
