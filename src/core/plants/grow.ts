import type { Mesh } from '../solids/mesh';
import type { Vec3 } from '../space/vector';
import { add, around, Chance, cross, droop, Grower, scale, unit } from './grower';
import type { Species } from './species';
import { growTree } from './tree';

/** Grows what a species' recipe says; about one unit high, its foot at the origin. */
export function grow(species: Species, seed: number): Mesh {
  const chance = new Chance(seed);
  const g = new Grower(chance);
  if (species.tree) return growTree(g, species.tree);
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
