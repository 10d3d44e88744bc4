import { hash4, unitFrom } from '../random/hash';
import { MeshBuilder, type Mesh } from '../solids/mesh';
import type { Vec3 } from '../space/vector';
import type { Species } from './species';

/** Draws numbers for one plant, one after another, from addresses of its seed. */
class Chance {
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

const add = (a: Vec3, b: Vec3, s = 1): Vec3 => [a[0] + b[0] * s, a[1] + b[1] * s, a[2] + b[2] * s];
const scale = (a: Vec3, s: number): Vec3 => [a[0] * s, a[1] * s, a[2] * s];
const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Vec3): Vec3 => scale(a, 1 / (Math.hypot(...a) || 1));
const around = (turn: number, lean: number): Vec3 => [
  Math.sin(lean) * Math.cos(2 * Math.PI * turn),
  Math.cos(lean),
  Math.sin(lean) * Math.sin(2 * Math.PI * turn),
];

/** A line that sets off in one direction and gives way to its weight: points and directions along it. */
function droop(from: Vec3, towards: Vec3, length: number, weight: number, steps: number): { at: Vec3; way: Vec3 }[] {
  const line: { at: Vec3; way: Vec3 }[] = [];
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
class Grower {
  readonly builder = new MeshBuilder();
  constructor(readonly chance: Chance) {}

  /** A flat strip along a line, widest a third of the way up, coming to a point; folded slightly along its middle. */
  blade(line: { at: Vec3; way: Vec3 }[], width: number, facing: Vec3): void {
    const rows = line.map(({ at, way }, i) => {
      const t = i / (line.length - 1);
      const half = width * 0.5 * Math.sin(Math.PI * Math.min(1, 0.18 + t * 0.82)) ** 0.8 * (1 - t * t * 0.15);
      const side = unit(cross(way, facing));
      const normal = unit(cross(side, way));
      return [
        this.builder.vertex(add(at, side, -half), add(normal, side, -0.35)),
        this.builder.vertex(add(at, side, half), add(normal, side, 0.35)),
      ];
    });
    for (let i = 0; i + 1 < rows.length; i++) this.builder.quad(rows[i][0], rows[i][1], rows[i + 1][1], rows[i + 1][0]);
  }

  /** A round stem along a line, thinner towards its end. */
  stem(line: { at: Vec3; way: Vec3 }[], thick: number, thin: number): void {
    const sides = 5;
    const rows = line.map(({ at, way }, i) => {
      const radius = (thick + (thin - thick) * (i / (line.length - 1))) / 2;
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

/** Grows what a species' recipe says; about one unit high, its foot at the origin. */
export function grow(species: Species, seed: number): Mesh {
  const chance = new Chance(seed);
  const g = new Grower(chance);
  const steps = 5;
  for (const part of species.parts) {
    const many = part.count;
    for (let i = 0; i < many; i++) {
      const turn = (i + chance.unit() * 0.8) / many + part.count * 0.13;
      const lean = chance.about(part.lean, 0.5);
      const length = chance.about(part.length, 0.3);
      const start: Vec3 = add([0, part.at, 0], around(turn, Math.PI / 2), part.apart * chance.unit());
      const way = around(turn, lean);
      const line = droop(start, way, length, part.weight, steps);
      const end = line[line.length - 1];
      const facing = unit(add(around(turn + 0.25, Math.PI / 2), [0, 0.2, 0]));
      switch (part.form) {
        case 'blade':
          g.blade(line, part.width, cross(facing, way));
          break;
        case 'stem':
          g.stem(line, part.width, part.width * 0.5);
          if (part.tip > 0) g.bud(end.at, part.tip, part.tip * 2.4);
          break;
        case 'frond': {
          g.stem(line, part.width * 0.12, part.width * 0.05);
          const pairs = part.leaves;
          for (let k = 1; k <= pairs; k++) {
            const t = k / (pairs + 1);
            const on = line[Math.min(line.length - 1, Math.round(t * (line.length - 1)))];
            const foot = add(
              line[Math.floor(t * (line.length - 1))].at,
              on.way,
              ((t * (line.length - 1)) % 1) * (length / steps),
            );
            for (const sign of [-1, 1]) {
              const out = unit(add(scale(unit(cross(on.way, [0, 1, 0])), sign), on.way, 0.6));
              g.blade(
                droop(foot, out, part.width * (1.1 - t * 0.8), part.weight * 0.6, 2),
                part.width * 0.22,
                [0, 1, 0],
              );
            }
          }
          break;
        }
        case 'umbel': {
          g.stem(line, part.width, part.width * 0.7);
          const rays = part.leaves;
          for (let k = 0; k < rays; k++) {
            const out = around((k + 0.5) / rays, 0.55 + (0.5 * ((k * 7) % 3)) / 3);
            const ray = droop(end.at, out, part.tip * 3, 0.4, 2);
            g.stem(ray, part.width * 0.4, part.width * 0.2);
            g.disc(ray[ray.length - 1].at, around(k / rays, 0.25), part.tip, part.tip * 0.3);
          }
          break;
        }
        case 'fan': {
          g.stem(line, part.width, part.width * 0.7);
          const rays = part.leaves;
          for (let k = 0; k < rays; k++) {
            const open = (k / Math.max(1, rays - 1) - 0.5) * 2.4;
            const side = unit(cross(end.way, facing));
            const out = unit(add(scale(end.way, Math.cos(open)), side, Math.sin(open)));
            g.blade(droop(end.at, out, part.tip * 4, part.weight, 3), part.tip * 0.9, facing);
          }
          break;
        }
        case 'whorls': {
          g.stem(line, part.width, part.width * 0.4);
          const rings = part.leaves;
          for (let k = 1; k <= rings; k++) {
            const t = k / (rings + 0.5);
            const foot = line[Math.min(line.length - 1, Math.round(t * (line.length - 1)))].at;
            const spokes = 6;
            for (let s = 0; s < spokes; s++) {
              const out = around((s + k * 0.37) / spokes, 1.2);
              g.blade(droop(foot, out, part.tip * (1.2 - t * 0.7) * 3, 0.5, 2), part.tip * 0.5, [0, 1, 0]);
            }
          }
          break;
        }
        case 'discs': {
          g.stem(line, part.width, part.width * 0.5);
          for (let k = 1; k <= part.leaves; k++) {
            const on = line[Math.min(line.length - 1, Math.round((k / part.leaves) * (line.length - 1)))];
            g.disc(
              on.at,
              unit(add(on.way, around(k * 0.38, Math.PI / 2), 0.5)),
              part.tip * (1.3 - (k / part.leaves) * 0.7),
              part.tip * 0.25,
            );
          }
          break;
        }
      }
    }
  }
  return g.builder.build(true);
}
