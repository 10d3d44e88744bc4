import { form, layerRef, tag, type ValueOf } from '../../../forms';
import type { RouteDefinition } from '../definition';
import { metresWords, tilesFields, tilesTrack, tilesTravel } from '../run/run';

const AlongForm = form({
  kind: tag('along'),
  follow: layerRef({
    label: 'Layer',
    of: 'way',
    none: 'None: straight',
    hint: 'The layer whose own route the camera takes: a tunnel, or what follows one.',
  }),
  ...tilesFields,
});
export type AlongRoute = ValueOf<typeof AlongForm>;

export const along: RouteDefinition<AlongRoute> = {
  kind: 'along',
  label: 'Along a layer',
  describe: 'Along the route of a tunnel or of what follows one, in its middle; a closed one is flown round.',
  form: AlongForm,
  timed: false,
  begin: ({ way }) => ({ follow: way }),
  travel: (route, { routeOf, tile }) => tilesTravel(route, routeOf(route.follow), tile),
  track: (route, world) => tilesTrack(route, world.routeOf(route.follow), world),
  summary(route, { nameOf, routeOf, tile }) {
    const name = nameOf(route.follow);
    const { track } = routeOf(route.follow);
    const each = track ? track.path.length : tile;
    return `${name ? `along ${name}` : 'straight'} · ${metresWords(route.tilesPerLap * each)}`;
  },
  facing: () => ({ aim: 'ahead' }),
  closingSteps: () => ({ tilesPerLap: 1 }),
};
