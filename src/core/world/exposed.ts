import { routeOf } from '../flight/routes/kinds';
import { keyedIn } from '../forms/walk';
import { treatmentOf } from '../treatments/kinds';
import { evaluateAnimated, jumpsOf } from '../time/animated';
import type { Exposure } from '../time/exposure';
import { definitionOf } from '../layers/kinds';
import { setAt, type PiecePath } from '../piece/paths';
import { partsOfPiece, type Piece } from '../piece/schema';

/** Laps around a moment that directions are worked out from. */
const TANGENT = 2e-5;

/** Laps that the shutter of the frame at a phase is open. */
export const openLaps = (piece: Piece, phase: number): number =>
  evaluateAnimated(piece.flight.shutterDeg, phase) / 360 / piece.lap.frames;

const opened = new WeakMap<Piece, { laps: number; piece: Piece }>();

/** A piece whose shutter is open so many laps; the piece itself where that is null. */
export function withShutter(piece: Piece, laps: number | null): Piece {
  if (laps === null) return piece;
  const known = opened.get(piece);
  if (known?.laps === laps) return known.piece;
  const made = setAt(piece, ['flight', 'shutterDeg'], laps * 360 * piece.lap.frames);
  opened.set(piece, { laps, piece: made });
  return made;
}

/** The frame at a phase, and how far around it something may be evaluated for it. */
export const exposureOf = (piece: Piece, phase: number): Exposure => ({
  frame: phase,
  reach: Math.max(openLaps(piece, phase) / 2, 0.5 / piece.lap.frames) + TANGENT,
  frames: piece.lap.frames,
});

interface Jumping {
  path: readonly (string | number)[];
  jumps: readonly number[];
}

const found = new WeakMap<Piece, Jumping[]>();

/** Every value of a piece that jumps. */
function jumpingOf(piece: Piece): Jumping[] {
  let known = found.get(piece);
  if (!known) {
    known = partsOfPiece(piece).flatMap((part) =>
      keyedIn(part).flatMap(({ value, path, field }) => {
        const jumps = field.control?.summed ? [] : jumpsOf(value);
        return jumps.length > 0 ? [{ path, jumps }] : [];
      }),
    );
    found.set(piece, known);
  }
  return known;
}

/** Whether a layer shows earlier moments besides its own. */
const trailing = (piece: Piece, [room, index]: Jumping['path']): boolean =>
  room === 'layers' && piece.layers[Number(index)].treatments.some(({ kind, off }) => !off && treatmentOf(kind).echoes);

const stepping = new WeakMap<Piece, PiecePath[]>();

/** Every layer and treatment of a piece that does what it does on whole frames. */
function steppingOf(piece: Piece): PiecePath[] {
  let known = stepping.get(piece);
  if (!known) {
    known = piece.layers.flatMap((layer, i) => [
      ...(definitionOf(layer.kind).onFrames?.(layer) ? [['layers', i]] : []),
      ...layer.treatments.flatMap(({ kind, off }, k) =>
        !off && treatmentOf(kind).onFrames ? [['layers', i, 'treatments', k]] : [],
      ),
    ]);
    stepping.set(piece, known);
  }
  return known;
}

/** The piece with what happens on whole frames as it is at a frame, for all moments within the exposure. */
export const steppedPiece = (piece: Piece, exposure: Exposure): Piece =>
  steppingOf(piece).reduce((so, path) => setAt(so, [...path, 'exposure'], exposure), piece);

/** The last frame of each piece that was asked for: a still is drawn for one frame again and again. */
const last = new WeakMap<Piece, { exposure: Exposure; seen: Piece }>();

const seenBy = (piece: Piece, exposure: Exposure): Piece => {
  const within = (jump: number): boolean => {
    const off = exposure.frame - jump;
    return Math.abs(off - Math.round(off)) <= exposure.reach + 1e-6;
  };
  const seen = jumpingOf(piece)
    .filter(({ path, jumps }) => jumps.some(within) || trailing(piece, path))
    .reduce((so, { path }) => setAt(so, [...path, 'exposure'], exposure), piece);
  const stepped = steppedPiece(seen, exposure);
  const { route } = stepped.flight;
  const shown = routeOf(route.kind).exposed?.(route, exposure) ?? route;
  return setAt(stepped, ['flight', 'route'], shown);
};

/**
 * The piece as one frame's shutter sees it: whatever jumps on a frame shows one state at every moment of the exposure. The
 * piece itself where nothing jumps.
 */
export function exposedPiece(piece: Piece, exposure: Exposure): Piece {
  const known = last.get(piece);
  if (known?.exposure.frame === exposure.frame && known.exposure.reach === exposure.reach) return known.seen;
  const seen = seenBy(piece, exposure);
  last.set(piece, { exposure, seen });
  return seen;
}
