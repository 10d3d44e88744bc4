import type { FileKind, FileRef } from '../../core/kept';
import { missingFiles } from '../../core/piece/files';
import type { Piece } from '../../core/piece/schema';
import { keepFile } from '../../files/shelf';
import { takeIn } from '../../files/taken';
import { storeTrouble } from '../../store/room';
import { Trouble, troubleWords } from '../../core/trouble';
import { placeTable } from './effects';
import { placePanorama } from './lights';
import { placeFile } from '../steps/build/layerEdits';
import { bench, useBench } from './bench';
import { newId } from './edit';
import { say, unsay } from './notices';

/** Takes in what the open piece comes to name. @returns stops */
export function watchFiles(): () => void {
  const look = async (piece: Piece): Promise<void> => {
    const missing = missingFiles(piece);
    if (missing.length === 0 || !(await takeIn(missing))) return;
    if (useBench.getState().history?.present === piece) bench.refresh();
  };
  return useBench.subscribe(({ history }, before) => {
    if (history && history.present !== before.history?.present) void look(history.present);
  });
}

/** What could not be kept, in words. */
export const keepingTrouble = (name: string, error: unknown): string =>
  error instanceof Trouble
    ? `${troubleWords(error).replace(/\.$/, '')}.`
    : `“${name}” was not kept: ${storeTrouble(error)}.`;

/** What takes longer to read than this, in milliseconds, is said to be read. */
const LONG_MS = 800;

/** Keeps a file and takes it in; what takes long is said, and may be stopped. @throws Trouble, or the database's error: see keepingTrouble */
export async function bringIn(file: File): Promise<{ ref: FileRef; kind: FileKind }> {
  const stop = new AbortController();
  const notice = `reading ${newId('file')}`;
  const timer = setTimeout(
    () =>
      say(`Reading “${file.name}”: go on meanwhile.`, {
        id: notice,
        tone: 'remark',
        actions: [{ label: 'Stop', act: () => stop.abort() }],
        dismissable: false,
      }),
    LONG_MS,
  );
  try {
    const { hash, name, kind } = await keepFile(new Uint8Array(await file.arrayBuffer()), file.name, stop.signal);
    const ref = { hash, name };
    await takeIn([{ ref, kind }]);
    return { ref, kind };
  } finally {
    clearTimeout(timer);
    unsay(notice);
  }
}

/** A file becomes what it can be in the open piece: part of the layer whose card is open, or a new layer. */
export async function takeUpFile(file: File): Promise<void> {
  try {
    const { ref, kind } = await bringIn(file);
    const { history, open } = useBench.getState();
    if (!history) {
      say(`“${ref.name}” is kept. Open a piece, then drop it again or choose it there.`, { tone: 'remark' });
      return;
    }
    const inLook = { panorama: placePanorama, table: placeTable };
    const place =
      kind in inLook
        ? inLook[kind as keyof typeof inLook](history.present, ref)
        : placeFile(history.present, open, kind, ref);
    if (!place) {
      say(`“${ref.name}” is kept, but no layer has a use for it.`);
      return;
    }
    // what is being typed meanwhile is a step of its own
    bench.endGesture();
    bench.update(() => place.piece);
    bench.patch({ step: kind in inLook ? 'look' : 'build', open: place.id });
    say(place.says, { tone: 'remark', actions: [{ label: 'Undo', act: bench.undo }] });
  } catch (error) {
    say(keepingTrouble(file.name, error));
  }
}
