import { FilledTable, type Numbers } from '../kernel/kernel';
import { momentKernel } from './moment.gen';

/** What samples of a noise have in common at a moment. */
export interface MomentNoise {
  /** lattice units per metre, and after how many it repeats: see fit.ts */
  scale: Numbers<3>;
  period: Numbers<3>;
  /** of the first potential of the first octave; the others' follow one another */
  seed: number;
  /** noises that share the lattice: 1 for a value, 2 for two, 3 for a curl */
  potentials: 1 | 2 | 3;
  /** time in laps */
  lap: number;
  /** most whole cycles per lap */
  cycles: number;
  octaves: number;
}

/** A table of a moment and the window it is of, as kernels that include noise/moment.glsl take them. */
export interface MomentTable {
  table: FilledTable;
  from: Numbers<3>;
  size: Numbers<3>;
  /** octaves that are in it, the first ones; what is not is hashed */
  octaves: number;
}

/** Where samples are, in metres. */
export interface SampleBox {
  low: readonly number[];
  high: readonly number[];
}

/** Most entries of a table: rows of 1024, as many as every graphics card has. */
const MOST_ENTRIES = 2048 * 1024;

/** Vertices of an octave's window: see windowOf() in moment.glsl. */
const verticesIn = (size: readonly number[], octave: number): number =>
  size.reduce((product, n) => product * (n * 2 ** octave + 5), 2);

/**
 * The gradients of a noise at one moment for samples within a box: of as many octaves, from the first, as have fewer
 * vertices than there are samples, which is where a table costs less than hashing (it is filled as fast as a sample is hashed,
 * and read in a third of that).
 * @param samples how many there will be about
 * @param box where they are; samples elsewhere get the same values more slowly
 */
export function momentOf(noise: MomentNoise, { low, high }: SampleBox, samples: number): MomentTable {
  const { seed, potentials, scale, period, lap, cycles } = noise;
  const first = low.map((metres, k) => Math.floor(metres * scale[k]));
  const size = high.map((metres, k) => Math.ceil(metres * scale[k]) - first[k]);
  let octaves = 0;
  let vertices = 0;
  while (octaves < noise.octaves) {
    const more = vertices + verticesIn(size, octaves);
    if (!(more <= samples && more * potentials <= MOST_ENTRIES)) break;
    vertices = more;
    octaves++;
  }
  const three = ([x, y, z]: readonly number[]): Numbers<3> => (octaves > 0 ? [x, y, z] : [0, 0, 0]);
  const window = { from: three(first), size: three(size), octaves };
  const values = { seed, period, lap, cycles, potentials, ...window };
  return { table: new FilledTable(momentKernel, values, vertices * potentials), ...window };
}
