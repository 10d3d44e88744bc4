import { z } from 'zod';
import { MOST_VERTICES } from '../../core/solids/models/raw';
import { baseName } from './mtl';
import { refuse } from './refuse';
import type { Beside } from './gltf';

const whole = z
  .number()
  .int()
  .min(0)
  .max(2 ** 32);
const Resource = z.object({ uri: z.string().optional(), bufferView: whole.optional() });
const Sparse = z.object({
  count: whole,
  indices: z.object({ bufferView: whole, byteOffset: whole.optional(), componentType: whole }),
  values: z.object({ bufferView: whole, byteOffset: whole.optional() }),
});

/** Of what a glTF file says, that which would lead a reader to look where nothing is, or to make room without end. */
const GltfSchema = z.object({
  asset: z.object({ version: z.string() }),
  buffers: z.array(z.object({ uri: z.string().optional(), byteLength: whole })).optional(),
  bufferViews: z
    .array(
      z.object({
        buffer: whole,
        byteOffset: whole.optional(),
        byteLength: whole,
        byteStride: whole.optional(),
        extensions: z.record(z.string(), z.unknown()).optional(),
      }),
    )
    .optional(),
  accessors: z
    .array(
      z.object({
        bufferView: whole.optional(),
        byteOffset: whole.optional(),
        componentType: whole,
        count: whole,
        type: z.enum(['SCALAR', 'VEC2', 'VEC3', 'VEC4', 'MAT2', 'MAT3', 'MAT4']),
        sparse: Sparse.optional(),
      }),
    )
    .optional(),
  images: z.array(Resource).optional(),
  nodes: z.array(z.object({ children: z.array(whole).optional() })).optional(),
  extensionsRequired: z.array(z.string()).optional(),
});
type Gltf = z.infer<typeof GltfSchema>;

const PARTS = { SCALAR: 1, VEC2: 2, VEC3: 3, VEC4: 4, MAT2: 4, MAT3: 9, MAT4: 16 } as const;
/** Bytes of a number by its component type (glTF 2.0, §3.6.2.2). */
const BYTES: Readonly<Record<number, number>> = { 5120: 1, 5121: 1, 5122: 2, 5123: 2, 5125: 4, 5126: 4 };

const KNOWN = new Set([
  'EXT_meshopt_compression',
  'EXT_texture_webp',
  'KHR_materials_emissive_strength',
  'KHR_materials_unlit',
  'KHR_mesh_quantization',
  'KHR_texture_transform',
]);

/** The bytes of a data address; null for any other. */
function inAddress(uri: string): Uint8Array<ArrayBuffer> | null {
  const found = /^data:[^,]*?(;base64)?,/.exec(uri);
  if (!found) return null;
  const rest = uri.slice(found[0].length);
  try {
    const text = found[1] ? atob(rest) : decodeURIComponent(rest);
    return Uint8Array.from(text, (letter) => letter.charCodeAt(0));
  } catch {
    return null;
  }
}

/**
 * Sees to it that what a glTF file describes is there: that stretches of bytes lie within what they are of, numbers within those, that
 * there is no more than may be, and that no node stands within itself.
 * @returns the files that it names, by the addresses it names them by
 * @throws Trouble `refused`, in words
 */
export function checkGltf(
  json: unknown,
  name: string,
  binary: Uint8Array | null,
  beside: Beside,
): Record<string, Uint8Array<ArrayBuffer>> {
  const parsed = GltfSchema.safeParse(json);
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    return refuse(name, `its description is damaged at “${issue.path.join('.') || 'the start'}”`);
  }
  const gltf = parsed.data;
  if (!gltf.asset.version.startsWith('2.')) refuse(name, `it is of version ${gltf.asset.version} of glTF, not 2`);
  const missing = gltf.extensionsRequired?.find((extension) => !KNOWN.has(extension));
  if (missing !== undefined)
    refuse(name, `it needs ${missing.slice(0, 60)}, which cannot be read`, 'Export it again without that compression.');
  const resources: Record<string, Uint8Array<ArrayBuffer>> = {};
  const named = (uri: string): Uint8Array<ArrayBuffer> | null => {
    const bytes = inAddress(uri) ?? beside.get(baseName(decodedAddress(uri))) ?? null;
    if (bytes) resources[uri] = bytes;
    return bytes;
  };
  const sizes = (gltf.buffers ?? []).map(({ uri, byteLength, ...rest }, i) => {
    const fallback = 'extensions' in rest;
    const bytes = uri === undefined ? (i === 0 ? binary : null) : named(uri);
    if (uri !== undefined && !bytes)
      refuse(name, `it lacks “${baseName(uri).slice(0, 60)}”`, 'Drop all of its files together, or bring in one .glb.');
    if (!bytes && !fallback) return byteLength;
    return Math.min(byteLength, bytes?.length ?? byteLength);
  });
  for (const { uri, bufferView } of gltf.images ?? []) {
    if (uri !== undefined && !named(uri))
      refuse(
        name,
        `it lacks its picture “${baseName(uri).slice(0, 60)}”`,
        'Drop all of its files together, or bring in one .glb.',
      );
    if (uri === undefined && !gltf.bufferViews?.[bufferView ?? -1]) refuse(name, 'a picture is nowhere');
  }
  gltf.bufferViews?.forEach(({ buffer, byteOffset = 0, byteLength, extensions }, i) => {
    const size = sizes.at(buffer);
    if (size === undefined) refuse(name, `stretch ${i} of its bytes is of nothing`);
    else if (!extensions && byteOffset + byteLength > size)
      refuse(name, `stretch ${i} of its bytes reaches past their end`);
  });
  const within = (view: number | undefined, bytes: number): boolean => {
    if (view === undefined) return true;
    const own = gltf.bufferViews?.at(view);
    return own !== undefined && bytes <= own.byteLength;
  };
  let numbers = 0;
  gltf.accessors?.forEach(({ bufferView, byteOffset = 0, componentType, count, type, sparse }, i) => {
    const each = PARTS[type] * (BYTES[componentType] ?? 0);
    const view = bufferView === undefined ? undefined : gltf.bufferViews?.at(bufferView);
    const stride = view?.byteStride ?? each;
    // compressed bytes are fewer than what they hold
    const packed = view?.extensions !== undefined;
    numbers += count * PARTS[type];
    if (each === 0 || (!packed && count > 0 && !within(bufferView, byteOffset + stride * (count - 1) + each)))
      refuse(name, `list ${i} of its numbers reaches past their end`);
    if (numbers > MOST_VERTICES * 16) refuse(name, 'it describes more numbers than can be drawn');
    if (
      sparse &&
      (sparse.count > count ||
        !within(sparse.indices.bufferView, sparse.count * (BYTES[sparse.indices.componentType] ?? 4)) ||
        !within(sparse.values.bufferView, sparse.count * each))
    )
      refuse(name, `list ${i} of its numbers changes more than it has`);
  });
  checkNodes(gltf, name);
  return resources;
}

function decodedAddress(uri: string): string {
  try {
    return decodeURIComponent(uri);
  } catch {
    return uri;
  }
}

/** Every node has one above it at most, and none is above itself (glTF 2.0, §3.5.2). */
function checkNodes({ nodes = [] }: Gltf, name: string): void {
  const above = new Int32Array(nodes.length).fill(-1);
  nodes.forEach(({ children = [] }, i) => {
    for (const child of children) {
      if (child >= nodes.length || above[child] >= 0) refuse(name, 'its nodes do not stand in order');
      above[child] = i;
    }
  });
  for (let i = 0; i < nodes.length; i++)
    for (let at = above[i], steps = 0; at >= 0; at = above[at])
      if (++steps > nodes.length || steps > 1000) refuse(name, 'a node stands within itself');
}
