import { gradientTableAt } from '../colour/animated';
import type { Rgb } from '../colour/colour';
import { definitionOf } from '../layers/kinds';
import type { Piece } from '../piece/schema';
import type { Vec3 } from '../space/vector';
import { worldOf } from './layers';

/** A sky at a moment, without its stars: what it follows from, and its linear light in a direction of length 1. */
export interface SkyAt {
  key: string;
  law(direction: Vec3): Rgb;
}

/** Colours of a gradient's table. */
const COLOURS = 256;

/** The sky of a piece at a phase, which is not wrapped: the first that is seen, as engine/drawings/dome/sky.glsl draws it; null where there is none. */
export function skyAt(piece: Piece, phase: number): SkyAt | null {
  const world = worldOf(piece);
  for (const layer of piece.layers) {
    const definition = definitionOf(layer.kind);
    const { sky } = layer.hidden ? { sky: null } : definition.look(layer, world, phase);
    if (!sky) continue;
    const table = gradientTableAt(definition.gradient(layer), phase);
    const light = definition.light(layer, phase);
    const { tight, clouds, cloudCycles } = sky;
    const turn = 2 * Math.PI * phase * cloudCycles;
    const law = ([x, y, z]: Vec3): Rgb => {
      const around = Math.atan2(x, -z);
      const rise = (Math.sign(y) * (1 - Math.exp(-Math.abs(y) * tight))) / (1 - Math.exp(-tight));
      const band =
        Math.sin(around * 3 + rise * 17 + turn) +
        0.7 * Math.sin(around * 5 - rise * 29 - turn + 1.7) +
        0.5 * Math.sin(around * 2 + rise * 43 + Math.sin(around * 4 + turn) * 1.3);
      const up = Math.min(1, Math.max(-1, rise + band * clouds * 0.09 * Math.exp(-3 * Math.abs(y))));
      const at = Math.min(COLOURS - 1, Math.max(0, (0.5 + 0.5 * up) * COLOURS - 0.5));
      const first = Math.min(COLOURS - 2, Math.floor(at));
      const colour = (k: number): number =>
        light * (table[first * 4 + k] * (1 - at + first) + table[first * 4 + 4 + k] * (at - first));
      return [colour(0), colour(1), colour(2)];
    };
    const moved = clouds === 0 ? 0 : turn - 2 * Math.PI * Math.floor(turn / 2 / Math.PI);
    return { key: [light, tight, clouds, moved, table.join()].join(' '), law };
  }
  return null;
}
