import { useState, type ReactNode } from 'react';
import styles from './PictureRow.module.css';

/** Groups of rows, which scroll where there are many. */
export const PictureGroups = ({ children }: { children: ReactNode }) => <div className={styles.all}>{children}</div>;

/** Rows that each begin with a small picture, under words. */
export function PictureRows({ title, head, children }: { title: string; head?: ReactNode; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <header className={styles.title}>
        <h3>{title}</h3>
        {head}
      </header>
      <ul className={styles.list}>{children}</ul>
    </section>
  );
}

interface Props {
  /** of what is drawn; it is being drawn while there is none */
  picture: string | undefined;
  /** what a press on the picture does */
  label: string;
  onPress(): void;
  name: ReactNode;
  describe: ReactNode;
  /** buttons for what else can be done with it */
  children?: ReactNode;
}

/** One of them. */
export function PictureRow({ picture, label, onPress, name, describe, children }: Props) {
  return (
    <li>
      <button className={styles.take} aria-label={label} onClick={onPress}>
        {picture === undefined ? <span>drawing…</span> : <img src={picture} alt="" />}
      </button>
      <span className={styles.words}>
        {name}
        <small>{describe}</small>
      </span>
      {children ? <span className={styles.does}>{children}</span> : null}
    </li>
  );
}

/** A name that can be typed over. */
export function TypedName({ name, onName }: { name: string; onName(name: string): void }) {
  const [draft, setDraft] = useState<string | null>(null);
  const commit = (): void => {
    const next = draft?.trim();
    if (next && next !== name) onName(next.slice(0, 120));
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
