import type { Piece } from '../../core/piece/schema';
import { database, readStored, savePiece } from '../../store/database';
import { bench, STEPS, useBench, type Step } from './bench';

/** Rest after the last change before the piece is saved, in milliseconds. */
const SAVE_AFTER_MS = 500;

/** Opens a stored piece where it was left. @returns false when there is none, or it no longer reads */
export async function openStored(id: string): Promise<{ ok: boolean; phase: number; step: Step }> {
  const [stored, place] = await Promise.all([database.pieces.get(id), database.places.get(id)]);
  const parsed = stored ? readStored(stored) : null;
  if (!parsed?.ok) return { ok: false, phase: 0, step: 'build' };
  bench.load(parsed.piece);
  const step = STEPS.find((name) => name === place?.step) ?? 'build';
  return { ok: true, phase: place?.phase ?? 0, step };
}

/** Saves the open piece within a second of every change, and the place in it. @returns stops saving */
export function autosave(): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let pending: Piece | null = null;
  const save = async (): Promise<void> => {
    const piece = pending;
    // another tab has the piece: what is changed here waits, unsaved, until this one takes over
    if (!piece || useBench.getState().claim !== 'mine') return;
    pending = null;
    try {
      await savePiece(piece);
      if (pending === null) bench.patch({ saved: 'saved' });
    } catch {
      bench.patch({ saved: 'failed' });
    }
  };
  const savePlace = (): void => {
    const { history, step, status } = useBench.getState();
    // until the first frame is drawn, the place last saved is still the right one
    if (history && status) void database.places.put({ pieceId: history.present.id, step, phase: status.phase });
  };
  const stop = useBench.subscribe((state, before) => {
    if (state.step !== before.step || (state.playing !== before.playing && !state.playing)) savePlace();
    if (!state.playing && state.status?.frameIndex !== before.status?.frameIndex) savePlace();
    const piece = state.history?.present;
    if (!piece || piece === before.history?.present || before.history === null) return;
    pending = piece;
    if (state.saved !== 'saving') bench.patch({ saved: 'saving' });
    clearTimeout(timer);
    timer = setTimeout(() => void save(), SAVE_AFTER_MS);
  });
  const leave = (): void => {
    savePlace();
    void save();
  };
  const regular = setInterval(savePlace, 1000);
  addEventListener('pagehide', leave);
  return () => {
    leave();
    stop();
    clearInterval(regular);
    clearTimeout(timer);
    removeEventListener('pagehide', leave);
  };
}
