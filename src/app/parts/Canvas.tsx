import { useEffect, useRef } from 'react';
import { useSize } from './useSize';
import styles from './Canvas.module.css';

interface Props {
  label: string;
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
    const context = canvas.current?.getContext('2d');
    if (!context || width === 0 || height === 0) return;
    const scale = devicePixelRatio;
    context.canvas.width = Math.round(width * scale);
    context.canvas.height = Math.round(height * scale);
    context.setTransform(scale, 0, 0, scale, 0, 0);
    draw(context, width, height);
  }, [draw, width, height]);
  return (
    <div ref={box} className={styles.box}>
      <canvas ref={canvas} role="img" aria-label={label} style={{ width, height }} />
    </div>
  );
}
