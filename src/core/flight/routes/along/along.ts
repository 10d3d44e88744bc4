import { z } from 'zod';
import { layerRef } from '../../../piece/fields';
import { routeOfLayer } from '../../../layers/route';
import type { RouteDefinition } from '../definition';
import { metresWords, tilesFields, tilesTrack, tilesTravel } from '../run/run';

const AlongSchema = z.looseObject({
  kind: z.literal('along'),
  follow: layerRef({
    label: 'Layer',
    of: 'routed',
    none: 'None: straight',
    hint: 'The layer whose own route the camera takes: a tunnel, or what follows one.',
  }),
  ...tilesFields,
});
export type AlongRoute = z.infer<typeof AlongSchema>;

export const along: RouteDefinition<AlongRoute> = {
  kind: 'along',
  label: 'Along a layer',
  describe: 'Along the route of a tunnel or of what follows one, in its middle; a closed one is flown round.',
  schema: AlongSchema as unknown as z.ZodType<AlongRoute>,
  timed: false,
  begin: ({ piece }) => ({ follow: piece.layers.find(({ kind }) => kind === 'tunnel')?.id ?? null }),
  travel: (route, { piece }) => tilesTravel(route, routeOfLayer(piece, route.follow), piece),
  track: (route, world) => tilesTrack(route, routeOfLayer(world.piece, route.follow), world),
  summary(route, piece) {
    const name = piece.layers.find(({ id }) => id === route.follow)?.name;
    const shape = routeOfLayer(piece, route.follow);
    const each = shape.track ? shape.track.path.length : piece.tile;
    return `${name ? `along ${name}` : 'straight'} · ${metresWords(route.tilesPerLap * each)}`;
  },
  closingSteps: () => ({ tilesPerLap: 1 }),
};
