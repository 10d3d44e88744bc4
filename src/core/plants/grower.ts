import { hash4, unitFrom } from '../random/hash';
import { MeshBuilder } from '../solids/mesh';
import type { Vec3 } from '../space/vector';

/** Draws numbers for one plant, one after another, from addresses of its seed. */
export class Chance {
  private at = 0;
  constructor(private readonly seed: number) {}
  /** 0..1 */
  unit(): number {
    return unitFrom(hash4(this.at++, this.seed, 60, 0)[0]);
  }
  /** about a middle, by at most a share of it */
  about(middle: number, share: number): number {
    return middle * (1 + (this.unit() * 2 - 1) * share);
  }
}

export const add = (a: Vec3, b: Vec3, s = 1): Vec3 => [a[0] + b[0] * s, a[1] + b[1] * s, a[2] + b[2] * s];
export const scale = (a: Vec3, s: number): Vec3 => [a[0] * s, a[1] * s, a[2] * s];
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const unit = (a: Vec3): Vec3 => scale(a, 1 / (Math.hypot(...a) || 1));
export const around = (turn: number, lean: number): Vec3 => [
  Math.sin(lean) * Math.cos(2 * Math.PI * turn),
  Math.cos(lean),
  Math.sin(lean) * Math.sin(2 * Math.PI * turn),
];

/** Points along something that grows, and its direction there. */
export type Line = { at: Vec3; way: Vec3 }[];

/** A line that sets off in one direction and gives way to its weight: points and directions along it. */
export function droop(from: Vec3, towards: Vec3, length: number, weight: number, steps: number): Line {
  const line: Line = [];
  let at = from;
  let way = unit(towards);
  for (let i = 0; i <= steps; i++) {
    line.push({ at, way });
    way = unit(add(way, [0, -1, 0], (weight * (i + 1)) / (steps * steps)));
    at = add(at, way, length / steps);
  }
  return line;
}

/** What grows onto a builder. */
export class Grower {
  readonly builder = new MeshBuilder();
  constructor(readonly chance: Chance) {}

  /**
   * A flat strip along a line, widest a third of the way up, coming to a point.
   * @param fold how far it is lit as if it were folded along its middle; 0 where it is to be lit as it lies
   */
  blade(line: Line, width: number, facing: Vec3, fold = 0.35): void {
    const rows = line.map(({ at, way }, i) => {
      const t = i / (line.length - 1);
      const half = width * 0.5 * Math.sin(Math.PI * Math.min(1, 0.18 + t * 0.82)) ** 0.8 * (1 - t * t * 0.15);
      const side = unit(cross(way, facing));
      const normal = unit(cross(side, way));
      return [
        this.builder.vertex(add(at, side, -half), add(normal, side, -fold)),
        this.builder.vertex(add(at, side, half), add(normal, side, fold)),
      ];
    });
    for (let i = 0; i + 1 < rows.length; i++) this.builder.quad(rows[i][0], rows[i][1], rows[i + 1][1], rows[i + 1][0]);
  }

  /** A round stem along a line, thinner towards its end. */
  stem(line: Line, thick: number, thin: number): void {
    this.limb(line, (share) => thick + (thin - thick) * share, 5);
  }

  /** A round stem along a line. @param thickAt how thick it is at a share of the way along it */
  limb(line: Line, thickAt: (share: number) => number, sides: number): void {
    const rows = line.map(({ at, way }, i) => {
      const radius = thickAt(i / (line.length - 1)) / 2;
      const side = unit(cross(way, Math.abs(way[0]) < 0.9 ? [1, 0, 0] : [0, 0, 1]));
      const up = cross(side, way);
      return Array.from({ length: sides }, (_, k) => {
        const a = (2 * Math.PI * k) / sides;
        const out = add(scale(side, Math.cos(a)), up, Math.sin(a));
        return this.builder.vertex(add(at, out, radius), out);
      });
    });
    for (let i = 0; i + 1 < rows.length; i++)
      for (let k = 0; k < sides; k++) {
        const next = (k + 1) % sides;
        this.builder.quad(rows[i][k], rows[i][next], rows[i + 1][next], rows[i + 1][k]);
      }
  }

  /** A small body of eight faces, for seeds and lamps. */
  bud(at: Vec3, width: number, height: number): void {
    const around4: Vec3[] = [
      [1, 0, 0],
      [0, 0, 1],
      [-1, 0, 0],
      [0, 0, -1],
    ];
    const ring = around4.map((d) => this.builder.vertex(add(at, d, width / 2), d));
    const top = this.builder.vertex(add(at, [0, height / 2, 0]), [0, 1, 0]);
    const foot = this.builder.vertex(add(at, [0, -height / 2, 0]), [0, -1, 0]);
    for (let k = 0; k < 4; k++) {
      const next = (k + 1) % 4;
      this.builder.triangle(ring[next], ring[k], top);
      this.builder.triangle(ring[k], ring[next], foot);
    }
  }

  /** A shallow round leaf, like a parasol. */
  disc(at: Vec3, way: Vec3, radius: number, hollow: number): void {
    const sides = 9;
    const side = unit(cross(way, Math.abs(way[0]) < 0.9 ? [1, 0, 0] : [0, 0, 1]));
    const up = cross(side, way);
    const middle = this.builder.vertex(add(at, way, hollow), way);
    const rim = Array.from({ length: sides }, (_, k) => {
      const a = (2 * Math.PI * k) / sides;
      const out = add(scale(side, Math.cos(a)), up, Math.sin(a));
      return this.builder.vertex(add(at, out, radius), add(way, out, 0.7));
    });
    for (let k = 0; k < sides; k++) this.builder.triangle(middle, rim[k], rim[(k + 1) % sides]);
  }
}
