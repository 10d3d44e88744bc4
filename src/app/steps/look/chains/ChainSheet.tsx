import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState, type ReactNode } from 'react';
import { CHAINS, takenOver, type Chain } from '../../../../core/look/chains/chains';
import { effectOf, type Effect } from '../../../../core/look/effects/kinds';
import { PASSAGES, withPassage, type Passage } from '../../../../core/look/chains/passages';
import type { Piece } from '../../../../core/piece/schema';
import { keptChain, writeChain } from '../../../../formats/chainFile';
import { fileName } from '../../../../formats/pieceFile';
import { removeChain, renameChain, storedChains } from '../../../../store/chains';
import { database } from '../../../../store/database';
import { readStored } from '../../../../store/pieces';
import { Button } from '../../../parts/Button';
import { NumberField } from '../../../parts/NumberField';
import { Sheet } from '../../../parts/Sheet';
import { saveBlob } from '../../../shell/save';
import { useBench, usePiece } from '../../../state/bench';
import { addPassage, keepChain, takeChain } from '../../../state/chains';
import { Stills } from '../../../state/stills';
import styles from './ChainSheet.module.css';

/** A chain that is offered. */
interface Offered extends Chain {
  key: string;
  describe: string;
  /** of one that is kept */
  kept?: string;
  /** of one that is added about a moment */
  passage?: Passage;
  /** the frame it is shown on, where that is not the playhead's */
  shownOn?: number;
}

const WIDTH = 144;
/** Other pieces whose effects are offered. */
const MOST_PIECES = 12;

const namesOf = (effects: readonly Effect[]): string =>
  effects
    .filter(({ kind, off }) => !off && !effectOf(kind).always)
    .map(({ kind }) => effectOf(kind).label)
    .join(', ');

/** Chains that were kept, but for those this version cannot read. */
async function ofKept(): Promise<Offered[]> {
  return (await storedChains()).flatMap(({ id, ...stored }) => {
    const read = keptChain(stored);
    if (!read.ok) return [];
    const { name, effects } = read.chain;
    return [{ key: `kept ${id}`, name, describe: namesOf(effects), effects, kept: id }];
  });
}

/** Effects of the pieces that were worked on last, but for the open one. */
async function ofPieces(open: string): Promise<Offered[]> {
  const records = await database.pieces.orderBy('updatedAt').reverse().toArray();
  return records
    .filter(({ id, removedAt }) => id !== open && removedAt === undefined)
    .slice(0, MOST_PIECES)
    .flatMap((record) => {
      const parsed = readStored(record);
      if (!parsed.ok) return [];
      const { effects } = parsed.piece.look;
      return [{ key: `piece ${record.id}`, name: record.name, describe: namesOf(effects), effects }];
    });
}

/** The open piece with each chain, as small pictures that come one after another. */
function usePictures(piece: Piece, frameIndex: number, offered: readonly Offered[]): Map<string, string> {
  const [pictures, setPictures] = useState(new Map<string, string>());
  const keys = offered.map(({ key }) => key).join(' ');
  useEffect(() => {
    let live = true;
    const stills = new Stills();
    const urls: string[] = [];
    void (async () => {
      for (const { key, effects, shownOn = frameIndex } of offered) {
        if (!live) return;
        let n = 0;
        const own = takenOver(effects, piece.layers, () => `shown-${n++}`);
        const height = Math.max(16, Math.round((WIDTH * piece.frame.height) / piece.frame.width));
        const request = { frameIndex: shownOn, width: WIDTH, height, passes: 1 };
        const blob = await stills
          .draw({ piece: { ...piece, look: { ...piece.look, effects: own } }, ...request })
          .catch(() => null);
        if (!blob || !live) continue;
        const url = URL.createObjectURL(blob);
        urls.push(url);
        setPictures((before) => new Map(before).set(key, url));
      }
    })();
    return () => {
      live = false;
      stills.close();
      for (const url of urls) URL.revokeObjectURL(url);
    };
    // a chain is what its key says
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [keys]);
  return pictures;
}

/** Chains that ship, that were kept, and those of other pieces: to be taken over, kept, written to files. */
export function ChainSheet({ open, onClose }: { open: boolean; onClose(): void }) {
  const piece = usePiece();
  return (
    <Sheet
      title="Chains of effects"
      open={open}
      onClose={onClose}
      foot={
        <>
          <span>A file of effects that is dropped anywhere is kept and taken over.</span>
          <Button kind="accent" onPress={() => void keepChain({ name: piece.name, effects: piece.look.effects })}>
            Keep those of this piece
          </Button>
        </>
      }
    >
      {open ? <Chains onClose={onClose} /> : null}
    </Sheet>
  );
}

function Chains({ onClose }: { onClose(): void }) {
  const piece = usePiece();
  const frameIndex = useBench((state) => state.status?.frameIndex ?? 0);
  const kept = useLiveQuery(ofKept);
  const others = useLiveQuery(() => ofPieces(piece.id), [piece.id]);
  const [at] = useState(frameIndex);
  const [long, setLong] = useState(() => Math.round(piece.lap.rate.num / piece.lap.rate.den));
  const { frames } = piece.lap;
  const passages = PASSAGES.map((passage): Offered => {
    let n = 0;
    const effects = withPassage(piece.look.effects, passage, { frame: at, long, frames }, () => `passage-${n++}`);
    // before its middle, where most of it is and something is left of the picture
    const shownOn = (at + frames - Math.round(long / 7)) % frames;
    return { ...passage, key: `passage ${passage.name} ${long}`, effects, passage, shownOn };
  });
  const groups: { title: string; list: Offered[]; head?: ReactNode }[] = [
    { title: 'Kept', list: kept ?? [] },
    {
      title: `To pass through, about frame ${at}`,
      list: passages,
      head: (
        <NumberField
          spec={{ label: 'Frames it takes', min: 2, max: frames, unit: 'frames' }}
          whole
          value={Math.min(long, frames)}
          onChange={setLong}
        />
      ),
    },
    { title: 'To go on from', list: CHAINS.map((chain) => ({ ...chain, key: `ships ${chain.name}` })) },
    { title: 'Of other loops', list: others ?? [] },
  ];
  const pictures = usePictures(piece, at, kept && others ? groups.flatMap(({ list }) => list) : []);
  const take = (chain: Offered): void => {
    if (chain.passage) addPassage(chain.passage, { frame: at, long, frames });
    else takeChain(chain);
    onClose();
  };
  return (
    <>
      <div className={styles.all}>
        {groups.map(({ title, list, head }) =>
          list.length === 0 ? null : (
            <section key={title} aria-label={title}>
              <header className={styles.title}>
                <h3>{title}</h3>
                {head}
              </header>
              <ul className={styles.list}>
                {list.map((chain) => (
                  <li key={chain.key}>
                    <button
                      className={styles.take}
                      aria-label={`${chain.passage ? 'Add' : 'Take'} ${chain.name}`}
                      onClick={() => take(chain)}
                    >
                      {pictures.has(chain.key) ? <img src={pictures.get(chain.key)} alt="" /> : <span>drawing…</span>}
                    </button>
                    <span className={styles.words}>
                      {chain.kept === undefined ? <b>{chain.name}</b> : <KeptName id={chain.kept} name={chain.name} />}
                      <small>{chain.describe}</small>
                    </span>
                    {chain.kept === undefined ? null : (
                      <span className={styles.does}>
                        <Button label={`Write ${chain.name} to a file`} onPress={() => writeFile(chain)}>
                          Write
                        </Button>
                        <Button label={`Remove ${chain.name}`} onPress={() => void removeChain(chain.kept ?? '')}>
                          Remove
                        </Button>
                      </span>
                    )}
                  </li>
                ))}
              </ul>
            </section>
          ),
        )}
      </div>
    </>
  );
}

const writeFile = (chain: Chain): void =>
  saveBlob(new Blob([writeChain(chain)], { type: 'application/json' }), fileName(chain.name, '.effects.json'));

/** The name of a kept chain, which can be typed over. */
function KeptName({ id, name }: { id: string; name: string }) {
  const [draft, setDraft] = useState<string | null>(null);
  const commit = (): void => {
    const next = draft?.trim();
    if (next && next !== name) void renameChain(id, next.slice(0, 120));
    setDraft(null);
  };
  return (
    <input
      className={styles.name}
      aria-label={`Name of ${name}`}
      value={draft ?? name}
      onChange={(event) => setDraft(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
