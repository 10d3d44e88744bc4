/** First message of a worker that has started. */
export const STARTED = 'isomorph worker started';

/** The browser's lock that a worker of this name holds as long as it is there. */
export const lockOf = (name: string): string => `isomorph worker ${name}`;

/**
 * Called by a worker when its program has been read: holds a lock until it ends, however it ends, so that whoever waits for
 * the lock knows. Calls are answered from then on, those that came before first: work must not keep the lock waiting.
 * @param answer begins answering
 */
export function sayStarted(answer: () => void): void {
  const { name } = self;
  const early: MessageEvent[] = [];
  const keep = (event: MessageEvent): void => void early.push(event);
  addEventListener('message', keep);
  void navigator.locks.request(lockOf(name), () => {
    removeEventListener('message', keep);
    answer();
    postMessage(STARTED);
    for (const { data, ports } of early)
      dispatchEvent(new MessageEvent('message', { data: data as unknown, ports: [...ports] }));
    return new Promise(() => undefined);
  });
}
