import { kinds, type KindValue } from '../../forms';
import { LIST } from './list';
import type { RouteDefinition } from './definition';

/** Every kind: see list.ts. */
export const ROUTES = kinds(...LIST);

export type Route = KindValue<(typeof ROUTES)['list'][number]>;
export type RouteKind = Route['kind'];

/** The definition of a kind. It takes only routes of that kind, which the document's validation guarantees. */
export const routeOf = (kind: string): RouteDefinition<Route> => ROUTES.of(kind);
