import { ChevronDown } from 'lucide-react';
import { Button, ListBox, ListBoxItem, Popover, Select, SelectValue } from 'react-aria-components';
import styles from './ChoiceField.module.css';

interface Props {
  label: string;
  value: string;
  choices: Record<string, string>;
  onChange(value: string): void;
}

/** One of a few. */
export function ChoiceField({ label, value, choices, onChange }: Props) {
  return (
    <Select aria-label={label} value={value} onChange={(key) => key !== null && onChange(String(key))}>
      <Button className={styles.field}>
        <SelectValue className={styles.value} />
        <ChevronDown size={14} aria-hidden />
      </Button>
      <Popover className={styles.list} offset={4}>
        <ListBox>
          {Object.entries(choices).map(([key, words]) => (
            <ListBoxItem key={key} id={key} className={styles.item} textValue={words}>
              {words}
            </ListBoxItem>
          ))}
        </ListBox>
      </Popover>
    </Select>
  );
}
