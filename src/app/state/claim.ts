import { bench } from './bench';

/** Rest before asking again, in milliseconds: a page that is being reloaded may still hold its lock for a moment. */
const AGAIN_MS = 500;

/** A piece's lock, held or asked for by this tab. */
interface Claim {
  id: string;
  release(): void;
}
let current: Claim | null = null;

/** Holds the browser's lock on a piece until released. @param how steal takes it from another tab, which is told */
function hold(id: string, how: 'ask' | 'ask again' | 'steal'): void {
  let release = (): void => undefined;
  const done = new Promise<void>((resolve) => (release = resolve));
  const claim: Claim = { id, release };
  current = claim;
  // an answer that comes after another piece was opened is about nothing on screen
  const now = (act: () => void): void => {
    if (current === claim) act();
  };
  navigator.locks
    .request(`isomorph piece ${id}`, how === 'steal' ? { steal: true } : { ifAvailable: true }, (lock) => {
      if (lock) {
        now(() => bench.patch({ claim: 'mine' }));
        return done;
      }
      if (how === 'ask') setTimeout(() => now(() => hold(id, 'ask again')), AGAIN_MS);
      else now(() => bench.patch({ claim: 'elsewhere' }));
      return undefined;
    })
    // the lock was stolen
    .catch(() => now(() => bench.patch({ claim: 'taken' })));
}

/** Claims a piece for this tab, so that two tabs do not work on it at once. */
export function claimPiece(id: string): void {
  releasePiece();
  if ('locks' in navigator) hold(id, 'ask');
}

/** Takes a piece from the tab that has it. */
export function stealPiece(id: string): void {
  releasePiece();
  if ('locks' in navigator) hold(id, 'steal');
}

/** Lets go of the claimed piece. @param id only if it is this one */
export function releasePiece(id?: string): void {
  if (!current || (id !== undefined && current.id !== id)) return;
  current.release();
  current = null;
  bench.patch({ claim: 'mine' });
}
