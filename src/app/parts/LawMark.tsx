import { Button, Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import type { Law } from '../../core/time/animated';
import styles from './LawMark.module.css';
import menu from './Menu.module.css';

const WORDS: Record<Law, { name: string; does: string }> = {
  fixed: { name: 'Fixed', does: 'the same all lap long' },
  keyed: { name: 'Keyed', does: 'set at chosen phases' },
  swing: { name: 'Swing', does: 'there and back, whole cycles' },
  wound: { name: 'Wound', does: 'goes on, whole steps a lap' },
};

/** A small drawing of how a value moves over the lap. */
export function LawDrawing({ law }: { law: Law }) {
  const live = law === 'fixed' ? 'var(--mark)' : 'var(--time)';
  return (
    <svg
      viewBox="0 0 18 18"
      width="18"
      height="18"
      fill="none"
      stroke={live}
      strokeWidth="1.3"
      strokeLinecap="round"
      aria-hidden
    >
      {law === 'fixed' ? <path d="M4 9h10" /> : null}
      {law === 'keyed' ? (
        <>
          <circle cx="9" cy="9" r="6" stroke="var(--mark)" />
          <g fill="var(--time)" stroke="none">
            <circle cx="9" cy="3" r="2" />
            <circle cx="14.2" cy="12" r="2" />
            <circle cx="3.8" cy="12" r="2" />
          </g>
        </>
      ) : null}
      {law === 'swing' ? (
        <path d="M15.5 9C14.6 11 15.6 13 13.3 13.3 11 13.6 11.6 15.8 9 15.5 6.4 15.2 6.8 13 4.7 13.3 2.6 13.6 3.4 11 2.5 9 1.6 7 2.4 5.4 4.7 4.7 7 4 6.6 1.8 9 2.5 11.400 3.200 11.400 4.600 13.300 4.700 15.200 4.800 16.400 7 15.500 9Z" />
      ) : null}
      {law === 'wound' ? (
        <path d="M9 9c0-1.400 2-1.400 2 .4 0 2.200-4 2.400-4.200-.6C6.600 5.400 12.800 4.800 13.600 9.200 14.400 14.200 4.400 15.600 3.600 9" />
      ) : null}
    </svg>
  );
}

/** The drawing before a label; it also changes how the value moves. */
export function LawMark({ law, label, onChange }: { law: Law; label: string; onChange(law: Law): void }) {
  return (
    <MenuTrigger>
      <Button className={styles.mark} aria-label={`${label}: ${WORDS[law].name}. Change how it moves`}>
        <LawDrawing law={law} />
      </Button>
      <Popover className={menu.popover} placement="bottom start">
        <Menu aria-label="How it moves over the lap" onAction={(key) => onChange(key as Law)} className={menu.items}>
          {(Object.keys(WORDS) as Law[]).map((key) => (
            <MenuItem key={key} id={key} textValue={WORDS[key].name} className={styles.item}>
              <LawDrawing law={key} />
              <b>{WORDS[key].name}</b>
              <span>{WORDS[key].does}</span>
            </MenuItem>
          ))}
        </Menu>
      </Popover>
    </MenuTrigger>
  );
}
