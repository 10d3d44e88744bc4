import type { Control } from '../../core/forms';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { bench } from '../state/bench';
import styles from './ProfileField.module.css';

interface Props {
  spec: Control;
  value: readonly number[];
  onChange(value: number[]): void;
}

/** A curve as eight columns: drag across them to draw it, or step each with the arrow keys. */
export function ProfileField({ spec, value, onChange }: Props) {
  const strip = useRef<HTMLDivElement>(null);
  const { min = 0, max = 1 } = spec;
  const put = (index: number, to: number): void => {
    const next = [...value];
    next[index] = Math.round(Math.min(max, Math.max(min, to)) * 1000) / 1000;
    onChange(next);
  };
  const drawAt = (event: PointerEvent): void => {
    const box = strip.current?.getBoundingClientRect();
    if (!box) return;
    const index = Math.min(7, Math.max(0, Math.floor(((event.clientX - box.left) / box.width) * 8)));
    put(index, min + (1 - (event.clientY - box.top) / box.height) * (max - min));
  };
  const step = (event: KeyboardEvent, index: number): void => {
    const way = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (way === 0) return;
    event.preventDefault();
    event.stopPropagation();
    put(index, value[index] + way * (max - min) * (event.shiftKey ? 0.01 : 0.05));
  };
  return (
    <div
      ref={strip}
      className={styles.strip}
      role="group"
      aria-label={spec.label}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        bench.beginGesture();
        drawAt(event);
      }}
      onPointerMove={(event) => {
        if (event.currentTarget.hasPointerCapture(event.pointerId)) drawAt(event);
      }}
      onPointerUp={() => bench.endGesture()}
      onPointerCancel={() => bench.endGesture()}
    >
      {value.map((v, index) => (
        <span
          key={index}
          className={styles.column}
          role="slider"
          tabIndex={0}
          aria-label={`${spec.label} ${index + 1} of 8`}
          aria-valuemin={min}
          aria-valuemax={max}
          aria-valuenow={v}
          onKeyDown={(event) => step(event, index)}
        >
          <i style={{ height: `${(100 * (v - min)) / (max - min)}%` }} />
        </span>
      ))}
    </div>
  );
}
