import { useEffect, useMemo, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useShallow } from 'zustand/react/shallow';
import type { Piece } from '../../../core/piece/schema';
import { troubleWords } from '../../../core/trouble';
import { bench, useBench } from '../../state/bench';
import { overtaken, player } from '../../state/player';
import { useVersions } from '../../state/versions';
import { comparedPiece, comparisons, comparedKey } from './compared';
import styles from './Compare.module.css';

const REST_MS = 200;

/** The other picture, coarse first, then as good as a finished one. */
function useOther(other: Piece | null, frameIndex: number, size: { width: number; height: number }) {
  const [shown, setShown] = useState<{ url: string; of: Piece; frameIndex: number } | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const { width, height } = size;
  useEffect(() => {
    if (!other || width < 16 || height < 16) return;
    let live = true;
    const urls: string[] = [];
    const timer = setTimeout(() => {
      void (async () => {
        try {
          for (const passes of other.samples > 1 ? [1, other.samples] : [1]) {
            const blob = await player.measure('other', (engine) =>
              engine.still({ piece: other, frameIndex, width, height, passes }),
            );
            if (!live) return;
            const url = URL.createObjectURL(blob);
            urls.push(url);
            setShown({ url, of: other, frameIndex });
            setFailed(null);
          }
        } catch (error) {
          if (live && !overtaken(error)) setFailed(troubleWords(error));
        }
      })();
    }, REST_MS);
    return () => {
      live = false;
      clearTimeout(timer);
      for (const url of urls) URL.revokeObjectURL(url);
    };
  }, [other, frameIndex, width, height]);
  const fresh = shown?.of === other && shown?.frameIndex === frameIndex;
  return { url: fresh ? shown.url : null, failed };
}

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
  const ratio = devicePixelRatio;
  const { url, failed } = useOther(other, frameIndex, {
    width: Math.round(width * ratio),
    height: Math.round(height * ratio),
  });
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
