import * as Comlink from 'comlink';
import type { Delivery } from '../core/deliveries/form';
import type { Piece } from '../core/piece/schema';
import { guarded, workerName } from '../engine/work/guard';
import type { ExportApi, ExportProgress, ExportResult } from './worker';
import workerUrl from './worker.ts?worker&url';

export { codecOf } from './codecs/registry';
export { workerUrl as exportUrl };
export type { ExportProgress, ExportResult } from './worker';

export interface RunningExport {
  /** rejects with words when drawing or encoding failed, or a worker did not start or has stopped */
  result: Promise<ExportResult>;
  /** ends it at once */
  cancel(): void;
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
  const result = Promise.race([worker.api.run(piece, delivery, Comlink.proxy(tell)), stopped]).finally(worker.close);
  return { result, cancel: () => stop({ state: 'cancelled', done }) };
}
