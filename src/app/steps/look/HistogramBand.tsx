import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { BandHead } from '../../parts/BandHead';
import { Canvas, token } from '../../parts/Canvas';
import { useBench, usePiece } from '../../state/bench';
import { troubleWords } from '../../../core/trouble';
import { overtaken, player } from '../../state/player';
import { effectOf } from '../../../core/look/effects/kinds';
import { TONE_STEPS, tonesOf, type Tones } from './histogram';
import styles from './Look.module.css';

const WIDTH = 240;
const REST_MS = 350;

/** How bright the picture is, measured on the frame the playhead rests on. */
export function HistogramBand({ title }: { title: ReactNode }) {
  const piece = usePiece();
  const playing = useBench((state) => state.playing);
  const frameIndex = useBench((state) => (state.playing ? 0 : (state.status?.frameIndex ?? 0)));
  const [tones, setTones] = useState<Tones | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    let live = true;
    const height = Math.max(16, Math.round((WIDTH * piece.frame.height) / piece.frame.width));
    const timer = setTimeout(() => {
      player
        .measure('brightness', (engine) =>
          engine.pixels({ piece, frameIndex, width: WIDTH, height, passes: 1, texture: false }),
        )
        .then((rgba) => live && (setTones(tonesOf(rgba)), setFailed(null)))
        .catch((error: unknown) => live && !overtaken(error) && (setTones(null), setFailed(troubleWords(error))));
    }, REST_MS);
    return () => {
      live = false;
      clearTimeout(timer);
    };
  }, [piece, frameIndex]);
  const draw = useCallback((c: CanvasRenderingContext2D, w: number, h: number) => drawTones(c, w, h, tones), [tones]);
  const percent = (share: number): string => `${(share * 100).toFixed(share < 0.01 ? 2 : 0)} %`;
  return (
    <>
      <BandHead title={title} how={playing ? 'of the frame at the seam while playing' : `of frame ${frameIndex}`}>
        {tones
          ? `${percent(tones.dark)} dark · ${percent(tones.bright)} near white · average ${percent(tones.average)}`
          : (failed ?? 'measuring')}
      </BandHead>
      <div className={styles.chart}>
        <Canvas label="Histogram of brightness" draw={draw} />
      </div>
      {piece.look.effects.some(({ kind, off }) => !off && effectOf(kind).smooths) ? null : (
        <p className={styles.warn}>Dither is off: dark gradients may show bands in 8-bit files.</p>
      )}
    </>
  );
}

function drawTones(c: CanvasRenderingContext2D, width: number, height: number, tones: Tones | null): void {
  c.clearRect(0, 0, width, height);
  const base = height - 16;
  c.font = `11px ${token('numbers')}`;
  for (const [share, words] of [
    [0.1, '10 %'],
    [0.5, '50 %'],
    [0.9, '90 %'],
  ] as const) {
    c.fillStyle = token('line');
    c.fillRect(share * width, 0, 1, base);
    c.fillStyle = token('faint');
    c.fillText(words, share * width + 4, height - 4);
  }
  if (!tones) return;
  // a square root shows small shares beside the large one of black
  const most = Math.sqrt(Math.max(...tones.steps));
  const step = width / TONE_STEPS;
  tones.steps.forEach((share, i) => {
    const h = (Math.sqrt(share) / most) * (base - 4);
    c.fillStyle = token('muted');
    c.fillRect(i * step + 1, base - h, step - 2, h);
  });
}
