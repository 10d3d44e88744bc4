import { useCallback, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import {
  gradientOf,
  gradientTableAt,
  hexAt,
  type AnimatedColour,
  type AnimatedGradient,
} from '../../../../core/colour/animated';
import { linearToHex } from '../../../../core/colour/colour';
import type { PiecePath } from '../../../../core/piece/paths';
import { snapPhase } from '../../../../core/time/keys';
import { isMoving, statedMix, type Moving } from '../../../../core/time/mixed';
import { Canvas, token } from '../../../parts/Canvas';
import { setKey, type AnyKey } from '../../../parts/keys';
import { bench, useBench } from '../../../state/bench';
import { MARGIN, seenAt } from './view';
import styles from './Lap.module.css';

type Shown = AnimatedColour | AnimatedGradient;

const isGradient = (value: Shown): value is AnimatedGradient => Array.isArray(statedMix<unknown>(value)[0]);

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

/** Whether a value of a piece is a colour or a gradient, moving or not. */
export function isColour(value: unknown): value is Shown {
  const [one] = statedMix(value);
  const isStops = Array.isArray(one) && isObject(one[0]) && 'colour' in one[0];
  return isStops || (typeof one === 'string' && one.startsWith('#'));
}

const COLUMNS = 180;
const ROWS = 48;

/** Colours of one moment, from the first place of a gradient to the last, or the one there is. */
function columnAt(value: Shown, phase: number): string[] {
  if (!isGradient(value)) return [hexAt(value, phase)];
  const table = gradientTableAt(value, phase, ROWS);
  return Array.from({ length: ROWS }, (_, i) => linearToHex([table[4 * i], table[4 * i + 1], table[4 * i + 2]]));
}

const place = (phase: number): string => `${((phase + MARGIN) / (1 + 2 * MARGIN)) * 100}%`;

interface Props {
  value: Shown;
  path: PiecePath;
  frames: number;
  /** beats in the lap when keys snap to them */
  beats: number | null;
}

/** A colour or a gradient over one and a quarter laps, its first place at the foot; keys are dragged along it. */
export function ColourStrip({ value, path, frames, beats }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const dragged = useRef<AnyKey<unknown> | null>(null);
  const phase = useBench((state) => state.status?.phase ?? 0);
  const moving: Moving<unknown> | null = isMoving<unknown>(value) ? value : null;
  const keys: readonly AnyKey<unknown>[] = moving?.law === 'keyed' ? moving.keys : [];
  const draw = useCallback(
    (context: CanvasRenderingContext2D, width: number, height: number) => {
      for (let i = 0; i < COLUMNS; i++) {
        const column = columnAt(value, -MARGIN + ((i + 0.5) / COLUMNS) * (1 + 2 * MARGIN));
        column.forEach((hex, k) => {
          const [x, y] = [(i / COLUMNS) * width, ((column.length - 1 - k) / column.length) * height];
          context.fillStyle = hex;
          context.fillRect(x, y, width / COLUMNS + 1, height / column.length + 1);
        });
      }
      // what is beyond the seam is the same again
      context.fillStyle = token('ground');
      context.globalAlpha = 0.55;
      const margin = (MARGIN / (1 + 2 * MARGIN)) * width;
      context.fillRect(0, 0, margin, height);
      context.fillRect(width - margin, 0, margin, height);
    },
    [value],
  );
  const setKeys = (next: readonly AnyKey<unknown>[]): void =>
    bench.set(
      [...path, 'keys'],
      [...next].sort((a, b) => a.at - b.at),
    );
  const phaseOf = (event: { clientX: number }): number => {
    const rect = box.current?.getBoundingClientRect();
    const share = rect ? (event.clientX - rect.left) / rect.width : 0;
    return snapPhase(share * (1 + 2 * MARGIN) - MARGIN, frames, beats);
  };
  const moveTo = (key: AnyKey<unknown>, at: number): void => {
    if (keys.some((other) => other.id !== key.id && Math.abs(other.at - at) < 0.5 / frames)) return;
    setKeys(keys.map((other) => (other.id === key.id ? { ...other, at } : other)));
  };
  const press = (event: KeyboardEvent, key: AnyKey<unknown>): void => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    const removes = (event.key === 'Delete' || event.key === 'Backspace') && keys.length > 1;
    if (by === 0 && !removes) return;
    event.preventDefault();
    event.stopPropagation();
    if (removes) setKeys(keys.filter(({ id }) => id !== key.id));
    else moveTo(key, snapPhase(key.at + by / (beats ?? frames), frames, beats));
  };
  const take = (event: PointerEvent, key: AnyKey<unknown>): void => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    dragged.current = key;
    bench.beginGesture();
  };
  const drop = (): void => {
    if (dragged.current) bench.endGesture();
    dragged.current = null;
  };
  const add = (event: { clientX: number }): void => {
    const at = phaseOf(event);
    const now: unknown = isGradient(value) ? gradientOf(value, at) : hexAt(value, at);
    setKeys(setKey(keys, at, now, 0.5 / frames));
  };
  return (
    <div ref={box} className={styles.strip} onDoubleClick={keys.length > 0 ? add : undefined}>
      <Canvas label="The colour over the lap" draw={draw} />
      {[0, 1].map((seam) => (
        <i key={seam} className={styles.seam} style={{ left: place(seam) }} aria-hidden />
      ))}
      <i className={styles.now} style={{ left: place(phase) }} aria-hidden />
      {keys.map((key) =>
        seenAt(key.at).map((p, copy) => (
          <button
            key={`${key.id}${copy}`}
            className={styles.stripKey}
            style={{ left: place(p), opacity: p < 0 || p >= 1 ? 0.6 : 1 }}
            tabIndex={p < 0 || p >= 1 ? -1 : 0}
            role="slider"
            aria-label={`Key at frame ${Math.round(key.at * frames)}${p < 0 || p >= 1 ? ', seen across the seam' : ''}`}
            aria-valuenow={Math.round(key.at * frames)}
            onPointerDown={(event) => take(event, key)}
            onPointerMove={(event) => dragged.current?.id === key.id && moveTo(key, phaseOf(event))}
            onPointerUp={drop}
            onPointerCancel={drop}
            onKeyDown={(event) => press(event, key)}
          />
        )),
      )}
    </div>
  );
}
