import { useEffect, useRef, useState } from 'react';
import type { Piece } from '../../../core/piece/schema';
import { samePoints } from '../../../engine/seam/later';
import { troubleWords } from '../../../core/trouble';
import { useBench, usePiece } from '../../state/bench';
import { overtaken, player } from '../../state/player';
import { differenceOf, mostApart, overlayOf } from './difference';
import { momentsOf, JOIN_PAIRS, useJoin, type JoinPair } from './join';
import shown from '../../picture/Shown.module.css';

const REST_MS = 200;
/** Each of two pictures that change places stays for so long: slower than what may hurt. */
const BLINK_MS = 450;

interface Pictures {
  one: Uint8Array;
  other: Uint8Array;
  of: Piece;
  pair: JoinPair;
  width: number;
  height: number;
}

/** Two frames of the piece without grain and dither, coarse first, then as good as finished ones. */
function usePictures(piece: Piece | null, pair: JoinPair, size: { width: number; height: number }) {
  const [pictures, setPictures] = useState<Pictures | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const { width, height } = size;
  useEffect(() => {
    if (!piece || width < 16 || height < 16) return;
    let live = true;
    const draw = async (): Promise<void> => {
      const [first, second] = momentsOf(pair, piece.lap.frames);
      const of = pair === 'later' ? samePoints(piece) : piece;
      const rounds = piece.samples === 1 ? [1] : [1, piece.samples];
      try {
        for (const passes of rounds) {
          const asked = { piece: of, width, height, passes, texture: false };
          const found = await player.measure('join', async (engine) => ({
            one: await engine.pixels({ ...asked, ...first }),
            other: await engine.pixels({ ...asked, ...second }),
          }));
          if (!live) return;
          setPictures({ ...found, of: piece, pair, width, height });
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
  }, [piece, pair, width, height]);
  const fresh = pictures && pictures.of === piece && pictures.pair === pair && pictures.width === width;
  return { pictures: fresh ? pictures : null, failed };
}

/** Two frames in the picture's place, over one another, as their difference or one after the other, while the seam is looked at. */
export function JoinPicture({ width, height, inset }: { width: number; height: number; inset: number }) {
  const open = usePiece();
  const { view, pair, times } = useJoin();
  const looks = useBench((state) => state.step === 'seam') && view !== null;
  const ratio = devicePixelRatio;
  const size = { width: Math.round(width * ratio), height: Math.round(height * ratio) };
  const { pictures, failed } = usePictures(looks ? open : null, pair, size);
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !pictures || !looks) return;
    const { one, other } = pictures;
    const show = (bytes: Uint8Array | Uint8ClampedArray): void =>
      context.putImageData(new ImageData(Uint8ClampedArray.from(bytes), pictures.width, pictures.height), 0, 0);
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
  }, [pictures, view, times, looks]);
  if (!looks) return null;
  const box = { left: inset, top: inset, width, height };
  const most = pictures ? mostApart(pictures.one, pictures.other) : 0;
  return (
    <div className={shown.over} style={box} role="group" aria-label={JOIN_PAIRS[pair]}>
      {pictures ? <canvas ref={canvas} width={pictures.width} height={pictures.height} /> : null}
      <span className={shown.name} role="status">
        {failed ?? (pictures ? `${JOIN_PAIRS[pair]}: ${apartWords(most)}` : `${JOIN_PAIRS[pair]}: being drawn`)}
      </span>
      <button className={shown.away} onClick={() => useJoin.setState({ view: null })}>
        Show the piece
      </button>
    </div>
  );
}

const apartWords = (most: number): string =>
  most === 0 ? 'the same, to the last bit' : `up to ${most} code ${most === 1 ? 'value' : 'values'} apart`;
