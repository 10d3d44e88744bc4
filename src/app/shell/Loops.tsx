import { useLiveQuery } from 'dexie-react-hooks';
import { Archive, FolderOpen, Plus, Search, Trash2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Button as AriaButton, Input, SearchField } from 'react-aria-components';
import type { Piece } from '../../core/piece/schema';
import { lapSeconds, rateHz } from '../../core/time/lap';
import { database, type StoredPiece } from '../../store/database';
import { bringBack, daysLeft, deletePiece, KEPT_DAYS, readStored } from '../../store/pieces';
import { shortRoom, storeTrouble } from '../../store/room';
import { Button } from '../parts/Button';
import { bench } from '../state/bench';
import { say, unsay } from '../state/notices';
import { blankPiece, recipes } from '../state/recipes';
import { keeper, openNew, removePiece } from '../state/session';
import { chooseFile, openCopy } from './files';
import { Mark } from './Mark';
import { showPiece } from './route';
import { saveUnread } from './save';
import { Thumbnail } from './Thumbnail';
import hidden from '../parts/Unseen.module.css';
import styles from './Loops.module.css';

export const lapWords = ({ lap }: Piece): string =>
  `${lap.frames} f · ${Number(rateHz(lap.rate).toFixed(2))} fps · ${lapSeconds(lap.frames, lap.rate).toFixed(1)} s`;

/** A stored record as the loops show it. */
type Shown = { record: StoredPiece } & ({ piece: Piece } | { piece: null; why: string });

const read = new Map<string, { record: StoredPiece; shown: Shown }>();

/** Reads a record once a state: the list is asked for again after every change of any piece. */
function shownOf(record: StoredPiece): Shown {
  const known = read.get(record.id);
  if (known && known.record.mark === record.mark && known.record.updatedAt === record.updatedAt)
    return { ...known.shown, record };
  const parsed = readStored(record);
  const shown: Shown = parsed.ok
    ? { record, piece: parsed.piece }
    : {
        record,
        piece: null,
        why: parsed.problems
          .map(({ where, what }) => (where === 'version' ? what : `${where} ${what}`.trim()))
          .join('; '),
      };
  read.set(record.id, { record, shown });
  return shown;
}

/** The first screen: the user's pieces, and recipes to start from. */
export function Loops() {
  const [wanted, setWanted] = useState('');
  const main = useRef<HTMLElement>(null);
  useEffect(() => main.current?.focus({ preventScroll: true }), []);
  const stored = useLiveQuery(() => database.pieces.orderBy('updatedAt').reverse().toArray());
  const fits = (name: string): boolean => name.toLowerCase().includes(wanted.trim().toLowerCase());
  const all = (stored ?? []).map(shownOf);
  const there = all.filter(({ record }) => record.removedAt === undefined && fits(nameOf(record)));
  const removed = all.filter(({ record }) => record.removedAt !== undefined);
  const shown = recipes.filter((piece) => fits(piece.name));
  return (
    <main ref={main} tabIndex={-1} className={styles.loops}>
      <header className={styles.top}>
        <h1>
          <Mark size={24} /> Isomorph
        </h1>
        <SearchField aria-label="Search loops" className={styles.search} value={wanted} onChange={setWanted}>
          <Search size={15} aria-hidden />
          <Input placeholder="Search" />
        </SearchField>
        <Button kind="bare" onPress={() => bench.patch({ files: true })}>
          <Archive size={15} /> Kept files
        </Button>
        <Button onPress={chooseFile}>
          <FolderOpen size={15} /> Open file
        </Button>
        <Button kind="filled" onPress={() => void openNew(blankPiece())}>
          <Plus size={15} /> New lap
        </Button>
      </header>
      <RoomLeft of={stored} />
      {there.length > 0 ? (
        <section aria-label="Your loops">
          <h2>Your loops</h2>
          <div className={styles.grid}>
            {there.map((shown) =>
              shown.piece ? (
                <LoopCard
                  key={shown.record.id}
                  piece={shown.piece}
                  onOpen={() => showPiece(shown.record.id)}
                  onRemove={() => void remove(shown.record)}
                />
              ) : (
                <UnreadableCard key={shown.record.id} record={shown.record} why={shown.why} />
              ),
            )}
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
        {shown.length + there.length === 0 ? (
          <p className={styles.empty}>No loop is called that. Clear the search to see all.</p>
        ) : null}
      </section>
      {removed.length > 0 ? (
        <section aria-label="Removed loops">
          <h2>
            Removed <small>each can be brought back for {KEPT_DAYS} days</small>
          </h2>
          <ul className={styles.removed}>
            {removed.map(({ record }) => (
              <RemovedRow key={record.id} record={record} />
            ))}
          </ul>
        </section>
      ) : null}
    </main>
  );
}

/** What a stored record is called; what is not readable may not even say that. */
const nameOf = ({ name }: StoredPiece): string => (typeof name === 'string' && name !== '' ? name : 'Unnamed loop');

async function remove(record: StoredPiece): Promise<void> {
  const { id } = record;
  if (!(await removePiece(id))) return;
  say(`“${nameOf(record)}” was removed.`, {
    id: `removed ${id}`,
    tone: 'remark',
    actions: [{ label: 'Bring it back', act: () => void back(record) }],
  });
}

async function back(record: StoredPiece): Promise<void> {
  try {
    await bringBack(record.id);
    unsay(`removed ${record.id}`);
  } catch (error) {
    say(`“${nameOf(record)}” was not brought back: ${storeTrouble(error)}. It is still among the removed ones.`);
  }
}

async function forGood(record: StoredPiece): Promise<void> {
  try {
    await deletePiece(record.id);
    unsay(`removed ${record.id}`);
    // there may be room now for what waits
    keeper.retry();
  } catch (error) {
    say(`“${nameOf(record)}” was not deleted: ${storeTrouble(error)}.`);
  }
}

function RemovedRow({ record }: { record: StoredPiece }) {
  const [sure, setSure] = useState(false);
  const days = daysLeft(record.removedAt ?? 0);
  const name = nameOf(record);
  return (
    <li>
      <span className={styles.name}>{name}</span>
      <span className={styles.lap}>
        {days} {days === 1 ? 'day' : 'days'} left
      </span>
      <Button label={`Bring back ${name}`} onPress={() => void back(record)}>
        Bring back
      </Button>
      <Button
        label={sure ? `Delete ${name} for good, now` : `Delete ${name} for good`}
        onPress={() => (sure ? void forGood(record) : setSure(true))}
      >
        {sure ? 'Really delete' : 'Delete for good'}
      </Button>
    </li>
  );
}

/** A stored piece that this version cannot read: kept, with its file to save. */
function UnreadableCard({ record, why }: { record: StoredPiece; why: string }) {
  const name = nameOf(record);
  return (
    <article className={`${styles.card} ${styles.unreadable}`} aria-label={`${name}, unreadable`}>
      <b>{name}</b>
      <p>This piece cannot be read by this version. It is kept as it is.</p>
      <small>{why.slice(0, 300)}</small>
      <span className={styles.ways}>
        <Button onPress={() => saveUnread(name, record)}>Save its file</Button>
        <Button kind="bare" label={`Remove ${name}`} onPress={() => void remove(record)}>
          <Trash2 size={15} />
        </Button>
      </span>
    </article>
  );
}

/** A word when what the browser can still store gets short. */
function RoomLeft({ of }: { of: unknown }) {
  const [left, setLeft] = useState<number | null>(null);
  useEffect(() => {
    let live = true;
    void shortRoom().then((bytes) => live && setLeft(bytes));
    return () => {
      live = false;
    };
  }, [of]);
  if (left === null) return null;
  return (
    <p className={styles.room} role="status">
      {left < 1e6 ? 'The browser has no room left' : `The browser has room for ${Math.round(left / 1e6)} MB more`} for
      loops. Save files of what matters, or delete removed loops for good.
    </p>
  );
}

function LoopCard({ piece, onOpen, onRemove }: { piece: Piece; onOpen(): void; onRemove?(): void }) {
  const [near, setNear] = useState(false);
  return (
    <article className={styles.card} onPointerEnter={() => setNear(true)} onPointerLeave={() => setNear(false)}>
      <AriaButton className={styles.open} onPress={onOpen} onFocusChange={setNear}>
        <Thumbnail piece={piece} moving={near} />
        <span className={styles.name}>
          <span className={hidden.unseen}>Open </span>
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
