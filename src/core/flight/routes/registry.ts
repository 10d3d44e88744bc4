import { z } from 'zod';
import { along, type AlongRoute } from './along/along';
import { attached, type AttachedRoute } from './attached/attached';
import { circuit, type CircuitRoute } from './circuit/circuit';
import type { RouteDefinition } from './definition';
import { keys, type KeysRoute } from './keys/keys';
import { orbit, type OrbitRoute } from './orbit/orbit';
import { run, type RunRoute } from './run/run';
import { stations, type StationsRoute } from './stations/stations';

export type Route = RunRoute | AlongRoute | CircuitRoute | OrbitRoute | StationsRoute | KeysRoute | AttachedRoute;
export type RouteKind = Route['kind'];

/** Every kind of route. A new kind is a folder and a line here. */
const definitions = { run, along, circuit, orbit, stations, keys, attached };

export const RouteSchema = z.discriminatedUnion(
  'kind',
  Object.values(definitions).map(({ schema }) => schema) as never,
) as unknown as z.ZodType<Route>;

export const routeKinds = Object.keys(definitions) as RouteKind[];

/** The definition of a kind. It takes only routes of that kind, which the document's validation guarantees. */
export const routeOf = (kind: RouteKind): RouteDefinition<Route> =>
  definitions[kind] as unknown as RouteDefinition<Route>;
