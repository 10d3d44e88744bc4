import { RF } from '../kernel/scratch';
import { landHeight } from './land.gen';

/** Land that repeats with the tile, in the numbers of its law (land.glsl), and where it lies. */
export interface Land {
  seed: number;
  /** metres up and down; 0 is even */
  relief: number;
  /** noise units a metre along each axis, and units after which it repeats */
  scale: [number, number, number];
  period: [number, number, number];
  octaves: number;
  form: number;
  /** metres to either side of its middle that stay low */
  valley: number;
  /** metres to the right and up */
  aside: number;
  above: number;
}

/** Height in metres and its derivatives at a place x, z of a ground's tile. */
export type GroundAt = (x: number, z: number) => { height: number; slopeX: number; slopeZ: number };

/** Height and slope of land at places of its tile. */
export function landAt(land: Land): GroundAt {
  const { seed, relief, scale, period, octaves, form, valley, aside, above } = land;
  return (x, z) => {
    if (relief === 0) return { height: above, slopeX: 0, slopeZ: 0 };
    landHeight(x - aside, z, seed, relief, ...scale, ...period, octaves, form, valley);
    return { height: RF[0] + above, slopeX: RF[1], slopeZ: RF[2] };
  };
}
