import * as Comlink from 'comlink';
import { Trouble } from '../../core/trouble';
import { lockOf, STARTED } from './alive';
import { letTroublesCross } from './crossing';

/** Longest that a worker may take to start, in milliseconds. */
const START_MS = 8500;

/** A worker whose calls always come to an end: answered, or refused in words because it did not start or has stopped. */
export interface Guarded<T> {
  api: Comlink.Remote<T>;
  /** resolves with why, when it did not start or has stopped by itself; never when it was closed */
  ended: Promise<Trouble>;
  /** ends it at once; calls that were not answered stay so */
  close(): void;
}

let count = 0;
/** A name that no other worker of this browser has. */
export const workerName = (kind: string): string =>
  `${kind} ${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}-${count++}`;

/**
 * @param what the worker is for, as the start of a sentence
 * @param make starts it, under the name given
 */
export function guarded<T>(what: string, name: string, make: (name: string) => Worker): Guarded<T> {
  letTroublesCross();
  const waiting = new Set<(error: Trouble) => void>();
  const unlock = new AbortController();
  let dead: Trouble | null = null;
  let ends: (error: Trouble) => void = () => undefined;
  const ended = new Promise<Trouble>((resolve) => (ends = resolve));
  const worker = make(name);
  const end = (error: Trouble): void => {
    if (dead) return;
    dead = error;
    clearTimeout(slow);
    worker.terminate();
    for (const refuse of waiting) refuse(error);
    waiting.clear();
    ends(error);
  };
  const notStarted = (why: string): void =>
    end(
      new Trouble('not-started', `${what} did not start${why}`, {
        would: 'Reloading the page may help; the piece is kept.',
      }),
    );
  // a page that was busy itself may find the answer waiting when it looks at its clock
  const slow = setTimeout(() => setTimeout(() => notStarted(''), 500), START_MS);
  let started = false;
  worker.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
    if (data !== STARTED) return;
    started = true;
    clearTimeout(slow);
    // granted when the worker is not there any more to hold it
    navigator.locks
      .request(lockOf(name), { signal: unlock.signal }, () =>
        end(new Trouble('stopped', `${what} has stopped`, { would: 'Trying again may help; the piece is kept.' })),
      )
      .catch(() => undefined);
  });
  worker.addEventListener('error', (event) => {
    event.preventDefault();
    if (!started) notStarted(event.message ? ` (${event.message})` : '');
  });
  const remote = Comlink.wrap<Record<string, (...args: unknown[]) => unknown>>(worker);
  const call = (method: string, args: unknown[]): Promise<unknown> =>
    new Promise((resolve, reject) => {
      if (dead) {
        reject(dead);
        return;
      }
      waiting.add(reject);
      remote[method](...args)
        .then(resolve, reject)
        .finally(() => waiting.delete(reject));
    });
  const api = new Proxy(
    {},
    { get: (_, method) => (method === 'then' ? undefined : (...args: unknown[]) => call(String(method), args)) },
  );
  return {
    api: api as Comlink.Remote<T>,
    ended,
    close() {
      clearTimeout(slow);
      unlock.abort();
      dead ??= new Trouble('stopped', `${what} was closed`);
      waiting.clear();
      worker.terminate();
    },
  };
}
