import { toLinear } from '../../core/colour/colour';
import { BARE, type RawModel, type RawPart } from '../../core/solids/models/raw';
import { checkPart, checkSize, refuse } from './refuse';
import { Whole } from './lists';
import { bodiesOfPoints } from './points';
import { fan } from './polygon';

type Type = 'int8' | 'uint8' | 'int16' | 'uint16' | 'int32' | 'uint32' | 'float32' | 'float64';
const TYPES: Readonly<Record<string, Type>> = {
  char: 'int8',
  uchar: 'uint8',
  short: 'int16',
  ushort: 'uint16',
  int: 'int32',
  uint: 'uint32',
  float: 'float32',
  double: 'float64',
  ...Object.fromEntries(
    (['int8', 'uint8', 'int16', 'uint16', 'int32', 'uint32', 'float32', 'float64'] as const).map((type) => [
      type,
      type,
    ]),
  ),
};
const BYTES: Readonly<Record<Type, number>> = {
  int8: 1,
  uint8: 1,
  int16: 2,
  uint16: 2,
  int32: 4,
  uint32: 4,
  float32: 4,
  float64: 8,
};
/** What a whole number of a type is divided by to be a share. */
const WHOLE: Readonly<Record<Type, number>> = {
  int8: 127,
  uint8: 255,
  int16: 32767,
  uint16: 65535,
  int32: 2147483647,
  uint32: 4294967295,
  float32: 1,
  float64: 1,
};

interface Property {
  name: string;
  type: Type;
  /** the type of how many there are, where it is a list */
  list: Type | null;
}
interface ElementOf {
  name: string;
  count: number;
  properties: Property[];
}
interface Head {
  format: 'ascii' | 'binary_little_endian' | 'binary_big_endian';
  elements: ElementOf[];
  /** where the body begins */
  at: number;
}

/** The longest head that is read. */
const LONGEST_HEAD = 1 << 16;

function headOf(bytes: Uint8Array, name: string): Head {
  const text = new TextDecoder('latin1').decode(bytes.subarray(0, LONGEST_HEAD));
  const end = /(?:^|\n|\r)end_header[ \t]*(?:\r\n|\n|\r)/.exec(text);
  if (!end) return refuse(name, 'its head has no end');
  const head: Head = { format: 'ascii', elements: [], at: end.index + end[0].length };
  let known = false;
  for (const line of text.slice(0, end.index).split(/\r\n?|\n/)) {
    const words = line.trim().split(/\s+/);
    if (words[0] === 'format') {
      if (words[1] !== 'ascii' && words[1] !== 'binary_little_endian' && words[1] !== 'binary_big_endian')
        refuse(name, `its format, “${line.slice(0, 40)}”, is not known`);
      head.format = words[1] as Head['format'];
      known = true;
    }
    if (words[0] === 'element') {
      const count = Number(words[2]);
      if (!Number.isInteger(count) || count < 0) refuse(name, `it does not say how many of “${words[1]}” there are`);
      head.elements.push({ name: words[1], count, properties: [] });
    }
    if (words[0] === 'property') {
      const list = words[1] === 'list';
      const type = TYPES[words[list ? 3 : 1]];
      const counts = list ? TYPES[words[2]] : null;
      const own = words[list ? 4 : 2];
      const element = head.elements.at(-1);
      if (!element || !own || !type || counts === undefined) return refuse(name, `“${line.slice(0, 40)}” is not known`);
      element.properties.push({ name: own, type, list: counts });
    }
  }
  if (!known) refuse(name, 'it does not say which format it is of');
  return head;
}

/** Reads one number after another. */
interface Body {
  next(type: Type): number;
}

function textBody(bytes: Uint8Array, at: number, name: string): Body {
  const text = new TextDecoder('latin1').decode(bytes.subarray(at));
  const words = /\S+/g;
  return {
    next() {
      const found = words.exec(text);
      if (!found) return refuse(name, 'it ends too early');
      const value = Number(found[0]);
      return Number.isNaN(value) ? refuse(name, `“${found[0].slice(0, 20)}” is no number`) : value;
    },
  };
}

function binaryBody(bytes: Uint8Array, from: number, little: boolean, name: string): Body {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let at = from;
  return {
    next(type) {
      if (at + BYTES[type] > bytes.length) refuse(name, 'it ends too early');
      const here = at;
      at += BYTES[type];
      switch (type) {
        case 'int8':
          return view.getInt8(here);
        case 'uint8':
          return view.getUint8(here);
        case 'int16':
          return view.getInt16(here, little);
        case 'uint16':
          return view.getUint16(here, little);
        case 'int32':
          return view.getInt32(here, little);
        case 'uint32':
          return view.getUint32(here, little);
        case 'float32':
          return view.getFloat32(here, little);
        case 'float64':
          return view.getFloat64(here, little);
      }
    },
  };
}

/** What is read of a vertex: where each property goes. */
const ROLES: Readonly<Record<string, readonly ['position' | 'normal' | 'dye' | 'uv', number]>> = {
  x: ['position', 0],
  y: ['position', 1],
  z: ['position', 2],
  nx: ['normal', 0],
  ny: ['normal', 1],
  nz: ['normal', 2],
  red: ['dye', 0],
  green: ['dye', 1],
  blue: ['dye', 2],
  r: ['dye', 0],
  g: ['dye', 1],
  b: ['dye', 2],
  diffuse_red: ['dye', 0],
  diffuse_green: ['dye', 1],
  diffuse_blue: ['dye', 2],
  s: ['uv', 0],
  t: ['uv', 1],
  u: ['uv', 0],
  v: ['uv', 1],
  texture_u: ['uv', 0],
  texture_v: ['uv', 1],
};

type Vertices = Record<'position' | 'normal' | 'dye' | 'uv', Float32Array>;

function readVertices({ count, properties }: ElementOf, body: Body): Vertices {
  const out: Vertices = {
    position: new Float32Array(count * 3),
    normal: new Float32Array(count * 3),
    dye: new Float32Array(count * 3),
    uv: new Float32Array(count * 2),
  };
  const steps = properties.map(({ name, type, list }) => ({ role: list ? undefined : ROLES[name], type, list }));
  for (let i = 0; i < count; i++)
    for (const { role, type, list } of steps) {
      if (list) for (let n = body.next(list); n > 0; n--) body.next(type);
      else {
        const value = body.next(type);
        if (!role) continue;
        const [column, k] = role;
        if (column === 'dye') out.dye[i * 3 + k] = toLinear(value / WHOLE[type]);
        // a picture’s rows run down
        else if (column === 'uv') out.uv[i * 2 + k] = k === 1 ? 1 - value : value;
        else out[column][i * 3 + k] = value;
      }
    }
  return out;
}

function readFaces({ count, properties }: ElementOf, body: Body, vertices: Float32Array, name: string): Uint32Array {
  const out = new Whole();
  const corners: number[] = [];
  for (let i = 0; i < count; i++)
    for (const { name: own, type, list } of properties) {
      const many = list ? body.next(list) : 1;
      const face = list !== null && (own === 'vertex_indices' || own === 'vertex_index');
      if (many < 0) refuse(name, 'a list has less than nothing in it');
      corners.length = 0;
      for (let n = 0; n < many; n++) {
        const corner = body.next(type);
        if (!face) continue;
        if (!Number.isInteger(corner) || corner < 0 || corner * 3 >= vertices.length)
          refuse(name, `a face names vertex ${corner} of ${vertices.length / 3}`);
        corners.push(corner);
      }
      fan(
        corners,
        (place) => vertices[place],
        (a, b, c) => {
          out.push(a);
          out.push(b);
          out.push(c);
        },
      );
      if (out.length > 3e6) checkSize(name, 0, out.length / 3);
    }
  return out.take();
}

/**
 * A model as a list of vertices and faces (Turk, "The PLY Polygon File Format", 1994): text, or binary either way round. Places, normals,
 * colours and places on a picture are read, by the names that are in use for them (common practice, no published source).
 * @param name what the file is called
 * Points without faces become small bodies.
 * @throws Trouble `refused` when it is none
 */
export function readPly(bytes: Uint8Array, name: string): RawModel {
  const { format, elements, at } = headOf(bytes, name);
  const body =
    format === 'ascii' ? textBody(bytes, at, name) : binaryBody(bytes, at, format === 'binary_little_endian', name);
  let vertices: Vertices | null = null;
  let index: Uint32Array = new Uint32Array();
  const has = new Set<string>();
  for (const element of elements) {
    // whatever it holds takes at least a byte
    if (element.count > bytes.length) refuse(name, `it says that it has ${element.count} of “${element.name}”`);
    if (element.name === 'vertex') {
      checkSize(name, element.count, 0);
      vertices = readVertices(element, body);
      for (const { name: own, list } of element.properties) if (!list && ROLES[own]) has.add(ROLES[own].join());
    } else if (element.name === 'face') {
      if (!vertices) return refuse(name, 'its faces come before its vertices');
      checkSize(name, 0, element.count);
      index = readFaces(element, body, vertices.position, name);
    } else
      for (let i = 0; i < element.count; i++)
        for (const { type, list } of element.properties)
          for (let n = list ? body.next(list) : 1; n > 0; n--) body.next(type);
  }
  if (!vertices || ![0, 1, 2].every((k) => has.has(`position,${k}`)))
    return refuse(name, 'its vertices have no places');
  const all = (column: string, count: number): boolean =>
    Array.from({ length: count }, (_, k) => has.has(`${column},${k}`)).every(Boolean);
  const dye = all('dye', 3) ? vertices.dye : null;
  const bare = index.length === 0;
  if (bare && vertices.position.length === 0) refuse(name, 'it is empty');
  const part: Omit<RawPart, 'material'> = bare
    ? { ...bodiesOfPoints(vertices.position, dye), normal: null, uv: null }
    : {
        position: vertices.position,
        normal: all('normal', 3) ? vertices.normal : null,
        uv: all('uv', 2) ? vertices.uv : null,
        dye,
        index,
      };
  checkSize(name, 0, part.index.length / 3);
  checkPart(name, part.position, part.index);
  return {
    name: name.replace(/\.ply$/i, ''),
    parts: [{ ...part, material: 0 }],
    // what is dyed is of its own colour
    materials: [dye ? { ...BARE, colour: [1, 1, 1] } : BARE],
    pictures: [],
    up: null,
    unit: null,
  };
}
