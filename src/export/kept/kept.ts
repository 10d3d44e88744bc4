import type { ByteSink } from '../bytes/sink';
import type { FrameFacts } from '../codecs/codec';

/** What is known of a part that is whole. */
export interface PartFacts {
  bytes: number;
  /** checksum of all of them */
  crc: number;
  frames: readonly FrameFacts[];
}

/** The finished parts of one delivery, where they outlive the page, a crash and a stop of the machine. */
export interface Kept {
  /** the parts that are whole, by their numbers */
  list(): Promise<Map<number, PartFacts>>;
  /** Keeps a part: until all of it is written it is none. @throws Trouble `no-room` */
  put(part: number, bytes: Uint8Array<ArrayBuffer>, facts: PartFacts): Promise<void>;
  at(part: number): Promise<Blob>;
  /** opens the file that they are put together to; what was in it is gone */
  whole(): Promise<ByteSink>;
  /** that file, when one was finished */
  found(): Promise<Blob | null>;
  /** gives back the room of the parts, now that they are put together */
  dropParts(): Promise<void>;
}

export const asText = (facts: PartFacts): Uint8Array<ArrayBuffer> => new TextEncoder().encode(JSON.stringify(facts));

/** Facts as they were kept, or null when they are not whole or are of another file. */
export function readFacts(text: string, bytes: number): PartFacts | null {
  try {
    const facts = JSON.parse(text) as PartFacts;
    return facts.bytes === bytes && Array.isArray(facts.frames) ? facts : null;
  } catch {
    return null;
  }
}
