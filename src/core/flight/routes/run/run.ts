import { form, number, tag, type ValueOf } from '../../../forms';
import type { Path } from '../../../space/frame';
import { pathFromSpec } from '../../../space/path';
import type { RouteDefinition, RouteWorld, Track, Travel } from '../definition';
import { closesOnItself, STRAIGHT, type RouteShape } from '../../../elements/course';

/** Travel and start of a route that goes on from tile to tile. */
export const tilesFields = {
  tilesPerLap: number(1, {
    label: 'Travel',
    perLap: true,
    unit: 'tiles per lap',
    min: -64,
    max: 64,
    comfort: 4,
    decimals: 2,
    hint: 'Tiles travelled in one lap, or times round a closed route; whole ones close.',
  }),
  start: number(0, {
    label: 'Start',
    unit: 'm',
    min: -10_000,
    max: 10_000,
    comfort: 20,
    hint: 'Where on the tile the lap begins, in metres.',
  }),
};

interface Tiles {
  tilesPerLap: number;
  start: number;
}

/** The way of a route: a tile of one that goes on, or once round. */
export const pathOf = ({ radius, turnsPerMetre, track }: RouteShape, tile: number): Path =>
  track?.path ?? pathFromSpec({ kind: 'helix', radius, turns: turnsPerMetre * tile, advance: tile });

/** Whole tiles along a helix about −z or along the axis itself, or whole times round a drawn track. */
export function tilesTrack({ tilesPerLap, start }: Tiles, shape: RouteShape, { tile, share }: RouteWorld): Track {
  const path = pathOf(shape, tile);
  return {
    length: Math.abs(tilesPerLap) * path.length,
    at(phase) {
      const s = (start / tile + tilesPerLap * share(phase)) * path.length;
      const { tangent, up } = path.frameAt(s);
      return { position: path.pointAt(s), tangent, up, own: null };
    },
  };
}

export const tilesTravel = ({ tilesPerLap }: Tiles, shape: RouteShape, tile: number): Travel => ({
  advance: closesOnItself(shape) ? 0 : tilesPerLap * tile,
  turns: shape.turnsPerMetre * tilesPerLap * tile,
  axis: [0, 0, 1],
  centre: [0, 0, 0],
});

export const metresWords = (metres: number): string => `${Number(metres.toFixed(2))} m per lap`;

const RunForm = form({ kind: tag('run'), ...tilesFields });
export type RunRoute = ValueOf<typeof RunForm>;

export const run: RouteDefinition<RunRoute> = {
  kind: 'run',
  label: 'Straight run',
  describe: 'Straight ahead through whole tiles.',
  form: RunForm,
  timed: false,
  begin: () => ({}),
  travel: (route, { tile }) => tilesTravel(route, STRAIGHT, tile),
  track: (route, world) => tilesTrack(route, STRAIGHT, world),
  summary: (route, { tile }) => `straight · ${metresWords(route.tilesPerLap * tile)}`,
  facing: () => ({ aim: 'ahead' }),
  closingSteps: () => ({ tilesPerLap: 1 }),
};
