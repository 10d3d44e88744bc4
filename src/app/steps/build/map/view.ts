import { rides } from '../../../../core/world/route';
import { layerExtent } from '../../../../core/world/layers';
import { flightOf } from '../../../../core/world/camera';
import { definitionOf } from '../../../../core/layers/kinds';
import type { Layer, Piece } from '../../../../core/piece/schema';
import type { Vec3 } from '../../../../core/space/vector';

/** The map's two lanes: seen from above, and from the right-hand side. */
export type Lane = 'plan' | 'side';
export const LANES: readonly Lane[] = ['plan', 'side'];

const MARGIN = 36;
const HEAD = 14;
const GAP = 24;
/** Tiles shown when the camera travels on. */
const TILES = 3;

/** Where a lane is on the map, in pixels; middle is where the world’s axis is. */
export interface LaneBox {
  left: number;
  right: number;
  top: number;
  bottom: number;
  middle: number;
}

/** How metres of the world lie on the map: along the travel to the right, across it or upwards to the top. */
export interface MapView {
  /** metres along the travel at a lane's left end, and how many it shows */
  start: number;
  span: number;
  /** pixels per metre along and across the travel */
  perMetre: number;
  across: number;
  lanes: Record<Lane, LaneBox>;
  x(along: number, lane: Lane): number;
  y(off: number, lane: Lane): number;
  along(x: number, lane: Lane): number;
  off(y: number, lane: Lane): number;
  laneAt(x: number, y: number): Lane;
}

/** Places of the route over a lap, the first again at the end. */
export function routePlaces(piece: Piece, count = 128): Vec3[] {
  const { track } = flightOf(piece);
  return Array.from({ length: count + 1 }, (_, i) => track.at(i / count).position);
}

/**
 * What the map shows of a piece: some tiles of its travel; or where things stand when the camera stays or a curve is drawn,
 * in true proportion.
 * @param drawn the layer whose curve is being drawn
 */
export function mapView(piece: Piece, width: number, height: number, drawn: Layer | null = null): MapView {
  if (drawn) {
    const { centre, halfWidth, halfHeight, from, to } = layerExtent(piece, drawn);
    const room = 0.06 * (to - from);
    const ends = [halfWidth, halfHeight].map((half, k): [number, number] => [centre[k] - half, centre[k] + half]);
    return sideBySide(Math.min(0, from) - room, to + room - Math.min(0, from) + room, ends, width, height);
  }
  const shown = piece.layers.filter((layer) => !layer.hidden && !rides(layer));
  const extents = shown.map((layer) => layerExtent(piece, layer));
  // a ground is as wide as the eye reaches: it would press all else into a line
  const wide = shown.filter(({ kind }) => !definitionOf(kind).surrounds).map((layer) => layerExtent(piece, layer));
  const stays = flightOf(piece).travel.advance === 0;
  const way = routePlaces(piece);
  // how far the route and the layers go to either side, and up and down
  const ends = (k: 0 | 1): [number, number] => {
    const layers = wide.map(({ centre, halfWidth, halfHeight, bend }): [number, number] => {
      const half = (k === 0 ? halfWidth : halfHeight) + bend;
      return [centre[k] - half, centre[k] + half];
    });
    const all = [...way.map((p): [number, number] => [p[k], p[k]]), ...layers];
    return [Math.min(...all.map(([low]) => low)), Math.max(...all.map(([, high]) => high))];
  };
  // a route that goes far out is still seen whole
  const along = way.map((p) => -p[2]);
  // what fills its tile says nothing of where things stand, unless there is nothing else
  const standing = extents.filter(({ from, to }) => to - from < piece.tile * 0.8);
  const farthest = Math.max(2, ...(standing.length > 0 ? standing : extents).map(({ to }) => to));
  const start = stays
    ? Math.min(-0.5, Math.min(...along) - 0.5, ...standing.map(({ from }) => Math.max(from, -piece.tile)))
    : 0;
  const end = Math.max(Math.min(farthest, piece.tile), Math.max(...along));
  const span = stays ? end * 1.1 - start : TILES * piece.tile;
  const across = ends(0);
  // a long way is read as two strips; a place to go around in is seen with its true proportions, side by side
  return stays
    ? sideBySide(start, span, [across, ends(1)], width, height)
    : stacked(start, span, Math.max(1, ...across.map(Math.abs)), width, height);
}

function viewOf(start: number, span: number, perMetre: number, across: number, plan: LaneBox, side: LaneBox): MapView {
  const lanes = { plan, side };
  return {
    start,
    span,
    perMetre,
    across,
    lanes,
    x: (along, lane) => lanes[lane].left + (along - start) * perMetre,
    y: (off, lane) => lanes[lane].middle - off * across,
    along: (x, lane) => start + (x - lanes[lane].left) / perMetre,
    off: (y, lane) => (lanes[lane].middle - y) / across,
    laneAt: (x, y) =>
      (plan.right <= side.left ? x < (plan.right + side.left) / 2 : y < plan.bottom) ? 'plan' : 'side',
  };
}

function stacked(start: number, span: number, most: number, width: number, height: number): MapView {
  const perMetre = (width - MARGIN - 12) / span;
  const lane = (height - HEAD) / 2;
  const across = Math.min(perMetre, (lane / 2 - 4) / most);
  const box = (top: number): LaneBox => ({
    left: MARGIN,
    right: MARGIN + span * perMetre,
    top,
    bottom: top + lane - 2,
    middle: top + lane / 2,
  });
  return viewOf(start, span, perMetre, across, box(HEAD), box(HEAD + lane));
}

/** @param ends of what is shown in each lane: from, to */
function sideBySide(
  start: number,
  span: number,
  ends: readonly [number, number][],
  width: number,
  height: number,
): MapView {
  const half = (width - GAP) / 2;
  const room = height - HEAD - 6;
  const most = Math.max(1, ...ends.map(([from, to]) => (to - from) / 2));
  const scale = Math.max(1e-6, Math.min(half / span, room / 2 / (most * 1.05)));
  const box = (left: number, [from, to]: readonly [number, number]): LaneBox => {
    const free = (half - span * scale) / 2;
    const middle = HEAD + room / 2 + ((from + to) / 2) * scale;
    return { left: left + free, right: left + half - free, top: HEAD, bottom: height - 6, middle };
  };
  return viewOf(start, span, scale, scale, box(0, ends[0]), box(half + GAP, ends[1]));
}
