import type { ReactNode } from 'react';
import styles from './Instead.module.css';

interface Props {
  width: number;
  height: number;
  /** of the picture in what it is drawn in */
  inset: number;
  label: string;
  says: string;
  onAway(): void;
  children: ReactNode;
}

/** Something else in the picture's place, with what it is called and the way back. */
export const Instead = ({ width, height, inset, label, says, onAway, children }: Props) => (
  <div className={styles.over} style={{ left: inset, top: inset, width, height }} role="group" aria-label={label}>
    {children}
    <span className={styles.name} role="status">
      {says}
    </span>
    <button className={styles.away} onClick={onAway}>
      Show the piece
    </button>
  </div>
);
