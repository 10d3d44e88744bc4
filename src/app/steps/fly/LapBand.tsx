import { useMemo, useRef, type PointerEvent } from 'react';
import { animatedPlaces } from '../../../core/seam/stateReport';
import { evaluateAnimated, type Animated, type Key } from '../../../core/time/animated';
import { framePhase, wrapPhase } from '../../../core/time/lap';
import { setKey } from '../../parts/keys';
import { BandHead } from '../../parts/BandHead';
import { ChoiceField } from '../../parts/ChoiceField';
import { useSize } from '../../parts/useSize';
import { bench, useBench, usePiece } from '../../state/bench';
import { getAt } from '../../state/edit';
import { player } from '../../state/player';
import styles from './Fly.module.css';

/** Part of the lap shown before its start and after its end: 1¼ laps in all, so curves are seen across the seam. */
const MARGIN = 0.125;
const SAMPLES = 360;

const isAnimated = (value: unknown): value is Animated =>
  typeof value === 'number' || (typeof value === 'object' && value !== null && 'law' in value);

/** The values that move, unrolled over 1¼ laps; keys are moved by hand. */
export function LapBand() {
  const piece = usePiece();
  const selected = useBench((state) => state.selected);
  const moving = useMemo(() => animatedPlaces(piece), [piece]);
  const key = selected?.join('.') ?? '';
  const value = selected ? getAt(piece, selected) : undefined;
  const choices = Object.fromEntries(moving.map((place) => [place.path.join('.'), place.subject]));
  const shown = isAnimated(value) ? value : undefined;
  return (
    <>
      <BandHead title="Unrolled lap" how="one and a quarter laps, so the seam is inside">
        {moving.length > 0 ? (
          <span className={styles.choice}>
            <ChoiceField
              label="Value shown"
              value={choices[key] ? key : ''}
              choices={
                choices[key] ? choices : { '': shown === undefined ? 'choose a value' : 'a fixed value', ...choices }
              }
              onChange={(path) => {
                const place = moving.find((candidate) => candidate.path.join('.') === path);
                if (place) bench.patch({ selected: place.path });
              }}
            />
          </span>
        ) : null}
      </BandHead>
      {shown === undefined || selected === null ? (
        <p className={styles.empty}>Select a value to see it over the lap. The mark before its name makes it move.</p>
      ) : (
        <Curve value={shown} path={selected} frames={piece.lap.frames} />
      )}
    </>
  );
}

interface CurveProps {
  value: Animated;
  path: readonly (string | number)[];
  frames: number;
}

function Curve({ value, path, frames }: CurveProps) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const phase = useBench((state) => state.status?.phase ?? 0);
  const dragged = useRef<string | null>(null);
  const samples = useMemo(
    () =>
      Array.from({ length: SAMPLES + 1 }, (_, i) =>
        evaluateAnimated(value, -MARGIN + (i / SAMPLES) * (1 + 2 * MARGIN)),
      ),
    [value],
  );
  const low = Math.min(...samples);
  const high = Math.max(...samples);
  const room = (high - low || Math.max(1, Math.abs(high))) * 0.18;
  const x = (at: number): number => ((at + MARGIN) / (1 + 2 * MARGIN)) * width;
  const y = (v: number): number => height - 16 - ((v - low + room) / (high - low + 2 * room)) * (height - 20);
  const atX = (px: number): number => (px / width) * (1 + 2 * MARGIN) - MARGIN;
  const valueAtY = (py: number): number => low - room + ((height - 16 - py) / (height - 20)) * (high - low + 2 * room);
  const keys: readonly Key[] = typeof value === 'object' && value.law === 'keyed' ? value.keys : [];
  const snapped = (at: number): number => wrapPhase(framePhase(Math.round(wrapPhase(at) * frames), frames));
  const local = (event: PointerEvent): [number, number] => {
    const rect = box.current?.getBoundingClientRect();
    return [event.clientX - (rect?.left ?? 0), event.clientY - (rect?.top ?? 0)];
  };
  const move = (event: PointerEvent): void => {
    if (dragged.current === null) return;
    const [px, py] = local(event);
    const at = snapped(atX(px));
    const taken = keys.some((k) => k.id !== dragged.current && Math.abs(k.at - at) < 0.5 / frames);
    const next = keys.map((k) =>
      k.id === dragged.current ? { ...k, at: taken ? k.at : at, value: Number(valueAtY(py).toPrecision(5)) } : k,
    );
    bench.set(
      [...path, 'keys'],
      [...next].sort((a, b) => a.at - b.at),
    );
  };
  const line = samples
    .map((v, i) => `${i === 0 ? 'M' : 'L'}${((i / SAMPLES) * width).toFixed(1)} ${y(v).toFixed(1)}`)
    .join('');
  const here = evaluateAnimated(value, phase);
  return (
    <div ref={box} className={styles.curve}>
      {width > 0 ? (
        <svg
          fill="none"
          onPointerMove={move}
          onPointerUp={() => {
            if (dragged.current !== null) bench.endGesture();
            dragged.current = null;
          }}
          onPointerDown={(event) => {
            if (event.target === event.currentTarget) player.seek(snapped(atX(local(event)[0])));
          }}
          onDoubleClick={(event) => {
            if (keys.length === 0) return;
            const rect = event.currentTarget.getBoundingClientRect();
            const at = snapped(atX(event.clientX - rect.left));
            bench.set([...path, 'keys'], setKey(keys, at, evaluateAnimated(value, at), 0.5 / frames));
          }}
        >
          <rect x={0} y={0} width={x(0)} height={height - 14} fill="var(--raised)" pointerEvents="none" />
          <rect x={x(1)} y={0} width={width - x(1)} height={height - 14} fill="var(--raised)" pointerEvents="none" />
          {[0, 0.25, 0.5, 0.75, 1].map((p) => (
            <g key={p} pointerEvents="none">
              <path
                d={`M${x(p)} 0V${height - 14}`}
                stroke={p === 0 || p === 1 ? 'var(--muted)' : 'var(--line)'}
                strokeDasharray={p === 0 || p === 1 ? undefined : '1 3'}
              />
              <text x={x(p) + 4} y={height - 3}>
                {p === 0 || p === 1 ? 'seam' : Math.round(p * frames)}
              </text>
            </g>
          ))}
          <path d={line} stroke="var(--time)" strokeWidth={1.6} pointerEvents="none" />
          <path d={`M${x(phase)} 0V${height - 14}`} stroke="var(--time)" opacity={0.5} pointerEvents="none" />
          <text x={Math.min(width - 60, x(phase) + 6)} y={12} style={{ fill: 'var(--text)' }}>
            {Number(here.toFixed(3))}
          </text>
          {keys.map((k) => (
            <circle
              key={k.id}
              className={styles.key}
              cx={x(k.at)}
              cy={y(k.value)}
              r={5}
              fill="var(--ground)"
              stroke="var(--text)"
              strokeWidth={1.6}
              tabIndex={0}
              role="slider"
              aria-label={`Key at frame ${Math.round(k.at * frames)}`}
              aria-valuenow={k.value}
              onPointerDown={(event) => {
                event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId);
                dragged.current = k.id;
                bench.beginGesture();
              }}
            />
          ))}
        </svg>
      ) : null}
    </div>
  );
}
