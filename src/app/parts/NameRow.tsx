import { useState } from 'react';
import { PlainRow } from './PlainRow';
import { bench } from '../state/bench';
import styles from './Row.module.css';

interface Props {
  path: readonly (string | number)[];
  name: string;
  /** what is named, in a word */
  of: string;
  /** what it is called while it has no name */
  placeholder?: string;
}

/** A name that can be typed over. */
export function NameRow({ path, name, of, placeholder = '' }: Props) {
  const [draft, setDraft] = useState<string | null>(null);
  const commit = (): void => {
    if (draft !== null && draft !== name) bench.set(path, draft.slice(0, 120));
    setDraft(null);
  };
  return (
    <PlainRow label="Name">
      <input
        className={styles.name}
        aria-label={`Name of the ${of}`}
        placeholder={placeholder}
        value={draft ?? name}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
    </PlainRow>
  );
}
