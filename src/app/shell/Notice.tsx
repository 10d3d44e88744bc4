import { X } from 'lucide-react';
import { Button } from '../parts/Button';
import { savePiece } from '../../store/database';
import { bench, useBench } from '../state/bench';
import { takeOver } from '../state/claim';
import styles from './Notice.module.css';

/** Messages that stay until they are answered: trouble, a piece removed, a piece open in two tabs. */
export function Notice() {
  const notice = useBench((state) => state.notice);
  const removed = useBench((state) => state.removed);
  const claim = useBench((state) => state.claim);
  if (removed)
    return (
      <div className={`${styles.notice} ${styles.plain}`} role="status">
        <span>“{removed.name}” was removed.</span>
        <Button
          onPress={() => {
            void savePiece(removed);
            bench.patch({ removed: null });
          }}
        >
          Bring it back
        </Button>
        <Button kind="bare" label="Dismiss" onPress={() => bench.patch({ removed: null })}>
          <X size={16} />
        </Button>
      </div>
    );
  if (notice === null && claim !== 'mine')
    return (
      <div className={styles.notice} role="alert">
        <span>
          {claim === 'elsewhere'
            ? 'This piece is open in another tab, and only one can save it. Changes made here are not kept.'
            : 'Another tab has taken this piece over. Changes made here are not kept.'}
        </span>
        <Button onPress={() => void takeOver()}>{claim === 'elsewhere' ? 'Work here instead' : 'Take it back'}</Button>
        <span />
      </div>
    );
  if (notice === null) return null;
  return (
    <div className={styles.notice} role="alert">
      <span>{notice}</span>
      <Button kind="bare" label="Dismiss" onPress={() => bench.patch({ notice: null })}>
        <X size={16} />
      </Button>
    </div>
  );
}
