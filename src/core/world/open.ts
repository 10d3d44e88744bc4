import { readPiece, type ParsedPiece } from '../piece/document';
import { excessOf } from './budget';

/**
 * Reads a document, and refuses what asks for more than can be had. Never throws.
 * @see readPiece
 */
export const parsePiece = (json: unknown): ParsedPiece =>
  readPiece(json, (piece) => excessOf(piece).map(({ path, says }) => ({ where: path.join('.'), what: says })));
