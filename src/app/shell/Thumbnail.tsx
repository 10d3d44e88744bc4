import { useEffect, useRef, useState, type RefObject } from 'react';
import type { Piece } from '../../core/piece/schema';
import { POSTER, STRIP_FRAMES } from './strip';
import { closeThumbnails, stripPicture } from './thumbnails';
import styles from './Loops.module.css';

/** Pictures per second while a thumbnail moves. */
const RATE = 10;

/** A piece as its engine draws it; moves through the lap while looked at. */
export function Thumbnail({ piece, moving }: { piece: Piece; moving: boolean }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pictures = useRef<(ImageBitmap | undefined)[]>([]);
  const [state, setState] = useState<'waiting' | 'shown' | 'failed'>('waiting');
  const near = useNear(canvas);

  useEffect(() => {
    if (!near) return;
    let live = true;
    const load = async (index: number): Promise<void> => {
      const picture = await stripPicture(piece, index, () => live);
      if (picture && live) pictures.current[index] = picture;
    };
    load(POSTER)
      .then(() => {
        if (live && show(canvas.current, pictures.current[POSTER])) setState('shown');
      })
      .catch(() => live && setState('failed'));
    return () => {
      live = false;
      closeThumbnails();
    };
  }, [piece, near]);

  useEffect(() => {
    if (!moving || matchMedia('(prefers-reduced-motion: reduce)').matches) return;
    let live = true;
    const target = canvas.current;
    const frames = pictures.current;
    const fill = async (): Promise<void> => {
      for (let index = 0; index < STRIP_FRAMES && live; index++)
        if (!frames[index]) {
          const picture = await stripPicture(piece, index, () => live);
          if (picture) frames[index] = picture;
        }
    };
    // a picture that cannot be drawn leaves the first one standing
    fill().catch(() => undefined);
    let at = POSTER;
    const timer = setInterval(() => {
      const next = (at + 1) % STRIP_FRAMES;
      // waits at a picture that is still being drawn
      if (show(target, frames[next])) at = next;
    }, 1000 / RATE);
    return () => {
      live = false;
      clearInterval(timer);
      show(target, frames[POSTER]);
    };
  }, [moving, piece]);

  return (
    <span className={styles.picture}>
      <canvas ref={canvas} width={384} height={216} aria-hidden />
      {state === 'shown' ? null : (
        <span className={styles.drawing}>{state === 'failed' ? 'cannot be drawn here' : 'drawing…'}</span>
      )}
    </span>
  );
}

/** Whether something is in the window, or has been, or is about to be scrolled there. */
function useNear(element: RefObject<Element | null>): boolean {
  const [near, setNear] = useState(false);
  useEffect(() => {
    const observer = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && setNear(true),
      { rootMargin: '25%' },
    );
    if (element.current) observer.observe(element.current);
    return () => observer.disconnect();
  }, [element]);
  return near;
}

function show(canvas: HTMLCanvasElement | null, picture: ImageBitmap | undefined): boolean {
  const context = canvas?.getContext('2d');
  if (!context || !picture) return false;
  context.canvas.width = picture.width;
  context.canvas.height = picture.height;
  context.drawImage(picture, 0, 0);
  return true;
}
