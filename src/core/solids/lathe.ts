import { MeshBuilder, type Mesh } from './mesh';

/** A point of an outline that is turned about the upright axis: distance from it, height, and the normal there. */
type Turned = readonly [radius: number, height: number, outward: number, upward: number];

/**
 * A body turned on a lathe. The outline runs from the bottom to the top; a crease is two points at one place. Where the
 * radius is 0 it comes to a pole.
 * @param sides steps around, 3 or more
 */
function lathe(outline: readonly Turned[], sides: number): Mesh {
  const builder = new MeshBuilder();
  const rows = outline.map(([radius, height, outward, upward]) =>
    Array.from({ length: sides + 1 }, (_, i) => {
      // a pole's vertices look towards the middle of their own triangle
      const angle = (2 * Math.PI * (i + (radius === 0 ? 0.5 : 0))) / sides;
      const [s, c] = [Math.sin(angle), Math.cos(angle)];
      const at = i === sides && radius !== 0 ? 0 : angle;
      return builder.vertex([radius * Math.sin(at), height, radius * Math.cos(at)], [outward * s, upward, outward * c]);
    }),
  );
  for (let j = 0; j + 1 < rows.length; j++) {
    const [a, b] = [outline[j], outline[j + 1]];
    if (a[0] === b[0] && a[1] === b[1]) continue;
    for (let i = 0; i < sides; i++) {
      if (a[0] !== 0) builder.triangle(rows[j][i], rows[j][i + 1], rows[j + 1][b[0] === 0 ? i : i + 1]);
      if (b[0] !== 0) builder.triangle(rows[j][i], rows[j + 1][i + 1], rows[j + 1][i]);
    }
  }
  return builder.build();
}

/** Points of a quarter circle or more from one angle to another, in turns from the equator upwards. */
const arc = (radius: number, middle: number, from: number, to: number, steps: number): Turned[] =>
  Array.from({ length: steps + 1 }, (_, i) => {
    const angle = 2 * Math.PI * (from + ((to - from) * i) / steps);
    const pole = Math.abs(Math.abs(angle) - Math.PI / 2) < 1e-9;
    const c = pole ? 0 : Math.cos(angle);
    return [radius * c, middle + radius * Math.sin(angle), c, Math.sin(angle)];
  });

/** One unit across. */
export const sphere = (sides: number): Mesh =>
  lathe(arc(0.5, 0, -0.25, 0.25, Math.max(2, Math.round(sides / 2))), sides);

/** One unit high, its ends halves of a ball. @param width across, 0..1 */
export const capsule = (width: number, sides: number): Mesh => {
  const radius = Math.min(0.499, width / 2);
  const steps = Math.max(1, Math.round(sides / 4));
  return lathe([...arc(radius, radius - 0.5, -0.25, 0, steps), ...arc(radius, 0.5 - radius, 0, 0.25, steps)], sides);
};

/**
 * A limb: its ends parts of balls of two sizes, about (0, -length, 0) and the origin, and between them the cone that touches both.
 * @param first, last radii at its lower and its upper end, which differ by less than its length
 */
export const limb = (length: number, first: number, last: number, sides: number): Mesh => {
  // where the cone touches, in turns above the equator
  const from = Math.asin(Math.max(-0.99, Math.min(0.99, (first - last) / length))) / (2 * Math.PI);
  const steps = Math.max(2, Math.round(sides / 4));
  return lathe([...arc(first, -length, -0.25, from, steps), ...arc(last, 0, from, 0.25, steps)], sides);
};

/** One unit across and high. */
export const cylinder = (sides: number): Mesh =>
  lathe(
    [
      [0, -0.5, 0, -1],
      [0.5, -0.5, 0, -1],
      [0.5, -0.5, 1, 0],
      [0.5, 0.5, 1, 0],
      [0.5, 0.5, 0, 1],
      [0, 0.5, 0, 1],
    ],
    sides,
  );

/** One unit across and high, its point up. */
export const cone = (sides: number): Mesh =>
  lathe(
    [
      [0, -0.5, 0, -1],
      [0.5, -0.5, 0, -1],
      [0.5, -0.5, 1, 0.5],
      [0, 0.5, 1, 0.5],
    ],
    sides,
  );

/** One unit across, lying flat around the upright axis. @param thickness of the ring, 0..0.5 */
export function torus(thickness: number, sides: number): Mesh {
  const builder = new MeshBuilder();
  const small = Math.min(0.25, thickness / 2);
  const large = 0.5 - small;
  const around = Math.max(3, Math.round(sides / 2));
  const rows = Array.from({ length: sides }, (_, i) => {
    const a = (2 * Math.PI * i) / sides;
    return Array.from({ length: around }, (_, j) => {
      const b = (2 * Math.PI * j) / around;
      const out = Math.cos(b);
      return builder.vertex(
        [(large + small * out) * Math.sin(a), small * Math.sin(b), (large + small * out) * Math.cos(a)],
        [out * Math.sin(a), Math.sin(b), out * Math.cos(a)],
      );
    });
  });
  for (let i = 0; i < sides; i++)
    for (let j = 0; j < around; j++) {
      const [next, up] = [(i + 1) % sides, (j + 1) % around];
      builder.quad(rows[i][j], rows[next][j], rows[next][up], rows[i][up]);
    }
  return builder.build();
}
