import { parsePiece, stateReport } from '../../core';
import { proxy, startEngine } from '../../engine/client';
import { DeliverySchema } from '../../core/piece/delivery';
import type { Piece } from '../../core/piece/schema';
import { startExport, type ExportProgress } from '../../export/client';

let written: Uint8Array = new Uint8Array();

/** What the command line and the browser tests find on `window` of the lab page. */
const lab = {
  engine: startEngine(),
  parse(json: unknown): Piece {
    const parsed = parsePiece(json);
    if (!parsed.ok) throw new Error(parsed.problems.map(({ where, what }) => `${where || 'file'}: ${what}`).join('; '));
    return parsed.piece;
  },
  stateReport,
  /** renders a delivery; the result's bytes come in slices through `lab.slice` */
  async render(piece: Piece, delivery: object, progress: (p: ExportProgress) => void = () => undefined) {
    const parsed = DeliverySchema.safeParse({ id: 'lab', ...delivery });
    if (!parsed.success)
      throw new Error(parsed.error.issues.map((issue) => `${issue.path.join('.')} ${issue.message}`).join('; '));
    const result = await startExport(piece, parsed.data, progress).result;
    if (result.state !== 'done') throw new Error(result.state === 'refused' ? result.says : 'cancelled');
    written = result.bytes;
    const { seconds, verified } = result;
    return { seconds, verified, size: written.length };
  },
  /** a part of the last result as base64 */
  slice(from: number, to: number): string {
    let text = '';
    for (let i = from; i < Math.min(to, written.length); i += 32_768)
      text += String.fromCharCode(...written.subarray(i, Math.min(i + 32_768, to)));
    return btoa(text);
  },
  proxy,
};

export type Lab = typeof lab;
(globalThis as unknown as { lab: Lab }).lab = lab;
