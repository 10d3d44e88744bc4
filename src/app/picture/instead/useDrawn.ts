import { useEffect, useState } from 'react';
import type { Piece } from '../../../core/piece/schema';
import { troubleWords } from '../../../core/trouble';
import type { EngineClient } from '../../../engine/client';
import { overtaken, player, type Measurement } from '../../state/player';

const REST_MS = 200;

/**
 * Frames that are drawn beside the live picture: after a rest, coarse first, then with all passes of their piece.
 * @param asked what is drawn; null for nothing. Another object is another thing
 * @param draw always the same function
 * @returns what was drawn of what is asked for now; null before that
 */
export function useDrawn<A extends { piece: Piece }, T>(
  lane: Measurement,
  asked: A | null,
  draw: (engine: EngineClient['api'], asked: A, passes: number) => Promise<T>,
): { drawn: T | null; failed: string | null } {
  const [found, setFound] = useState<{ what: T; of: A } | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    if (!asked) return;
    let live = true;
    const { samples } = asked.piece;
    const all = async (): Promise<void> => {
      try {
        for (const passes of samples > 1 ? [1, samples] : [1]) {
          const what = await player.measure(lane, (engine) => draw(engine, asked, passes));
          if (!live) return;
          setFound({ what, of: asked });
          setFailed(null);
        }
      } catch (error) {
        if (live && !overtaken(error)) setFailed(troubleWords(error));
      }
    };
    const timer = setTimeout(() => void all(), REST_MS);
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, [lane, asked, draw]);
  return { drawn: asked && found?.of === asked ? found.what : null, failed };
}
