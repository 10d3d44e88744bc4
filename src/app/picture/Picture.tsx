import { aloneIn } from '../../core/piece/alone';
import { channelIn } from '../../core/piece/channel';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { definitionOf } from '../../core/layers/kinds';
import { bench, useBench, usePiece } from '../state/bench';
import { player } from '../state/player';
import { useSize } from '../parts/useSize';
import { Button } from '../parts/Button';
import { WallPicture } from '../steps/export/wall/WallPicture';
import { JoinPicture } from '../steps/seam/JoinPicture';
import { WorstBlock } from '../steps/seam/WorstBlock';
import { ByHand } from '../steps/fly/byhand/ByHand';
import { Wipe } from './compare/Wipe';
import { channelWords, showPicture } from './ChannelChoice';
import { StandGrips } from './stand/StandGrips';
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
  'context-gone': {
    what: 'The graphics driver took the picture away and has not given it back.',
    help: 'Close other programs that draw much, then try again; the piece is kept.',
  },
  'not-started': {
    what: 'The picture could not be started.',
    help: 'Try again, or reload the page; the piece is kept.',
  },
  stopped: { what: 'What draws the picture has stopped.', help: 'Try again; the piece is kept.' },
  'context-lost': { what: 'The graphics driver took the picture away.', help: 'It comes back by itself in a moment.' },
  'drawing-failed': {
    what: 'The picture could not be drawn.',
    help: 'Undo the last change, or reload the page: the piece is saved.',
  },
};

/** What another try may mend. */
const AGAIN = new Set(['context-gone', 'not-started', 'stopped', 'drawing-failed']);

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

/** The border that what is open keeps to within the frame. */
function SafeArea({ width, height }: { width: number; height: number }) {
  const { layers } = usePiece();
  const open = useBench((state) => (state.step === 'build' ? state.open : null));
  const layer = layers.find(({ id }) => id === open);
  const margin = layer ? (definitionOf(layer.kind).margin?.(layer) ?? null) : null;
  if (margin === null) return null;
  const free = margin * Math.min(width, height);
  const box = { left: BORDER + free, top: BORDER + free, width: width - 2 * free, height: height - 2 * free };
  return <div className={styles.safe} style={box} aria-hidden />;
}

/** What is not seen as it will be, and the way back. */
function Mark({ words, back, onBack }: { words: string; back: string; onBack(): void }) {
  return (
    <div className={styles.mark}>
      {words}
      <Button kind="bare" onPress={onBack}>
        {back}
      </Button>
    </div>
  );
}

/** The picture with time running around it. */
export function Picture({ startPhase }: { startPhase: number }) {
  const piece = usePiece();
  const { frame } = piece;
  const room = useRef<HTMLDivElement>(null);
  const holder = useRef<HTMLDivElement>(null);
  const available = useSize(room);
  const [attempt, setAttempt] = useState(0);
  const { playing, speed, acrossSeam, working, alone, trouble, ...shown } = useBench(
    useShallow(({ playing, speed, acrossSeam, working, alone, channel, trouble }) => ({
      playing,
      speed,
      acrossSeam,
      working,
      alone,
      channel,
      trouble,
    })),
  );
  const channel = channelIn(piece, shown.channel);
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
    return player.attach(canvas, useBench.getState().status?.phase ?? startPhase);
    // a canvas belongs to one engine for its life: another try takes another
  }, [attempt, startPhase]);

  const { width, height } = size;
  useEffect(() => {
    if (width < 16 || height < 16) return;
    const ratio = devicePixelRatio;
    bench.patch({ pictureWidth: Math.round(width * ratio) });
    player.setView({
      width: Math.round(width * ratio),
      height: Math.round(height * ratio),
      playing,
      speed,
      acrossSeam,
      working,
      alone,
      channel,
    });
    // and again for another engine
  }, [attempt, width, height, playing, speed, acrossSeam, working, alone, channel]);

  const again = (): void => setAttempt((n) => n + 1);
  const words = trouble ? (TROUBLE[trouble.code] ?? TROUBLE['drawing-failed']) : null;
  const waiting = useWaiting();
  return (
    <div ref={room} className={styles.room}>
      <div className={styles.frame} style={{ width: width + 2 * BORDER, height: height + 2 * BORDER }}>
        {/* under the picture: what lies over it would be blended with each of its frames */}
        <TimeTrack width={width + 2 * BORDER} height={height + 2 * BORDER} border={BORDER} />
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
        <Wipe width={width} height={height} border={BORDER} />
        <SafeArea width={width} height={height} />
        <WallPicture width={width} height={height} inset={BORDER} />
        <JoinPicture width={width} height={height} inset={BORDER} />
        <WorstBlock width={width} height={height} inset={BORDER} />
        <StandGrips width={width} height={height} border={BORDER} />
        <ByHand size={{ width, height }} />
        {words ? (
          <div className={styles.trouble} style={{ left: BORDER, top: BORDER, width, height }} role="alert">
            <b>{words.what}</b>
            <span>{words.help}</span>
            <small>{trouble?.message}</small>
            {trouble && AGAIN.has(trouble.code) ? <Button onPress={again}>Try again</Button> : null}
          </div>
        ) : null}
        <div className={styles.marks}>
          {channel.of === 'picture' ? null : (
            <Mark words={channelWords(piece, channel)} back="Show the picture" onBack={showPicture} />
          )}
          {aloneIn(piece, alone) === piece ? null : (
            <Mark words="shown alone" back="Show all" onBack={() => bench.patch({ alone: null })} />
          )}
        </div>
      </div>
    </div>
  );
}
