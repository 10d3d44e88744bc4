import { joined } from './bytes';

// Chunks as RIFF has them: a name of four letters, a size, the bytes, and one more where they are odd.

export function riffChunk(name: string, ...parts: readonly Uint8Array[]): Uint8Array<ArrayBuffer> {
  const data = joined(parts);
  const head = new Uint8Array(8);
  for (let i = 0; i < 4; i++) head[i] = name.charCodeAt(i);
  new DataView(head.buffer).setUint32(4, data.length, true);
  return joined(data.length % 2 ? [head, data, new Uint8Array(1)] : [head, data]);
}

/** The chunks that stand one after another. @throws RangeError when the last is not whole */
export function riffChunks(bytes: Uint8Array): { name: string; data: Uint8Array }[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const found: { name: string; data: Uint8Array }[] = [];
  for (let at = 0; at + 8 <= bytes.length;) {
    const size = view.getUint32(at + 4, true);
    if (at + 8 + size > bytes.length) throw new RangeError('the file is not whole');
    found.push({
      name: String.fromCharCode(...bytes.subarray(at, at + 4)),
      data: bytes.subarray(at + 8, at + 8 + size),
    });
    at += 8 + size + (size % 2);
  }
  return found;
}
