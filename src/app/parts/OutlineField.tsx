import { useRef, useState, type KeyboardEvent, type MouseEvent, type PointerEvent } from 'react';
import { bench } from '../state/bench';
import styles from './OutlineField.module.css';

type Point = [number, number];

interface Props {
  label: string;
  value: readonly Point[];
  onChange(value: Point[]): void;
}

/** Half of what the drawing shows, in units of the body's size. */
const HALF = 0.75;
const MOST = 64;
/** Radius around a point in which it is grasped: 12 pixels of a drawing 120 high. */
const GRIP = 0.15;

const round = (v: number): number => Math.round(Math.min(4, Math.max(-4, v)) * 1000) / 1000;

/** Distance of a place from the stretch between two points. */
function distanceTo([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay];
  const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(x - ax - dx * t, y - ay - dy * t);
}

/** A closed outline: points are dragged; a double click adds one on a side or takes one away. */
export function OutlineField({ label, value, onChange }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<number | null>(null);
  const placeOf = (event: MouseEvent | PointerEvent): Point | null => {
    const box = svg.current?.getBoundingClientRect();
    if (!box) return null;
    const scale = (2 * HALF) / box.height;
    return [
      round((event.clientX - box.left - box.width / 2) * scale),
      round(-(event.clientY - box.top - box.height / 2) * scale),
    ];
  };
  const put = (index: number, point: Point): void => onChange(value.map((p, i) => (i === index ? point : [...p])));
  const addAt = (event: MouseEvent): void => {
    const place = placeOf(event);
    if (!place || value.length >= MOST) return;
    const gaps = value.map((p, i) => distanceTo(place, p, value[(i + 1) % value.length]));
    const after = gaps.indexOf(Math.min(...gaps));
    onChange([...value.slice(0, after + 1), place, ...value.slice(after + 1)].map((p): Point => [...p]));
  };
  const remove = (index: number): void => {
    if (value.length > 3) onChange(value.filter((_, i) => i !== index).map((p): Point => [...p]));
  };
  const step = (event: KeyboardEvent, index: number): void => {
    const by = event.shiftKey ? 0.005 : 0.025;
    const ways: Record<string, Point> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, by],
      ArrowDown: [0, -by],
    };
    if (event.key === 'Delete' || event.key === 'Backspace') remove(index);
    else if (event.key in ways) {
      const [x, y] = ways[event.key];
      put(index, [round(value[index][0] + x), round(value[index][1] + y)]);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const hold = (event: PointerEvent, index: number): void => {
    svg.current?.setPointerCapture(event.pointerId);
    bench.beginGesture();
    setHeld(index);
  };
  const take = (event: MouseEvent, index: number): void => {
    event.stopPropagation();
    remove(index);
  };
  return (
    <svg
      ref={svg}
      className={styles.drawing}
      viewBox={`${-2 * HALF} ${-HALF} ${4 * HALF} ${2 * HALF}`}
      role="group"
      aria-label={label}
      onDoubleClick={addAt}
      onPointerMove={(event) => {
        const place = held === null ? null : placeOf(event);
        if (held !== null && place) put(held, place);
      }}
      onPointerUp={() => {
        if (held !== null) bench.endGesture();
        setHeld(null);
      }}
    >
      <path className={styles.cross} d={`M${-2 * HALF} 0H${2 * HALF}M0 ${-HALF}V${HALF}`} />
      <path className={styles.outline} d={`M${value.map(([x, y]) => `${x} ${-y}`).join('L')}Z`} />
      {value.map(([x, y], index) => (
        <circle
          key={`grip ${index}`}
          className={styles.grip}
          cx={x}
          cy={-y}
          r={GRIP}
          onDoubleClick={(event) => take(event, index)}
          onPointerDown={(event) => hold(event, index)}
        />
      ))}
      {value.map(([x, y], index) => (
        <circle
          key={index}
          className={styles.point}
          cx={x}
          cy={-y}
          r={0.045}
          role="slider"
          tabIndex={0}
          aria-label={`Point ${index + 1} of ${value.length}`}
          aria-valuenow={index + 1}
          aria-valuetext={`${x} aside, ${y} up`}
          onKeyDown={(event) => step(event, index)}
          onDoubleClick={(event) => take(event, index)}
          onPointerDown={(event) => hold(event, index)}
        />
      ))}
    </svg>
  );
}
