import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { evaluateAnimated, type Animated } from '../../core/time/animated';
import { framePhase } from '../../core/time/lap';
import { bench, useBench, usePiece } from '../state/bench';
import { getAt } from '../../core/piece/paths';
import { player } from '../state/player';
import { phaseAt, pointAt, stretchesOf, trackPath } from './track';
import styles from './Picture.module.css';

interface Props {
  width: number;
  height: number;
  border: number;
}

/** Half of the gap in the line that marks the seam, as a share of the lap. */
const GAP = 0.0026;

/** Time around the picture: drag the bead, see beats, keys, the open shutter, how far the picture is refined and which frames
 * are finished. */
export function TimeTrack({ width, height, border }: Props) {
  const piece = usePiece();
  const status = useBench((state) => state.status);
  const selected = useBench((state) => state.selected);
  const lap = useBench((state) => state.lap);
  const dragging = useRef(false);
  const { frames, tempo } = piece.lap;
  const phase = status?.phase ?? 0;
  const track = {
    x: border / 2 - 2,
    y: border / 2 - 2,
    width: width - border + 4,
    height: height - border + 4,
    radius: 10,
  };
  if (width < 60) return null;
  const path = trackPath(track);
  const value = selected ? (getAt(piece, selected) as Animated | undefined) : undefined;
  const keys = typeof value === 'object' && value.law === 'keyed' ? value.keys : [];
  const shutter = Math.min(1, evaluateAnimated(piece.flight.shutterDeg, phase) / 360 / frames);
  const refined = status && status.wanted > 1 ? Math.min(1, status.passes / status.wanted) : 0;
  const dash = (from: number, length: number) => ({
    pathLength: 1,
    strokeDasharray: `${Math.max(0, length)} 2`,
    strokeDashoffset: -from,
  });

  const seek = (event: PointerEvent<SVGPathElement>): void => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect() ?? new DOMRect();
    const at = phaseAt(track, { x: event.clientX - box.left, y: event.clientY - box.top });
    player.seek(framePhase(Math.floor(at * frames), frames));
  };
  const down = (event: PointerEvent<SVGPathElement>): void => {
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
  const seam = { x: track.x + track.width / 2, y: track.y };
  return (
    <svg className={styles.track} width={width} height={height} fill="none">
      <path
        d={path}
        className={styles.grasp}
        stroke="transparent"
        strokeWidth={24}
        onPointerDown={down}
        onPointerMove={(event) => dragging.current && seek(event)}
        onPointerUp={() => (dragging.current = false)}
      />
      <path d={path} stroke="var(--track)" strokeWidth={5} {...dash(GAP, 1 - 2 * GAP)} />
      {lap
        ? stretchesOf(lap.there, lap.frames).map(({ from, length }) => (
            <path key={from} d={path} stroke="var(--text)" strokeWidth={5} opacity={0.5} {...dash(from, length)} />
          ))
        : null}
      <path d={path} stroke="var(--time)" strokeWidth={2} {...dash(GAP, phase - GAP)} />
      {refined > 0 ? <path d={path} stroke="var(--mark)" strokeWidth={5} {...dash(phase, refined / frames)} /> : null}
      <path
        d={path}
        stroke="var(--time)"
        strokeWidth={5}
        opacity={0.55}
        {...dash(Math.max(GAP, phase - shutter / 2), shutter)}
      />
      {tempo
        ? Array.from({ length: Math.min(tempo.beats, 200) }, (_, beat) => {
            if (beat === 0) return null;
            const p = pointAt(track, beat / tempo.beats);
            return <circle key={beat} cx={p.x} cy={p.y} r={beat % 4 === 0 ? 1.9 : 1.1} fill="var(--muted)" />;
          })
        : null}
      {keys.map((key) => {
        const p = pointAt(track, key.at);
        return (
          <circle key={key.id} cx={p.x} cy={p.y} r={4} fill="var(--ground)" stroke="var(--text)" strokeWidth={1.6} />
        );
      })}
      <path
        d={`M${seam.x - 5} ${seam.y - 5}v11M${seam.x + 5} ${seam.y - 5}v11`}
        stroke="var(--text)"
        strokeWidth={1.6}
      />
      <circle
        className={styles.bead}
        cx={bead.x}
        cy={bead.y}
        r={6}
        fill="var(--time)"
        tabIndex={0}
        role="slider"
        aria-label="Time in the lap"
        aria-valuemin={0}
        aria-valuemax={frames - 1}
        aria-valuenow={status?.frameIndex ?? 0}
        aria-valuetext={`frame ${status?.frameIndex ?? 0} of ${frames}`}
        onKeyDown={keyDown}
      />
    </svg>
  );
}
