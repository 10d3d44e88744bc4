import { z } from 'zod';
import type { Chain } from '../core/look/chains/chains';
import { DOCUMENT_VERSION } from '../core/piece/schema';
import { parsePiece } from '../core/world/open';
import type { Problem } from '../core/piece/problem';

/** A table of colours as its file is written, under its name. */
export interface ChainTable {
  name: string;
  text: string;
}

/** What says that a file is of effects alone. */
const FORMAT = 'isomorph effects';

const Envelope = z.object({
  format: z.literal(FORMAT),
  version: z.int().min(1),
  name: z.string().max(120),
  effects: z.array(z.unknown()).max(64),
  tables: z
    .array(z.object({ name: z.string().max(200), text: z.string() }))
    .max(64)
    .default([]),
});

export type ReadChain = { ok: true; chain: Chain; tables: ChainTable[] } | { ok: false; problems: Problem[] };

/** Whether JSON says that it is of effects. */
export const isChain = (json: unknown): boolean =>
  typeof json === 'object' && json !== null && 'format' in json && json.format === FORMAT;

/** Reads what {@link writeChain} writes, of this version or an older one. Never throws: what is wrong is said with its place. */
export function readChain(json: unknown): ReadChain {
  const envelope = Envelope.safeParse(json);
  if (!envelope.success) {
    const problems = envelope.error.issues.map(({ path, message }) => ({ where: path.join('.'), what: message }));
    return { ok: false, problems };
  }
  const { version, name, effects, tables } = envelope.data;
  // a piece that has nothing else: what became of effects since then is known of pieces
  const piece = {
    ...{ id: 'chain', name, lap: { frames: 100, rate: { num: 25, den: 1 } }, layers: [], flight: {} },
    look: { effects },
  };
  const parsed = parsePiece({ format: 'isomorph', version, piece });
  return parsed.ok ? { ok: true, chain: { name, effects: parsed.piece.look.effects }, tables } : parsed;
}

/** Effects that were kept by some version. */
export const keptChain = (kept: { name: string; version: number; effects: readonly unknown[] }): ReadChain =>
  readChain({ ...kept, format: FORMAT });

/** Effects as a file: JSON, the same for the same effects. @param tables that they name and that do not ship */
export const writeChain = ({ name, effects }: Chain, tables: readonly ChainTable[] = []): string => {
  const own = tables.length > 0 ? { tables } : {};
  return `${JSON.stringify({ format: FORMAT, version: DOCUMENT_VERSION, name, effects, ...own }, null, 2)}\n`;
};
