import { Sheet } from '../parts/Sheet';
import styles from '../parts/Sheet.module.css';
import { SHORTCUTS } from './shortcuts';

export function ShortcutSheet({ open, onClose }: { open: boolean; onClose(): void }) {
  return (
    <Sheet title="Keys" open={open} onClose={onClose}>
      <dl className={styles.keys}>
        {SHORTCUTS.map(({ keys, does }) => (
          <div key={keys} style={{ display: 'contents' }}>
            <dt>{keys}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
