import type { Piece } from './schema';

/** A shape of the picture, in pixels. */
interface Shape {
  words: string;
  size: readonly [number, number];
  /** a circle for a dome, which a fisheye sees */
  dome?: boolean;
}

/** Shapes that pictures often have. */
export const SHAPES: Readonly<Record<string, Shape>> = {
  '1920x1080': { words: '16:9, 1920 × 1080', size: [1920, 1080] },
  '3840x2160': { words: '16:9, 3840 × 2160', size: [3840, 2160] },
  '1080x1920': { words: 'Portrait, 1080 × 1920', size: [1080, 1920] },
  '1080x1080': { words: 'Square, 1080 × 1080', size: [1080, 1080] },
  '2560x1080': { words: '21:9, 2560 × 1080', size: [2560, 1080] },
  '3240x1920': { words: 'Three upright screens, 3240 × 1920', size: [3240, 1920] },
  '3840x480': { words: 'Wide wall 8:1, 3840 × 480', size: [3840, 480] },
  '2560x640': { words: 'Wide wall 4:1, 2560 × 640', size: [2560, 640] },
  dome2048: { words: 'Dome, 2048 × 2048', size: [2048, 2048], dome: true },
  dome4096: { words: 'Dome, 4096 × 4096', size: [4096, 4096], dome: true },
};

const isDome = ({ flight }: Piece): boolean => flight.lens === 'fisheye';

/** Which of {@link SHAPES} a piece has; null for one of its own. */
export const shapeOf = (piece: Piece): string | null =>
  Object.entries(SHAPES).find(
    ([, { size, dome = false }]) =>
      size[0] === piece.frame.width && size[1] === piece.frame.height && dome === isDome(piece),
  )?.[0] ?? null;

/** A piece in one of {@link SHAPES}: a dome's by a fisheye, any other without one. @throws RangeError for what is none of them */
export function framed(piece: Piece, name: string): Piece {
  const shape = SHAPES[name] as Shape | undefined;
  if (!shape) throw new RangeError(`there is no shape "${name}"`);
  const [width, height] = shape.size;
  const lens = shape.dome ? 'fisheye' : isDome(piece) ? 'perspective' : piece.flight.lens;
  return { ...piece, frame: { ...piece.frame, width, height }, flight: { ...piece.flight, lens } };
}
