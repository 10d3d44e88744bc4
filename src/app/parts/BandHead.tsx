import type { ReactNode } from 'react';
import styles from './Heads.module.css';

/** The line above a band: what it shows, a word on how, and its readings. */
export function BandHead({ title, how, children }: { title: ReactNode; how?: string; children?: ReactNode }) {
  return (
    <div className={styles.band}>
      <span>
        {title} {how ? <small>{how}</small> : null}
      </span>
      <span className={styles.readings}>{children}</span>
    </div>
  );
}
