import type { ReactNode } from 'react';
import { Button } from 'react-aria-components';
import styles from './Card.module.css';

interface Props {
  title: string;
  summary?: ReactNode;
  drawing?: ReactNode;
  actions?: ReactNode;
  open: boolean;
  onToggle(): void;
  children?: ReactNode;
}

/** One thing of a step: a line that says what it is, and, opened in place, everything about it. */
export function Card({ title, summary, drawing, actions, open, onToggle, children }: Props) {
  return (
    <article className={`${styles.card} ${open ? styles.open : ''}`} aria-label={title}>
      <header className={styles.head}>
        <Button className={styles.title} onPress={onToggle} aria-expanded={open}>
          <span className={styles.drawing} aria-hidden>
            {drawing}
          </span>
          <span className={styles.words}>
            <b>{title}</b>
            {summary ? <small>{summary}</small> : null}
          </span>
        </Button>
        <span className={styles.actions}>{actions}</span>
      </header>
      {open ? children : null}
    </article>
  );
}
