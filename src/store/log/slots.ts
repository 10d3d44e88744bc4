import { Trouble } from '../../core/trouble';
/** The part of a file's handle that a slot needs; a FileSystemSyncAccessHandle is one. */
export interface SlotFile {
  read(into: Uint8Array, options: { at: number }): number;
  write(bytes: Uint8Array, options: { at: number }): number;
  getSize(): number;
}

const HEAD = 16;
const SIGN = 0x69736f6d;

/** FNV-1a over bytes, 32 bits, beginning from the turn they belong to: a new head before old bytes does not fit. */
function sum(turn: number, bytes: Uint8Array): number {
  let h = Math.imul(0x811c9dc5 ^ turn, 0x01000193);
  for (const byte of bytes) h = Math.imul(h ^ byte, 0x01000193);
  return h >>> 0;
}

/** What a slot holds, or null when it was never written or was torn in writing. */
export function readSlot(file: SlotFile): { turn: number; text: string } | null {
  const head = new Uint8Array(HEAD);
  if (file.getSize() < HEAD || file.read(head, { at: 0 }) < HEAD) return null;
  const view = new DataView(head.buffer);
  const [sign, turn, length, check] = [0, 4, 8, 12].map((at) => view.getUint32(at));
  if (sign !== SIGN || file.getSize() < HEAD + length) return null;
  const bytes = new Uint8Array(length);
  if (file.read(bytes, { at: HEAD }) < length || sum(turn, bytes) !== check) return null;
  return { turn, text: new TextDecoder().decode(bytes) };
}

function writeSlot(file: SlotFile, turn: number, text: string): void {
  const data = new TextEncoder().encode(text);
  const bytes = new Uint8Array(HEAD + data.length);
  const view = new DataView(bytes.buffer);
  [SIGN, turn, data.length, sum(turn, data)].forEach((value, i) => view.setUint32(i * 4, value));
  bytes.set(data, HEAD);
  if (file.write(bytes, { at: 0 }) < bytes.length) throw new Trouble('not-written', 'the slot was not written whole');
}

/** The newer of what two slots hold. */
export function newest(slots: readonly SlotFile[]): { turn: number; text: string } | null {
  return slots.reduce<ReturnType<typeof readSlot>>((best, file) => {
    const held = readSlot(file);
    return held && (!best || held.turn > best.turn) ? held : best;
  }, null);
}

/** A text kept in two files by turns, so that a write that is cut off leaves the one before it whole. */
export class SlotPair {
  private turn: number;

  constructor(private readonly slots: readonly [SlotFile, SlotFile]) {
    this.turn = newest(slots)?.turn ?? 0;
  }

  write(text: string): void {
    this.turn++;
    writeSlot(this.slots[this.turn % 2], this.turn, text);
  }
}
