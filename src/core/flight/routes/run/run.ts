import { z } from 'zod';
import { number } from '../../../piece/fields';
import type { Piece } from '../../../piece/schema';
import { pathFromSpec } from '../../../space/path';
import type { RouteDefinition, RouteWorld, Track, Travel } from '../definition';
import { closesOnItself, STRAIGHT } from '../../../layers/course';
import type { RouteShape } from '../../../layers/definition';

/** Travel and start of a route that goes on from tile to tile. */
export const tilesFields = {
  tilesPerLap: number(1, {
    label: 'Travel',
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

/** Whole tiles along a helix about −z or along the axis itself, or whole times round a drawn track. */
export function tilesTrack({ tilesPerLap, start }: Tiles, shape: RouteShape, { piece, share }: RouteWorld): Track {
  const { tile } = piece;
  const path =
    shape.track?.path ??
    pathFromSpec({ kind: 'helix', radius: shape.radius, turns: shape.turnsPerMetre * tile, advance: tile });
  return {
    length: Math.abs(tilesPerLap) * path.length,
    at(phase) {
      const s = (start / tile + tilesPerLap * share(phase)) * path.length;
      const { tangent, up } = path.frameAt(s);
      return { position: path.pointAt(s), tangent, up, own: null };
    },
  };
}

export const tilesTravel = ({ tilesPerLap }: Tiles, shape: RouteShape, { tile }: Piece): Travel => ({
  advance: closesOnItself(shape) ? 0 : tilesPerLap * tile,
  turns: shape.turnsPerMetre * tilesPerLap * tile,
  axis: [0, 0, 1],
  centre: [0, 0, 0],
});

export const metresWords = (metres: number): string => `${Number(metres.toFixed(2))} m per lap`;

const RunSchema = z.looseObject({ kind: z.literal('run'), ...tilesFields });
export type RunRoute = z.infer<typeof RunSchema>;

export const run: RouteDefinition<RunRoute> = {
  kind: 'run',
  label: 'Straight run',
  describe: 'Straight ahead through whole tiles.',
  schema: RunSchema as unknown as z.ZodType<RunRoute>,
  timed: false,
  begin: () => ({}),
  travel: (route, { piece }) => tilesTravel(route, STRAIGHT, piece),
  track: (route, world) => tilesTrack(route, STRAIGHT, world),
  summary: (route, piece) => `straight · ${metresWords(route.tilesPerLap * piece.tile)}`,
  closingSteps: () => ({ tilesPerLap: 1 }),
};
