import { evaluateAnimated, jumpsOf, type Keyed } from '../time/animated';
import type { Exposure } from '../time/exposure';
import { setAt } from './paths';
import type { Piece } from './schema';

/** Laps around a moment that directions are worked out from. */
const TANGENT = 2e-5;

/** Laps that the shutter of the frame at a phase is open. */
export const openLaps = (piece: Piece, phase: number): number =>
  evaluateAnimated(piece.flight.shutterDeg, phase) / 360 / piece.lap.frames;

/** The frame at a phase, and how far around it something may be evaluated for it. */
export const exposureOf = (piece: Piece, phase: number): Exposure => ({
  frame: phase,
  reach: Math.max(openLaps(piece, phase) / 2, 0.5 / piece.lap.frames) + TANGENT,
  frames: piece.lap.frames,
});

interface Jumping {
  path: (string | number)[];
  jumps: readonly number[];
}

/** A pace is summed up over the lap, not read at a moment. */
const SUMMED = 'flight.speed';

const found = new WeakMap<object, Jumping[]>();

/** Every value of a part of a piece that jumps. */
function jumpingIn(part: unknown, path: (string | number)[]): Jumping[] {
  if (typeof part !== 'object' || part === null || path.join('.') === SUMMED) return [];
  if (Array.isArray(part)) return part.flatMap((item, i) => jumpingIn(item, [...path, i]));
  if ('law' in part) {
    const jumps = part.law === 'keyed' ? jumpsOf(part as Keyed) : [];
    return jumps.length > 0 ? [{ path, jumps }] : [];
  }
  return Object.entries(part).flatMap(([name, value]) => jumpingIn(value, [...path, name]));
}

function jumpingOf(piece: Piece): Jumping[] {
  let known = found.get(piece);
  if (!known) {
    known = (['layers', 'flight', 'look'] as const).flatMap((name) => jumpingIn(piece[name], [name]));
    found.set(piece, known);
  }
  return known;
}

/** Whether a layer shows earlier moments besides its own. */
const trailing = (piece: Piece, [room, index]: Jumping['path']): boolean =>
  room === 'layers' && piece.layers[Number(index)].treatments.some(({ kind, off }) => kind === 'trails' && !off);

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
  const { route } = piece.flight;
  const cuts = route.kind === 'stations' && route.stops.some(({ travel }) => travel === 0);
  return cuts ? setAt(seen, ['flight', 'route', 'exposure'], exposure) : seen;
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
