import { useCallback, type ReactNode } from 'react';
import {
  TONE_CHANNELS,
  TONE_STEPS,
  tonesOf,
  waveformOf,
  type ToneChannel,
  type Tones,
  type Waveform,
} from '../../../../core/judging/tones';
import { effectOf } from '../../../../core/look/effects/kinds';
import type { Piece } from '../../../../core/piece/schema';
import type { EngineClient } from '../../../../engine/client';
import { BandHead } from '../../../parts/BandHead';
import { Canvas, token } from '../../../parts/Canvas';
import { usePiece } from '../../../state/bench';
import styles from './Judging.module.css';
import { sizeOf, useOfFrame } from './ofFrame';
import { percent } from './words';

const WIDTH = 240;

interface Levels {
  tones: Tones;
  waveform: Waveform;
}

async function levelsOf(api: EngineClient['api'], piece: Piece, frameIndex: number): Promise<Levels> {
  const rgba = await api.pixels({ piece, frameIndex, ...sizeOf(piece, WIDTH), passes: 1, texture: false });
  return { tones: tonesOf(rgba), waveform: waveformOf(rgba, WIDTH) };
}

/** How bright the picture is: over its width, and altogether. */
export function LevelsBand({ title }: { title: ReactNode }) {
  const piece = usePiece();
  const { value, failed, of } = useOfFrame('tones', levelsOf);
  const wave = useCallback(
    (c: CanvasRenderingContext2D, w: number, h: number) => drawWaveform(c, w, h, value?.waveform ?? null),
    [value],
  );
  const tones = useCallback(
    (c: CanvasRenderingContext2D, w: number, h: number) => drawTones(c, w, h, value?.tones ?? null),
    [value],
  );
  return (
    <>
      <BandHead title={title} how={of}>
        {value ? readings(value.tones) : (failed ?? 'measuring')}
      </BandHead>
      <div className={styles.levels}>
        <Canvas label="Waveform: how bright red, green and blue are over the width of the picture" draw={wave} />
        <Canvas label="Histogram of red, green, blue and brightness" draw={tones} />
      </div>
      {piece.look.effects.some(({ kind, off }) => !off && effectOf(kind).smooths) ? null : (
        <p className={styles.warn}>Dither is off: dark gradients may show bands in 8-bit files.</p>
      )}
    </>
  );
}

const readings = ({ dark, bright, average, over }: Tones): string =>
  [`average ${percent(average)}`, `dark ${percent(dark)}`, `white ${percent(bright)}`, `full ${percent(over)}`].join(
    ' · ',
  );

const LINES = [0, 0.25, 0.5, 0.75, 1] as const;

function drawWaveform(c: CanvasRenderingContext2D, width: number, height: number, waveform: Waveform | null): void {
  c.clearRect(0, 0, width, height);
  const left = 30;
  const [top, base] = [5, height - 5];
  c.font = `10px ${token('numbers')}`;
  c.textBaseline = 'middle';
  for (const level of LINES) {
    const y = base + (top - base) * level;
    c.fillStyle = token('line');
    c.fillRect(left, Math.round(y), width - left, 1);
    c.fillStyle = token('faint');
    c.fillText(String(Math.round(255 * level)).padStart(3), 4, y);
  }
  if (!waveform) return;
  const { columns, rows, shares } = waveform;
  const picture = new OffscreenCanvas(columns, rows);
  const own = picture.getContext('2d');
  if (!own) return;
  const data = own.createImageData(columns, rows);
  for (let x = 0; x < columns; x++)
    for (let row = 0; row < rows; row++) {
      const at = ((rows - 1 - row) * columns + x) * 4;
      let most = 0;
      for (let k = 0; k < 3; k++) {
        // a root shows few pixels beside many
        const v = Math.min(1, 1.9 * shares[(x * rows + row) * 3 + k] ** 0.4);
        data.data[at + k] = 255 * v;
        most = Math.max(most, v);
      }
      data.data[at + 3] = 255 * Math.min(1, most * 1.4);
    }
  own.putImageData(data, 0, 0);
  c.imageSmoothingEnabled = false;
  c.drawImage(picture, left, top, width - left, base - top);
}

const INKS: Record<ToneChannel, string> = { red: '#e0584f', green: '#57b36a', blue: '#5b86e8', luma: '#ece7dc' };

function drawTones(c: CanvasRenderingContext2D, width: number, height: number, tones: Tones | null): void {
  c.clearRect(0, 0, width, height);
  const base = height - 16;
  c.font = `10px ${token('numbers')}`;
  c.textBaseline = 'alphabetic';
  for (const share of LINES.slice(0, -1)) {
    c.fillStyle = token('line');
    c.fillRect(share * width, 0, 1, base);
    c.fillStyle = token('faint');
    c.fillText(`${Math.round(share * 100)} %`, share * width + 3, height - 4);
  }
  if (!tones) return;
  // a root shows small shares beside the large one of black
  const most = Math.sqrt(Math.max(...TONE_CHANNELS.flatMap((channel) => [...tones.steps[channel]])));
  const step = width / TONE_STEPS;
  for (const channel of TONE_CHANNELS) {
    c.beginPath();
    c.moveTo(0, base);
    tones.steps[channel].forEach((share, i) => {
      const y = base - (Math.sqrt(share) / most) * (base - 4);
      c.lineTo(i * step, y);
      c.lineTo((i + 1) * step, y);
    });
    c.lineTo(width, base);
    c.globalCompositeOperation = channel === 'luma' ? 'source-over' : 'lighter';
    if (channel === 'luma') {
      c.strokeStyle = INKS.luma;
      c.lineWidth = 1;
      c.stroke();
    } else {
      c.globalAlpha = 0.4;
      c.fillStyle = INKS[channel];
      c.fill();
      c.globalAlpha = 1;
    }
  }
}
