import { Shapes } from 'lucide-react';
import { useEffect, useRef, useState, type ComponentProps, type ReactNode } from 'react';
import { Button } from 'react-aria-components';
import { Button as Plain } from './Button';
import styles from './Card.module.css';
import { Siblings } from './Siblings';

interface Props {
  title: string;
  summary?: ReactNode;
  drawing?: ReactNode;
  actions?: ReactNode;
  open: boolean;
  onToggle(): void;
  /** what siblings of it can be made from */
  kin?: ComponentProps<typeof Siblings>;
  children?: ReactNode;
}

/** One thing of a step: a line that says what it is, and, opened in place, everything about it. */
export function Card({ title, summary, drawing, actions, open, onToggle, kin, children }: Props) {
  const [fanned, setFanned] = useState(false);
  const card = useRef<HTMLElement>(null);
  // what is opened, or was just added, is in sight with as much of it as there is room for
  useEffect(() => {
    if (open) card.current?.scrollIntoView({ block: 'nearest' });
  }, [open]);
  return (
    <article ref={card} className={`${styles.card} ${open ? styles.open : ''}`} aria-label={title}>
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
        <span className={styles.actions}>
          {open && kin ? (
            <Plain kind="bare" pressed={fanned} label={`Siblings of ${title}`} onPress={() => setFanned(!fanned)}>
              <Shapes size={15} />
            </Plain>
          ) : null}
          {actions}
        </span>
      </header>
      {open && kin && fanned ? <Siblings {...kin} /> : null}
      {open ? children : null}
    </article>
  );
}
