import type { World } from '../../elements/world';
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

/** The way of the element that carries a stream's emitter; null where none does, or it is not there. */
export function wayOf({ carried, layer, element }: StreamLayer, world: World): Way | null {
  if (carried !== 'element' || layer === null) return null;
  const known = ways.get(world) ?? new Map<string, Way | null>();
  ways.set(world, known);
  const key = `${layer} ${element}`;
  const found = known.get(key);
  if (found !== undefined) return found;
  const way = lookedFor(world, layer, element);
  known.set(key, way);
  return way;
}

function lookedFor(world: World, layer: string, element: number): Way | null {
  const first = world.elementAt(layer, element, 0);
  const last = world.elementAt(layer, element, 1);
  if (!first || !last) return null;
  const table = new Float64Array(SAMPLES * 4);
  const [low, high]: [Vec3, Vec3] = [[...first], [...first]];
  for (let i = 0; i <= SAMPLES; i++) {
    const at = i === SAMPLES ? last : (world.elementAt(layer, element, i / SAMPLES) ?? first);
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
