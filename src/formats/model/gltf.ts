import {
  GLB_BUFFER,
  Logger,
  Verbosity,
  WebIO,
  type Document,
  type Material,
  type Node,
  type Primitive,
  type TextureInfo,
} from '@gltf-transform/core';
import {
  EXTMeshoptCompression,
  EXTTextureWebP,
  KHRMaterialsEmissiveStrength,
  KHRMaterialsUnlit,
  KHRMeshQuantization,
  KHRTextureTransform,
  type EmissiveStrength,
  type Transform,
} from '@gltf-transform/extensions';
import { MeshoptDecoder } from 'meshoptimizer';
import type { Rgb } from '../../core/colour/colour';
import { BARE, type ModelMaterial, type RawModel, type RawPart } from '../../core/solids/models/raw';
import { Trouble } from '../../core/trouble';
import { checkPart, checkSize, refuse } from './refuse';
import { UNSAID } from './glb';
import { checkGltf } from './gltfCheck';

/** What is read besides glTF itself. */
const EXTENSIONS = [
  EXTMeshoptCompression,
  EXTTextureWebP,
  KHRMaterialsEmissiveStrength,
  KHRMaterialsUnlit,
  KHRMeshQuantization,
  KHRTextureTransform,
];

const GLB = 0x46546c67;

/** The two parts of a GLB: its words, and its bytes. @throws Trouble `refused` */
function chunksOf(bytes: Uint8Array, name: string): { text: Uint8Array; binary: Uint8Array | null } {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < 20 || view.getUint32(4, true) !== 2) return refuse(name, 'it is not of version 2 of glTF');
  let text: Uint8Array | null = null;
  let binary: Uint8Array | null = null;
  for (let at = 12; at + 8 <= bytes.length;) {
    const [length, sort] = [view.getUint32(at, true), view.getUint32(at + 4, true)];
    if (at + 8 + length > bytes.length) refuse(name, 'it ends too early');
    const chunk = bytes.subarray(at + 8, at + 8 + length);
    if (sort === 0x4e4f534a) text ??= chunk;
    if (sort === 0x004e4942) binary ??= chunk;
    at += 8 + length + ((4 - (length % 4)) % 4);
  }
  return text ? { text, binary } : refuse(name, 'it holds no description');
}

/** What a glTF file says, as far as it was looked at. */
type Described = Parameters<WebIO['readJSON']>[0]['json'];

/** Files beside a .gltf, by the last part of their names. */
export type Beside = ReadonlyMap<string, Uint8Array<ArrayBuffer>>;

async function documentOf(bytes: Uint8Array, name: string, beside: Beside): Promise<Document> {
  const packed =
    bytes.length >= 4 && new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength).getUint32(0, true) === GLB;
  const { text, binary } = packed ? chunksOf(bytes, name) : { text: bytes, binary: null };
  let json: Described;
  try {
    json = JSON.parse(new TextDecoder().decode(text)) as Described;
  } catch {
    return refuse(name, 'its description is damaged');
  }
  const resources = checkGltf(json, name, binary, beside);
  await MeshoptDecoder.ready;
  const io = new WebIO().registerExtensions(EXTENSIONS).registerDependencies({ 'meshopt.decoder': MeshoptDecoder });
  io.setLogger(new Logger(Verbosity.SILENT));
  return io.readJSON({
    json,
    resources: { ...resources, ...(binary ? { [GLB_BUFFER]: new Uint8Array(binary) } : {}) },
  });
}

type Matrix = readonly number[];

const applied = (m: Matrix, x: number, y: number, z: number, w: 0 | 1): [number, number, number] => [
  m[0] * x + m[4] * y + m[8] * z + m[12] * w,
  m[1] * x + m[5] * y + m[9] * z + m[13] * w,
  m[2] * x + m[6] * y + m[10] * z + m[14] * w,
];

const determinant = (m: Matrix): number =>
  m[0] * (m[5] * m[10] - m[6] * m[9]) - m[4] * (m[1] * m[10] - m[2] * m[9]) + m[8] * (m[1] * m[6] - m[2] * m[5]);

/** What turns normals as a matrix turns surfaces: its cofactors. */
const cofactors = (m: Matrix): Matrix => [
  m[5] * m[10] - m[6] * m[9],
  m[6] * m[8] - m[4] * m[10],
  m[4] * m[9] - m[5] * m[8],
  0,
  m[2] * m[9] - m[1] * m[10],
  m[0] * m[10] - m[2] * m[8],
  m[1] * m[8] - m[0] * m[9],
  0,
  m[1] * m[6] - m[2] * m[5],
  m[2] * m[4] - m[0] * m[6],
  m[0] * m[5] - m[1] * m[4],
  0,
  0,
  0,
  0,
  1,
];

/** How the corners of a primitive make triangles (glTF 2.0, §3.7.2.1); null for points and lines. */
function trianglesOf(primitive: Primitive, count: number): Uint32Array | null {
  const own = primitive.getIndices();
  const corners = Uint32Array.from({ length: own?.getCount() ?? count }, (_, i) => own?.getScalar(i) ?? i);
  const mode = primitive.getMode();
  if (mode === 4) return corners.subarray(0, corners.length - (corners.length % 3));
  if (mode !== 5 && mode !== 6) return null;
  const out = new Uint32Array(Math.max(0, corners.length - 2) * 3);
  for (let i = 0; i + 2 < corners.length; i++)
    out.set(
      mode === 6
        ? [corners[i + 1], corners[i + 2], corners[0]]
        : [corners[i], corners[i + 1 + (i % 2)], corners[i + 2 - (i % 2)]],
      i * 3,
    );
  return out;
}

/** Where on pictures a vertex is, as KHR_texture_transform moves it. */
function movedUv(uv: Float32Array, info: TextureInfo | null): Float32Array {
  const moves = info?.getExtension<Transform>('KHR_texture_transform');
  if (!moves) return uv;
  const [[ox, oy], turn, [sx, sy]] = [moves.getOffset(), moves.getRotation(), moves.getScale()];
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return uv.map((_, i) => {
    const [u, v] = [uv[i - (i % 2)] * sx, uv[i - (i % 2) + 1] * sy];
    return i % 2 === 0 ? c * u + s * v + ox : -s * u + c * v + oy;
  });
}

/** Numbers of an accessor as floats, whatever they are kept as; null where there are not so many for each vertex. */
function floatsOf(
  primitive: Primitive,
  semantic: string,
  sizes: readonly number[],
  count: number,
): Float32Array | null {
  const accessor = primitive.getAttribute(semantic);
  if (!accessor || accessor.getCount() !== count || !sizes.includes(accessor.getElementSize())) return null;
  const out = new Float32Array(count * sizes[0]);
  const element: number[] = [];
  for (let i = 0; i < count; i++) {
    accessor.getElement(i, element);
    for (let k = 0; k < sizes[0]; k++) out[i * sizes[0] + k] = element[k];
  }
  return out;
}

/** Faces without normals are flat (glTF 2.0, §3.7.2.1); of what we wrote ourselves they are as its own file had them. */
function edgesOf(primitive: Primitive, ours: boolean): Pick<RawPart, 'edges'> {
  if (!ours) return { edges: 'hard' };
  const { edges } = primitive.getExtras();
  return edges === 'hard' || edges === 'soft' ? { edges } : {};
}

function partOf(primitive: Primitive, matrix: Matrix, material: number, ours: boolean): RawPart | null {
  const count = primitive.getAttribute('POSITION')?.getCount() ?? 0;
  const own = floatsOf(primitive, 'POSITION', [3], count);
  const triangles = own && trianglesOf(primitive, count);
  if (!own || !triangles || triangles.length === 0) return null;
  const position = new Float32Array(own.length);
  for (let i = 0; i < own.length; i += 3) position.set(applied(matrix, own[i], own[i + 1], own[i + 2], 1), i);
  const normal = floatsOf(primitive, 'NORMAL', [3], count);
  const turn = cofactors(matrix);
  if (normal)
    for (let i = 0; i < normal.length; i += 3) {
      const n = applied(turn, normal[i], normal[i + 1], normal[i + 2], 0);
      const length = Math.hypot(...n) || 1;
      for (let k = 0; k < 3; k++) normal[i + k] = n[k] / length;
    }
  // what is mirrored runs the other way round, and cofactors turn its normals inwards with it
  const mirrored = determinant(matrix) < 0;
  if (mirrored) for (let i = 0; i < triangles.length; i += 3) triangles.subarray(i + 1, i + 3).reverse();
  if (mirrored && normal) for (let i = 0; i < normal.length; i++) normal[i] = -normal[i];
  const info = primitive.getMaterial()?.getBaseColorTextureInfo() ?? null;
  const set = info?.getTexCoord() ?? 0;
  const uv = floatsOf(primitive, `TEXCOORD_${set}`, [2], count);
  return {
    position,
    ...(normal ? {} : edgesOf(primitive, ours)),
    normal,
    uv: uv && movedUv(uv, info),
    dye: floatsOf(primitive, 'COLOR_0', [3, 4], count),
    index: triangles,
    material,
  };
}

function materialOf(material: Material, place: (bytes: Uint8Array | null | undefined) => number | null): ModelMaterial {
  const [r, g, b, opaque] = material.getBaseColorFactor();
  const strength =
    material.getExtension<EmissiveStrength>('KHR_materials_emissive_strength')?.getEmissiveStrength() ?? 1;
  const mode = material.getAlphaMode();
  const colour = place(material.getBaseColorTexture()?.getImage());
  // light that is on no surface is given off
  const bare = material.getExtension('KHR_materials_unlit') !== null;
  return {
    name: material.getName(),
    colour: bare ? [0, 0, 0] : [r, g, b],
    opaque: mode === 'OPAQUE' ? 1 : opaque,
    blends: mode === 'BLEND',
    rough: bare ? 1 : material.getRoughnessFactor(),
    metal: bare ? 0 : material.getMetallicFactor(),
    glow: bare ? [r, g, b] : (material.getEmissiveFactor().map((v) => v * strength) as Rgb),
    open: material.getDoubleSided(),
    cutoff: mode === 'MASK' ? material.getAlphaCutoff() : null,
    maps: {
      colour,
      manner: bare ? null : place(material.getMetallicRoughnessTexture()?.getImage()),
      glow: bare ? colour : place(material.getEmissiveTexture()?.getImage()),
      relief: bare ? null : place(material.getNormalTexture()?.getImage()),
    },
    deep: material.getNormalScale(),
  };
}

/** The most nodes that stand within one another. */
const DEEPEST = 100;

/**
 * A glTF model (Khronos, glTF 2.0; ISO/IEC 12113): the scene it shows first, with every node where it stands, materials, pictures and colours.
 * Compressed vertices (EXT_meshopt_compression, KHR_mesh_quantization) are read; nothing is fetched. What moves stands as it is at rest.
 * @param name what the file is called
 * @param beside files that it names, where it is not all in one
 * @throws Trouble `refused`, in words
 */
export async function readGltf(bytes: Uint8Array, name: string, beside: Beside = new Map()): Promise<RawModel> {
  let document: Document;
  try {
    document = await documentOf(bytes, name, beside);
  } catch (error) {
    if (error instanceof Trouble) throw error;
    return refuse(name, 'it is damaged');
  }
  try {
    return modelOf(document, name);
  } catch (error) {
    if (error instanceof Trouble) throw error;
    return refuse(name, 'what it describes is not in it');
  }
}

function modelOf(document: Document, name: string): RawModel {
  const root = document.getRoot();
  const materials: ModelMaterial[] = [];
  const known = new Map<Material | null, number>();
  const pictures: Uint8Array<ArrayBuffer>[] = [];
  const places = new Map<Uint8Array, number>();
  const place = (image: Uint8Array | null | undefined): number | null => {
    if (!image || image.length === 0) return null;
    const found = places.get(image) ?? pictures.push(new Uint8Array(image)) - 1;
    places.set(image, found);
    return found;
  };
  const parts: RawPart[] = [];
  let [vertices, triangles] = [0, 0];
  const visit = (node: Node, above: ReadonlySet<Node>): void => {
    if (above.has(node) || above.size > DEEPEST) refuse(name, 'a node stands within itself');
    const matrix = node.getWorldMatrix();
    for (const primitive of node.getMesh()?.listPrimitives() ?? []) {
      const material = primitive.getMaterial();
      const at = known.get(material) ?? materials.push(material ? materialOf(material, place) : { ...BARE }) - 1;
      known.set(material, at);
      const part = partOf(primitive, matrix, at, 'edges' in root.getExtras());
      if (!part) continue;
      vertices += part.position.length / 3;
      triangles += part.index.length / 3;
      checkSize(name, vertices, triangles);
      checkPart(name, part.position, part.index);
      parts.push(part);
    }
    for (const child of node.listChildren()) visit(child, new Set([...above, node]));
  };
  const scene = root.getDefaultScene() ?? root.listScenes().at(0);
  const tops = scene ? scene.listChildren() : root.listNodes().filter((node) => node.getParentNode() === null);
  for (const node of tops) visit(node, new Set());
  if (parts.length === 0) refuse(name, 'it holds no triangles');
  const unsaid = root.getExtras()[UNSAID] === true;
  return {
    ...{ name: name.replace(/\.(glb|gltf)$/i, ''), parts, materials, pictures },
    ...(unsaid ? { up: null, unit: null } : { up: 'y', unit: 1 }),
  };
}
