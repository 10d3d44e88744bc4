import { worldOf } from '../../../core/world/layers';
import { useId, useMemo } from 'react';
import { layerBatch, type Batch } from '../../../core/world/batch';
import { linkPoints } from '../../../core/layers/links/neighbours';
import { definitionOf, type Layer } from '../../../core/layers/kinds';
import { gradientOf } from '../../../core/colour/animated';
import { gradientAt, linearToHex, type Gradient } from '../../../core/colour/colour';
import type { Sketch } from '../../../core/layers/definition';
import type { DrawingOf } from '../../../core/layers/drawing';
import { wallQuads } from '../../../core/layers/wall';
import type { Piece } from '../../../core/piece/schema';
import { ShapesPicture } from '../../parts/ShapesPicture';
import styles from './Build.module.css';

/** Elements in the drawing of a card, and elements it is chosen from. */
const FEW = 70;
const ENOUGH = 2400;
/** Drawn as they are in the middle of the lap, when what arrives has arrived. */
const PHASE = 0.5;

interface Mark {
  x: number;
  y: number;
  size: number;
  colour: string;
}

/** Few of many, evenly. */
const pick = (count: number): number[] => {
  const step = Math.max(1, Math.floor(count / FEW));
  return Array.from({ length: Math.min(FEW, count) }, (_, i) => i * step);
};

function marksOf(piece: Piece, layer: Layer, batch: Batch): (i: number) => Mark {
  const { halfWidth, halfHeight, centre, bend, from, to } = definitionOf(layer.kind).extent(layer, worldOf(piece));
  const reach = Math.max(halfWidth, halfHeight, 1e-3) + bend;
  const deep = Math.max(1e-3, to - from, reach);
  return (i) => {
    const depth = 1.1 + Math.max(0, -batch.position[i * 3 + 2] - from) / deep;
    return {
      x: 22 + ((batch.position[i * 3] - centre[0]) / reach / depth) * 22,
      y: 16 - ((batch.position[i * 3 + 1] - centre[1]) / reach / depth) * 16,
      size: Math.min(5, Math.max(0.7, (batch.scale[i] / reach) * 11)) / depth,
      colour: linearToHex([0, 1, 2].map((k) => 0.04 + 1.6 * batch.color[i * 3 + k]) as [number, number, number]),
    };
  };
}

const sketchOf = (layer: Layer): Sketch => definitionOf(layer.kind).sketch?.(layer) ?? { as: 'dots' };
/** Elements that each sort of drawing is made from. */
const DRAWN_FROM: Record<Sketch['as'], number> = {
  dots: ENOUGH,
  lines: FEW,
  near: 120,
  pairs: FEW,
  sky: ENOUGH,
  shapes: FEW,
};

/** The lines of a sheet from side to side. */
const rowsOf = ({ across, along }: DrawingOf<'sheet'>): number[] =>
  Array.from(
    { length: across * along * 2 },
    (_, i) => Math.floor(i / 2 / across) * (across + 1) + (Math.floor(i / 2) % across) + (i % 2),
  );

/** Pairs of elements that are joined by a line. */
function linesOf(piece: Piece, layer: Layer, share: number, batch: Batch): number[] {
  const sketch = sketchOf(layer);
  if (sketch.as === 'near')
    return [...linkPoints(batch.position, null, { limit: sketch.metres, most: 3, tile: 0 }).pairs];
  if (sketch.as === 'pairs') return [...sketch.pairs];
  if (sketch.as !== 'lines') return [];
  return definitionOf(layer.kind)
    .drawings(layer, share, worldOf(piece))
    .flatMap((drawing) => {
      if (drawing.as === 'segments') return [...drawing.pairs];
      if (drawing.as === 'sheet') return rowsOf(drawing);
      return drawing.as === 'surface' ? wallQuads(drawing).flatMap(([a, b]) => [a, b]) : [];
    });
}

/** Its gradient where it is drawn. */
const gradientNow = (layer: Layer): Gradient => gradientOf(definitionOf(layer.kind).gradient(layer), PHASE);

/** The colour in the middle of its gradient. */
const gradientMiddle = (layer: Layer): string => linearToHex(gradientAt(gradientNow(layer), 0.5));

/** A layer in miniature: a few of its own elements, seen from where the lap starts. */
export function LayerDrawing({ piece, layer }: { piece: Piece; layer: Layer }) {
  const id = useId();
  const { marks, lines, bodies } = useMemo(() => {
    const definition = definitionOf(layer.kind);
    const total = definition.elementCount(layer, 1, worldOf(piece));
    const { as } = sketchOf(layer);
    const share = Math.min(1, DRAWN_FROM[as] / Math.max(1, total));
    const batch = layerBatch(piece, layer.id, PHASE, share);
    const mark = marksOf(piece, layer, batch);
    const pairs = linesOf(piece, layer, share, batch);
    const step = Math.max(1, Math.floor(pairs.length / 2 / 160));
    const segments = Array.from({ length: Math.min(160, pairs.length >> 1) }, (_, i) => {
      const at = Math.min(pairs.length - 2, i * step * 2);
      return [mark(pairs[at]), mark(pairs[at + 1])] as const;
    });
    const shown = Array.from({ length: batch.count }, (_, i) => i).filter(
      (i) => batch.light[i] > 0 && batch.scale[i] > 0,
    );
    return {
      marks: as === 'lines' || as === 'pairs' ? [] : pick(shown.length).map((i) => mark(shown[i])),
      lines: segments,
      bodies: definition.bodies?.(layer) === true,
    };
  }, [piece, layer]);
  const sketch = sketchOf(layer);
  if (sketch.as === 'shapes')
    return (
      <span className={styles.shapes} style={{ color: gradientMiddle(layer) }}>
        <ShapesPicture shapes={sketch.shapes} />
      </span>
    );
  if (sketch.as === 'sky')
    return (
      <svg viewBox="0 0 44 32" width="44" height="32">
        <defs>
          <linearGradient id={id} x1="0" y1="1" x2="0" y2="0">
            {gradientNow(layer).map(({ at, colour }, i) => (
              <stop key={i} offset={at} stopColor={colour} />
            ))}
          </linearGradient>
        </defs>
        <path d="M2 30a20 26 0 0 1 40 0Z" fill={`url(#${id})`} stroke="var(--line-strong)" />
      </svg>
    );
  return (
    <svg viewBox="0 0 44 32" width="44" height="32">
      {lines.map(([a, b], i) => (
        <path
          key={i}
          d={`M${a.x.toFixed(1)} ${a.y.toFixed(1)}L${b.x.toFixed(1)} ${b.y.toFixed(1)}`}
          stroke={a.colour}
          strokeWidth={0.6}
        />
      ))}
      {marks.map((m, i) =>
        bodies ? (
          <rect
            key={i}
            x={m.x - m.size}
            y={m.y - m.size}
            width={2 * m.size}
            height={2 * m.size}
            rx={m.size * 0.4}
            fill={m.colour}
          />
        ) : (
          <circle key={i} cx={m.x} cy={m.y} r={Math.max(0.45, m.size * 0.7)} fill={m.colour} />
        ),
      )}
    </svg>
  );
}
