import { useEffect, useMemo, useRef, useState, type MouseEvent } from 'react';
import { diodesOf, seenWall } from '../../../../core/deliveries/wall';
import type { Piece } from '../../../../core/piece/schema';
import { troubleWords } from '../../../../core/trouble';
import { useBench, usePiece } from '../../../state/bench';
import { overtaken, player } from '../../../state/player';
import { lookAt, useWall } from './wall';
import shown from '../../../picture/Shown.module.css';

const REST_MS = 200;
/** Most pixels across that the picture on a wall is drawn with: of walls with more diodes several share one. */
const MOST_ACROSS = 1920;
/** Metres of a wall that a click goes to, where all of it was seen. */
const NEAR_M = 0.6;

interface Picture {
  rgba: Uint8Array;
  width: number;
  height: number;
  of: Piece;
  frame: number;
}

/** A frame as large as the wall has diodes, coarse first, then finished. */
function useDrawn(piece: Piece | null, frame: number, width: number, height: number) {
  const [picture, setPicture] = useState<Picture | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    if (!piece) return;
    let live = true;
    const draw = async (): Promise<void> => {
      try {
        for (const passes of piece.samples > 1 ? [1, piece.samples] : [1]) {
          const rgba = await player.measure('wall', (engine) =>
            engine.pixels({ piece, frameIndex: frame, width, height, passes }),
          );
          if (!live) return;
          setPicture({ rgba, width, height, of: piece, frame });
          setFailed(null);
        }
      } catch (error) {
        if (live && !overtaken(error)) setFailed(troubleWords(error));
      }
    };
    const timer = setTimeout(() => void draw(), REST_MS);
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, [piece, frame, width, height]);
  return { picture, failed };
}

/** The frame as a wall shows it, in the picture's place, while files are made. */
export function WallPicture({ width, height, inset }: { width: number; height: number; inset: number }) {
  const open = usePiece();
  const { wall, part, shown: on } = useWall();
  const looks = useBench((state) => state.step === 'export' && !state.playing) && on;
  const frame = useBench((state) => (on ? (state.status?.frameIndex ?? 0) : 0));
  const { frame: shape } = open;
  const diodes = useMemo(() => diodesOf(wall, shape.width / shape.height), [wall, shape]);
  const drawn = {
    width: Math.min(MOST_ACROSS, Math.max(16, diodes.width)),
    height: Math.max(
      16,
      Math.round((Math.min(MOST_ACROSS, Math.max(16, diodes.width)) * diodes.height) / diodes.width),
    ),
  };
  const { picture, failed } = useDrawn(looks ? open : null, frame, drawn.width, drawn.height);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [across, down] = [Math.round(width * devicePixelRatio), Math.round(height * devicePixelRatio)];
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !picture || across < 16 || down < 16) return;
    const bytes = seenWall(picture, wall, diodes, part, { width: across, height: down });
    context.putImageData(new ImageData(bytes, across, down), 0, 0);
  }, [picture, wall, diodes, part, across, down, looks]);
  if (!looks) return null;
  const click = (event: MouseEvent<HTMLCanvasElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const [x, y] = [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height];
    const at = { x: part.x + (x - 0.5) * part.wide, y: part.y + (y - 0.5) * part.wide };
    lookAt(part.wide < 1 ? wall.widthM : NEAR_M, at);
  };
  const metres = (part.wide * wall.widthM).toFixed(2);
  return (
    <div className={shown.over} style={{ left: inset, top: inset, width, height }} role="group" aria-label="The wall">
      {picture ? <canvas ref={canvas} width={across} height={down} onClick={click} /> : null}
      <span className={shown.name} role="status">
        {failed ?? (picture ? `Simulated wall: ${metres} m of ${wall.widthM} m` : 'Simulated wall: being drawn')}
      </span>
      <button className={shown.away} onClick={() => useWall.setState({ shown: false })}>
        Show the piece
      </button>
    </div>
  );
}
