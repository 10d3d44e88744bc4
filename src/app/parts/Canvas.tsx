import { useEffect, useRef } from 'react';
import { useSize } from './useSize';
import styles from './Canvas.module.css';

interface Props {
  /** what it shows in words; null where that is said beside it */
  label: string | null;
  /** draws in CSS pixels; called again whenever the function or the size changes */
  draw(context: CanvasRenderingContext2D, width: number, height: number): void;
}

/** Colours of the tokens, for drawings that CSS does not reach. */
export const token = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(`--${name}`);

/** A drawing that fills its place and is sharp on every screen. */
export function Canvas({ label, draw }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const { width, height } = useSize(box);
  useEffect(() => {
    // drawn by the page's own thread: a few lines are, beside a picture being drawn, no work for the graphics card
    const context = canvas.current?.getContext('2d', { willReadFrequently: true });
    if (!context || width === 0 || height === 0) return;
    const scale = devicePixelRatio;
    context.canvas.width = Math.round(width * scale);
    context.canvas.height = Math.round(height * scale);
    context.setTransform(scale, 0, 0, scale, 0, 0);
    draw(context, width, height);
  }, [draw, width, height]);
  return (
    <div ref={box} className={styles.box}>
      <canvas
        ref={canvas}
        style={{ width, height }}
        {...(label === null ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
      />
    </div>
  );
}
