import { useLiveQuery } from 'dexie-react-hooks';
import { FolderOpen, Plus, Search, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Button as AriaButton, Input, SearchField } from 'react-aria-components';
import type { Piece } from '../../core/piece/schema';
import { lapSeconds, rateHz } from '../../core/time/lap';
import { database, readStored, removePiece, savePiece } from '../../store/database';
import { Button } from '../parts/Button';
import { bench } from '../state/bench';
import { blankPiece, recipes } from '../state/recipes';
import { chooseFile, openCopy } from './files';
import { Mark } from './Mark';
import { showPiece } from './route';
import { Thumbnail } from './Thumbnail';
import styles from './Loops.module.css';

export const lapWords = ({ lap }: Piece): string =>
  `${lap.frames} f · ${Number(rateHz(lap.rate).toFixed(2))} fps · ${lapSeconds(lap.frames, lap.rate).toFixed(1)} s`;

async function startBlank(): Promise<void> {
  const piece = blankPiece();
  await savePiece(piece);
  showPiece(piece.id);
}

/** The first screen: the user's pieces, and recipes to start from. */
export function Loops() {
  const [wanted, setWanted] = useState('');
  const stored = useLiveQuery(() => database.pieces.orderBy('updatedAt').reverse().toArray());
  const fits = (name: string): boolean => name.toLowerCase().includes(wanted.trim().toLowerCase());
  const own = (stored ?? []).flatMap((record) => {
    const parsed = readStored(record);
    return parsed.ok && fits(parsed.piece.name) ? [parsed.piece] : [];
  });
  const shown = recipes.filter((piece) => fits(piece.name));
  return (
    <main className={styles.loops}>
      <header className={styles.top}>
        <h1>
          <Mark size={24} /> Isomorph
        </h1>
        <SearchField aria-label="Search loops" className={styles.search} value={wanted} onChange={setWanted}>
          <Search size={15} aria-hidden />
          <Input placeholder="Search" />
        </SearchField>
        <Button onPress={chooseFile}>
          <FolderOpen size={15} /> Open file
        </Button>
        <Button kind="filled" onPress={() => void startBlank()}>
          <Plus size={15} /> New lap
        </Button>
      </header>
      {stored === undefined ? null : own.length > 0 ? (
        <section aria-label="Your loops">
          <h2>Your loops</h2>
          <div className={styles.grid}>
            {own.map((piece) => (
              <LoopCard
                key={piece.id}
                piece={piece}
                onOpen={() => showPiece(piece.id)}
                onRemove={() => void forget(piece)}
              />
            ))}
          </div>
        </section>
      ) : null}
      <section aria-label="Recipes">
        <h2>
          Saltmarsh Lamplight Week <small>recipes to start from; opening one makes it yours</small>
        </h2>
        <div className={styles.grid}>
          {shown.map((piece) => (
            <LoopCard key={piece.id} piece={piece} onOpen={() => void openCopy(piece)} />
          ))}
        </div>
        {shown.length + own.length === 0 ? (
          <p className={styles.empty}>No loop is called that. Clear the search to see all.</p>
        ) : null}
      </section>
    </main>
  );
}

async function forget(piece: Piece): Promise<void> {
  await removePiece(piece.id);
  bench.patch({ notice: null, removed: piece });
}

function LoopCard({ piece, onOpen, onRemove }: { piece: Piece; onOpen(): void; onRemove?(): void }) {
  const [near, setNear] = useState(false);
  return (
    <article className={styles.card} onPointerEnter={() => setNear(true)} onPointerLeave={() => setNear(false)}>
      <AriaButton className={styles.open} onPress={onOpen} onFocusChange={setNear}>
        <Thumbnail piece={piece} moving={near} />
        <span className={styles.name}>
          <span className={styles.unseen}>Open </span>
          {piece.name}
        </span>
        <span className={styles.lap}>{lapWords(piece)}</span>
      </AriaButton>
      {onRemove ? (
        <span className={styles.remove}>
          <Button kind="bare" label={`Remove ${piece.name}`} onPress={onRemove}>
            <Trash2 size={15} />
          </Button>
        </span>
      ) : null}
    </article>
  );
}
