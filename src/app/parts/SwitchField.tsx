import { Switch } from 'react-aria-components';
import styles from './SwitchField.module.css';

interface Props {
  label: string;
  value: boolean;
  onChange(value: boolean): void;
}

export function SwitchField({ label, value, onChange }: Props) {
  return (
    <Switch aria-label={label} isSelected={value} onChange={onChange} className={styles.switch}>
      <i />
      <span>{value ? 'on' : 'off'}</span>
    </Switch>
  );
}
