import { useEffect, useMemo, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useShallow } from 'zustand/react/shallow';
import type { Piece } from '../../../core/piece/schema';
import type { EngineClient } from '../../../engine/client';
import { bench, useBench } from '../../state/bench';
import { useVersions } from '../../state/versions';
import { useDrawn } from '../instead/useDrawn';
import { comparedPiece, comparisons, comparedKey } from './compared';
import styles from './Compare.module.css';

interface Asked {
  piece: Piece;
  frameIndex: number;
  width: number;
  height: number;
}

/** Where the picture is while it is shown. */
const drawStill = async (engine: EngineClient['api'], asked: Asked, passes: number): Promise<string> =>
  URL.createObjectURL(await engine.still({ ...asked, passes }));

/** What the picture is compared with, over its left part up to a line that is dragged. */
export function Wipe({ width, height, border }: { width: number; height: number; border: number }) {
  const { history, compared, playing } = useBench(
    useShallow(({ history, compared, playing }) => ({ history, compared, playing })),
  );
  const versions = useVersions(history?.present.id);
  const frameIndex = useBench((state) => (state.compared ? (state.status?.frameIndex ?? 0) : 0));
  const [line, setLine] = useState(0.5);
  const other = useMemo(
    () => (history && !playing ? comparedPiece(history, versions, compared) : null),
    [history, versions, compared, playing],
  );
  const [across, down] = [width, height].map((side) => Math.round(side * devicePixelRatio));
  const asked = useMemo(
    () => (other && across >= 16 && down >= 16 ? { piece: other, frameIndex, width: across, height: down } : null),
    [other, frameIndex, across, down],
  );
  const { drawn: url, failed } = useDrawn('other', asked, drawStill);
  useEffect(
    () => () => {
      if (url) URL.revokeObjectURL(url);
    },
    [url],
  );
  if (!history || !compared || !other) return null;
  const words = comparisons(history, versions)[comparedKey(compared)] ?? '';
  const move = (to: number): void => setLine(Math.min(1, Math.max(0, to)));
  const drag = (event: PointerEvent<HTMLDivElement>): void => {
    if (event.type === 'pointerdown') event.currentTarget.setPointerCapture(event.pointerId);
    else if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const box = event.currentTarget.parentElement?.getBoundingClientRect();
    if (box) move((event.clientX - box.left) / box.width);
  };
  const keys = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: -0.02, ArrowRight: 0.02, Home: -1, End: 1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    move(line + by);
  };
  return (
    <div
      className={styles.wipe}
      role="group"
      aria-label="The other picture"
      style={{ left: border, top: border, width, height }}
    >
      {url ? (
        <img className={styles.other} src={url} alt="" style={{ clipPath: `inset(0 ${(1 - line) * 100}% 0 0)` }} />
      ) : null}
      <span className={styles.name}>{failed ?? (url ? words : `${words}: being drawn`)}</span>
      <div
        className={styles.line}
        style={{ left: `${line * 100}%` }}
        role="slider"
        tabIndex={0}
        aria-label="Line between the two pictures"
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(line * 100)}
        onPointerDown={drag}
        onPointerMove={drag}
        onKeyDown={keys}
        onDoubleClick={() => move(0.5)}
      />
      <button className={styles.away} onClick={() => bench.patch({ compared: null })}>
        Compare no more
      </button>
    </div>
  );
}
