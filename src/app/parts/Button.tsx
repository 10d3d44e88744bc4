import type { ReactNode } from 'react';
import { Button as AriaButton, type ButtonProps } from 'react-aria-components';
import styles from './Button.module.css';

type Props = ButtonProps & {
  kind?: 'plain' | 'accent' | 'bare' | 'filled';
  pressed?: boolean;
  label?: string;
  children: ReactNode;
};

/** A button with words, or with an icon and a label for those who cannot see it. */
export function Button({ kind = 'plain', pressed, label, children, ...rest }: Props) {
  return (
    <AriaButton
      {...rest}
      {...(label ? { 'aria-label': label } : {})}
      {...(pressed === undefined ? {} : { 'aria-pressed': pressed })}
      className={`${styles.button} ${styles[kind]} ${pressed ? styles.pressed : ''}`}
    >
      {children}
    </AriaButton>
  );
}
