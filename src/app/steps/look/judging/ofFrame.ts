import { useEffect, useState } from 'react';
import type { Piece } from '../../../../core/piece/schema';
import { troubleWords } from '../../../../core/trouble';
import type { EngineClient } from '../../../../engine/client';
import { useBench, usePiece } from '../../../state/bench';
import { overtaken, player, type Measurement } from '../../../state/player';

const REST_MS = 350;

/** The size of a picture so wide of a piece. */
export const sizeOf = ({ frame }: Piece, width: number): { width: number; height: number } => ({
  width,
  height: Math.max(16, Math.round((width * frame.height) / frame.width)),
});

/**
 * What is measured of the frame that the playhead rests on, or of the first while it moves.
 * @param measure the same function every time
 */
export function useOfFrame<T>(
  of: Measurement,
  measure: (api: EngineClient['api'], piece: Piece, frameIndex: number) => Promise<T>,
): { value: T | null; failed: string | null; of: string } {
  const piece = usePiece();
  const playing = useBench((state) => state.playing);
  const frameIndex = useBench((state) => (state.playing ? 0 : (state.status?.frameIndex ?? 0)));
  const [value, setValue] = useState<T | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    let live = true;
    const timer = setTimeout(() => {
      player
        .measure(of, (engine) => measure(engine, piece, frameIndex))
        .then((found) => live && (setValue(found), setFailed(null)))
        .catch((error: unknown) => live && !overtaken(error) && (setValue(null), setFailed(troubleWords(error))));
    }, REST_MS);
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, [of, measure, piece, frameIndex]);
  return { value, failed, of: playing ? 'of the frame at the seam while playing' : `of frame ${frameIndex}` };
}
