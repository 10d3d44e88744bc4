import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { useShallow } from 'zustand/react/shallow';
import type { Layer } from '../../../core/layers/kinds';
import type { InPicture } from '../../../core/world/inPicture';
import { bench, useBench, usePiece } from '../../state/bench';
import { carried, gripsAt, type StandGrip } from './carried';
import styles from './StandGrips.module.css';

/** Where each grip is about the layer's own place, and what it does in words; pixels to the right and down. */
const GRIPS: readonly { grip: StandGrip; at: readonly [number, number]; words: string; hint: string }[] = [
  { grip: 'carry', at: [0, 0], words: 'Carry', hint: 'Carry it across the picture; with Shift nearer and farther' },
  { grip: 'turn', at: [52, 0], words: 'Turn', hint: 'Turn it about its upright axis' },
  { grip: 'tilt', at: [0, -52], words: 'Tilt', hint: 'Raise or lower its front' },
  { grip: 'scale', at: [38, 38], words: 'Scale', hint: 'Make it larger or smaller' },
];

/** Pixels that an arrow key drags by; with Shift a tenth. */
const KEY_PX = 10;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

interface Drag {
  grip: StandGrip;
  layer: Layer;
  seen: InPicture;
  /** of the pointer when it began, and of the layer's place, in pixels of the page */
  from: readonly [number, number];
  middle: readonly [number, number];
}

/** Grips on what is open, in the picture itself, while it stands still: carried, turned, tilted and scaled where it is seen. */
export function StandGrips({ width, height, border }: { width: number; height: number; border: number }) {
  const piece = usePiece();
  const { open, phase } = useBench(
    useShallow((state) => ({
      open: state.step === 'build' && !state.playing ? state.open : null,
      phase: state.status?.phase ?? 0,
    })),
  );
  const drag = useRef<Drag | null>(null);
  const layer = piece.layers.find(({ id }) => id === open);
  const seen = layer ? gripsAt(piece, layer, phase) : null;
  if (!layer || !seen) return null;
  const [x, y] = [seen.x * width, seen.y * height];
  const put = (fields: object): void =>
    bench.update((p) => ({
      ...p,
      layers: p.layers.map((one) => (one.id === layer.id ? ({ ...one, ...fields } as Layer) : one)),
    }));
  const begin = (grip: StandGrip, event: PointerEvent<HTMLButtonElement>): void => {
    const { left, top } = event.currentTarget.parentElement?.getBoundingClientRect() ?? { left: 0, top: 0 };
    const from = [event.clientX, event.clientY] as const;
    drag.current = { grip, layer, seen, from, middle: [left + x, top + y] };
    event.currentTarget.setPointerCapture(event.pointerId);
    // the keys stay those of the bench
    event.preventDefault();
    bench.beginGesture();
  };
  const go = (event: PointerEvent): void => {
    const now = drag.current;
    if (!now) return;
    const by = [event.clientX - now.from[0], event.clientY - now.from[1]] as const;
    const away = (at: readonly [number, number]): number =>
      Math.max(6, Math.hypot(at[0] - now.middle[0], at[1] - now.middle[1]));
    const reach = away([event.clientX, event.clientY]) / away(now.from);
    const grip = now.grip === 'carry' && event.shiftKey ? 'away' : now.grip;
    put(carried(now.layer, grip, now.seen, by, width, reach, phase));
  };
  const end = (): void => {
    if (drag.current) bench.endGesture();
    drag.current = null;
  };
  const press = (grip: StandGrip, event: KeyboardEvent): void => {
    if (!(event.key in ARROWS)) return;
    const arrow = ARROWS[event.key];
    event.preventDefault();
    event.stopPropagation();
    const step = event.shiftKey ? KEY_PX / 10 : KEY_PX;
    const grown = 1 + (0.1 * step * (arrow[0] - arrow[1])) / KEY_PX;
    put(carried(layer, grip, seen, [arrow[0] * step, arrow[1] * step], width, grown, phase));
  };
  return (
    <div className={styles.over} style={{ left: border, top: border, width, height }} role="group" aria-label="Grips">
      {GRIPS.map(({ grip, at, words, hint }) => (
        <button
          key={grip}
          type="button"
          className={`${styles.grip} ${styles[grip]}`}
          style={{ left: x + at[0], top: y + at[1] }}
          aria-label={`${words} ${layer.name}`}
          title={hint}
          onPointerDown={(event) => begin(grip, event)}
          onPointerMove={go}
          onPointerUp={end}
          onPointerCancel={end}
          onKeyDown={(event) => press(grip, event)}
        />
      ))}
      <svg className={styles.lines} width={width} height={height} aria-hidden>
        <path d={`M${x + 7} ${y}H${x + 46}M${x} ${y - 7}V${y - 46}`} />
      </svg>
    </div>
  );
}
