import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { bench } from '../state/bench';
import { readNumber } from './readNumber';
import styles from './NumberField.module.css';

export interface NumberSpec {
  label: string;
  unit?: string;
  min?: number;
  max?: number;
  comfort?: number;
  decimals?: number;
  display?: number;
  hint?: string;
  /** factors of units that it takes besides its own */
  units?: Readonly<Record<string, number>>;
}

interface Props {
  spec: NumberSpec;
  value: number;
  initial?: number;
  whole?: boolean;
  /** shown instead of the number's unit */
  note?: string;
  onChange(value: number): void;
}

const DRAG_PX = 3;

/** A number: type it (with units and simple sums), drag it sideways, or use the arrow keys. Double-click resets. */
export function NumberField({ spec, value, initial, whole = false, note, onChange }: Props) {
  const [text, setText] = useState<string | null>(null);
  const drag = useRef<{ x: number; from: number; moved: boolean } | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const display = spec.display ?? 1;
  const low = spec.min ?? -Infinity;
  const high = spec.max ?? Infinity;
  const top = spec.comfort ?? (Number.isFinite(high) ? high : Math.max(1, Math.abs(value)));
  const bottom = Math.max(low, -top);
  const span = top - bottom;
  const decimals = whole ? 0 : (spec.decimals ?? decimalsFor(span * display));
  const legal = (v: number): number => Math.min(high, Math.max(low, whole ? Math.round(v) : Number(v.toPrecision(9))));
  const step = whole ? 1 : 10 ** -decimals / display;
  const shown = (value * display).toFixed(decimals);
  const filled = span > 0 ? Math.min(1, Math.max(0, (value - bottom) / span)) : 0;

  const down = (event: PointerEvent): void => {
    if (text !== null || event.button !== 0) return;
    drag.current = { x: event.clientX, from: value, moved: false };
    event.currentTarget.setPointerCapture(event.pointerId);
    event.preventDefault();
  };
  const move = (event: PointerEvent): void => {
    const d = drag.current;
    if (!d) return;
    const dx = event.clientX - d.x;
    if (!d.moved && Math.abs(dx) < DRAG_PX) return;
    if (!d.moved) bench.beginGesture();
    d.moved = true;
    const pace = event.shiftKey ? 0.1 : event.ctrlKey ? 5 : 1;
    const raw = d.from + (dx / 240) * span * pace;
    onChange(legal(Math.round(raw / step) * step));
  };
  const up = (): void => {
    if (drag.current?.moved) bench.endGesture();
    else if (drag.current) {
      setText(shown);
      requestAnimationFrame(() => input.current?.select());
      input.current?.focus();
    }
    drag.current = null;
  };
  /** What was there when typing began: leaving it as it is sets nothing, such as a key, but Enter does. */
  const before = useRef<string | null>(null);
  const commit = (always: boolean): void => {
    if (text === null) return;
    const parsed = readNumber(text, spec.unit, spec.units);
    if (parsed !== null && (always || text !== before.current)) onChange(legal(parsed / display));
    setText(null);
  };
  const key = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === 'Enter') {
      event.stopPropagation();
      commit(true);
      event.currentTarget.blur();
    } else if (event.key === 'Escape') {
      // takes back what was typed; a second press belongs to whatever is around the field
      if (text !== null && text !== shown) event.stopPropagation();
      setText(shown);
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      event.stopPropagation();
      const pace = (event.shiftKey ? 0.1 : event.ctrlKey ? 10 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
      const size = whole ? Math.sign(pace) * Math.max(1, Math.abs(pace)) : (span / 100) * pace;
      const next = legal(value + (whole ? size : Math.sign(size) * Math.max(step, Math.abs(size))));
      onChange(next);
      setText(null);
    }
  };
  return (
    <div
      className={styles.field}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onDoubleClick={() => initial !== undefined && (setText(null), onChange(initial))}
      title={spec.hint}
    >
      <i className={styles.fill} style={{ width: `${filled * 100}%` }} />
      <input
        ref={input}
        className={styles.input}
        inputMode="decimal"
        aria-label={spec.unit ? `${spec.label}, ${spec.unit}` : spec.label}
        value={text ?? shown}
        onFocus={() => {
          before.current = shown;
          setText((t) => t ?? shown);
        }}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => commit(false)}
        onKeyDown={key}
      />
      <span className={styles.unit}>{note ?? spec.unit ?? ''}</span>
    </div>
  );
}

const decimalsFor = (span: number): number => (span > 400 ? 0 : span > 40 ? 1 : span > 0.5 ? 2 : 3);
