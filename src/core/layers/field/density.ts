import { memo } from '../../memo';
import { RF } from '../../kernel/scratch';
import { cellNoise } from '../../noise/cells';
import { fitNoise } from '../../noise/fit';
import { flowNoiseInto, type NoiseSample } from '../../noise/flow';
import { hash4, unitFrom } from '../../random/hash';
import { orderedPoint } from '../../random/order.gen';
import { shapeOf } from './body';
import { fieldRest } from './field.gen';
import type { FieldLayer } from './form';

/** What is added to the seed for the noises of density, and the channel of the chance by which a place is chosen. */
const DENSITY_SEED = 211;
const CHANNEL = 7;

/** Places that are looked at for each particle before any will do: where all of a volume lies in a void. */
const MOST_LOOKED_AT = 100;

const smoothstep = (low: number, high: number, x: number): number => {
  const t = Math.min(1, Math.max(0, (x - low) / (high - low)));
  return t * t * (3 - 2 * t);
};

const sample: NoiseSample = { value: 0, gx: 0, gy: 0, gz: 0 };

/** How many there are at a place, 0..1 of the most, and where that is between fewest and most: for colours. */
interface Density {
  share: number;
  place: number;
}

type Three = readonly [number, number, number];

/** The density of a field at a place in lattice units, where its contrast is 1. */
function densityAt({ dense, seed }: FieldLayer, [x, y, z]: Three, period: Three): Density {
  const from = seed + DENSITY_SEED;
  if (dense === 'clouds') {
    let value = 0;
    for (let octave = 0; octave < 2; octave++) {
      const times = 2 ** octave;
      const twice: Three = [period[0] * times, period[1] * times, period[2] * times];
      flowNoiseInto(sample, x * times, y * times, z * times, 0, 1, twice, from + octave);
      value += sample.value / times;
    }
    return { share: smoothstep(-0.1, 0.6, value), place: 0.5 + value };
  }
  const { nearest, next } = cellNoise([x, y, z], 0, 1, period, from);
  const off = dense === 'middles' ? nearest : next - nearest;
  return { share: 1 - smoothstep(0.05, dense === 'middles' ? 0.5 : 0.25, off), place: 1 - off * 1.5 };
}

const remembered = memo<Float64Array>(8);

/** Whether a field's particles are chosen by a density; those of a grid stand in rows. */
export const isDense = ({ dense, shape }: FieldLayer): boolean => dense !== 'even' && shape !== 'grid';

/**
 * Where the first particles of a field are in the cube, and how dense it is there: places of its order are taken or left by chance,
 * by the share of the density there, so that the first k of N are a fair sample and raising the count moves nothing.
 * @param extent of its volume in metres
 * @returns for each particle three numbers 0..1, and a fourth that is 0 where there are fewest .. 1 where there are most
 */
export function densePlaces(layer: FieldLayer, extent: Three, tile: number, count: number): Float64Array {
  const { seed, shape, hollow, dense, denseScale, denseContrast } = layer;
  return remembered(
    JSON.stringify([seed, shape, extent, hollow, dense, denseScale, denseContrast, tile, count]),
    () => {
      const { scale, period } = fitNoise(denseScale, tile);
      const places = new Float64Array(count * 4);
      for (let found = 0, id = 0; found < count; id++) {
        orderedPoint(id, seed);
        const [u, v, w] = RF;
        fieldRest(shapeOf(layer), u, v, w, ...extent, hollow);
        const { share, place } = densityAt(layer, [RF[0] * scale[0], RF[1] * scale[1], RF[2] * scale[2]], period);
        const chance = unitFrom(hash4(id, seed, CHANNEL, 0)[0]);
        if (chance >= 1 - denseContrast * (1 - share) && id < MOST_LOOKED_AT * count) continue;
        places.set([u, v, w, Math.min(1, Math.max(0, place))], found * 4);
        found++;
      }
      return places;
    },
  );
}
