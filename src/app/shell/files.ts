import { sortOf } from '../../core/kept';
import type { ParsedPiece } from '../../core/piece/document';
import type { Piece } from '../../core/piece/schema';
import { unpacked } from '../../files/packing';
import { archivedModel, bundledModel } from '../../files/tried';
import { modelAmong, type NamedBytes } from '../../formats/model/bundle';
import { PIECE_IN_ARCHIVE } from '../../formats/packed/packed';
import { problemWords, readPieceFile } from '../../formats/pieceFile';
import { ANY_FILE } from '../parts/accepts';
import { keepingTrouble, takeUpFile } from '../state/files';
import { takeUpChain } from '../state/chains';
import { say } from '../state/notices';
import { copyOf } from '../state/recipes';
import { openNew } from '../state/session';

/** Stores a copy of a piece as the user's own and opens it. */
export const openCopy = (piece: Piece, name = piece.name): Promise<void> => openNew(copyOf(piece, name));

const SHOWN = 6;
/** Some names, and how many more there are; each cut short. */
const shortList = (names: readonly string[]): string =>
  names
    .slice(0, SHOWN)
    .map((name) => (name.length > 60 ? `${name.slice(0, 60)}…` : name))
    .join(', ') + (names.length > SHOWN ? ` and ${names.length - SHOWN} more` : '');

/** Opens what was read of a piece file as a new piece; the open one is not touched. What is wrong is said. */
async function openRead(name: string, parsed: ParsedPiece): Promise<void> {
  if (!parsed.ok) {
    say(problemWords(name, parsed.problems));
    return;
  }
  if (parsed.unknown.length > 0)
    say(`“${name}” holds fields this version does not use: ${shortList(parsed.unknown)}. They are kept.`, {
      tone: 'remark',
    });
  await openCopy(parsed.piece);
}

/** More than any file that can be used: it is not even read. */
const LARGEST_BYTES = 700e6;
/** Bytes that tell what a file is. */
const HEAD_BYTES = 8192;

/** Takes up a file from outside by what it is: a piece is opened, all else becomes what it can be in the open piece. */
async function openFile(file: File): Promise<void> {
  if (file.size > LARGEST_BYTES) {
    say(`“${file.name}” is ${Math.round(file.size / 1e6)} MB, which is more than anything that can be used here.`);
    return;
  }
  const head = await file
    .slice(0, HEAD_BYTES)
    .arrayBuffer()
    .catch(() => null);
  if (!head) {
    say(`“${file.name}” could not be read. Is it a folder, or still being written?`);
    return;
  }
  const sort = sortOf(new Uint8Array(head));
  if (sort === 'zip' && !(await isPacked(file))) await openArchive(file);
  else if (sort === 'zip') {
    const { parsed, remarks } = await unpacked(new Uint8Array(await file.arrayBuffer()), file.name);
    if (remarks.length > 0) say(`Of “${file.name}”: ${remarks.slice(0, SHOWN).join(' ')} Stand-ins are drawn.`);
    await openRead(file.name, parsed);
  } else if ((sort === 'json' && !/\.gltf$/i.test(file.name)) || /\.json$/i.test(file.name)) {
    if (!(await takeUpChain(file))) await openRead(file.name, await readPieceFile(file));
  } else await takeUpFile(file);
}

/** Whether an archive holds a piece: its name is among those at the archive's end, where they are listed (PKWARE APPNOTE 4.3.12). */
async function isPacked(file: File): Promise<boolean> {
  const end = await file.slice(Math.max(0, file.size - LISTED_BYTES)).arrayBuffer();
  return new TextDecoder('latin1').decode(end).includes(PIECE_IN_ARCHIVE);
}
const LISTED_BYTES = 1 << 20;

/** A model and what it needs, in an archive. */
async function openArchive(file: File): Promise<void> {
  try {
    const { name, bytes } = await archivedModel(new Uint8Array(await file.arrayBuffer()), file.name);
    await takeUpFile(new File([bytes], name));
  } catch (error) {
    say(keepingTrouble(file.name, error));
  }
}

const named = async (file: File): Promise<NamedBytes> => ({
  name: file.name,
  bytes: new Uint8Array(await file.arrayBuffer()),
});

/** Takes up files that came together: a model with the files it needs as one, all else one after another, so that what each becomes is told in order. */
export async function openFiles(files: readonly File[]): Promise<void> {
  const found = modelAmong(files);
  let left = files;
  if (found) {
    const { model, beside } = found;
    try {
      const made = await bundledModel(await named(model), await Promise.all(beside.map(named)));
      left = files.filter((file) => file !== model && !made.used.includes(file.name));
      await takeUpFile(new File([made.bytes], made.name));
    } catch (error) {
      say(keepingTrouble(model.name, error));
      return;
    }
  }
  for (const file of left) await openFile(file);
}

/** What can be opened. */
const ACCEPTS = `.json,.zip,${ANY_FILE}`;

/** Lets the user choose files. */
export function chooseFile(): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.accept = ACCEPTS;
  input.multiple = true;
  input.onchange = () => void openFiles([...(input.files ?? [])]);
  input.click();
}
