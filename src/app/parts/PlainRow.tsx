import type { ReactNode } from 'react';
import styles from './Row.module.css';

/** A row for something that does not change over the lap. */
export function PlainRow({
  label,
  hint,
  row,
  tall = false,
  children,
}: {
  label: string;
  hint?: string;
  row?: string;
  tall?: boolean;
  children: ReactNode;
}) {
  return (
    <div className={`${styles.row} ${tall ? styles.tall : ''}`} data-row={row}>
      <i className={styles.dash} aria-hidden />
      <span className={styles.label} title={hint}>
        {label}
      </span>
      {children}
    </div>
  );
}
