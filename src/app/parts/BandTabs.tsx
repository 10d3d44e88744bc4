import styles from './Heads.module.css';

/** Which of a few bands is shown, at the left end of a band's head. */
export function BandTabs<T extends string>({
  names,
  shown,
  onShow,
}: {
  names: Record<T, string>;
  shown: T;
  onShow(name: T): void;
}) {
  return (
    <span className={styles.tabs} role="group" aria-label="Shown in the band">
      {(Object.keys(names) as T[]).map((name) => (
        <button key={name} aria-pressed={name === shown} onClick={() => onShow(name)}>
          {names[name]}
        </button>
      ))}
    </span>
  );
}
