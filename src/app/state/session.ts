import { parsePiece } from '../../core/world/open';
import { DOCUMENT_VERSION, type Piece } from '../../core/piece/schema';
import { saveFile } from '../shell/save';
import { showLoops, showPiece } from '../shell/route';
import { database } from '../../store/database';
import { Journal, standing as standingOf, type JournalEntry } from '../../store/journal';
import { Log } from '../../store/log/log';
import { deleteExpired, loadPiece, readStored, removePiece as removeStored, storePiece } from '../../store/pieces';
import { askToPersist, storeTrouble } from '../../store/room';
import { bench, STEPS, useBench, type Step } from './bench';
import { missingFiles } from '../../core/piece/files';
import { takeIn } from '../../files/taken';
import { releasePiece, stealPiece } from './claim';
import { newId } from './edit';
import { startHistory, unpackHistory, type History, type StoredHistory } from './history';
import { Keeper, type Standing } from './keeper';
import { say, unsay } from './notices';
import { hearTabs, tellTabs } from './tabs';

const journal = new Journal(localStorage);

/** Everything that is edited goes through it, and out of it only into the database. */
export const keeper = new Keeper({
  store: storePiece,
  journal,
  mayWrite: (id) => {
    const { history, claim } = useBench.getState();
    return history?.present.id !== id || claim === 'mine';
  },
  changed: () => log.changed(),
  tell,
});

const log = new Log(() => keeper.unstored());
/** What a browser left that ended without warning. */
let crashed: Promise<Map<string, JournalEntry>> = Promise.resolve(new Map<string, JournalEntry>());

const noticeOf = (id: string): string => `keeping ${id}`;

/** Says how the keeping of a piece stands, where that is more than a word in the top strip. */
function tell(id: string, standing: Standing | null): void {
  const { history } = useBench.getState();
  if (history?.present.id === id)
    bench.patch({
      saved: !standing || standing.is === 'stored' ? 'saved' : standing.is === 'waiting' ? 'saving' : 'failed',
    });
  const kept = keeper.find(id)?.history.present;
  if (!standing || !kept || standing.is === 'stored') {
    unsay(noticeOf(id));
    return;
  }
  if (standing.is === 'waiting') return;
  const file = { label: 'Save a file', act: () => saveFile(keeper.find(id)?.history.present ?? kept) };
  const notice = { id: noticeOf(id), dismissable: false };
  switch (standing.is) {
    case 'failed':
      say(
        `“${kept.name}” is not saved: ${standing.words}. It stays here while this tab is open, and saving is tried again.`,
        {
          ...notice,
          actions: [
            file,
            { label: 'Try now', act: () => void keeper.flush(id) },
            ...(history?.present.id === id ? [] : [{ label: 'Open it', act: () => showPiece(id) }]),
          ],
        },
      );
      return;
    case 'removed':
      say(`“${kept.name}” was removed in another tab.`, {
        ...notice,
        actions: [
          { label: 'Keep it', act: () => void keeper.insist(id) },
          { label: 'Let it go', act: () => letGo(id) },
        ],
      });
      return;
    case 'changed elsewhere':
      say(`“${kept.name}” was changed in another tab since. What is changed here is not kept in it.`, {
        ...notice,
        actions: [
          { label: 'Keep mine as a copy', act: () => void keepAsCopy(id) },
          file,
          { label: 'Show the other', act: () => void reopen(id) },
        ],
      });
  }
}

function letGo(id: string): void {
  keeper.drop(id);
  if (useBench.getState().history?.present.id === id) showLoops();
}

async function keepAsCopy(id: string): Promise<void> {
  const kept = keeper.find(id)?.history.present;
  if (!kept) return;
  const copy = { ...kept, id: newId('piece'), name: `${kept.name}, mine`.slice(0, 200) };
  await keeper.begin(startHistory(copy));
  keeper.drop(id);
  showPiece(copy.id);
}

/** Shows the stored state of the open piece instead of the one in memory. */
async function reopen(id: string): Promise<void> {
  keeper.drop(id);
  await openStored(id);
}

/** A piece of the user's own, stored for the first time and opened. It is opened even when it could not be stored. */
export async function openNew(piece: Piece): Promise<void> {
  await keeper.begin(startHistory(piece));
  showPiece(piece.id);
}

/** Takes a piece from the loops for a while. What could not be done is said, and nothing is lost. */
export async function removePiece(id: string): Promise<boolean> {
  try {
    await keeper.flush(id);
    await removeStored(id);
    keeper.drop(id);
    await database.places.delete(id);
    tellTabs({ about: 'removed', id });
    return true;
  } catch (error) {
    say(`The piece was not removed: ${storeTrouble(error)}.`);
    return false;
  }
}

/** Whether a place could be opened, and where in it. */
export interface Opened {
  ok: boolean;
  phase: number;
  step: Step;
}

/** A piece with the steps that were stored with it; those of an older version of the document fit it no longer. */
const restored = (
  piece: Piece,
  version: number | undefined,
  steps: StoredHistory | null | undefined,
): History<Piece> => (steps && version === DOCUMENT_VERSION ? unpackHistory(piece, steps) : startHistory(piece));

/** Takes up what a journal wrote down: as the piece's newest state, or beside it where both went on. */
function adopt(entry: JournalEntry, stored: { mark?: string } | null): History<Piece> | null {
  const how = standingOf(entry, stored);
  const parsed = parsePiece({ format: 'isomorph', version: entry.version, piece: entry.piece });
  // what cannot be read stays written down, for a version that can
  if (!parsed.ok) return null;
  if (how === 'follows') return restored(parsed.piece, entry.version, entry.steps);
  journal.clear(entry.piece.id);
  if (how === 'arrived') return null;
  const apart = { ...parsed.piece, id: newId('piece'), name: `${parsed.piece.name}, recovered`.slice(0, 200) };
  void keeper.begin(startHistory(apart));
  say(`Changes of “${parsed.piece.name}” that another tab overtook are kept as “${apart.name}”.`, { tone: 'remark' });
  return null;
}

/** Brings the newest state of a piece into the keeper. @returns whether there is one */
async function takeUp(id: string): Promise<boolean> {
  if (keeper.find(id)) return true;
  const [found, left] = await Promise.all([loadPiece(id), crashed]);
  // asked for twice at once
  if (keeper.find(id)) return true;
  const [noted, logged] = [journal.read(id), left.get(id)];
  const written = logged && logged.at > (noted?.at ?? 0) ? logged : noted;
  const newer = written && adopt(written, found?.record ?? null);
  if (written && newer) {
    if (written === logged)
      say(`“${newer.present.name}” is as it was when the browser ended without warning.`, { tone: 'remark' });
    keeper.take(newer, written.mark, found?.record.mark ?? (found ? '' : null));
    return true;
  }
  if (!found || found.record.removedAt !== undefined) return false;
  const parsed = readStored(found.record);
  if (!parsed.ok) return false;
  const { mark = '' } = found.record;
  keeper.take(restored(parsed.piece, found.record.version, found.steps), mark, mark);
  return true;
}

/** Set while a piece is shown that was not edited by being shown. */
let opening = false;

/**
 * Opens a piece where it was left; not ok when there is none, or it no longer reads.
 * @param wanted whether it still is: another may have been asked for meanwhile
 */
export async function openStored(id: string, wanted: () => boolean = () => true): Promise<Opened> {
  const [there, place] = await Promise.all([takeUp(id), placeIn(id)]);
  const kept = there && wanted() ? keeper.stay(id) : null;
  if (!kept) return { ok: false, phase: 0, step: 'build' };
  await takeIn(missingFiles(kept.history.present));
  if (!wanted()) return { ok: false, phase: 0, step: 'build' };
  opening = true;
  bench.load(kept.history);
  opening = false;
  void askToPersist();
  tell(id, kept.standing);
  const step = STEPS.find((name) => name === place?.step) ?? 'build';
  return { ok: true, phase: place?.phase ?? 0, step };
}

/** Leaves the open piece; what is not stored goes on being stored. */
export function leaveStored(): void {
  const open = useBench.getState().history?.present.id;
  if (open === undefined) return;
  savePlace();
  bench.close();
  void keeper.leave(open).then(() => useBench.getState().history?.present.id !== open && releasePiece(open));
}

/** Takes the open piece from the other tab, as that tab saved it last. */
export async function takeOver(): Promise<void> {
  const id = useBench.getState().history?.present.id;
  if (!id) return;
  // the other tab stores what it has before it loses the piece
  tellTabs({ about: 'wanted', id });
  await new Promise((resolve) => setTimeout(resolve, 250));
  stealPiece(id);
  await reopen(id);
}

const PLACE = 'isomorph place';

const placeNow = (): { pieceId: string; step: Step; phase: number } | null => {
  const { history, step, status } = useBench.getState();
  // until the first frame is drawn, the place last saved is still the right one
  return history && status ? { pieceId: history.present.id, step, phase: status.phase } : null;
};

function savePlace(): void {
  const place = placeNow();
  // losing the place is no loss to speak of
  if (place) database.places.put(place).catch(() => undefined);
}

async function placeIn(id: string): Promise<{ step: string; phase: number } | null> {
  try {
    const last = JSON.parse(localStorage.getItem(PLACE) ?? 'null') as ReturnType<typeof placeNow>;
    localStorage.removeItem(PLACE);
    if (last?.pieceId === id) return last;
    return (await database.places.get(id)) ?? null;
  } catch {
    return null;
  }
}

/** Writes down at once what the database does not have yet. */
function writeDown(): boolean {
  // a field that is being typed into is left like any other
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  const place = placeNow();
  try {
    if (place) localStorage.setItem(PLACE, JSON.stringify(place));
  } catch {
    // no room for the place: it begins at the seam
  }
  return keeper.writeDown();
}

/** Takes up what earlier pages wrote down as they were left, so that the loops show it. */
async function recover(): Promise<void> {
  const starting = log.start(newId('tab'));
  crashed = starting.then(({ entries }) => {
    const newest = new Map<string, JournalEntry>();
    for (const entry of entries)
      if (entry.at > (newest.get(entry.piece.id)?.at ?? 0)) newest.set(entry.piece.id, entry);
    return newest;
  });
  const left = await crashed;
  for (const id of new Set([...journal.ids(), ...left.keys()])) {
    await takeUp(id);
    await keeper.flush(id);
    if (useBench.getState().history?.present.id !== id) await keeper.leave(id);
  }
  // what could not be stored is in this tab's own log by now
  log.changed();
  if (left.size > 0 || !keeper.unsaved) await (await starting).forget();
}

/** Starts keeping what is edited. @returns stops */
export function startKeeping(): () => void {
  deleteExpired().catch(() => undefined);
  void recover().catch(() => undefined);
  const stop = useBench.subscribe((state, before) => {
    if (state.step !== before.step || (state.playing !== before.playing && !state.playing)) savePlace();
    if (!state.playing && state.status?.frameIndex !== before.status?.frameIndex) savePlace();
    const { history } = state;
    if (opening || !history || history === before.history) return;
    if (history.present !== before.history?.present || history.past !== before.history.past) keeper.edited(history);
  });
  const hush = hearTabs(({ about, id }) => {
    if (about === 'removed') keeper.removedElsewhere(id);
    else void keeper.flush(id);
  });
  const leave = (): void => void writeDown();
  const ask = (event: BeforeUnloadEvent): void => {
    // only when even the journal has no room for it
    if (keeper.unsaved && !writeDown()) event.preventDefault();
  };
  // a page that comes back from the browser's memory may have been overtaken
  const show = (event: PageTransitionEvent): void => void (event.persisted && location.reload());
  const regular = setInterval(savePlace, 1000);
  addEventListener('pagehide', leave);
  addEventListener('beforeunload', ask);
  addEventListener('pageshow', show);
  return () => {
    leave();
    stop();
    hush();
    clearInterval(regular);
    removeEventListener('pagehide', leave);
    removeEventListener('beforeunload', ask);
    removeEventListener('pageshow', show);
  };
}
