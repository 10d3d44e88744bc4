import { Component, type ReactNode } from 'react';
import { bench } from '../state/bench';
import { Button } from './Button';
import styles from './Boundary.module.css';

interface Props {
  /** what is blank when this fails, as the start of a sentence */
  what: string;
  /** when it becomes another, what failed is tried again: the piece, for a card of it */
  of?: unknown;
  /** a way out besides undoing and trying again */
  escape?: { label: string; act(): void };
  children: ReactNode;
}

interface State {
  error: Error | null;
  of: unknown;
}

/** Holds what goes wrong in a part of the page inside that part, with words and ways on; the piece stays as it is. */
export class Boundary extends Component<Props, State> {
  override state: State = { error: null, of: this.props.of };

  static getDerivedStateFromError(error: unknown): Partial<State> {
    return { error: error instanceof Error ? error : new Error(String(error)) };
  }

  static getDerivedStateFromProps(props: Props, state: State): Partial<State> | null {
    return Object.is(props.of, state.of) ? null : { of: props.of, error: null };
  }

  override render(): ReactNode {
    const { error } = this.state;
    const { what, escape, children } = this.props;
    if (!error) return children;
    return (
      <section className={styles.failed} role="alert" aria-label={`${what} failed`}>
        <b>{what} cannot be shown.</b>
        <span>The piece is safe and can be saved; undoing the last change may help.</span>
        <small>{error.message}</small>
        <span className={styles.ways}>
          <Button onPress={() => this.setState({ error: null })}>Try again</Button>
          <Button onPress={() => (bench.undo(), this.setState({ error: null }))}>Undo</Button>
          {escape ? <Button onPress={escape.act}>{escape.label}</Button> : null}
        </span>
      </section>
    );
  }
}
