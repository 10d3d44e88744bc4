import { Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { Header, Menu, MenuItem, MenuSection, MenuTrigger, Popover } from 'react-aria-components';
import { Button } from './Button';
import styles from './Menu.module.css';

interface Kind<K extends string> {
  kind: K;
  label: string;
  describe: string;
}

interface Props<K extends string> {
  /** on the button */
  words: string;
  /** of the menu, for those who hear it */
  label: string;
  kinds: readonly Kind<K>[];
  /** under which words they stand together; without it all together */
  groupOf?(kind: K): string;
  onAdd(kind: K): void;
  /** before the words: what adds has a plus */
  icon?: ReactNode;
}

const itemsOf = <K extends string>(kinds: readonly Kind<K>[]): ReactNode =>
  kinds.map(({ kind, label: name, describe }) => (
    <MenuItem key={kind} id={kind} textValue={name} className={styles.item}>
      <b>{name}</b>
      <span>{describe}</span>
    </MenuItem>
  ));

/** A button with a menu of kinds, each with a sentence about it. */
export function AddMenu<K extends string>({
  words,
  label,
  kinds,
  groupOf,
  onAdd,
  icon = <Plus size={14} />,
}: Props<K>) {
  return (
    <MenuTrigger>
      {/* said with what is added, where the button's words are the beginning of that */}
      <Button {...(label.startsWith(words) ? { label } : {})}>
        {icon} {words}
      </Button>
      <Popover className={styles.popover} placement="bottom end">
        <Menu aria-label={label} className={styles.items} onAction={(kind) => onAdd(kind as K)}>
          {groupOf
            ? [...new Set(kinds.map(({ kind }) => groupOf(kind)))].map((words) => (
                <MenuSection key={words} className={styles.section}>
                  <Header className={styles.head}>{words}</Header>
                  {itemsOf(kinds.filter(({ kind }) => groupOf(kind) === words))}
                </MenuSection>
              ))
            : itemsOf(kinds)}
        </Menu>
      </Popover>
    </MenuTrigger>
  );
}
