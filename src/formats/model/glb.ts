import { Document, WebIO, type Accessor, type Material, type Texture } from '@gltf-transform/core';
import { KHRMaterialsEmissiveStrength } from '@gltf-transform/extensions';
import { sortOf } from '../../core/kept';
import type { ModelMaterial, RawModel } from '../../core/solids/models/raw';

/** Among what a model of ours says about itself: its file did not say which way is up, nor its unit. */
export const UNSAID = 'unsaid';

const MIMES: readonly (readonly [string, string])[] = [
  ['\x89PNG', 'image/png'],
  ['\xff\xd8', 'image/jpeg'],
  ['RIFF', 'image/webp'],
];
const mimeOf = (bytes: Uint8Array): string =>
  MIMES.find(([start]) => [...start].every((letter, i) => bytes[i] === letter.charCodeAt(0)))?.[1] ?? 'image/png';

function materialIn(
  document: Document,
  own: ModelMaterial,
  textureOf: (picture: number | null) => Texture | null,
): Material {
  const strength = Math.max(1, ...own.glow);
  const made = document
    .createMaterial(own.name)
    .setBaseColorFactor([...own.colour, own.opaque])
    .setRoughnessFactor(own.rough)
    .setMetallicFactor(own.metal)
    .setEmissiveFactor([own.glow[0] / strength, own.glow[1] / strength, own.glow[2] / strength])
    .setDoubleSided(own.open)
    .setAlphaMode(own.cutoff === null ? (own.blends ? 'BLEND' : 'OPAQUE') : 'MASK')
    .setNormalScale(own.deep)
    .setBaseColorTexture(textureOf(own.maps.colour))
    .setMetallicRoughnessTexture(textureOf(own.maps.manner))
    .setEmissiveTexture(textureOf(own.maps.glow))
    .setNormalTexture(textureOf(own.maps.relief));
  if (own.cutoff !== null) made.setAlphaCutoff(own.cutoff);
  if (strength > 1)
    made.setExtension(
      'KHR_materials_emissive_strength',
      document.createExtension(KHRMaterialsEmissiveStrength).createEmissiveStrength().setEmissiveStrength(strength),
    );
  return made;
}

/**
 * A model as one file, whatever it was read from (Khronos, glTF 2.0, §4.4: GLB). Parts without normals stay without, so that they are worked out
 * as they would have been.
 */
export async function writeGlb(raw: RawModel): Promise<Uint8Array<ArrayBuffer>> {
  const document = new Document();
  const buffer = document.createBuffer();
  const textures = new Map<number, Texture>();
  const textureOf = (picture: number | null): Texture | null => {
    if (picture === null || sortOf(raw.pictures[picture]) !== 'picture') return null;
    const bytes = raw.pictures[picture];
    const made = textures.get(picture) ?? document.createTexture().setImage(bytes).setMimeType(mimeOf(bytes));
    textures.set(picture, made);
    return made;
  };
  const materials = raw.materials.map((own) => materialIn(document, own, textureOf));
  const mesh = document.createMesh(raw.name);
  const list = (array: Float32Array | Uint32Array, type: 'SCALAR' | 'VEC2' | 'VEC3'): Accessor =>
    document.createAccessor().setType(type).setArray(array.slice()).setBuffer(buffer);
  for (const part of raw.parts) {
    const primitive = document
      .createPrimitive()
      .setAttribute('POSITION', list(part.position, 'VEC3'))
      .setIndices(list(part.index, 'SCALAR'))
      .setMaterial(materials[part.material])
      .setExtras(part.edges ? { edges: part.edges } : {});
    if (part.normal) primitive.setAttribute('NORMAL', list(part.normal, 'VEC3'));
    if (part.uv) primitive.setAttribute('TEXCOORD_0', list(part.uv, 'VEC2'));
    if (part.dye) primitive.setAttribute('COLOR_0', list(part.dye, 'VEC3'));
    mesh.addPrimitive(primitive);
  }
  const node = document.createNode(raw.name).setMesh(mesh);
  document.createScene().addChild(node);
  const asset = document.getRoot().getAsset();
  asset.generator = 'Isomorph';
  document.getRoot().setExtras({ [UNSAID]: raw.up === null, edges: true });
  const bytes = await new WebIO().registerExtensions([KHRMaterialsEmissiveStrength]).writeBinary(document);
  return new Uint8Array(bytes);
}
