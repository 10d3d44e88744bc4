import { parsePiece } from '../../core/world/open';
import { PieceSchema, type Piece } from '../../core/piece/schema';
import { startedEffects } from '../../core/look/effects/kinds';
import { newId } from './edit';

const files = import.meta.glob<unknown>('/demo/*.isomorph.json', { eager: true, import: 'default' });

/** The pieces of the Saltmarsh Lamplight Week that ship with the app. */
export const recipes: Piece[] = Object.entries(files)
  .map(([, json]) => parsePiece(json))
  .flatMap((parsed) => (parsed.ok ? [parsed.piece] : []));

/** One of them by the name of its file; null for none. */
export function recipeNamed(name: string): Piece | null {
  const parsed = parsePiece(files[`/demo/${name}.isomorph.json`]);
  return parsed.ok ? parsed.piece : null;
}

/** A copy of a piece under an id of its own. */
export const copyOf = (piece: Piece, name = piece.name): Piece => ({ ...piece, id: newId('piece'), name });

/** A blank lap that already shows something worth changing. */
export const blankPiece = (): Piece =>
  PieceSchema.parse({
    id: newId('piece'),
    name: 'Untitled lap',
    lap: { frames: 250, rate: { num: 25, den: 1 } },
    layers: [],
    flight: { focusM: 3, fNumber: 1.8 },
    look: {
      fogStart: 1,
      reach: 28,
      effects: startedEffects(),
    },
  });
