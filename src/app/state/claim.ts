import { bench, useBench } from './bench';
import { openStored } from './session';

let release: (() => void) | null = null;

/** Rest before asking again, in milliseconds: a page that is being reloaded may still hold its lock for a moment. */
const AGAIN_MS = 500;

/** Holds the browser's lock on a piece until released. @param how steal takes it from another tab, which is told */
function hold(id: string, how: 'ask' | 'ask again' | 'steal'): void {
  const done = new Promise<void>((resolve) => (release = resolve));
  navigator.locks
    .request(`isomorph piece ${id}`, how === 'steal' ? { steal: true } : { ifAvailable: true }, (lock) => {
      if (lock) {
        bench.patch({ claim: 'mine' });
        return done;
      }
      const stillOpen = (): boolean => useBench.getState().history?.present.id === id;
      if (how === 'ask') setTimeout(() => stillOpen() && hold(id, 'ask again'), AGAIN_MS);
      else bench.patch({ claim: 'elsewhere' });
      return undefined;
    })
    // the lock was stolen
    .catch(() => bench.patch({ claim: 'taken' }));
}

/** Claims a piece for this tab, so that two tabs do not save over each other. */
export function claimPiece(id: string): void {
  releasePiece();
  if ('locks' in navigator) hold(id, 'ask');
}

export function releasePiece(): void {
  release?.();
  release = null;
  bench.patch({ claim: 'mine' });
}

/** Takes the open piece from the other tab, as that tab saved it last. */
export async function takeOver(): Promise<void> {
  const id = useBench.getState().history?.present.id;
  if (!id) return;
  hold(id, 'steal');
  await openStored(id);
}
