import { ChevronDown, ChevronRight, Plus, Trash2 } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Button as Pressable, MenuTrigger, Popover } from 'react-aria-components';
import type { FormLike } from '../../core/forms/field';
import { serves, type FileKind, type FileRef } from '../../core/kept';
import { SHOWS, shownFile, showsOf, type Shown } from '../../core/shows/kinds';
import type { PiecePath } from '../../core/piece/paths';
import { lapSeconds } from '../../core/time/lap';
import { measureJoins } from '../../files/joins';
import { takeIn } from '../../files/taken';
import { bench, usePiece } from '../state/bench';
import { movedOver, newId } from '../state/edit';
import { bringIn, keepingTrouble } from '../state/files';
import { ACCEPTS } from './accepts';
import { Button } from './Button';
import { FileChoices, useFiles } from './FileChoices';
import fields from './FileField.module.css';
import { FileInput } from './FileInput';
import { FileLook } from './FileLook';
import menu from './Menu.module.css';
import { Reorder, ReorderItem } from './Reorder';
import styles from './ShownList.module.css';

interface Props {
  path: PiecePath;
  label: string;
  hint: string;
  shown: readonly Shown[];
  /** the rows of one of them */
  rowsOf(form: FormLike, path: PiecePath): ReactNode;
}

/** Sees to it that it is known how the clips of a list close. */
function useJoins(shown: readonly Shown[]): void {
  const clips = shown.flatMap(({ kind, file }) => (kind === 'clip' && file ? [file] : []));
  const key = clips.map(({ hash }) => hash).join();
  const [, again] = useState(0);
  useEffect(() => {
    let live = true;
    void takeIn(clips.map((ref) => ({ ref, kind: 'clip' as const })))
      .then(() => measureJoins(clips))
      .then((any) => any && live && again((n) => n + 1));
    return () => {
      live = false;
    };
    // the same hashes are the same clips
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
}

/** Pictures and clips that are shown: a line each, opened in place, dragged into another order; more are added by their looks. */
export function ShownList({ path, label, hint, shown, rowsOf }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const piece = usePiece();
  useJoins(shown);
  const seconds = lapSeconds(piece.lap.frames, piece.lap.rate);
  const add = (kind: FileKind, file: FileRef): void => {
    const made = shownFile(kind, file, newId('shown'));
    if (!made) return;
    const fitted = showsOf(made.kind).fitted?.(made) ?? made;
    bench.endGesture();
    bench.set(path, [...shown, fitted]);
    setOpen(fitted.id);
  };
  return (
    <div role="group" aria-label={label} title={hint}>
      <Reorder ids={shown.map(({ id }) => id)} onMove={(id, over) => bench.set(path, movedOver(shown, id, over))}>
        {shown.map((one, index) => (
          <ReorderItem key={one.id} id={one.id} name={one.file?.name ?? showsOf(one.kind).label}>
            {(handle) => (
              <Line
                one={one}
                path={[...path, index]}
                seconds={seconds}
                open={open === one.id}
                onToggle={() => setOpen(open === one.id ? null : one.id)}
                onRemove={() =>
                  bench.set(
                    path,
                    shown.filter(({ id }) => id !== one.id),
                  )
                }
                handle={handle}
                rowsOf={rowsOf}
              />
            )}
          </ReorderItem>
        ))}
      </Reorder>
      <p className={styles.add}>
        {SHOWS.list.map(({ kind, label: name, takes }) => (
          <AddFile key={kind} name={name} of={takes} onAdd={add} />
        ))}
      </p>
    </div>
  );
}

/** A button that adds a file of a kind, from those there are or from elsewhere. */
function AddFile({ name, of, onAdd }: { name: string; of: FileKind; onAdd(kind: FileKind, file: FileRef): void }) {
  const input = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const files = useFiles(of);
  const add = (ref: FileRef, kind: FileKind): void => {
    setTrouble(null);
    void takeIn([{ ref, kind }]).then(() => onAdd(kind, ref));
  };
  const bring = (file: File | undefined): void => {
    if (!file) return;
    bringIn(file).then(
      ({ ref, kind }) =>
        serves(kind, of) ? add(ref, of) : setTrouble(`“${ref.name}” is kept, but it is not ${name.toLowerCase()}.`),
      (error: unknown) => setTrouble(keepingTrouble(file.name, error)),
    );
  };
  return (
    <>
      <MenuTrigger>
        <Button label={`Add a ${name.toLowerCase()}`}>
          <Plus size={14} /> {name}
        </Button>
        <Popover className={`${menu.popover} ${fields.list}`} placement="left">
          <FileChoices
            of={of}
            files={files}
            label={`Add a ${name.toLowerCase()}`}
            onChoose={(hash) => {
              const file = files.find((one) => one.hash === hash);
              if (file) add({ hash: file.hash, name: file.name }, of);
              else input.current?.click();
            }}
          />
        </Popover>
      </MenuTrigger>
      <FileInput ref={input} label={`${name} file`} accept={ACCEPTS[of]} onChoose={([file]) => bring(file)} />
      {trouble ? (
        <span role="alert" className={fields.trouble}>
          {trouble}
        </span>
      ) : null}
    </>
  );
}

interface LineProps {
  one: Shown;
  path: PiecePath;
  seconds: number;
  open: boolean;
  onToggle(): void;
  onRemove(): void;
  handle: ReactNode;
  rowsOf: Props['rowsOf'];
}

function Line({ one, path, seconds, open, onToggle, onRemove, handle, rowsOf }: LineProps) {
  const [over, setOver] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const definition = showsOf(one.kind);
  const name = one.file?.name ?? definition.label;
  // what is dropped on it takes its place, a clip that of a picture too
  const take = (file: File | undefined): void => {
    if (!file) return;
    bringIn(file).then(
      ({ ref, kind }) => {
        const made = shownFile(kind, ref, one.id);
        if (!made) {
          setTrouble(`“${ref.name}” is kept, but it is no picture and no clip.`);
          return;
        }
        setTrouble(null);
        bench.endGesture();
        bench.set(path, { ...(showsOf(made.kind).fitted?.(made) ?? made), weight: one.weight });
      },
      (error: unknown) => setTrouble(keepingTrouble(file.name, error)),
    );
  };
  return (
    <div
      className={`${styles.line} ${over ? fields.over : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        // a row within it may have taken it
        if (event.defaultPrevented) return;
        event.preventDefault();
        setOver(false);
        take(event.dataTransfer.files[0]);
      }}
    >
      <div className={styles.row}>
        <Pressable className={styles.title} onPress={onToggle} aria-expanded={open}>
          {open ? <ChevronDown size={14} /> : <ChevronRight size={14} />}
          <span className={styles.look}>{one.file ? <FileLook file={one.file} kind={definition.takes} /> : null}</span>
          <span className={styles.words}>
            <b>{name}</b>
            <span>{definition.summary(one, seconds)}</span>
          </span>
        </Pressable>
        {handle}
        <Button kind="bare" label={`Remove ${name}`} onPress={onRemove}>
          <Trash2 size={14} />
        </Button>
      </div>
      {trouble ? (
        <p role="alert" className={fields.trouble}>
          {trouble}
        </p>
      ) : null}
      {open ? (
        <>
          <Offers one={one} path={path} seconds={seconds} />
          {rowsOf(definition.form, path)}
        </>
      ) : null}
    </div>
  );
}

/** What may be chosen for what is shown, by what it comes to. */
function Offers({ one, path, seconds }: Pick<LineProps, 'one' | 'path' | 'seconds'>) {
  const offers = showsOf(one.kind).offers?.(one, seconds) ?? [];
  const groups = [...new Set(offers.map(({ about }) => about))];
  return groups.map((about) => (
    <div key={about} role="group" aria-label={about} className={styles.offers}>
      <span className={styles.about}>{about}</span>
      {offers
        .filter((offer) => offer.about === about)
        .map(({ words, now, best, change }) => (
          <Button
            key={words}
            pressed={now}
            label={`${words}${best ? ', proposed' : ''}`}
            onPress={() => bench.set(path, { ...one, ...change })}
          >
            {best ? <span className={styles.best}>●</span> : null} {words}
          </Button>
        ))}
    </div>
  ));
}
