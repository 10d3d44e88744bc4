import { Trash2 } from 'lucide-react';
import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { gradientAt, linearToHex, type Gradient } from '../../core/colour/colour';
import { bench } from '../state/bench';
import { Button } from './Button';
import { ColourField } from './ColourField';
import styles from './GradientField.module.css';

interface Props {
  label: string;
  value: Gradient;
  onChange(value: Gradient): void;
}

const STEPS = 24;

/** CSS of a gradient as the engine mixes it, in a perceptual space. */
export const gradientCss = (gradient: Gradient): string =>
  `linear-gradient(90deg, ${Array.from({ length: STEPS + 1 }, (_, i) => linearToHex(gradientAt(gradient, i / STEPS))).join(',')})`;

/** Colours along a strip: click to add one, drag to move it, open it to change it. */
export function GradientField({ label, value, onChange }: Props) {
  const [selected, setSelected] = useState<number | null>(null);
  const strip = useRef<HTMLDivElement>(null);
  const dragging = useRef(false);
  const css = useMemo(() => gradientCss(value), [value]);
  const placeOf = (event: PointerEvent): number => {
    const box = strip.current?.getBoundingClientRect();
    return box ? Math.min(1, Math.max(0, (event.clientX - box.left) / box.width)) : 0;
  };
  const move = (index: number, at: number): void =>
    onChange(value.map((stop, i) => (i === index ? { ...stop, at: Number(at.toFixed(4)) } : stop)));
  const add = (event: PointerEvent): void => {
    if (event.target !== strip.current || value.length >= 12) return;
    const at = placeOf(event);
    onChange([...value, { at: Number(at.toFixed(4)), colour: linearToHex(gradientAt(value, at)) }]);
    setSelected(value.length);
  };
  const key = (event: KeyboardEvent, index: number): void => {
    const step =
      (event.shiftKey ? 0.002 : 0.02) * (event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0);
    if (step === 0) return;
    event.preventDefault();
    event.stopPropagation();
    move(index, Math.min(1, Math.max(0, value[index].at + step)));
  };
  const stop = selected === null ? undefined : value[selected];
  return (
    <div className={styles.gradient}>
      <div
        ref={strip}
        className={styles.strip}
        style={{ background: css }}
        onPointerDown={add}
        role="group"
        aria-label={label}
      >
        {value.map((s, index) => (
          <button
            key={index}
            className={`${styles.stop} ${index === selected ? styles.selected : ''}`}
            style={{ left: `${s.at * 100}%`, background: s.colour }}
            aria-label={`${label}, colour ${s.colour} at ${Math.round(s.at * 100)} %`}
            onPointerDown={(event) => {
              setSelected(index === selected && !event.shiftKey ? index : index);
              dragging.current = true;
              bench.beginGesture();
              event.currentTarget.setPointerCapture(event.pointerId);
            }}
            onPointerMove={(event) => dragging.current && move(index, placeOf(event))}
            onPointerUp={() => {
              dragging.current = false;
              bench.endGesture();
            }}
            onKeyDown={(event) => key(event, index)}
            onFocus={() => setSelected(index)}
          />
        ))}
      </div>
      {stop && selected !== null ? (
        <div className={styles.edit}>
          <ColourField
            label={`${label}, chosen colour`}
            value={stop.colour}
            onChange={(colour) => onChange(value.map((s, i) => (i === selected ? { ...s, colour } : s)))}
          />
          <Button
            kind="bare"
            label="Remove this colour"
            isDisabled={value.length === 1}
            onPress={() => {
              onChange(value.filter((_, i) => i !== selected));
              setSelected(null);
            }}
          >
            <Trash2 size={14} />
          </Button>
        </div>
      ) : null}
    </div>
  );
}
