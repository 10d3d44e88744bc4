import { parsePiece, stateReport } from '../../core';
import { proxy, startEngine } from '../../engine/client';
import type { Piece } from '../../core/piece/schema';

/** What the command line and the browser tests find on `window` of the lab page. */
const lab = {
  engine: startEngine(),
  parse(json: unknown): Piece {
    const parsed = parsePiece(json);
    if (!parsed.ok) throw new Error(parsed.problems.map(({ where, what }) => `${where || 'file'}: ${what}`).join('; '));
    return parsed.piece;
  },
  stateReport,
  proxy,
};

export type Lab = typeof lab;
(globalThis as unknown as { lab: Lab }).lab = lab;
