import type { World } from '../../elements/world';
import type { CurvePoint } from '../../forms';
import { pathFromSpec } from '../../space/path';
import type { Vec3 } from '../../space/vector';
import type { StreamLayer } from './form';

/** Places of a lap at which a carrier is looked for. */
const SAMPLES = 512;

/** Where what carries an emitter is over the lap: four numbers a place, what it gains in a lap, and between which places it stays. */
export interface Way {
  table: Float64Array;
  gain: Vec3;
  low: Vec3;
  high: Vec3;
  /** metres a lap, where it is quickest */
  fastest: number;
}

const ways = new WeakMap<World, Map<string, Way | null>>();

/** The way along which a stream's emitter is carried; null where nothing carries it, or that is not there. */
export function wayOf({ carried, layer, element, path, times }: StreamLayer, world: World): Way | null {
  if (carried === 'no' || (carried === 'element' && layer === null)) return null;
  const known = ways.get(world) ?? new Map<string, Way | null>();
  ways.set(world, known);
  const key = carried === 'drawn' ? JSON.stringify([path, times]) : `${layer} ${element}`;
  const found = known.get(key);
  if (found !== undefined) return found;
  const way =
    carried === 'drawn'
      ? wayThrough(alongCurve(path, times))
      : wayThrough((phase) => (layer === null ? null : world.elementAt(layer, element, phase)));
  known.set(key, way);
  return way;
}

/** Where something is that goes evenly along a closed curve, so many times a lap. */
function alongCurve(points: readonly CurvePoint[], times: number): (phase: number) => Vec3 {
  const path = pathFromSpec({
    kind: 'closed',
    points: points.map(({ aside, above, ahead }) => [aside, above, -ahead]),
  });
  return (phase) => {
    const round = phase * times;
    return path.pointAt((round - Math.floor(round)) * path.length);
  };
}

/** The way of what is at a place at every phase of a lap. */
function wayThrough(placeAt: (phase: number) => Vec3 | null): Way | null {
  const first = placeAt(0);
  const last = placeAt(1);
  if (!first || !last) return null;
  const table = new Float64Array(SAMPLES * 4);
  const [low, high]: [Vec3, Vec3] = [[...first], [...first]];
  for (let i = 0; i <= SAMPLES; i++) {
    const at = i === SAMPLES ? last : (placeAt(i / SAMPLES) ?? first);
    if (i < SAMPLES) table.set(at, i * 4);
    at.forEach((v, k) => {
      low[k] = Math.min(low[k], v);
      high[k] = Math.max(high[k], v);
    });
  }
  const gain = last.map((v, k) => v - first[k]) as Vec3;
  let fastest = 0;
  for (let i = 0; i < SAMPLES; i++) {
    const next = (i + 1) % SAMPLES;
    const step = [0, 1, 2].map((k) => table[next * 4 + k] + (next === 0 ? gain[k] : 0) - table[i * 4 + k]);
    fastest = Math.max(fastest, Math.hypot(...step) * SAMPLES);
  }
  // between places the curve through them may be quicker than the straight way
  return { table, gain, low, high, fastest: fastest * 1.5 };
}
