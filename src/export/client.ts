import * as Comlink from 'comlink';
import type { Delivery } from '../core/piece/delivery';
import type { Piece } from '../core/piece/schema';
import type { ExportApi, ExportProgress, ExportResult } from './worker';

export { codecOf } from './codecs/registry';
export type { ExportProgress, ExportResult } from './worker';

export interface RunningExport {
  /** rejects with words when drawing or encoding failed */
  result: Promise<ExportResult>;
  cancel(): void;
}

/** Renders and encodes in workers; the calling thread only hears of progress. */
export function startExport(
  piece: Piece,
  delivery: Delivery,
  progress: (progress: ExportProgress) => void,
): RunningExport {
  const worker = new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: 'export' });
  const api = Comlink.wrap<ExportApi>(worker);
  const crashed = new Promise<never>((_, fail) => {
    worker.onerror = (event) => fail(new Error(event.message || 'the export worker stopped'));
  });
  const result = Promise.race([api.run(piece, delivery, Comlink.proxy(progress)), crashed]).finally(() =>
    worker.terminate(),
  );
  return { result, cancel: () => void api.cancel() };
}
