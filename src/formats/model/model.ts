import type { RawModel } from '../../core/solids/models/raw';
import { readObj } from './obj';
import { readPly } from './ply';
import { readStl } from './stl';

/** What a model is written as. */
export type ModelFormat = 'gltf' | 'obj' | 'ply' | 'stl';

const begins = (bytes: Uint8Array, text: string): boolean =>
  [...text].every((letter, i) => bytes[i] === letter.charCodeAt(0));

/** What a model is written as, by its first bytes. What is none of the others is text of Wavefront's. */
export function modelFormatOf(bytes: Uint8Array): ModelFormat {
  if (begins(bytes, 'glTF')) return 'gltf';
  if (begins(bytes, 'ply')) return 'ply';
  const head = new TextDecoder()
    .decode(bytes.subarray(0, 2048))
    .replace(/^\ufeff/, '')
    .trimStart();
  if (head.startsWith('{')) return 'gltf';
  if (bytes.length >= 84) {
    const facets = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength).getUint32(80, true);
    if (84 + facets * 50 === bytes.length) return 'stl';
  }
  return /^solid\b/i.test(head) ? 'stl' : 'obj';
}

/**
 * A model, whatever it is written as.
 * @throws Trouble `refused`, in words
 */
export async function readModel(bytes: Uint8Array<ArrayBuffer>, name: string): Promise<RawModel> {
  switch (modelFormatOf(bytes)) {
    // what opens it is large, and loaded when there is one
    case 'gltf':
      return (await import('./gltf')).readGltf(bytes, name);
    case 'ply':
      return readPly(bytes, name);
    case 'stl':
      return readStl(bytes, name);
    case 'obj':
      return readObj(bytes, name);
  }
}
