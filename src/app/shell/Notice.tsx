import { X } from 'lucide-react';
import { Button } from '../parts/Button';
import { savePiece } from '../../store/database';
import { bench, useBench } from '../state/bench';
import styles from './Notice.module.css';

/** A message that stays until it is dismissed, and the way back after removing a piece. */
export function Notice() {
  const notice = useBench((state) => state.notice);
  const removed = useBench((state) => state.removed);
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
