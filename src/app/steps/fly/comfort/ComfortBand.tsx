import { useCallback, useEffect, useState, type PointerEvent, type ReactNode } from 'react';
import type { Clearance } from '../../../../core/world/clearance';
import {
  DIZZY,
  FAST,
  flightLength,
  warningFrame,
  type Comfort,
  type ComfortWarning,
  type Fix,
} from '../../../../core/world/comfort';
import { setAt } from '../../../../core/piece/paths';
import { retimed } from '../../../../core/piece/retime';
import type { Piece } from '../../../../core/piece/schema';
import { framePhase } from '../../../../core/time/lap';
import { BandHead } from '../../../parts/BandHead';
import { Button } from '../../../parts/Button';
import { Canvas, token } from '../../../parts/Canvas';
import { bench, useBench, usePiece } from '../../../state/bench';
import { troubleWords } from '../../../../core/trouble';
import { overtaken, player } from '../../../state/player';
import styles from './Comfort.module.css';

/** Rest after a change before the flight is measured anew, in milliseconds. */
const SETTLE_MS = 350;
const LEFT = 132;
const RIGHT = 120;

interface Measured {
  comfort: Comfort | null;
  clearance: Clearance | null;
  /** why it could not be measured */
  failed: string | null;
}

/** Measures the flight whenever it has changed and come to rest, in the background. */
function useMeasured(piece: Piece): Measured {
  const [measured, setMeasured] = useState<Measured>({ comfort: null, clearance: null, failed: null });
  const { flight, layers, lap, tile, frame } = piece;
  useEffect(() => {
    let live = true;
    const timer = setTimeout(() => {
      const measure = async (): Promise<void> => {
        const comfort = await player.measure('comfort', (engine) => engine.comfort(piece));
        if (!live) return;
        setMeasured((old) => ({ ...old, comfort, failed: null }));
        const clearance = await player.measure('clearance', (engine) => engine.clearance(piece));
        if (live) setMeasured({ comfort, clearance, failed: null });
      };
      measure().catch((error: unknown) => {
        const failed = troubleWords(error);
        if (live && !overtaken(error)) setMeasured({ comfort: null, clearance: null, failed });
      });
    }, SETTLE_MS);
    return () => {
      live = false;
      clearTimeout(timer);
    };
    // what does not move the camera or stand in its way does not matter here
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [flight, layers, lap, tile, frame]);
  return measured;
}

interface Strip {
  name: string;
  unit: string;
  values: Float32Array | null;
  /** value at which it is too much, or too little for distances */
  limit: number | null;
  decimals: number;
  /** less is worse */
  low?: boolean;
}

const stripsOf = ({ comfort, clearance }: Measured): Strip[] => [
  { name: 'Speed', unit: 'm/s', values: comfort?.speed ?? null, limit: null, decimals: 2 },
  { name: 'Turning', unit: '°/s', values: comfort?.turning ?? null, limit: null, decimals: 1 },
  { name: 'Across the picture', unit: 'widths/s', values: comfort?.motion ?? null, limit: FAST, decimals: 2 },
  { name: 'Roll', unit: '°/s', values: comfort?.rolling ?? null, limit: DIZZY, decimals: 1 },
  { name: 'Nearest surface', unit: 'm', values: clearance?.metres ?? null, limit: null, decimals: 2, low: true },
];

function drawStrips(
  c: CanvasRenderingContext2D,
  width: number,
  height: number,
  strips: readonly Strip[],
  phase: number,
): void {
  c.clearRect(0, 0, width, height);
  const lane = height / strips.length;
  const span = width - LEFT - RIGHT;
  strips.forEach(({ name, unit, values, limit, decimals, low }, row) => {
    const top = row * lane + 3;
    const room = lane - 6;
    c.font = `12px ${token('words')}`;
    c.fillStyle = token('muted');
    c.fillText(name, 0, top + room / 2 + 4);
    c.strokeStyle = token('line');
    c.strokeRect(LEFT + 0.5, top + 0.5, span, room);
    if (!values) return;
    const finite = Array.from(values).filter(Number.isFinite);
    const most = Math.max(limit ?? 0, ...finite) * 1.08 || 1;
    const here = values[Math.floor(phase * values.length) % values.length];
    const worst = low ? Math.min(...values) : Math.max(...values);
    const bad = limit !== null && worst > limit;
    if (limit !== null && most > 0) {
      c.strokeStyle = token('line-strong');
      c.setLineDash([2, 3]);
      c.beginPath();
      c.moveTo(LEFT, top + room * (1 - limit / most));
      c.lineTo(LEFT + span, top + room * (1 - limit / most));
      c.stroke();
      c.setLineDash([]);
    }
    c.beginPath();
    for (let i = 0; i <= values.length; i++) {
      const v = values[i % values.length];
      const y = top + room * (1 - Math.min(1, (Number.isFinite(v) ? v : most) / most));
      if (i === 0) c.moveTo(LEFT, y);
      else c.lineTo(LEFT + (i / values.length) * span, y);
    }
    c.strokeStyle = bad ? token('trouble') : token('text');
    c.lineWidth = 1.2;
    c.stroke();
    c.lineWidth = 1;
    c.font = `12px ${token('numbers')}`;
    c.fillStyle = bad ? token('trouble') : token('text');
    c.fillText(Number.isFinite(here) ? here.toFixed(decimals) : 'none', LEFT + span + 8, top + room / 2 + 4);
    c.fillStyle = token('faint');
    c.fillText(unit, LEFT + span + 8 + 7.4 * 6, top + room / 2 + 4);
  });
  c.strokeStyle = token('time');
  c.globalAlpha = 0.6;
  c.beginPath();
  c.moveTo(LEFT + phase * span, 0);
  c.lineTo(LEFT + phase * span, height);
  c.stroke();
  c.globalAlpha = 1;
}

/** What a fix changes, as one step that can be undone. */
function mend(fix: Fix): void {
  bench.update((piece) =>
    fix.changes.reduce(
      (now, { path, value }) =>
        path.length === 1 && path[0] === 'lap' ? retimed(now, value as Piece['lap']) : setAt(now, path, value),
      piece,
    ),
  );
}

/** Speed, turning, apparent motion, roll and nearness along the lap, with what is wrong and how to mend it. */
export function ComfortBand({ title }: { title: ReactNode }) {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const measured = useMeasured(piece);
  const draw = useCallback(
    (c: CanvasRenderingContext2D, width: number, height: number) =>
      drawStrips(c, width, height, stripsOf(measured), phase),
    [measured, phase],
  );
  const { metres, perSecond } = flightLength(piece);
  const warnings = [...(measured.comfort?.warnings ?? []), ...(measured.clearance?.warnings ?? [])];
  const seek = (event: PointerEvent<HTMLDivElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = (event.clientX - box.left - LEFT) / (box.width - LEFT - RIGHT);
    if (share < 0 || share > 1) return;
    const { frames } = piece.lap;
    bench.patch({ playing: false });
    player.seek(framePhase(Math.min(frames - 1, Math.floor(share * frames)), frames));
  };
  return (
    <>
      <BandHead title={title}>
        {metres.toFixed(2)} m a lap · {perSecond.toFixed(2)} m/s
      </BandHead>
      <div className={styles.comfort}>
        <div className={styles.strips} onPointerDown={seek}>
          <Canvas
            label="Speed, turning, motion across the picture, roll and distance to the nearest surface over the lap"
            draw={draw}
          />
        </div>
        <div className={styles.warnings} role="status" aria-label="Comfort">
          {measured.failed ? (
            <p>The flight could not be measured ({measured.failed}). Any change measures it anew.</p>
          ) : warnings.length === 0 ? (
            <p>{measured.clearance ? 'Comfortable all the way round.' : 'Measuring…'}</p>
          ) : (
            warnings.map((warning) => <Warning key={warning.id} warning={warning} piece={piece} />)
          )}
        </div>
      </div>
    </>
  );
}

function Warning({ warning, piece }: { warning: ComfortWarning; piece: Piece }) {
  const frame = warningFrame(warning, piece);
  return (
    <div className={styles.warning}>
      <p>
        {warning.says}{' '}
        <button
          className={styles.frame}
          onClick={() => (bench.patch({ playing: false }), player.seek(framePhase(frame, piece.lap.frames)))}
        >
          frame {frame}
        </button>
      </p>
      <span>
        {warning.fixes.map((fix) => (
          <Button key={fix.says} onPress={() => mend(fix)}>
            {fix.says}
          </Button>
        ))}
      </span>
    </div>
  );
}
