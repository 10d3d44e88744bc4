import { readFileSync } from 'node:fs';
import { newLayer, type Layer } from '../src/core/layers/kinds';
import { PieceSchema, type Piece } from '../src/core/piece/schema';
import type { Treatment } from '../src/core/treatments/kinds';
import { parsePiece } from '../src/core/world/open';

/** A piece of one layer called `one`, of which some fields are said. @param more of the piece */
export const pieceOf = (layer: Partial<Layer> & { kind: Layer['kind'] }, more: object = {}): Piece =>
  PieceSchema.parse({
    id: 'p',
    name: 'Test',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    tile: 8,
    layers: [{ ...newLayer(layer.kind, 'one', 'One', 5), ...layer }],
    flight: {},
    look: {},
    ...more,
  });

const FEW: Readonly<Record<string, object>> = {
  field: { count: 150 },
  tunnel: { rings: 12 },
  copies: { countX: 4, countY: 3, countZ: 3 },
};

/** A piece of one layer of few elements with these treatments. */
export const treatedPiece = (
  layer: { kind: Layer['kind'] } & Record<string, unknown>,
  treatments: Treatment[] = [],
  flight: object = {},
): Piece =>
  pieceOf({ ...FEW[layer.kind], ...layer, treatments } as Partial<Layer> & { kind: Layer['kind'] }, { flight });

/** A piece that ships. */
export function demoPiece(name: string): Piece {
  const parsed = parsePiece(JSON.parse(readFileSync(`demo/${name}.isomorph.json`, 'utf8')));
  if (!parsed.ok) throw new Error('demo does not read');
  return parsed.piece;
}
