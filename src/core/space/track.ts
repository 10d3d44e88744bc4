import type { Path } from './frame';
import type { Vec3 } from './vector';

/** Nodes of a track: so many that a curve through a few dozen points is met to a thousandth of its size. */
export const TRACK_NODES = 128;

/** A drawn route in the form kernels read (space/route.glsl), with the box that holds it. */
export interface Track {
  path: Path;
  /** metres along −z gained each time round; 0 when it closes on itself */
  gain: number;
  /** four numbers an entry: place and upright of each node and of the three that follow across the seam, in turn */
  table: Float64Array;
  low: Vec3;
  high: Vec3;
}

/** Root of the cubic B-spline's filter, by which the pull of a node's neighbours falls off. */
const POLE = Math.sqrt(3) - 2;

/**
 * The coefficients of the uniform periodic cubic B-spline through the values, by its inverse filter √3·z^|k|
 * (Unser, Aldroubi, Eden: IEEE Trans. Signal Processing 41(2), 1993).
 */
function coefficients(values: readonly number[]): number[] {
  const n = values.length;
  return values.map((_, i) => {
    let sum = values[i];
    for (let k = 1; k < 32; k++) sum += POLE ** k * (values[(i + k) % n] + values[(i + n * 32 - k) % n]);
    return sum * Math.sqrt(3);
  });
}

/** The track of a path that closes on itself or goes on after `gain` metres along −z; its advance is by arc length. */
export function trackOf(path: Path, gain: number): Track {
  const steps = Array.from({ length: TRACK_NODES }, (_, i) => i / TRACK_NODES);
  const places = steps.map((u) => path.pointAt(u * path.length));
  const ups = steps.map((u) => path.frameAt(u * path.length).up);
  const columns = [
    ...[0, 1].map((k) => coefficients(places.map((p) => p[k]))),
    // what is gained evenly is left out, so that the rest is periodic
    coefficients(places.map((p, i) => p[2] + gain * steps[i])),
    ...[0, 1, 2].map((k) => coefficients(ups.map((up) => up[k]))),
  ];
  const table = new Float64Array((TRACK_NODES + 3) * 8);
  for (let node = 0; node < TRACK_NODES + 3; node++) {
    // the first is the one before the start
    const i = (node + TRACK_NODES - 1) % TRACK_NODES;
    const value = columns.map((column) => column[i]);
    table.set(value.slice(0, 2), node * 8);
    table[node * 8 + 2] = value[2] - (gain * (node - 1)) / TRACK_NODES;
    table.set(value.slice(3), node * 8 + 4);
  }
  const fine = Array.from({ length: 4 * TRACK_NODES + 1 }, (_, i) =>
    path.pointAt((i / (4 * TRACK_NODES)) * path.length),
  );
  // between the places looked at, a curve may lie a little farther out
  const bound = (pick: (...all: number[]) => number, more: number): Vec3 =>
    [0, 1, 2].map((k) => pick(...fine.map((p) => p[k])) + more * path.length) as Vec3;
  return { path, gain, table, low: bound(Math.min, -1e-4), high: bound(Math.max, 1e-4) };
}
