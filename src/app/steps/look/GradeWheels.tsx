import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { channelsOf, wheelAt, WHEELS, type Grade, type Wheel } from '../../../core/look/effects/grade/grade';
import { evaluateAnimated } from '../../../core/time/animated';
import { bench, useBench, usePiece } from '../../state/bench';
import styles from './Look.module.css';

const NAMES: Record<Wheel, string> = { lift: 'Lift', gamma: 'Gamma', gain: 'Gain' };
/** Radius in the wheel's own units, in which its rim is drawn. */
const RIM = 40;
/** Colours around a wheel, so many. */
const PARTS = 24;

/** The colour at a place of a wheel. */
function colourOf(place: readonly [number, number]): string {
  const [r, g, b] = channelsOf(place).map((v) => Math.round(128 + 118 * v));
  return `rgb(${r} ${g} ${b})`;
}

/** A place within the rim. */
function held([x, y]: readonly [number, number]): [number, number] {
  const out = Math.max(1, Math.hypot(x, y));
  return [x / out, y / out].map((v) => Math.round(v * 1000) / 1000) as [number, number];
}

/** The three wheels of a grade: each is dragged towards the colour that its range of tones takes. */
export function GradeWheels({ index }: { index: number }) {
  const effect = usePiece().look.effects[index];
  if (effect.kind !== 'grade') return null;
  return (
    <div className={styles.wheels} role="group" aria-label="Wheels">
      {(Object.keys(WHEELS) as Wheel[]).map((wheel) => (
        <ColourWheel key={wheel} effect={effect} wheel={wheel} index={index} />
      ))}
    </div>
  );
}

function ColourWheel({ effect, wheel, index }: { effect: Grade; wheel: Wheel; index: number }) {
  const phase = useBench((state) => state.status?.phase ?? 0);
  const surface = useRef<SVGSVGElement>(null);
  const [x, y] = wheelAt(effect, wheel, phase);
  // what a law moves is dragged nowhere
  const fixed = typeof effect[`${wheel}Red`] !== 'number' || typeof effect[`${wheel}Green`] !== 'number';
  const path = ['look', 'effects', index];
  const put = (place: readonly [number, number]): void => {
    const [red, green] = held(place);
    bench.set(path, { ...effect, [`${wheel}Red`]: red, [`${wheel}Green`]: green });
  };
  const placed = (event: PointerEvent): [number, number] => {
    const box = surface.current?.getBoundingClientRect();
    if (!box) return [x, y];
    const each = (box.width / 2) * (RIM / 46);
    return [(event.clientX - box.left - box.width / 2) / each, -(event.clientY - box.top - box.height / 2) / each];
  };
  const keyed = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? 0.1 : 0.02;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (event.key !== 'Home' && !by) return;
    event.preventDefault();
    event.stopPropagation();
    put(by ? [x + by[0], y + by[1]] : [0, 0]);
  };
  return (
    <div className={styles.wheel}>
      <svg
        ref={surface}
        viewBox="-46 -46 92 92"
        tabIndex={fixed ? -1 : 0}
        role="slider"
        aria-label={`${NAMES[wheel]} wheel`}
        aria-valuetext={`${Math.round(100 * x)} % red, ${Math.round(100 * y)} % green`}
        aria-valuenow={Math.round(100 * Math.hypot(x, y))}
        aria-disabled={fixed}
        onKeyDown={fixed ? undefined : keyed}
        onDoubleClick={fixed ? undefined : () => put([0, 0])}
        onPointerDown={
          fixed
            ? undefined
            : (event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                bench.beginGesture();
                put(placed(event));
              }
        }
        onPointerMove={(event) => {
          if (!fixed && event.currentTarget.hasPointerCapture(event.pointerId)) put(placed(event));
        }}
        onPointerUp={() => bench.endGesture()}
        onPointerCancel={() => bench.endGesture()}
      >
        <circle r={RIM} className={styles.disc} />
        {Array.from({ length: PARTS }, (_, i) => {
          const [from, to] = [i, i + 1.05].map((k) => (2 * Math.PI * k) / PARTS);
          const middle = (from + to) / 2;
          return (
            <path
              key={i}
              d={`M${RIM * Math.cos(from)} ${-RIM * Math.sin(from)}A${RIM} ${RIM} 0 0 0 ${RIM * Math.cos(to)} ${-RIM * Math.sin(to)}`}
              stroke={colourOf([Math.cos(middle), Math.sin(middle)])}
              strokeWidth="5"
              fill="none"
            />
          );
        })}
        <path d="M-5 0H5M0 -5V5" className={styles.cross} />
        <path d={`M0 0L${x * RIM} ${-y * RIM}`} className={styles.cross} />
        <circle cx={x * RIM} cy={-y * RIM} r="6" fill={colourOf([x, y])} className={styles.dot} />
      </svg>
      <span>
        {NAMES[wheel]} {evaluateAnimated(effect[wheel], phase).toFixed(2)}
      </span>
    </div>
  );
}
