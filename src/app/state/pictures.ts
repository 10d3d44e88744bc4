import { useEffect, useState } from 'react';
import type { Piece } from '../../core/piece/schema';
import { Stills } from './stills';

/** A small picture that is wanted. */
export interface Wanted {
  /** another is drawn for another key alone */
  key: string;
  piece: Piece;
  frameIndex: number;
}

/** Width in pixels. */
const WIDTH = 144;

/** Small pictures, which come one after another: the address of each by its key. */
export function usePictures(wanted: readonly Wanted[]): ReadonlyMap<string, string> {
  const [pictures, setPictures] = useState(new Map<string, string>());
  const keys = wanted.map(({ key }) => key).join(' ');
  useEffect(() => {
    let live = true;
    const stills = new Stills();
    const urls: string[] = [];
    void (async () => {
      for (const { key, piece, frameIndex } of wanted) {
        if (!live) return;
        const height = Math.max(16, Math.round((WIDTH * piece.frame.height) / piece.frame.width));
        const blob = await stills.draw({ piece, frameIndex, width: WIDTH, height, passes: 1 }).catch(() => null);
        if (!blob || !live) continue;
        const url = URL.createObjectURL(blob);
        urls.push(url);
        setPictures((before) => new Map(before).set(key, url));
      }
    })();
    return () => {
      live = false;
      stills.close();
      for (const url of urls) URL.revokeObjectURL(url);
    };
    // what is drawn is what its key says
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [keys]);
  return pictures;
}
