import { isJson, numberOr, taken, type Json } from './json';

/** Groups that differed by factors from each to the next are a list, each with factors of its own. */
function layerOfVersion8(layer: unknown): unknown {
  if (!isJson(layer) || layer.kind !== 'stream') return layer;
  const { values, rest } = taken(layer, 'groups', 'groupSpeed', 'groupLife', 'groupDrag', 'groupSize');
  const count = numberOr(values[0], 1);
  if (count < 2) return rest;
  const [speed, life, drag, size] = [0.7, 1.2, 1, 0.7].map((initial, i) => numberOr(values[i + 1], initial));
  const power = (of: number, n: number, least: number, most: number): number =>
    Math.min(most, Math.max(least, of ** n));
  const groups = Array.from({ length: Math.min(8, count) }, (_, n) => ({
    id: `group-${n + 1}`,
    name: `Group ${n + 1}`,
    speed: power(speed, n, 0, 100),
    life: power(life, n, 0.02, 20),
    drag: power(drag, n, 0, 100),
    size: power(size, n, 0, 100),
  }));
  return { ...rest, groups };
}

/** Version 8 had groups of streams as a number, and factors from each to the next. */
export const from8 = (piece: Json): Json =>
  Array.isArray(piece.layers) ? { ...piece, layers: piece.layers.map(layerOfVersion8) } : piece;
