import type { ReactNode } from 'react';
import styles from './Heads.module.css';

/** The line above the cards of a step. */
export function CardsHead({
  title,
  tone,
  children,
}: {
  title: ReactNode;
  tone?: 'good' | 'trouble' | undefined;
  children?: ReactNode;
}) {
  return (
    <header className={styles.cards}>
      <h2 className={tone ? styles[tone] : ''} aria-live="polite">
        {title}
      </h2>
      <span>{children}</span>
    </header>
  );
}
