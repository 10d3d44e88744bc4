// Damaged files of every kind that can be brought in, as the worker that looks at them sees them.
import { execFileSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { unzlibSync } from 'fflate';
import { PNG } from 'pngjs';
import { pack, unpack } from '../../src/formats/packed/packed';
import { openFont } from '../../src/formats/font/font';
import { examined } from '../../src/files/examine';
import { STOCK } from '../../src/core/kept';
import { sphere } from '../../src/core/solids/lathe';
import { Trouble } from '../../src/core/trouble';
import { wobblyBvh } from '../motions';
import { demoPiece } from '../pieces';
import { stockBytes } from '../stock';
import { mkdtempSync, readFileSync } from 'node:fs';
import { randomFrom } from './fuzz';

const woff = (path: string): Uint8Array<ArrayBuffer> =>
  new Uint8Array(readFileSync(`node_modules/@fontsource/${path}`));

/** Whole files of each kind, to damage. */
const WHOLE: Readonly<Record<string, () => Uint8Array<ArrayBuffer>[]>> = {
  woff2: () => STOCK.filter(({ kind }) => kind === 'font').map(({ path }) => stockBytes(path)),
  woff: () => [woff('anton/files/anton-latin-400-normal.woff'), woff('spectral/files/spectral-latin-600-normal.woff')],
  sfnt: () => [sfntOf(woff('anton/files/anton-latin-400-normal.woff'))],
  svg: () => STOCK.filter(({ kind }) => kind === 'mark').map(({ path }) => stockBytes(path)),
  png: () => [pngOf(96, 60)],
  webp: () => [stockBytes('pictures/salt-crystals.webp'), stockBytes('pictures/weathered-planks.webp')],
  jpeg: () => [encoded('jpg', '-q:v', '5')],
  avif: () => [encoded('avif', '-c:v', 'libaom-av1', '-still-picture', '1')],
  mp4: () => [stockBytes('clips/tide-chart.mp4'), stockBytes('clips/scanning-beam.mp4')],
  webm: () => [stockBytes('clips/signal-flags.webm')],
  glb: () => [stockBytes('models/cleat.glb'), stockBytes('models/shackle.glb')],
  gltf: () => [gltfOf('models/chain.glb')],
  obj: () => [textOf('obj')],
  ply: () => [textOf('ply'), binaryPly()],
  stl: () => [textOf('stl'), binaryStl()],
  bvh: () => [new TextEncoder().encode(wobblyBvh({ frames: 8 })), stockBytes('motions/mannequin.bvh')],
  zip: () => [pack(demoPiece('bell-field'), new Map([['ab'.repeat(32), stockBytes('fonts/anton.woff2')]]))],
};
export const FORMATS = Object.keys(WHOLE);

/** A small body: a ball of so many steps around. */
const body = sphere(12);

/** The words of a model of each sort that is text. */
function textOf(format: 'obj' | 'ply' | 'stl'): Uint8Array<ArrayBuffer> {
  const { position, normal, index } = body;
  const count = position.length / 3;
  const at = (of: Float32Array, v: number): string =>
    [...of.subarray(v * 3, v * 3 + 3)].map((x) => x.toFixed(4)).join(' ');
  const vertices = Array.from({ length: count }, (_, v) => v);
  const faces = Array.from({ length: index.length / 3 }, (_, t) => [...index.subarray(t * 3, t * 3 + 3)]);
  const lines = {
    obj: () => [
      'o ball',
      ...vertices.flatMap((v) => [`v ${at(position, v)}`, `vn ${at(normal, v)}`]),
      ...faces.map((face) => `f ${face.map((v) => `${v + 1}//${v + 1}`).join(' ')}`),
    ],
    ply: () => [
      ...['ply', 'format ascii 1.0', `element vertex ${count}`, 'property float x', 'property float y'],
      ...['property float z', `element face ${faces.length}`, 'property list uchar int vertex_index', 'end_header'],
      ...vertices.map((v) => at(position, v)),
      ...faces.map((face) => `3 ${face.join(' ')}`),
    ],
    stl: () => [
      'solid ball',
      ...faces.flatMap((face) => [
        ...['facet normal 0 0 1', 'outer loop'],
        ...face.map((v) => `vertex ${at(position, v)}`),
        ...['endloop', 'endfacet'],
      ]),
      'endsolid ball',
    ],
  }[format]();
  return new TextEncoder().encode(`${lines.join('\n')}\n`);
}

function binaryStl(): Uint8Array<ArrayBuffer> {
  const { position, index } = body;
  const view = new DataView(new ArrayBuffer(84 + (index.length / 3) * 50));
  view.setUint32(80, index.length / 3, true);
  index.forEach((v, i) => {
    const to = 84 + Math.floor(i / 3) * 50 + 12 + (i % 3) * 12;
    for (let k = 0; k < 3; k++) view.setFloat32(to + k * 4, position[v * 3 + k], true);
  });
  return new Uint8Array(view.buffer);
}

function binaryPly(): Uint8Array<ArrayBuffer> {
  const { position, index } = body;
  const head = `ply\nformat binary_little_endian 1.0\nelement vertex ${position.length / 3}\nproperty float x\nproperty float y\nproperty float z\nelement face ${index.length / 3}\nproperty list uchar int vertex_index\nend_header\n`;
  const view = new DataView(new ArrayBuffer(head.length + position.length * 4 + (index.length / 3) * 13));
  [...head].forEach((letter, i) => view.setUint8(i, letter.charCodeAt(0)));
  position.forEach((v, i) => view.setFloat32(head.length + i * 4, v, true));
  index.forEach((v, i) => {
    const to = head.length + position.length * 4 + Math.floor(i / 3) * 13;
    if (i % 3 === 0) view.setUint8(to, 3);
    view.setInt32(to + 1 + (i % 3) * 4, v, true);
  });
  return new Uint8Array(view.buffer);
}

/** A GLB as words, with its bytes in an address. */
function gltfOf(path: string): Uint8Array<ArrayBuffer> {
  const bytes = stockBytes(path);
  const view = new DataView(bytes.buffer);
  const text = view.getUint32(12, true);
  const json = JSON.parse(new TextDecoder().decode(bytes.subarray(20, 20 + text))) as { buffers: { uri?: string }[] };
  json.buffers[0].uri = `data:application/octet-stream;base64,${Buffer.from(bytes.subarray(28 + text)).toString('base64')}`;
  return new TextEncoder().encode(JSON.stringify(json));
}

/** A test picture of ffmpeg's in a format that we do not write ourselves; it must be there. */
function encoded(format: string, ...options: readonly string[]): Uint8Array<ArrayBuffer> {
  const path = join(mkdtempSync(join(tmpdir(), 'isomorph-')), `test.${format}`);
  const source = ['-f', 'lavfi', '-i', 'testsrc=size=96x60', '-frames:v', '1'];
  execFileSync('ffmpeg', ['-loglevel', 'error', ...source, ...options, path]);
  return new Uint8Array(readFileSync(path));
}

/** A picture of colours that look like chance. */
function pngOf(width: number, height: number): Uint8Array<ArrayBuffer> {
  const png = new PNG({ width, height });
  for (let i = 0; i < png.data.length; i++) png.data[i] = (i * 73 + (i >> 5) * 31) % 256;
  return new Uint8Array(PNG.sync.write(png));
}

/** The font within a WOFF (W3C WOFF 1.0, §3 and §4): its tables one after another, inflated. */
function sfntOf(bytes: Uint8Array): Uint8Array<ArrayBuffer> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const tables = view.getUint16(12);
  const parts = Array.from({ length: tables }, (_, i) => {
    const at = 44 + i * 20;
    const [from, packed, whole] = [view.getUint32(at + 4), view.getUint32(at + 8), view.getUint32(at + 12)];
    const data = bytes.subarray(from, from + packed);
    return { tag: view.getUint32(at), sum: view.getUint32(at + 16), data: packed < whole ? unzlibSync(data) : data };
  });
  const size = parts.reduce((sum, { data }) => sum + ((data.length + 3) & ~3), 12 + 16 * tables);
  const out = new Uint8Array(size);
  const to = new DataView(out.buffer);
  to.setUint32(0, view.getUint32(4));
  to.setUint16(4, tables);
  let place = 12 + 16 * tables;
  parts.forEach(({ tag, sum, data }, i) => {
    [tag, sum, place, data.length].forEach((v, k) => to.setUint32(12 + i * 16 + k * 4, v));
    out.set(data, place);
    place += (data.length + 3) & ~3;
  });
  return out;
}

const known = new Map<string, Uint8Array<ArrayBuffer>[]>();
const wholeOf = (format: string): Uint8Array<ArrayBuffer>[] => {
  const made = known.get(format) ?? WHOLE[format]();
  known.set(format, made);
  return made;
};

/** A file with some of its bytes changed, put elsewhere, taken out, repeated, or cut off. */
export function damaged(format: string, random: () => number): Uint8Array<ArrayBuffer> {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)];
  let bytes = pick(wholeOf(format)).slice();
  const at = (): number => Math.floor(random() ** 2 * bytes.length);
  for (let n = 1 + Math.floor(random() * 5); n > 0; n--)
    switch (Math.floor(random() * 7)) {
      case 0:
        bytes[at()] = Math.floor(random() * 256);
        break;
      case 1:
        for (let k = 0, from = at(); k < 16; k++)
          bytes[Math.min(bytes.length - 1, from + k)] = pick([0, 255, 127, 128, 1]);
        break;
      case 2:
        bytes[at()] ^= 1 << Math.floor(random() * 8);
        break;
      case 3:
        bytes.copyWithin(at(), at(), at() + Math.floor(random() * 64));
        break;
      case 4:
        bytes = bytes.slice(0, Math.max(4, Math.floor(random() * bytes.length)));
        break;
      case 5:
        new DataView(bytes.buffer).setUint32(
          Math.min(Math.max(0, bytes.length - 4), at()),
          pick([0, 1, 0xffffffff, 0x7fffffff, 0x10000, bytes.length]),
        );
        break;
      default: {
        const [from, to] = [at(), at()];
        const left = Uint8Array.from([...bytes.subarray(0, from), ...bytes.subarray(to)]);
        if (left.length >= 4) bytes = left.slice(0, 400_000);
      }
    }
  return bytes;
}

/** Longest that looking at a file may take, in milliseconds: the limit of the worker that does it. */
const MOST_MS = 2000;

/** Looks at one damaged file, and uses it where it is accepted. @returns what went wrong, or null */
export async function tryFile(
  format: string,
  seed: number,
  index: number,
): Promise<{ mishap: string | null; accepted: boolean; ms: number }> {
  const bytes = damaged(format, randomFrom(seed * 1_000_003 + index));
  const started = performance.now();
  let accepted = false;
  let mishap: string | null = null;
  try {
    if (format === 'zip') unpack(bytes, 'odd.zip');
    else {
      const kind = await examined(bytes, `odd.${format}`);
      // a kept font sets any text, and a glyph that it cannot draw is none
      if (kind === 'font') {
        const font = openFont(bytes, 'odd');
        for (const { id } of font.shape('Ropewalk 0123 – Überfahrt, fjord & AVATAR', index % 2 === 0)) font.outline(id);
      }
    }
    accepted = true;
  } catch (error) {
    if (!(error instanceof Trouble))
      mishap = error instanceof Error ? `${error.message} ${error.stack?.split('\n')[1] ?? ''}` : String(error);
  }
  const ms = performance.now() - started;
  if (ms > MOST_MS) mishap ??= `took ${ms.toFixed(0)} ms`;
  return { mishap, accepted, ms };
}
