import { useEffect, useMemo, useRef, type MouseEvent } from 'react';
import { diodesOf, seenWall } from '../../../../core/deliveries/wall';
import type { Piece } from '../../../../core/piece/schema';
import type { EngineClient } from '../../../../engine/client';
import { Instead } from '../../../picture/instead/Instead';
import { useDrawn } from '../../../picture/instead/useDrawn';
import { useBench, usePiece } from '../../../state/bench';
import { lookAt, useWall } from './wall';

/** Pixels across that the picture on a wall is drawn with: of walls with more diodes several share one. */
const [LEAST_ACROSS, MOST_ACROSS] = [16, 1920];
/** Metres of a wall that a click goes to, where all of it was seen. */
const NEAR_M = 0.6;

interface Asked {
  piece: Piece;
  frameIndex: number;
  width: number;
  height: number;
}

const drawFrame = async (engine: EngineClient['api'], asked: Asked, passes: number) => ({
  rgba: await engine.pixels({ ...asked, passes }),
  width: asked.width,
  height: asked.height,
});

/** The frame as a wall shows it, in the picture's place, while files are made. */
export function WallPicture({ width, height, inset }: { width: number; height: number; inset: number }) {
  const piece = usePiece();
  const { wall, part, shown } = useWall();
  const looks = useBench((state) => state.step === 'export' && !state.playing) && shown;
  const frameIndex = useBench((state) => (shown ? (state.status?.frameIndex ?? 0) : 0));
  const { frame } = piece;
  const diodes = useMemo(() => diodesOf(wall, frame.width / frame.height), [wall, frame]);
  const drawnWidth = Math.min(MOST_ACROSS, Math.max(LEAST_ACROSS, diodes.width));
  const drawnHeight = Math.max(LEAST_ACROSS, Math.round((drawnWidth * diodes.height) / diodes.width));
  const asked = useMemo(
    () => (looks ? { piece, frameIndex, width: drawnWidth, height: drawnHeight } : null),
    [looks, piece, frameIndex, drawnWidth, drawnHeight],
  );
  const { drawn, failed } = useDrawn('wall', asked, drawFrame);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [across, down] = [width, height].map((side) => Math.round(side * devicePixelRatio));
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !drawn || across < 16 || down < 16) return;
    const bytes = seenWall(drawn, wall, diodes, part, { width: across, height: down });
    context.putImageData(new ImageData(bytes, across, down), 0, 0);
  }, [drawn, wall, diodes, part, across, down]);
  if (!looks) return null;
  const click = (event: MouseEvent<HTMLCanvasElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const [x, y] = [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height];
    const at = { x: part.x + (x - 0.5) * part.wide, y: part.y + (y - 0.5) * part.wide };
    lookAt(part.wide < 1 ? wall.widthM : NEAR_M, at);
  };
  const metres = (part.wide * wall.widthM).toFixed(2);
  return (
    <Instead
      {...{ width, height, inset }}
      label="The wall"
      says={failed ?? `Simulated wall: ${drawn ? `${metres} m of ${wall.widthM} m` : 'being drawn'}`}
      onAway={() => useWall.setState({ shown: false })}
    >
      {drawn ? <canvas ref={canvas} width={across} height={down} onClick={click} /> : null}
    </Instead>
  );
}
