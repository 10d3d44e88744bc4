import { bench } from '../state/bench';
import styles from './Row.module.css';

interface Props {
  label: string;
  value: string;
  /** several lines */
  lines?: boolean;
  onChange(value: string): void;
}

/** Text: what is typed shows at once, and is one step when the field is left. */
export function TextField({ label, value, lines = false, onChange }: Props) {
  const own = {
    'aria-label': label,
    value,
    onBlur: bench.endGesture,
    // all that is typed until the field is left, or something else is done, is one step
    onChange: (event: { target: { value: string } }) => {
      bench.beginGesture();
      onChange(event.target.value);
    },
  };
  if (!lines)
    return (
      <input
        className={styles.name}
        {...own}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
    );
  return <textarea className={styles.lines} rows={Math.min(6, Math.max(2, value.split('\n').length))} {...own} />;
}
