import { useState } from 'react';
import { bench, usePiece } from '../state/bench';
import styles from './TopStrip.module.css';

/** The piece's name, edited where it stands. */
export function PieceName() {
  const { name } = usePiece();
  const [draft, setDraft] = useState<string | null>(null);
  const commit = (): void => {
    const wanted = draft?.trim();
    if (wanted && wanted !== name) bench.set(['name'], wanted.slice(0, 200));
    setDraft(null);
  };
  return (
    <input
      className={styles.name}
      aria-label="Name of the piece"
      value={draft ?? name}
      maxLength={200}
      onChange={(event) => setDraft(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') setDraft(null);
      }}
    />
  );
}
