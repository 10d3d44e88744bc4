import { type KeyboardEvent, type PointerEvent, useCallback, useMemo, useRef } from 'react';
import { evaluateAnimated, type Animated } from '../../core/time/animated';
import { framePhase } from '../../core/time/lap';
import { Canvas } from '../parts/Canvas';
import { bench, useBench, usePiece } from '../state/bench';
import { getAt } from '../../core/piece/paths';
import { player } from '../state/player';
import { drawTrack } from './drawTrack';
import { openExchanges, openStretches } from './openStretches';
import { phaseAt, pointAt, stretchesOf, type Track } from './track';
import styles from './Picture.module.css';

interface Props {
  width: number;
  height: number;
  border: number;
}

/** The line time runs along, in the middle of the border and a little outward. */
const trackIn = ({ width, height, border }: Props): Track => ({
  x: border / 2 - 2,
  y: border / 2 - 2,
  width: width - border + 4,
  height: height - border + 4,
  radius: 10,
});

/** Time around the picture: drag the bead, see beats, keys, the open shutter, how far the picture is refined and which frames
 * are finished. */
export function TimeTrack({ width, height, border }: Props) {
  const piece = usePiece();
  const status = useBench((state) => state.status);
  const selected = useBench((state) => state.selected);
  const lap = useBench((state) => state.lap);
  const open = useBench((state) => state.open);
  const dragging = useRef(false);
  const { frames } = piece.lap;
  const phase = status?.phase ?? 0;
  const strips = useMemo(
    () => ({ stretches: openStretches(piece, open), exchanges: openExchanges(piece, open) }),
    [piece, open],
  );
  const refined = status && status.wanted > 1 ? Math.min(1, status.passes / status.wanted) : 0;
  const draw = useCallback(
    (context: CanvasRenderingContext2D) => {
      const value = selected ? (getAt(piece, selected) as Animated | undefined) : undefined;
      drawTrack(context, trackIn({ width, height, border }), {
        phase,
        shutter: Math.min(1, evaluateAnimated(piece.flight.shutterDeg, phase) / 360 / frames),
        refined,
        frames,
        finished: lap ? stretchesOf(lap.there, lap.frames) : [],
        beats: piece.lap.tempo?.beats ?? 0,
        ...strips,
        keys: typeof value === 'object' && value.law === 'keyed' ? value.keys.map(({ at }) => at) : [],
      });
    },
    [width, height, border, piece, selected, strips, lap, phase, refined, frames],
  );
  if (width < 60) return null;

  const track = trackIn({ width, height, border });
  const seek = (event: PointerEvent<HTMLElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const at = phaseAt(track, { x: event.clientX - box.left, y: event.clientY - box.top });
    player.seek(framePhase(Math.floor(at * frames), frames));
  };
  const down = (event: PointerEvent<HTMLElement>): void => {
    dragging.current = true;
    bench.patch({ playing: false });
    event.currentTarget.setPointerCapture(event.pointerId);
    seek(event);
  };
  const keyDown = (event: KeyboardEvent): void => {
    const steps = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 10, PageDown: -10 }[event.key];
    if (!steps) return;
    event.preventDefault();
    event.stopPropagation();
    player.step(steps);
  };
  const bead = pointAt(track, phase);
  return (
    <div
      className={styles.track}
      onPointerDown={down}
      onPointerMove={(event) => dragging.current && seek(event)}
      onPointerUp={() => (dragging.current = false)}
    >
      <Canvas label={null} draw={draw} />
      <div
        className={styles.bead}
        style={{ transform: `translate(${bead.x}px, ${bead.y}px)` }}
        tabIndex={0}
        role="slider"
        aria-label="Time in the lap"
        aria-valuemin={0}
        aria-valuemax={frames - 1}
        aria-valuenow={status?.frameIndex ?? 0}
        aria-valuetext={`frame ${status?.frameIndex ?? 0} of ${frames}`}
        onKeyDown={keyDown}
      />
    </div>
  );
}
