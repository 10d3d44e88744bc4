import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { evaluateAnimated, type Animated, type Key } from '../../../../core/time/animated';
import {
  copyKeys,
  handleAt,
  moveHandle,
  moveKeys,
  pasteKeys,
  removeKeys,
  snapPhase,
  type HandleEnd,
  type KeyClip,
} from '../../../../core/time/keys';
import { wrapPhase } from '../../../../core/time/lap';
import { setKey } from '../../../parts/keys';
import { useSize } from '../../../parts/useSize';
import { bench, useBench } from '../../../state/bench';
import { newId } from '../../../state/edit';
import { player } from '../../../state/player';
import { lapView, seenAt, type LapView } from './view';
import styles from './Lap.module.css';

interface Props {
  value: Animated;
  path: readonly (string | number)[];
  frames: number;
  /** beats in the lap when keys snap to them */
  beats: number | null;
  chosen: ReadonlySet<string>;
  /** a share of the lap, 0 to 1, that follows from the value: drawn faintly behind it over the whole height */
  follows?: { words(phase: number): string; at(phase: number): number } | undefined;
  onChoose(ids: ReadonlySet<string>): void;
}

/** Radius in which a key or handle is grasped. */
const GRIP_PX = 12;

type Drag =
  | { what: 'keys'; from: [number, number]; keys: readonly Key[]; ids: ReadonlySet<string>; anchor: Key; view: LapView }
  | { what: 'handle'; keys: readonly Key[]; index: number; end: HandleEnd; shift: number; view: LapView }
  | { what: 'box'; from: [number, number] };

/** Keys that were copied last, for pasting into any value. */
let clip: KeyClip = [];

const DRAG_PX = 4;

/** A value over one and a quarter laps: keys and their handles are dragged, across the seam as anywhere. */
export function CurveEditor({ value, path, frames, beats, chosen, follows, onChoose }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const phase = useBench((state) => state.status?.phase ?? 0);
  const drag = useRef<Drag | null>(null);
  const [marquee, setMarquee] = useState<[number, number, number, number] | null>(null);
  const keys: readonly Key[] = typeof value === 'object' && value.law === 'keyed' ? value.keys : [];
  const shownHandles = keys.flatMap((key, index) =>
    (['leaves', 'arrives'] as const).flatMap((end) => {
      const owner = end === 'leaves' ? key : keys[(index + 1) % keys.length];
      const at = chosen.has(owner.id) ? handleAt(keys, index, end) : null;
      return at ? [{ index, end, at, owner }] : [];
    }),
  );
  const reach = shownHandles.map(({ at }) => at.value);
  const view = useMemo(
    () => lapView(value, reach, Math.max(1, width), Math.max(40, height)),
    // the values of handles follow from value and chosen
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [value, width, height, chosen],
  );
  const setKeys = (next: readonly Key[]): void => bench.set([...path, 'keys'], next);
  const local = (event: PointerEvent): [number, number] => {
    const rect = box.current?.getBoundingClientRect();
    return [event.clientX - (rect?.left ?? 0), event.clientY - (rect?.top ?? 0)];
  };
  const grab = (event: PointerEvent<Element>, next: Drag): void => {
    event.stopPropagation();
    // a handle may leave its place while it is dragged: the drawing keeps the pointer
    box.current?.querySelector('svg')?.setPointerCapture(event.pointerId);
    drag.current = next;
    // Delete, copy and paste are heard wherever in the drawing the pointer was
    if (next.what !== 'keys') box.current?.focus();
    if (next.what !== 'box') bench.beginGesture();
  };
  const move = (event: PointerEvent): void => {
    const now = drag.current;
    if (!now) return;
    const [px, py] = local(event);
    if (now.what === 'box') {
      const [fx, fy] = now.from;
      if (Math.hypot(px - fx, py - fy) > DRAG_PX)
        setMarquee([Math.min(fx, px), Math.min(fy, py), Math.max(fx, px), Math.max(fy, py)]);
      return;
    }
    if (now.what === 'handle') {
      const to = { phase: now.view.phase(px) - now.shift, value: now.view.value(py) };
      setKeys(moveHandle(now.keys, now.index, now.end, to, !event.altKey));
      return;
    }
    const by = now.view.phase(px) - now.view.phase(now.from[0]);
    const landed = snapPhase(now.anchor.at + by, frames, beats);
    const value_ = event.shiftKey ? 0 : now.view.value(py) - now.view.value(now.from[1]);
    setKeys(moveKeys(now.keys, now.ids, { phase: landed - now.anchor.at, value: value_ }, frames));
  };
  const up = (event: PointerEvent): void => {
    const now = drag.current;
    drag.current = null;
    if (!now) return;
    if (now.what !== 'box') {
      bench.endGesture();
      return;
    }
    if (!marquee) {
      onChoose(new Set());
      player.seek(snapPhase(view.phase(local(event)[0]), frames, null));
      return;
    }
    const [left, top, right, bottom] = marquee;
    const inside = keys.filter((key) =>
      seenAt(key.at).some((p) => {
        const [x, y] = [view.x(p), view.y(key.value)];
        return x >= left && x <= right && y >= top && y <= bottom;
      }),
    );
    onChoose(new Set([...(event.shiftKey ? chosen : []), ...inside.map(({ id }) => id)]));
    setMarquee(null);
  };
  const keyDown = (event: KeyboardEvent): void => {
    const command = event.ctrlKey || event.metaKey;
    const nudge = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    const lift = { ArrowDown: -1, ArrowUp: 1 }[event.key];
    const act = (): boolean => {
      if (keys.length === 0) return false;
      if (command && event.key === 'a') onChoose(new Set(keys.map(({ id }) => id)));
      else if (command && event.key === 'c') clip = copyKeys(keys, chosen);
      else if (command && event.key === 'v') {
        const pasted = pasteKeys(keys, clip, phase, frames, () => newId('key'));
        setKeys(pasted.keys);
        onChoose(new Set(pasted.pasted));
        // the focused key may have given way to a pasted one
        box.current?.focus();
      } else if (event.key === 'Delete' || event.key === 'Backspace') {
        setKeys(removeKeys(keys, chosen));
        onChoose(new Set());
      } else if (nudge)
        setKeys(moveKeys(keys, chosen, { phase: (nudge * (event.shiftKey ? 10 : 1)) / frames, value: 0 }, frames));
      else if (lift) {
        const step = Math.abs(view.value(0) - view.value(1)) * (event.shiftKey ? 1 : 4);
        setKeys(moveKeys(keys, chosen, { phase: 0, value: lift * step }, frames));
      } else return false;
      return true;
    };
    if (!act()) return;
    event.preventDefault();
    event.stopPropagation();
  };
  const choose = (event: PointerEvent, key: Key): ReadonlySet<string> => {
    const next = event.shiftKey
      ? new Set(chosen.has(key.id) ? [...chosen].filter((id) => id !== key.id) : [...chosen, key.id])
      : chosen.has(key.id)
        ? chosen
        : new Set([key.id]);
    onChoose(next);
    return next;
  };
  const here = evaluateAnimated(value, phase);
  const ticks =
    beats === null ? [0.25, 0.5, 0.75] : Array.from({ length: Math.min(64, beats) - 1 }, (_, i) => (i + 1) / beats);
  const takeKey = (event: PointerEvent, key: Key): void => {
    if (view) grab(event, { what: 'keys', from: local(event), keys, ids: choose(event, key), anchor: key, view });
  };
  return (
    <div ref={box} className={styles.curve} onKeyDown={keyDown} tabIndex={-1}>
      {width > 0 ? (
        <svg
          fill="none"
          onPointerMove={move}
          onPointerUp={up}
          onPointerDown={(event) => grab(event, { what: 'box', from: local(event) })}
          onDoubleClick={(event) => {
            if (keys.length === 0) return;
            const rect = event.currentTarget.getBoundingClientRect();
            const at = snapPhase(view.phase(event.clientX - rect.left), frames, beats);
            const next = setKey(keys, at, evaluateAnimated(value, at), 0.5 / frames);
            setKeys(next);
            onChoose(new Set(next.filter((key) => Math.abs(key.at - at) < 0.5 / frames).map(({ id }) => id)));
          }}
        >
          <g pointerEvents="none">
            <rect x={0} y={0} width={view.x(0)} height={view.height} fill="var(--raised)" />
            <rect x={view.x(1)} y={0} width={width - view.x(1)} height={view.height} fill="var(--raised)" />
            {[0, ...ticks, 1].map((p) => (
              <g key={p}>
                <path
                  d={`M${view.x(p)} 0V${view.height}`}
                  stroke={p === 0 || p === 1 ? 'var(--muted)' : 'var(--line)'}
                  strokeDasharray={p === 0 || p === 1 ? undefined : '1 3'}
                />
                {p === 0 || p === 1 || beats === null ? (
                  <text x={view.x(p) + 4} y={height - 3}>
                    {p === 0 || p === 1 ? 'seam' : Math.round(p * frames)}
                  </text>
                ) : null}
              </g>
            ))}
            {typeof value === 'object' && value.law === 'wound' ? (
              <g>
                {[0, 1].map((lap) => (
                  <g key={lap}>
                    <path
                      d={`M${view.x(lap)} ${view.y(value.start + lap * value.perLap)}H${view.x(lap === 0 ? 1 : 1.125)}`}
                      stroke="var(--line-strong)"
                      strokeDasharray="3 3"
                    />
                    <text x={view.x(lap) + 6} y={view.y(value.start + lap * value.perLap) - 5}>
                      {lap === 0
                        ? Number(value.start.toFixed(3))
                        : `${value.perLap >= 0 ? '+' : ''}${Number(value.perLap.toFixed(3))} a lap`}
                    </text>
                  </g>
                ))}
              </g>
            ) : null}
            {follows ? (
              <>
                <path
                  d={Array.from({ length: 121 }, (_, i) => {
                    const p = i / 120;
                    return `${i === 0 ? 'M' : 'L'}${view.x(p).toFixed(1)} ${((1 - follows.at(p)) * view.height).toFixed(1)}`;
                  }).join('')}
                  stroke="var(--muted)"
                  strokeDasharray="4 3"
                />
                <text x={Math.min(width - 90, view.x(phase) + 6)} y={28}>
                  {follows.words(phase)}
                </text>
              </>
            ) : null}
            <path d={view.line} stroke="var(--time)" strokeWidth={1.6} />
            <path d={`M${view.x(phase)} 0V${view.height}`} stroke="var(--time)" opacity={0.5} />
            <text x={Math.min(width - 60, view.x(phase) + 6)} y={12} style={{ fill: 'var(--text)' }}>
              {Number(here.toFixed(3))}
            </text>
          </g>
          {shownHandles.map(({ index, end, at, owner }) => {
            // a handle is drawn beside the key it belongs to, on whichever side of the seam that is
            const from = keys[index].at;
            const off = at.phase - (end === 'leaves' ? from : from + (wrapPhase(owner.at - from) || 1));
            return seenAt(owner.at).map((p) => {
              const [x, y] = [view.x(p + off), view.y(at.value)];
              const shift = p - owner.at;
              const take = (event: PointerEvent): void =>
                grab(event, { what: 'handle', keys, index, end, shift, view });
              return (
                <g key={`${owner.id}${end}${p}`}>
                  <path
                    d={`M${view.x(p)} ${view.y(owner.value)}L${x} ${y}`}
                    stroke="var(--muted)"
                    pointerEvents="none"
                  />
                  <circle className={styles.handle} cx={x} cy={y} r={GRIP_PX} fill="transparent" onPointerDown={take} />
                  <rect
                    className={styles.handle}
                    x={x - 4}
                    y={y - 4}
                    width={8}
                    height={8}
                    fill="var(--muted)"
                    role="button"
                    aria-label={`Handle that ${end} key at frame ${Math.round(owner.at * frames) % frames}`}
                    onPointerDown={take}
                  />
                </g>
              );
            });
          })}
          {keys.map((key) =>
            seenAt(key.at).map((p, copy) => (
              <circle
                key={`grip ${key.id}${copy}`}
                className={styles.key}
                cx={view.x(p)}
                cy={view.y(key.value)}
                r={GRIP_PX}
                fill="transparent"
                onPointerDown={(event) => takeKey(event, key)}
              />
            )),
          )}
          {keys.map((key) =>
            seenAt(key.at).map((p, copy) => (
              <circle
                key={`${key.id}${copy}`}
                className={styles.key}
                cx={view.x(p)}
                cy={view.y(key.value)}
                r={5}
                fill={chosen.has(key.id) ? 'var(--time)' : 'var(--ground)'}
                stroke={chosen.has(key.id) ? 'var(--time)' : 'var(--text)'}
                strokeWidth={1.6}
                opacity={p < 0 || p >= 1 ? 0.6 : 1}
                tabIndex={p < 0 || p >= 1 ? -1 : 0}
                role="slider"
                aria-label={`Key at frame ${Math.round(key.at * frames)}${p < 0 || p >= 1 ? ', seen across the seam' : ''}`}
                aria-valuenow={key.value}
                onFocus={() => {
                  if (!chosen.has(key.id)) onChoose(new Set([key.id]));
                }}
                onPointerDown={(event) => takeKey(event, key)}
              />
            )),
          )}
          {marquee ? (
            <rect
              x={marquee[0]}
              y={marquee[1]}
              width={marquee[2] - marquee[0]}
              height={marquee[3] - marquee[1]}
              stroke="var(--time)"
              strokeDasharray="2 2"
              pointerEvents="none"
            />
          ) : null}
        </svg>
      ) : null}
    </div>
  );
}
