import { useState } from 'react';
import { PlainRow } from '../../parts/PlainRow';
import { bench } from '../../state/bench';
import styles from './Build.module.css';

export function LayerName({ path, name }: { path: readonly (string | number)[]; name: string }) {
  const [draft, setDraft] = useState<string | null>(null);
  const commit = (): void => {
    if (draft !== null && draft !== name) bench.set(path, draft.slice(0, 120));
    setDraft(null);
  };
  return (
    <PlainRow label="Name">
      <input
        className={styles.name}
        aria-label="Name of the layer"
        value={draft ?? name}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
    </PlainRow>
  );
}
