import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { VIEWING, type Bands } from '../../../../core/judging/bands';
import { EFFECTS, effectOf, newEffect, withEffect } from '../../../../core/look/effects/kinds';
import type { Piece } from '../../../../core/piece/schema';
import type { EngineClient } from '../../../../engine/client';
import { BandHead } from '../../../parts/BandHead';
import { Button } from '../../../parts/Button';
import { Canvas } from '../../../parts/Canvas';
import { bench, usePiece } from '../../../state/bench';
import { newId } from '../../../state/edit';
import styles from './Judging.module.css';
import { sizeOf, useOfFrame } from './ofFrame';
import { percent } from './words';

/** Large enough for gradients, small enough to be measured while one works. */
const WIDTH = 480;
const PASSES = 4;

interface Judged {
  bands: Bands;
  picture: Blob;
}

async function bandsOf(api: EngineClient['api'], piece: Piece, frameIndex: number): Promise<Judged> {
  const size = sizeOf(piece, WIDTH);
  const request = { piece, frameIndex, ...size, passes: Math.min(piece.samples, PASSES) };
  const bands = await api.bands(request);
  return { bands, picture: await api.still({ ...request, passes: 1 }) };
}

/** The picture of a blob, once it is decoded. */
function useBitmap(blob: Blob | null): ImageBitmap | null {
  const [bitmap, setBitmap] = useState<ImageBitmap | null>(null);
  useEffect(() => {
    let live = true;
    if (blob) void createImageBitmap(blob).then((made) => live && setBitmap(made));
    return () => {
      live = false;
    };
  }, [blob]);
  return bitmap;
}

const isSmooth = ({ look }: Piece): boolean => look.effects.some(({ kind, off }) => !off && effectOf(kind).smooths);

/** Switches the effect on that breaks steps up, or adds it. */
function smooth({ look: { effects } }: Piece): void {
  const kind = EFFECTS.names.find((name) => effectOf(name).smooths);
  if (!kind) return;
  const has = effects.some((effect) => effect.kind === kind);
  bench.set(
    ['look', 'effects'],
    has
      ? effects.map((effect) => (effect.kind === kind ? { ...effect, off: false } : effect))
      : withEffect(effects, newEffect(kind, newId('effect'))),
  );
}

const timesWords = (times: number): string => (times >= 10 ? times.toFixed(0) : times.toFixed(1));

/** Where the steps of 8-bit files would show in the picture, and what mends that. */
export function BandingBand({ title }: { title: ReactNode }) {
  const piece = usePiece();
  const { value, failed, of } = useOfFrame('bands', bandsOf);
  const bitmap = useBitmap(value?.picture ?? null);
  const draw = useCallback(
    (c: CanvasRenderingContext2D, w: number, h: number) => drawMap(c, w, h, value?.bands ?? null, bitmap),
    [value, bitmap],
  );
  const bands = value?.bands ?? null;
  const shows = bands !== null && bands.worst > 1;
  return (
    <>
      <BandHead title={title} how={of}>
        {bands
          ? shows
            ? `steps show in ${percent(bands.share)} of the picture`
            : 'no steps show'
          : (failed ?? 'measuring')}
      </BandHead>
      <div className={styles.mapped}>
        <Canvas label="Where steps show in the picture" draw={draw} />
        <div className={styles.verdict}>
          {bands ? (
            <>
              <p className={shows ? styles.warn : styles.fine}>
                {shows
                  ? `At worst they are ${timesWords(bands.worst)} times as strong as what can just be seen.`
                  : bands.worstBare > 1
                    ? `Values that are only rounded would show steps ${timesWords(bands.worstBare)} times as strong as what can just be seen; dither and grain leave ${bands.worst < 0.05 ? 'nothing of them' : `${timesWords(bands.worst)} times`}.`
                    : 'There is no gradient slow enough for steps to show.'}
              </p>
              {shows && !isSmooth(piece) ? (
                <Button kind="accent" onPress={() => smooth(piece)}>
                  Dither the output
                </Button>
              ) : shows ? (
                <p>Grain with more of it, or a steeper gradient, hides what dither leaves.</p>
              ) : null}
            </>
          ) : null}
          <p className={styles.how}>
            For 8-bit files on a display from {VIEWING.black} to {VIEWING.white} cd/m², seen from {VIEWING.heights}{' '}
            times the picture’s height. A brighter wall, or a nearer seat, shows more.
          </p>
        </div>
      </div>
    </>
  );
}

/** The picture, dimmed, and over it the tiles in which steps show. */
function drawMap(
  c: CanvasRenderingContext2D,
  width: number,
  height: number,
  bands: Bands | null,
  bitmap: ImageBitmap | null,
): void {
  c.clearRect(0, 0, width, height);
  if (!bands || !bitmap) return;
  const scale = Math.min(width / bitmap.width, height / bitmap.height);
  const [w, h] = [bitmap.width * scale, bitmap.height * scale];
  c.globalAlpha = 0.6;
  c.drawImage(bitmap, 0, 0, w, h);
  c.globalAlpha = 1;
  const side = Math.max(8, Math.round(bitmap.height / 12)) * scale;
  bands.seen.forEach((times, i) => {
    if (times <= 1) return;
    const [x, y] = [(i % bands.columns) * side, Math.floor(i / bands.columns) * side];
    c.fillStyle = `rgba(255, 138, 102, ${Math.min(0.75, 0.25 + 0.12 * times)})`;
    c.fillRect(x, y, Math.min(side, w - x) - 0.5, Math.min(side, h - y) - 0.5);
  });
}
