import { useMemo } from 'react';
import { layerBatch } from '../../../core/layers/batch';
import { layerContext } from '../../../core/layers/context';
import { definitionOf, type Layer } from '../../../core/layers/registry';
import { linearToHex } from '../../../core/look/colour';
import type { Piece } from '../../../core/piece/schema';

/** Elements in the drawing of a card. */
const FEW = 70;

/** A layer in miniature: a few of its own elements, seen from where the lap starts. */
export function LayerDrawing({ piece, layer }: { piece: Piece; layer: Layer }) {
  const marks = useMemo(() => {
    const definition = definitionOf(layer.kind);
    const context = layerContext(piece);
    const share = Math.min(1, FEW / definition.elementCount(layer, 1, context));
    const alone = { ...piece, layers: [layer, ...piece.layers.filter(({ id }) => id !== layer.id)] };
    const batch = layerBatch(alone, layer.id, 0, share);
    const { halfWidth, halfHeight, centre, bend } = definition.extent(layer, context);
    const reach = Math.max(halfWidth, halfHeight) + bend;
    const points = Array.from({ length: batch.count }, (_, i) => {
      const depth = 1.2 + Math.max(0, -batch.position[i * 3 + 2]) / piece.tile;
      return {
        x: 22 + ((batch.position[i * 3] - centre[0]) / reach / depth) * 24,
        y: 16 - ((batch.position[i * 3 + 1] - centre[1]) / reach / depth) * 18,
        depth,
        colour: linearToHex([0, 1, 2].map((k) => 0.04 + 1.6 * batch.color[i * 3 + k]) as [number, number, number]),
      };
    });
    const lines = definition.drawings(layer, share, context).flatMap((drawing) => {
      if (drawing.as === 'segments') return [...drawing.pairs];
      // the outline of each wall: first two corners of every triangle pair
      return drawing.as === 'surface' ? [...drawing.triangles].filter((_, i) => i % 6 < 2) : [];
    });
    return { points, lines };
  }, [piece, layer]);
  const { points, lines } = marks;
  return (
    <svg viewBox="0 0 44 32" width="44" height="32">
      {lines.length > 0
        ? Array.from({ length: Math.min(160, lines.length >> 1) }, (_, i) => {
            const [a, b] = [points[lines[i * 2]], points[lines[i * 2 + 1]]];
            return a && b ? (
              <path
                key={i}
                d={`M${a.x.toFixed(1)} ${a.y.toFixed(1)}L${b.x.toFixed(1)} ${b.y.toFixed(1)}`}
                stroke={a.colour}
                strokeWidth={0.9 / a.depth}
              />
            ) : null;
          })
        : points.map((p, i) => <circle key={i} cx={p.x} cy={p.y} r={1.2 / p.depth} fill={p.colour} />)}
    </svg>
  );
}
