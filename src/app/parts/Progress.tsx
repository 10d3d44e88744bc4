import styles from './Progress.module.css';

/** How far long work has come. @param share 0..1; @param muted the work ended before it was done */
export function Progress({ label, share, muted = false }: { label: string; share: number; muted?: boolean }) {
  return (
    <div
      className={styles.bar}
      role="progressbar"
      aria-label={label}
      aria-valuenow={Math.round(share * 100)}
      aria-valuemin={0}
      aria-valuemax={100}
    >
      <i className={muted ? styles.muted : ''} style={{ width: `${share * 100}%` }} />
    </div>
  );
}
