import { Trouble } from '../core/trouble';
import type { Joins } from '../core/clips';
import { sortOf, type FileKind } from '../core/kept';
import type { Model } from '../core/solids/models/model';
import type { NamedBytes } from '../formats/model/bundle';
import type { Unpacked } from '../formats/packed/packed';
import { checkBytes } from './sizes';
import type { Answered, Asked, Start } from './worker';
import workerUrl from './worker.ts?worker&url';

/** How long the worker may take to start, to try a file, to open an archive, to go through a clip, to make a model ready, and to put one together, in milliseconds. */
const LIMITS = {
  start: 9000,
  examine: 2000,
  unpack: 20_000,
  join: 60_000,
  model: 120_000,
  bundle: 60_000,
  modelIn: 60_000,
} as const;

/** How long a worker that has answered is kept for what is asked next, in milliseconds: what it has loaded need not be loaded again. */
const KEPT = 1000;
let kept: { worker: Worker; end: ReturnType<typeof setTimeout> } | null = null;

/** One that was kept, which says that it is there still, or another, which says that it has started. */
function workerFor(): Worker {
  if (!kept) return new Worker(workerUrl, { type: 'module', name: 'isomorph files' });
  const { worker, end } = kept;
  kept = null;
  clearTimeout(end);
  worker.postMessage({ do: 'start' } satisfies Start);
  return worker;
}

function keepWorker(worker: Worker): void {
  if (kept) {
    worker.terminate();
    return;
  }
  const end = setTimeout(() => {
    kept = null;
    worker.terminate();
  }, KEPT);
  kept = { worker, end };
}

/** Has something done with bytes from outside in a worker, which is ended when it takes too long. */
async function ask(asked: Asked, signal?: AbortSignal): Promise<Answered> {
  const worker = workerFor();
  let timer: ReturnType<typeof setTimeout> | undefined;
  try {
    const answered = await new Promise<Answered>((resolve, reject) => {
      const late = (what: string) => (): void => reject(new Trouble('too-slow', what));
      signal?.addEventListener('abort', () =>
        reject(new Trouble('stopped', `“${asked.name}” was not read to its end`)),
      );
      timer = setTimeout(late('the worker that looks at files did not start'), LIMITS.start);
      worker.onerror = (event) =>
        reject(new Trouble('stopped', `“${asked.name}” could not be looked at`, { received: event.message }));
      worker.onmessage = ({ data }: MessageEvent<Answered>) => {
        clearTimeout(timer);
        if (!('started' in data)) {
          resolve(data);
          return;
        }
        timer = setTimeout(late(`“${asked.name}” takes too long to read: it is not used`), LIMITS[asked.do]);
        worker.postMessage(asked);
      };
    });
    keepWorker(worker);
    return answered;
  } catch (error) {
    worker.terminate();
    throw error;
  } finally {
    clearTimeout(timer);
  }
}

const troubleOf = (answered: Answered): Trouble =>
  'trouble' in answered ? Trouble.from(answered.trouble) : new Trouble('impossible', 'another answer was expected');

/** What a file is, by its bytes, which are those of the blob; a model is made ready at once, for trying it takes as long. @throws Trouble in words when it cannot be kept */
export async function kindOf(
  hash: string,
  bytes: Uint8Array<ArrayBuffer>,
  blob: Blob,
  name: string,
  signal?: AbortSignal,
): Promise<FileKind> {
  if (sortOf(bytes) === 'model') {
    checkBytes('model', bytes, name);
    await readyModel(hash, blob, name, signal);
    return 'model';
  }
  const answered = await ask({ do: 'examine', bytes, name });
  if ('kind' in answered) return answered.kind;
  throw troubleOf(answered);
}

/** A model made ready and kept so, and of it what a page holds. @throws Trouble in words when it cannot be used */
export async function readyModel(hash: string, blob: Blob, name: string, signal?: AbortSignal): Promise<Model> {
  const answered = await ask({ do: 'model', hash, blob, name }, signal);
  if ('model' in answered) return answered.model;
  throw troubleOf(answered);
}

/** A packed piece taken apart. @throws Trouble in words when it cannot be read */
export async function takenApart(bytes: Uint8Array<ArrayBuffer>, name: string): Promise<Unpacked> {
  const answered = await ask({ do: 'unpack', bytes, name });
  if ('unpacked' in answered) return answered.unpacked;
  throw troubleOf(answered);
}

/** How a clip closes each way; null for one that is too short to have a join, or too long. @throws Trouble when it cannot be decoded */
export async function joinsOf(blob: Blob, name: string): Promise<Joins | null> {
  const answered = await ask({ do: 'join', blob, name });
  if ('joins' in answered) return answered.joins;
  throw troubleOf(answered);
}

/** A model with the files that it needs as one file, and which of the others are in it. @throws Trouble in words */
export async function bundledModel(
  model: NamedBytes,
  beside: NamedBytes[],
): Promise<NamedBytes & { used: readonly string[] }> {
  const answered = await ask({ do: 'bundle', model, beside, name: model.name });
  if ('bundled' in answered) return answered.bundled;
  throw troubleOf(answered);
}

/** The model in an archive, as one file. @throws Trouble in words when there is none */
export async function archivedModel(bytes: Uint8Array<ArrayBuffer>, name: string): Promise<NamedBytes> {
  const answered = await ask({ do: 'modelIn', bytes, name });
  if ('bundled' in answered) return answered.bundled;
  throw troubleOf(answered);
}
