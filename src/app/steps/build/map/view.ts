import { layerExtent } from '../../../../core/layers/context';
import type { Piece } from '../../../../core/piece/schema';

/** The map's two lanes: seen from above, and from the right-hand side. */
export type Lane = 'plan' | 'side';
export const LANES: readonly Lane[] = ['plan', 'side'];

const MARGIN = 36;
const HEAD = 14;
/** Tiles shown when the camera travels on. */
const TILES = 3;

/** How metres of the world lie on the map. */
export interface MapView {
  /** metres along the travel at its left end, and how many it shows */
  start: number;
  span: number;
  /** pixels per metre along and across the travel */
  perMetre: number;
  across: number;
  /** pixels of a lane, and of the middle of each */
  lane: number;
  middle: Record<Lane, number>;
  x(along: number): number;
  along(x: number): number;
}

/** What the map shows of a piece: some tiles of its travel, or where things stand when the camera stays. */
export function mapView(piece: Piece, width: number, height: number): MapView {
  const shown = piece.layers.filter((layer) => !layer.hidden);
  const extents = shown.map((layer) => layerExtent(piece, layer));
  // a ground is as wide as the eye reaches: it would press all else into a line
  const wide = shown
    .filter(({ kind }) => kind !== 'ground' && kind !== 'backdrop')
    .map((layer) => layerExtent(piece, layer));
  const stays = piece.flight.tilesPerLap === 0;
  const farthest = Math.max(2, ...extents.map(({ to }) => to));
  const start = stays ? Math.min(-0.5, ...extents.map(({ from }) => Math.max(from, -piece.tile))) : 0;
  const span = stays ? Math.min(farthest, piece.tile) * 1.1 - start : TILES * piece.tile;
  const perMetre = (width - MARGIN - 12) / span;
  const lane = (height - HEAD) / 2;
  const most = Math.max(1, ...wide.map(({ halfWidth, bend }) => halfWidth + bend));
  const across = Math.min(perMetre, (lane / 2 - 4) / most);
  return {
    start,
    span,
    perMetre,
    across,
    lane,
    middle: { plan: HEAD + lane / 2, side: HEAD + lane * 1.5 },
    x: (along) => MARGIN + (along - start) * perMetre,
    along: (x) => start + (x - MARGIN) / perMetre,
  };
}
