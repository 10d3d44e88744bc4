import { useLiveQuery } from 'dexie-react-hooks';
import { useState, type ReactNode } from 'react';
import { CHAINS, takenOver, type Chain } from '../../../../core/look/chains/chains';
import { effectOf, type Effect } from '../../../../core/look/effects/kinds';
import { PASSAGES, withPassage, type Passage } from '../../../../core/look/chains/passages';
import { keptChain } from '../../../../formats/chainFile';
import { fileName } from '../../../../formats/pieceFile';
import { removeChain, renameChain, storedChains } from '../../../../store/chains';
import { database } from '../../../../store/database';
import { readStored } from '../../../../store/pieces';
import { Button } from '../../../parts/Button';
import { NumberField } from '../../../parts/NumberField';
import { PictureGroups, PictureRow, PictureRows, TypedName } from '../../../parts/PictureRow';
import { Sheet } from '../../../parts/Sheet';
import { saveBlob } from '../../../shell/save';
import { useBench, usePiece } from '../../../state/bench';
import { addPassage, chainFile, keepChain, takeChain } from '../../../state/chains';
import { usePictures } from '../../../state/pictures';

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
  const pictures = usePictures(
    (kept && others ? groups.flatMap(({ list }) => list) : []).map(({ key, effects, shownOn = at }) => {
      let n = 0;
      const own = takenOver(effects, piece.layers, () => `shown-${n++}`);
      return { key, piece: { ...piece, look: { ...piece.look, effects: own } }, frameIndex: shownOn };
    }),
  );
  const take = (chain: Offered): void => {
    if (chain.passage) addPassage(chain.passage, { frame: at, long, frames });
    else takeChain(chain);
    onClose();
  };
  return (
    <PictureGroups>
      {groups.map(({ title, list, head }) =>
        list.length === 0 ? null : (
          <PictureRows key={title} title={title} head={head}>
            {list.map((chain) => {
              const { key, name, describe, kept: id, passage } = chain;
              return (
                <PictureRow
                  key={key}
                  picture={pictures.get(key)}
                  label={`${passage ? 'Add' : 'Take'} ${name}`}
                  onPress={() => take(chain)}
                  name={
                    id === undefined ? (
                      <b>{name}</b>
                    ) : (
                      <TypedName name={name} onName={(next) => void renameChain(id, next)} />
                    )
                  }
                  describe={describe}
                >
                  {id === undefined ? null : (
                    <>
                      <Button label={`Write ${name} to a file`} onPress={() => void writeFile(chain)}>
                        Write
                      </Button>
                      <Button label={`Remove ${name}`} onPress={() => void removeChain(id)}>
                        Remove
                      </Button>
                    </>
                  )}
                </PictureRow>
              );
            })}
          </PictureRows>
        ),
      )}
    </PictureGroups>
  );
}

const writeFile = async (chain: Chain): Promise<void> =>
  saveBlob(new Blob([await chainFile(chain)], { type: 'application/json' }), fileName(chain.name, '.effects.json'));
