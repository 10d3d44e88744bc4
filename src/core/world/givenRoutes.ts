import { closesOnItself } from '../elements/course';
import { pathOf } from '../flight/routes/run/run';
import { definitionOf } from '../layers/kinds';
import type { Piece } from '../piece/schema';
import { cameraPose, flightOf } from './camera';
import { routeOfLayer } from './route';

/** A way through the world as a row of places. */
export interface GivenRoute {
  name: string;
  /** its last place is followed by its first */
  closed: boolean;
  /** x, y, z in metres */
  position: Float32Array;
}

/** Places a tile of a route, or a closed one, is given by. */
const PLACES = 256;

/** The routes of a piece's layers, a tile of each that goes on, and the way its camera takes over the lap. */
export function givenRoutes(piece: Piece): GivenRoute[] {
  const routes = piece.layers
    .filter(({ hidden, kind }) => !hidden && definitionOf(kind).route !== undefined)
    .map(({ id, name }): GivenRoute => {
      const shape = routeOfLayer(piece, id);
      const path = pathOf(shape, piece.tile);
      const closed = closesOnItself(shape);
      return {
        name,
        closed,
        position: placed(closed ? PLACES : PLACES + 1, (i) => path.pointAt((i / PLACES) * path.length)),
      };
    });
  const { frames } = piece.lap;
  const { advance } = flightOf(piece).travel;
  const closed = advance === 0;
  const flown = placed(closed ? frames : frames + 1, (i) => cameraPose(piece, i / frames).position);
  return [...routes, { name: 'Camera', closed, position: flown }];
}

const placed = (count: number, at: (i: number) => readonly number[]): Float32Array =>
  Float32Array.from(Array.from({ length: count }, (_, i) => at(i)).flat());
