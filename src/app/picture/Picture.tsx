import { useEffect, useMemo, useRef, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { bench, useBench, usePiece } from '../state/bench';
import { player } from '../state/player';
import { useSize } from '../parts/useSize';
import { Button } from '../parts/Button';
import { ByHand } from '../steps/fly/byhand/ByHand';
import { TimeTrack } from './TimeTrack';
import styles from './Picture.module.css';

/** Width of the border that time runs in, and of the gap between it and the picture; CSS pixels. */
const BORDER = 14;

const TROUBLE: Record<string, { what: string; help: string }> = {
  'no-webgl2': {
    what: 'This browser offers no WebGL2, so the picture cannot be drawn.',
    help: 'Turn on hardware acceleration or use another browser. Everything else works: your pieces are safe and can be saved.',
  },
  'no-float-targets': {
    what: 'This graphics driver cannot draw into floating-point pictures.',
    help: 'A newer driver or another browser can. Everything else works: your pieces are safe and can be saved.',
  },
  'context-lost': { what: 'The graphics driver took the picture away.', help: 'It comes back by itself in a moment.' },
  'drawing-failed': {
    what: 'The picture could not be drawn.',
    help: 'Undo the last change, or reload the page: the piece is saved.',
  },
};

const LONG_MS = 12_000;

/** What to say while no frame has been drawn yet. */
function useWaiting(): string | null {
  const started = useBench((state) => state.status !== null);
  const [long, setLong] = useState(false);
  useEffect(() => {
    if (started) return;
    const timer = setTimeout(() => setLong(true), LONG_MS);
    return () => clearTimeout(timer);
  }, [started]);
  if (started) return null;
  return long
    ? 'The graphics driver has not answered yet. Everything else works meanwhile; reloading the page may help.'
    : 'Preparing the picture…';
}

/** The picture with time running around it. */
export function Picture({ startPhase }: { startPhase: number }) {
  const { frame } = usePiece();
  const room = useRef<HTMLDivElement>(null);
  const holder = useRef<HTMLDivElement>(null);
  const available = useSize(room);
  const { playing, speed, acrossSeam, working, alone, trouble } = useBench(
    useShallow(({ playing, speed, acrossSeam, working, alone, trouble }) => ({
      playing,
      speed,
      acrossSeam,
      working,
      alone,
      trouble,
    })),
  );
  const size = useMemo(() => {
    const scale = Math.min(
      (available.width - 2 * BORDER) / frame.width,
      (available.height - 2 * BORDER) / frame.height,
    );
    return {
      width: Math.max(0, Math.floor(frame.width * scale)),
      height: Math.max(0, Math.floor(frame.height * scale)),
    };
  }, [available, frame]);

  useEffect(() => {
    const canvas = document.createElement('canvas');
    holder.current?.replaceChildren(canvas);
    return player.attach(canvas, startPhase);
    // the canvas belongs to one engine for the life of this bench
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);

  const { width, height } = size;
  useEffect(() => {
    if (width < 16 || height < 16) return;
    const ratio = devicePixelRatio;
    player.setView({
      width: Math.round(width * ratio),
      height: Math.round(height * ratio),
      playing,
      speed,
      acrossSeam,
      working,
      alone,
    });
  }, [width, height, playing, speed, acrossSeam, working, alone]);

  const words = trouble ? TROUBLE[trouble.code] : null;
  const waiting = useWaiting();
  return (
    <div ref={room} className={styles.room}>
      <div className={styles.frame} style={{ width: width + 2 * BORDER, height: height + 2 * BORDER }}>
        <div
          ref={holder}
          className={styles.picture}
          style={{ left: BORDER, top: BORDER, width, height }}
          role="img"
          aria-label={`The piece, frame by frame; ${playing ? 'playing' : 'paused'}`}
        />
        {waiting && !words ? (
          <div className={styles.waiting} style={{ left: BORDER, top: BORDER, width, height }} role="status">
            {waiting}
          </div>
        ) : null}
        {words ? (
          <div className={styles.trouble} style={{ left: BORDER, top: BORDER, width, height }} role="alert">
            <b>{words.what}</b>
            <span>{words.help}</span>
            <small>{trouble?.detail}</small>
          </div>
        ) : null}
        <TimeTrack width={width + 2 * BORDER} height={height + 2 * BORDER} border={BORDER} />
        <ByHand size={{ width, height }} />
        {alone ? (
          <div className={styles.aloneMark}>
            shown alone
            <Button kind="bare" onPress={() => bench.patch({ alone: null })}>
              Show all
            </Button>
          </div>
        ) : null}
      </div>
    </div>
  );
}
