import { ChevronDown, ChevronRight, Plus, Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Button as Pressable } from 'react-aria-components';
import type { FormLike, Parts } from '../../core/forms/field';
import type { PiecePath } from '../../core/piece/paths';
import { bench } from '../state/bench';
import { movedOver, newId } from '../state/edit';
import { Button } from './Button';
import { Reorder, ReorderItem } from './Reorder';
import styles from './ShownList.module.css';

/** One of a list. */
export interface Listed {
  id: string;
}

interface Props {
  path: PiecePath;
  label: string;
  hint: string;
  /** on the button that adds one */
  adds: string;
  /** how many there may be */
  most: number;
  parts: Parts;
  list: readonly Listed[];
  /** the rows of one of them */
  rowsOf(form: FormLike, path: PiecePath): ReactNode;
}

/** Parts that are alike: a line each, opened in place, dragged into another order, added and taken away. */
export function PartsList({ path, label, hint, adds, most, parts, list, rowsOf }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const wordsOf = (one: Listed): string => parts.wordsOf(one) ?? label;
  const add = (): void => {
    const made = parts.made?.(newId('part')) as Listed | undefined;
    if (!made) return;
    bench.endGesture();
    bench.set(path, [...list, made]);
    setOpen(made.id);
  };
  const remove = (id: string): void =>
    bench.set(
      path,
      list.filter((one) => one.id !== id),
    );
  return (
    <div role="group" aria-label={label} title={hint}>
      <Reorder ids={list.map(({ id }) => id)} onMove={(id, over) => bench.set(path, movedOver(list, id, over))}>
        {list.map((one, index) => {
          const words = wordsOf(one);
          return (
            <ReorderItem key={one.id} id={one.id} name={words}>
              {(handle) => (
                <section className={styles.line} aria-label={words}>
                  <div className={styles.row}>
                    <Pressable
                      className={`${styles.title} ${styles.plain}`}
                      aria-expanded={open === one.id}
                      onPress={() => setOpen(open === one.id ? null : one.id)}
                    >
                      {open === one.id ? <ChevronDown size={14} /> : <ChevronRight size={14} />}
                      <span className={styles.words}>
                        <b>{words}</b>
                      </span>
                    </Pressable>
                    {handle}
                    <Button kind="bare" label={`Remove ${words}`} onPress={() => remove(one.id)}>
                      <Trash2 size={14} />
                    </Button>
                  </div>
                  {open === one.id ? rowsOf(parts.formOf(one), [...path, index]) : null}
                </section>
              )}
            </ReorderItem>
          );
        })}
      </Reorder>
      {list.length < most ? (
        <p className={styles.add}>
          <Button onPress={add}>
            <Plus size={14} /> {adds}
          </Button>
        </p>
      ) : null}
    </div>
  );
}
