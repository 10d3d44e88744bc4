import { useEffect, useMemo, useRef } from 'react';
import type { Piece } from '../../../core/piece/schema';
import type { EngineClient } from '../../../engine/client';
import { samePoints } from '../../../engine/seam/later';
import { Instead } from '../../picture/instead/Instead';
import { useDrawn } from '../../picture/instead/useDrawn';
import { useBench, usePiece } from '../../state/bench';
import { differenceOf, mostApart, overlayOf } from './difference';
import { JOIN_PAIRS, momentsOf, useJoin, type JoinPair } from './join';

/** Each of two pictures that change places stays for so long, in milliseconds: slower than what may hurt. */
const BLINK_MS = 450;

interface Asked {
  piece: Piece;
  pair: JoinPair;
  width: number;
  height: number;
}

/** Two frames of a piece without grain and dither. */
async function drawPair(engine: EngineClient['api'], { piece, pair, width, height }: Asked, passes: number) {
  const [first, second] = momentsOf(pair, piece.lap.frames);
  const of = pair === 'later' ? samePoints(piece) : piece;
  const asked = { piece: of, width, height, passes, texture: false };
  const one = await engine.pixels({ ...asked, ...first });
  return { one, other: await engine.pixels({ ...asked, ...second }), width, height };
}

/** Two frames in the picture's place, over one another, as their difference or one after the other, while the seam is looked at. */
export function JoinPicture({ width, height, inset }: { width: number; height: number; inset: number }) {
  const piece = usePiece();
  const { view, pair, times } = useJoin();
  const looks = useBench((state) => state.step === 'seam') && view !== null;
  const [across, down] = [width, height].map((side) => Math.round(side * devicePixelRatio));
  const asked = useMemo(
    () => (looks && across >= 16 && down >= 16 ? { piece, pair, width: across, height: down } : null),
    [looks, piece, pair, across, down],
  );
  const { drawn, failed } = useDrawn('join', asked, drawPair);
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !drawn) return;
    const { one, other } = drawn;
    const show = (bytes: Uint8Array | Uint8ClampedArray): void =>
      context.putImageData(new ImageData(Uint8ClampedArray.from(bytes), drawn.width, drawn.height), 0, 0);
    if (view === 'overlay') show(overlayOf(one, other));
    if (view === 'difference') show(differenceOf(one, other, times));
    if (view !== 'blink') return;
    let second = false;
    show(one);
    const timer = setInterval(() => {
      second = !second;
      show(second ? other : one);
    }, BLINK_MS);
    return () => clearInterval(timer);
  }, [drawn, view, times]);
  if (!looks) return null;
  const says = drawn ? apartWords(mostApart(drawn.one, drawn.other)) : 'being drawn';
  return (
    <Instead
      {...{ width, height, inset }}
      label={JOIN_PAIRS[pair]}
      says={failed ?? `${JOIN_PAIRS[pair]}: ${says}`}
      onAway={() => useJoin.setState({ view: null })}
    >
      {drawn ? <canvas ref={canvas} width={drawn.width} height={drawn.height} /> : null}
    </Instead>
  );
}

const apartWords = (most: number): string =>
  most === 0 ? 'the same, to the last bit' : `up to ${most} code ${most === 1 ? 'value' : 'values'} apart`;
