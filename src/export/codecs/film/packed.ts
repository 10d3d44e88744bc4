import { joined } from '../../../formats/bytes';

// How encoded frames are kept until all of them are there: what is known of them as JSON, then their bytes.

/** Encoded frames, and what is known of them. */
export interface Packed<Head> {
  head: Head;
  frames: Uint8Array<ArrayBuffer>[];
}

export function pack<Head>({ head, frames }: Packed<Head>): Uint8Array<ArrayBuffer> {
  const text = new TextEncoder().encode(JSON.stringify({ head, sizes: frames.map(({ length }) => length) }));
  const length = new Uint8Array(4);
  new DataView(length.buffer).setUint32(0, text.length, true);
  return joined([length, text, ...frames]);
}

/** @throws RangeError when it was not packed, or is not whole */
export async function unpack<Head>(file: Blob): Promise<Packed<Head>> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (bytes.length < 4) throw new RangeError('a kept part is not whole');
  const start = 4 + new DataView(bytes.buffer).getUint32(0, true);
  const { head, sizes } = JSON.parse(new TextDecoder().decode(bytes.subarray(4, start))) as {
    head: Head;
    sizes: readonly number[];
  };
  let at = start;
  const frames = sizes.map((size) => bytes.slice(at, (at += size)));
  if (at !== bytes.length) throw new RangeError('a kept part is not whole');
  return { head, frames };
}
