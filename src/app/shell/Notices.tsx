import { X } from 'lucide-react';
import { Button } from '../parts/Button';
import { useBench } from '../state/bench';
import { unsay, useNotices, type Notice } from '../state/notices';
import { takeOver } from '../state/session';
import styles from './Notices.module.css';

/** What the user is told, one below the other: a piece open in two tabs, then everything said since. */
export function Notices() {
  const list = useNotices((state) => state.list);
  const claim = useBench((state) => state.claim);
  const open = useBench((state) => state.history !== null);
  const tabs: Notice[] =
    open && claim !== 'mine'
      ? [
          {
            id: 'tabs',
            words:
              claim === 'elsewhere'
                ? 'This piece is open in another tab, and only one can save it. Changes made here are not kept.'
                : 'Another tab has taken this piece over. Changes made here are not kept.',
            tone: 'trouble',
            actions: [
              { label: claim === 'elsewhere' ? 'Work here instead' : 'Take it back', act: () => void takeOver() },
            ],
            dismissable: false,
          },
        ]
      : [];
  const shown = [...tabs, ...list];
  if (shown.length === 0) return null;
  return (
    <section className={styles.notices} aria-label="Notices">
      {shown.map((notice) => (
        <OneNotice key={notice.id} notice={notice} />
      ))}
    </section>
  );
}

function OneNotice({ notice: { id, words, tone, actions, dismissable } }: { notice: Notice }) {
  return (
    <div
      className={`${styles.notice} ${tone === 'remark' ? styles.remark : ''}`}
      role={tone === 'remark' ? 'status' : 'alert'}
    >
      <p className={styles.words}>{words}</p>
      <span className={styles.actions}>
        {actions.map(({ label, act }) => (
          <Button key={label} onPress={act}>
            {label}
          </Button>
        ))}
        {dismissable ? (
          <Button kind="bare" label="Dismiss" onPress={() => unsay(id)}>
            <X size={16} />
          </Button>
        ) : null}
      </span>
    </div>
  );
}
