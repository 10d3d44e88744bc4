import { BARE, type RawModel } from '../../core/solids/models/raw';
import { checkPart, checkSize, refuse } from './refuse';
import { Floats, linesOf } from './lists';

const HEAD = 84;
const FACET = 50;

/** Whether an STL file is of the binary sort: its head says how many facets follow, and they do. */
function isBinary(bytes: Uint8Array): boolean {
  if (bytes.length < HEAD) return false;
  const facets = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength).getUint32(80, true);
  return HEAD + facets * FACET === bytes.length;
}

function binaryCorners(bytes: Uint8Array, name: string): Float32Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const facets = view.getUint32(80, true);
  checkSize(name, facets * 3, facets);
  const out = new Float32Array(facets * 9);
  for (let f = 0; f < facets; f++)
    for (let k = 0; k < 9; k++) out[f * 9 + k] = view.getFloat32(HEAD + f * FACET + 12 + k * 4, true);
  return out;
}

function textCorners(bytes: Uint8Array, name: string): Float32Array {
  const out = new Floats();
  let line = 0;
  for (const raw of linesOf(bytes)) {
    line++;
    const words = raw.trim().split(/\s+/);
    if (words[0].toLowerCase() !== 'vertex') continue;
    for (let k = 1; k <= 3; k++) {
      const value = Number(words[k]);
      if (words[k] === undefined || !Number.isFinite(value)) refuse(name, `line ${line} should say three numbers`);
      out.push(value);
    }
    if (out.length % 9 === 0) checkSize(name, out.length / 3, out.length / 9);
  }
  if (out.length % 9 !== 0) refuse(name, 'its last triangle lacks a corner');
  return out.take();
}

/**
 * A model of triangles alone (3D Systems, "StereoLithography Interface Specification", 1989), as text or binary. What its facets say of
 * which way they face is not used: the order of their corners says it too.
 * @param name what the file is called
 * @throws Trouble `refused` when it is none
 */
export function readStl(bytes: Uint8Array, name: string): RawModel {
  const position = isBinary(bytes) ? binaryCorners(bytes, name) : textCorners(bytes, name);
  if (position.length === 0) refuse(name, 'it holds no triangles');
  const index = Uint32Array.from({ length: position.length / 3 }, (_, i) => i);
  checkPart(name, position, index);
  return {
    name: name.replace(/\.stl$/i, ''),
    parts: [{ position, normal: null, uv: null, dye: null, index, material: 0 }],
    materials: [BARE],
    pictures: [],
    up: null,
    unit: null,
  };
}
