import { useCallback, useMemo, type PointerEvent } from 'react';
import type { Control } from '../../core/forms';
import type { FileRef } from '../../core/kept';
import { differenceOf, nearStretch, type Differences, type Stretch } from '../../core/motion/differences';
import { bestIn, differencesIn, motionAt, motionKey } from '../../core/motion/known';
import { bench } from '../state/bench';
import { Canvas, token } from './Canvas';
import { ChoiceField } from './ChoiceField';
import { useHere } from './FileLook';
import { NumberField } from './NumberField';
import { PlainRow } from './PlainRow';
import styles from './StretchRows.module.css';

interface Props {
  spec: Control;
  row: string;
  motion: FileRef | null;
  value: Stretch | null;
  onChange(value: Stretch | null): void;
}

/** Frames that differ by so much of the figure's height, or more, are dark. */
const UNLIKE = 0.3;
/** What is picked goes to where its ends are most alike within so many places of the picture. */
const SNAPS = 3;

/** The stretch of a motion that is gone through over and over, and a picture of how unlike its frames are to pick one in. */
export function StretchRows({ spec, row, motion, value, onChange }: Props) {
  useHere(motion ? [motion] : [], 'motion');
  const key = motionKey(motion);
  // another key is another motion
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const held = useMemo(() => motionAt(motion), [key]);
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const shown = useMemo(() => value ?? bestIn(motion), [key, value]);
  if (held.frames < 3) return null;
  const last = held.frames - 1;
  const apart = differenceOf(held, Math.min(shown.from, last), Math.min(shown.to, last));
  const end = (name: 'from' | 'to', label: string, hint: string) => (
    <PlainRow label={label} hint={hint} row={`${row}.${name}`}>
      <NumberField
        spec={{ ...spec, label, unit: 'frames', min: 0, max: last, comfort: last, decimals: 0 }}
        value={shown[name]}
        initial={shown[name]}
        whole
        onChange={(at) =>
          onChange(
            name === 'from'
              ? { from: Math.min(at, shown.to), to: shown.to }
              : { from: Math.min(shown.from, at), to: at },
          )
        }
      />
    </PlainRow>
  );
  return (
    <>
      <PlainRow label={spec.label} hint={spec.hint} row={row}>
        <ChoiceField
          label={spec.label}
          value={value === null ? 'best' : 'chosen'}
          choices={{ best: 'The one that closes best', chosen: 'Chosen' }}
          onChange={(to) => onChange(to === 'best' ? null : shown)}
        />
      </PlainRow>
      <PlainRow
        label="Likeness"
        hint="Every frame against every other, bright where pose and speed are alike. Click a bright place: its stretch ends and begins alike."
        row={`${row}.likeness`}
        tall
      >
        <div>
          <Likeness key={key} motion={motion} shown={shown} onPick={onChange} />
          <p className={styles.words}>{`Its ends differ by ${(apart * 100).toFixed(1)} % of the height.`}</p>
        </div>
      </PlainRow>
      {end('from', 'From', 'First frame of the motion that is shown.')}
      {end('to', 'Up to', 'Frame that gives way to the first.')}
    </>
  );
}

/** Every frame against every other: later ones to the right and down. */
function Likeness({
  motion,
  shown,
  onPick,
}: {
  motion: FileRef | null;
  shown: Stretch;
  onPick(stretch: Stretch): void;
}) {
  const differences = useMemo(() => differencesIn(motion), [motion]);
  const picture = useMemo(() => pictureOf(differences), [differences]);
  const { side, step } = differences;
  const draw = useCallback(
    (context: CanvasRenderingContext2D, width: number, height: number) => {
      context.imageSmoothingEnabled = false;
      context.drawImage(picture, 0, 0, width, height);
      const at = (frame: number, size: number): number => ((frame / step + 0.5) / side) * size;
      const [x, y] = [at(shown.to, width), at(shown.from, height)];
      context.strokeStyle = token('text');
      context.globalAlpha = 0.5;
      context.beginPath();
      context.moveTo(x, y);
      context.lineTo(x, at(shown.to, height));
      context.moveTo(x, y);
      context.lineTo(at(shown.from, width), y);
      context.stroke();
      context.globalAlpha = 1;
      context.lineWidth = 2;
      context.strokeStyle = token('time');
      context.beginPath();
      context.arc(x, y, 5, 0, 2 * Math.PI);
      context.stroke();
    },
    [picture, shown, side, step],
  );
  const pick = ({ currentTarget, clientX, clientY }: PointerEvent): void => {
    const { left, top, width, height } = currentTarget.getBoundingClientRect();
    const frame = (share: number): number =>
      Math.min((side - 1) * step, Math.max(0, Math.round((share * side - 0.5) * step)));
    const [a, b] = [frame((clientX - left) / width), frame((clientY - top) / height)];
    bench.endGesture();
    onPick(nearStretch(motionAt(motion), { from: Math.min(a, b), to: Math.max(a, b) }, SNAPS * step));
  };
  return (
    <div className={styles.likeness} onPointerDown={pick}>
      <Canvas label={`Likeness of frames; ${shown.from} to ${shown.to} is gone through`} draw={draw} />
    </div>
  );
}

/** A picture of a place for each pair of frames. */
function pictureOf({ side, values }: Differences): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = canvas.height = side;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return canvas;
  const pixels = context.createImageData(side, side);
  values.forEach((value, i) => {
    const alike = Math.max(0, 1 - value / UNLIKE);
    const light = alike * alike * alike;
    pixels.data.set([24 + 176 * light, 27 + 200 * light, 31 + 70 * light, 255], i * 4);
  });
  context.putImageData(pixels, 0, 0);
  return canvas;
}
