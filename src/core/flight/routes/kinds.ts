import { kinds, type KindValue } from '../../forms';
import { along } from './along/along';
import { attached } from './attached/attached';
import { circuit } from './circuit/circuit';
import type { RouteDefinition } from './definition';
import { keys } from './keys/keys';
import { orbit } from './orbit/orbit';
import { run } from './run/run';
import { stations } from './stations/stations';

/** Every kind of route, in the order they are offered. A new kind is a folder and its name here. */
export const ROUTES = kinds(run, along, circuit, orbit, stations, keys, attached);

export type Route = KindValue<(typeof ROUTES)['list'][number]>;
export type RouteKind = Route['kind'];

/** The definition of a kind. It takes only routes of that kind, which the document's validation guarantees. */
export const routeOf = (kind: string): RouteDefinition<Route> => ROUTES.of(kind);
