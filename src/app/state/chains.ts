import { withPassage, type Passage, type Passing } from '../../core/look/chains/passages';
import { STOCK } from '../../core/kept';
import { takenOver, type Chain } from '../../core/look/chains/chains';
import { LARGEST_PIECE_BYTES, problemWords } from '../../formats/pieceFile';
import { fileBytes } from '../../files/shelf';
import { isChain, readChain, writeChain, type ChainTable } from '../../formats/chainFile';
import { storeChain } from '../../store/chains';
import { storeTrouble } from '../../store/room';
import { bench, useBench } from './bench';
import { newId } from './edit';
import { bringIn, keepingTrouble } from './files';
import { say } from './notices';

/** Takes effects over into the open piece, in place of its own. */
export const takeChain = ({ effects }: Chain): void =>
  bench.update((piece) => ({
    ...piece,
    look: { ...piece.look, effects: takenOver(effects, piece.layers, () => newId('effect')) },
  }));

/** Adds the effects of a passage about a moment of the open piece. */
export const addPassage = (passage: Passage, at: Passing): void =>
  bench.update((piece) => ({
    ...piece,
    look: { ...piece.look, effects: withPassage(piece.look.effects, passage, at, () => newId('effect')) },
  }));

/** Keeps effects under a name; what stands in the way is said. */
export async function keepChain(chain: Chain): Promise<void> {
  try {
    await storeChain(chain);
  } catch (error) {
    say(`The chain was not kept: ${storeTrouble(error)}.`);
  }
}

/** A chain as a file, with the tables it names that do not ship; one that is not here is left out, and said. */
export async function chainFile(chain: Chain): Promise<string> {
  const named = chain.effects.flatMap((effect) => ('file' in effect && effect.file ? [effect.file] : []));
  const own = new Map(
    named.filter(({ hash }) => !STOCK.some((stock) => stock.hash === hash)).map((ref) => [ref.hash, ref]),
  );
  const tables: ChainTable[] = [];
  for (const ref of own.values()) {
    const bytes = await fileBytes(ref);
    if (bytes) tables.push({ name: ref.name, text: new TextDecoder().decode(bytes) });
    else say(`The file of “${chain.name}” is without ${ref.name}: it is not here.`);
  }
  return writeChain(chain, tables);
}

/** Takes up a file of effects: kept, and taken over into the piece that is open. @returns whether it is one */
export async function takeUpChain(file: File): Promise<boolean> {
  if (file.size > LARGEST_PIECE_BYTES) return false;
  let json: unknown;
  try {
    json = JSON.parse(await file.text());
  } catch {
    return false;
  }
  if (!isChain(json)) return false;
  const read = readChain(json);
  if (!read.ok) {
    say(problemWords(file.name, read.problems));
    return true;
  }
  for (const { name, text } of read.tables)
    await bringIn(new File([text], name)).catch((error: unknown) => say(keepingTrouble(name, error)));
  await keepChain(read.chain);
  const open = useBench.getState().history !== null;
  if (open) takeChain(read.chain);
  say(
    open
      ? `The effects are those of “${read.chain.name}” now; it is kept among the chains.`
      : `“${read.chain.name}” is kept among the chains of effects.`,
    { tone: 'remark' },
  );
  return true;
}
