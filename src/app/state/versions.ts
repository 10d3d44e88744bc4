import { useLiveQuery } from 'dexie-react-hooks';
import type { Piece } from '../../core/piece/schema';
import { storeTrouble } from '../../store/room';
import { keepVersion, removeVersion, versionsOf, type Version } from '../../store/versions';
import { bench } from './bench';
import { say, unsay } from './notices';

const NONE: Version[] = [];
/** How long what was kept is said. */
const READ_MS = 5000;

/** The versions of a piece, the newest first. */
export const useVersions = (pieceId: string | undefined): Version[] =>
  useLiveQuery(() => (pieceId === undefined ? NONE : versionsOf(pieceId)), [pieceId]) ?? NONE;

/** Keeps a piece as it is; what stands in the way is said. */
export async function keep(piece: Piece): Promise<void> {
  try {
    const name = await keepVersion(piece);
    const notice = say(`Kept as “${name}”: to be compared with, and gone back to.`, { id: 'version', tone: 'remark' });
    setTimeout(() => unsay(notice), READ_MS);
  } catch (error) {
    say(`The version was not kept: ${storeTrouble(error)}.`);
  }
}

/** The open piece is as it was in a version; its name stays, and one step of undo leads back. */
export const goBackTo = ({ piece }: Version): void => bench.update((now) => ({ ...piece, id: now.id, name: now.name }));

/** Takes a version away, and offers to bring it back. */
export async function remove({ id, name }: Version): Promise<void> {
  try {
    const bringBack = await removeVersion(id);
    const notice = say(`“${name}” was removed.`, {
      tone: 'remark',
      actions: [{ label: 'Bring it back', act: () => void bringBack().then(() => unsay(notice)) }],
    });
  } catch (error) {
    say(`The version was not removed: ${storeTrouble(error)}.`);
  }
}
