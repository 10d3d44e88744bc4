import type { Piece } from '../../core/piece/schema';

/**
 * A piece as it is compared with itself a lap later: the points that its lens is looked through at turn with the blades, which are the same
 * after a part of a turn where those points are not. Without it both are drawn through the same ones.
 */
export const samePoints = (piece: Piece): Piece => ({ ...piece, flight: { ...piece.flight, bladeTurn: 0 } });
