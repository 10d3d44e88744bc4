import type { Piece } from '../../core/piece/schema';
import { Trouble, troubleWords } from '../../core/trouble';
import { startEngine, type EngineClient } from '../../engine/client';
import { frameRoom, framesOf, storeFrame } from '../../store/frames';
import { storeTrouble } from '../../store/room';
import { queue } from '../steps/export/jobs';
import { announce } from './announce';
import { bench, useBench, type Bench } from './bench';
import { LapFiller, lapSize, type LapState, type Wish } from './lapFiller';
import { say, unsay } from './notices';
import { player } from './player';

/** Work that was done less than this ago may go on; milliseconds. */
const IDLE_MS = 1200;
const NOTICE = 'finished lap';

let engine: EngineClient | null = null;
const api = (): EngineClient['api'] => (engine ??= startEngine()).api;
const close = (): void => {
  engine?.close();
  engine = null;
};

function told(state: LapState | null): void {
  const before = useBench.getState().lap;
  bench.patch({ lap: state });
  if (state?.does === before?.does) return;
  if (state?.does === 'complete' && before) announce('The lap is finished.');
  if (state?.does === 'full')
    say(
      'There is no room in this browser for more finished frames. Those that are there play; fewer passes or a smaller picture take less.',
      {
        id: NOTICE,
        tone: 'remark',
      },
    );
  else unsay(NOTICE);
}

const filler = new LapFiller({
  keysOf: (piece) => api().frameKeys(piece),
  draw: ({ piece, width, height, passes }, frameIndex) => api().finish({ piece, frameIndex, width, height, passes }),
  cancel: () => void engine?.api.cancel().catch(() => undefined),
  known: framesOf,
  store: async (frame, wanted) => storeFrame(frame, wanted, await frameRoom()),
  show: (frames) => player.showFinished(frames),
  add: (frame, blob) => player.addFinished(frame, blob),
  tell: told,
  failed(error) {
    // an engine that has stopped is not asked again
    close();
    const why = error instanceof Trouble ? troubleWords(error) : storeTrouble(error);
    say(`The lap cannot be finished: ${why}. It is tried again after the next change.`, { id: NOTICE });
  },
});

/** The lap that is to be there, or none: a camera in the hand, or an observer, is not the piece's own. */
function wishOf({ history, finishing, byHand, observer, pictureWidth }: Bench): Wish | null {
  const piece: Piece | undefined = history?.present;
  if (!piece || finishing === null || byHand || observer || pictureWidth < 16) return null;
  return { piece, passes: Math.min(finishing, piece.samples), ...lapSize(piece.frame, pictureWidth) };
}

const same = (a: Wish | null, b: Wish | null): boolean =>
  a === b || (a?.piece === b?.piece && a?.passes === b?.passes && a?.width === b?.width && a?.height === b?.height);

/** Finishes the lap of the open piece while nothing else is done, when that is asked for. @returns stops */
export function finishLaps(): () => void {
  let wish: Wish | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const exporting = (): boolean => queue.jobs.some(({ state }) => state === 'running' || state === 'waiting');
  // what is drawn live while playing needs all there is
  const working = (): boolean => useBench.getState().playing || exporting();
  const rested = (): void => filler.setBusy(working());
  const touched = (): void => {
    filler.setBusy(true);
    clearTimeout(timer);
    timer = setTimeout(rested, IDLE_MS);
  };
  const look = (state: Bench): void => {
    const now = wishOf(state);
    if (same(now, wish)) return;
    wish = now;
    if (!now) close();
    filler.ask(now);
  };
  const stops = [
    useBench.subscribe((state, before) => {
      look(state);
      filler.from(state.status?.frameIndex ?? 0);
      const moved = !state.status?.finished && state.status?.frameIndex !== before.status?.frameIndex;
      if (state.history !== before.history || state.playing !== before.playing || moved) touched();
    }),
    queue.store.subscribe(touched),
  ];
  look(useBench.getState());
  touched();
  return () => {
    clearTimeout(timer);
    for (const stop of stops) stop();
    filler.ask(null);
    close();
  };
}
