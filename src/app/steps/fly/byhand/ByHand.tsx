import { useEffect, useRef, useState, type PointerEvent } from 'react';
import { ROUTES, routeOf } from '../../../../core/flight/routes/kinds';
import type { View } from '../../../../core/flight/routes/view';
import { Button } from '../../../parts/Button';
import { bench, useBench, usePiece } from '../../../state/bench';
import { MOVES, looked, moved, paced } from './move';
import { flyByHand, keep, observe } from './modes';
import { Sightlines } from './Sightlines';
import styles from './ByHand.module.css';

/** Degrees of turning per pixel of a drag. */
const DEGREES_PER_PX = 0.14;

/** Whether a key belongs to what has the focus: all of them to a text field, arrows to sliders and lists. */
const taken = ({ target, code }: KeyboardEvent): boolean =>
  target instanceof Element &&
  target.matches(
    code.startsWith('Arrow')
      ? 'input, textarea, select, [role=slider], [role=option], [role=menuitem]'
      : 'input, textarea, select, [role=option], [role=menuitem]',
  );

/** Moves a view by keys, drags and the wheel for as long as it is shown. @returns the pace in metres per second */
function useHand(
  view: View,
  set: (view: View) => void,
): {
  pace: number;
  drag: Record<'onPointerDown' | 'onPointerMove' | 'onPointerUp', (event: PointerEvent<HTMLElement>) => void>;
  wheel(turns: number): void;
} {
  const now = useRef(view);
  useEffect(() => {
    now.current = view;
  }, [view]);
  const [pace, setPace] = useState(1.5);
  const speed = useRef(pace);
  useEffect(() => {
    speed.current = pace;
  }, [pace]);
  const apply = useRef(set);
  useEffect(() => {
    apply.current = set;
  }, [set]);
  useEffect(() => {
    const held = new Set<string>();
    let request = 0;
    let last = 0;
    let fast = false;
    // by the time the keys were really held, however seldom the page is drawn
    const advance = (): void => {
      const time = performance.now();
      const seconds = Math.min(0.5, (time - last) / 1000);
      last = time;
      if (held.size === 0) return;
      const next = moved(now.current, held, speed.current * (fast ? 4 : 1), seconds);
      now.current = next;
      apply.current(next);
    };
    const step = (): void => {
      advance();
      request = held.size > 0 ? requestAnimationFrame(step) : 0;
    };
    const down = (event: KeyboardEvent): void => {
      if (!(event.code in MOVES) || event.ctrlKey || event.metaKey || event.altKey || taken(event)) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      advance();
      fast = event.shiftKey;
      held.add(event.code);
      if (request === 0) request = requestAnimationFrame(step);
    };
    const up = (event: KeyboardEvent): void => {
      advance();
      fast = event.shiftKey;
      held.delete(event.code);
    };
    const leave = (): void => held.clear();
    addEventListener('keydown', down, { capture: true });
    addEventListener('keyup', up, { capture: true });
    addEventListener('blur', leave);
    return () => {
      cancelAnimationFrame(request);
      removeEventListener('keydown', down, { capture: true });
      removeEventListener('keyup', up, { capture: true });
      removeEventListener('blur', leave);
    };
  }, []);
  const from = useRef<{ x: number; y: number } | null>(null);
  return {
    pace,
    wheel: (turns) => setPace((p) => paced(p, turns)),
    drag: {
      onPointerDown(event) {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, y: event.clientY };
      },
      onPointerMove(event) {
        if (!from.current) return;
        const [dx, dy] = [event.clientX - from.current.x, event.clientY - from.current.y];
        from.current = { x: event.clientX, y: event.clientY };
        // as if the world were held: dragging right looks left
        const next = looked(now.current, -dx * DEGREES_PER_PX, -dy * DEGREES_PER_PX);
        now.current = next;
        set(next);
      },
      onPointerUp() {
        from.current = null;
      },
    },
  };
}

interface Size {
  width: number;
  height: number;
}

const setByHand = (byHand: View): void => bench.patch({ byHand });
const setObserver = (observer: View): void => bench.patch({ observer });

/** Over the picture while the camera is in the hand, or while an observer looks at it from outside. */
export function ByHand({ size }: { size: Size }) {
  const byHand = useBench((state) => state.byHand);
  const observer = useBench((state) => state.observer);
  if (byHand) return <Flying view={byHand} size={size} />;
  return observer ? <Observing view={observer} size={size} /> : null;
}

function Room({
  view,
  set,
  size,
  children,
}: {
  view: View;
  set(view: View): void;
  size: Size;
  children: (pace: string) => React.ReactNode;
}) {
  const { pace, drag, wheel } = useHand(view, set);
  const room = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = room.current;
    // a wheel listener of React's is passive and could not keep the page from scrolling
    const turn = (event: WheelEvent): void => {
      event.preventDefault();
      wheel(event.deltaY < 0 ? 1 : -1);
    };
    element?.addEventListener('wheel', turn, { passive: false });
    return () => element?.removeEventListener('wheel', turn);
  });
  return (
    <div
      ref={room}
      className={styles.room}
      style={size}
      {...drag}
      role="application"
      aria-label="Move with W A S D, up and down with R F, roll with Q E; drag to look around"
      tabIndex={-1}
    >
      {children(`${pace.toFixed(pace < 1 ? 2 : 1)} m/s`)}
    </div>
  );
}

/** Kinds of route that keep views which were found by hand. */
const KEPT = ROUTES.names.flatMap((kind) => {
  const { keeping } = routeOf(kind);
  return keeping ? [{ kind, keeping }] : [];
});

function Flying({ view, size }: { view: View; size: Size }) {
  const { route } = usePiece().flight;
  const frame = useBench((state) => state.status?.frameIndex ?? 0);
  return (
    <Room view={view} set={setByHand} size={size}>
      {(pace) => (
        <>
          <p className={styles.how}>
            In your hand. W A S D move, R F up and down, Q E roll, drag to look, wheel for pace ({pace}).
          </p>
          <div className={styles.bar} onPointerDown={(event) => event.stopPropagation()}>
            <span>Keep this view as</span>
            {KEPT.filter(({ kind, keeping }) => !keeping.there || kind === route.kind).map(({ kind, keeping }) => (
              <Button key={kind} onPress={() => keep(kind)}>
                {keeping.label(frame)}
              </Button>
            ))}
            <Button onPress={() => keep('whole')}>The whole lap</Button>
            <Button kind="bare" onPress={flyByHand}>
              Leave
            </Button>
          </div>
        </>
      )}
    </Room>
  );
}

function Observing({ view, size }: { view: View; size: Size }) {
  return (
    <Room view={view} set={setObserver} size={size}>
      {(pace) => (
        <>
          <Sightlines view={view} size={size} />
          <i className={styles.edge} aria-hidden />
          <div className={styles.mark} role="status">
            Observer’s view: exports show what the camera sees
          </div>
          <div className={styles.bar} onPointerDown={(event) => event.stopPropagation()}>
            <span>W A S D, R F, drag, wheel ({pace})</span>
            <Button kind="bare" onPress={observe}>
              Back to the camera
            </Button>
          </div>
        </>
      )}
    </Room>
  );
}
