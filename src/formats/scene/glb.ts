import { Accessor, Document, Primitive, WebIO, type Buffer as GltfBuffer, type Node } from '@gltf-transform/core';
import { EXTMeshGPUInstancing, KHRMaterialsUnlit } from '@gltf-transform/extensions';
import type { CameraPose } from '../../core/world/camera';
import type { GivenCamera, GivenLayer, GivenMesh, GivenPoints, GivenWorld } from '../../core/world/given';

// glTF 2.0 (ISO/IEC 12113:2022) in one binary file; bodies that stand many times by EXT_mesh_gpu_instancing.

/** Metres before and behind which cameras of other programs see nothing. */
const [NEAR, FAR] = [0.01, 10_000];

type Numbers = Float32Array | Uint32Array;

class Maker {
  readonly document = new Document();
  private readonly buffer: GltfBuffer = this.document.createBuffer();
  private readonly scene = this.document.createScene('World');
  private readonly instancing = this.document.createExtension(EXTMeshGPUInstancing);
  private readonly unlit = this.document.createExtension(KHRMaterialsUnlit);
  /** what reflects, and what shines by itself */
  readonly matt = this.document
    .createMaterial('Matter')
    .setMetallicFactor(0)
    .setRoughnessFactor(0.8)
    .setDoubleSided(true);
  readonly light = this.document.createMaterial('Light').setExtension('KHR_materials_unlit', this.unlit.createUnlit());

  constructor(maker: string) {
    this.document.getRoot().setDefaultScene(this.scene);
    this.document.getRoot().getAsset().generator = maker;
  }

  accessor(values: Numbers, type: 'SCALAR' | 'VEC3' | 'VEC4', index = false): Accessor {
    return this.document
      .createAccessor()
      .setArray(index ? Uint32Array.from(values) : Float32Array.from(values))
      .setType(Accessor.Type[type])
      .setBuffer(this.buffer);
  }

  node(name: string, to?: Node): Node {
    const node = this.document.createNode(name);
    if (to) to.addChild(node);
    else this.scene.addChild(node);
    return node;
  }

  /** Something that is drawn: triangles, lines or points. */
  mesh(
    name: string,
    mode: number,
    parts: { position: Float32Array } & Partial<Omit<GivenMesh, 'position'>>,
  ): ReturnType<Document['createMesh']> {
    const { position, normal, colour, index } = parts;
    const primitive = this.document
      .createPrimitive()
      .setMode(mode as ReturnType<Primitive['getMode']>)
      .setMaterial(mode === Primitive.Mode.TRIANGLES ? this.matt : this.light)
      .setAttribute('POSITION', this.accessor(position, 'VEC3'));
    if (normal) primitive.setAttribute('NORMAL', this.accessor(normal, 'VEC3'));
    if (colour) primitive.setAttribute('COLOR_0', this.accessor(colour, 'VEC3'));
    if (index) primitive.setIndices(this.accessor(index, 'SCALAR', true));
    return this.document.createMesh(name).addPrimitive(primitive);
  }

  layer(layer: GivenLayer): void {
    const { TRIANGLES, LINES, POINTS } = Primitive.Mode;
    const { name } = layer;
    const meshes = layer.meshes.map((mesh) => this.mesh(name, TRIANGLES, mesh));
    const marks = (given: GivenPoints | null, mode: number) =>
      given && given.position.length > 0
        ? [this.mesh(name, mode, { position: given.position, colour: given.colour })]
        : [];
    meshes.push(...marks(layer.lines, LINES), ...marks(layer.points, POINTS));
    const bodies = layer.bodies
      .filter(({ count }) => count > 0)
      .map(({ mesh: { position, normal, index }, ...where }) => ({
        mesh: this.mesh(name, TRIANGLES, { position, normal, index }),
        places: this.instancing
          .createInstancedMesh()
          .setAttribute('TRANSLATION', this.accessor(where.position, 'VEC3'))
          .setAttribute('ROTATION', this.accessor(where.rotation, 'VEC4'))
          .setAttribute(
            'SCALE',
            this.accessor(
              Float32Array.from({ length: where.count * 3 }, (_, i) => where.scale[Math.floor(i / 3)]),
              'VEC3',
            ),
          )
          .setAttribute('_COLOR_0', this.accessor(where.colour, 'VEC3')),
      }));
    const top = this.node(name);
    layer.repeats.forEach((ahead, k) => {
      const tile = this.node(layer.repeats.length > 1 ? `${name}, tile ${k + 1}` : name, top).setTranslation([
        0,
        0,
        -ahead,
      ]);
      for (const mesh of meshes) this.node(name, tile).setMesh(mesh);
      for (const { mesh, places } of bodies)
        this.node(name, tile).setMesh(mesh).setExtension('EXT_mesh_gpu_instancing', places);
    });
  }

  /** A camera, and how it moves where there is more than one pose. */
  camera({ times, poses, views }: GivenCamera, aspect: number): void {
    const [first] = poses;
    const camera = this.document.createCamera('Camera').setZNear(NEAR).setZFar(FAR);
    if (first.orthoWidth === null)
      camera.setType('perspective').setAspectRatio(aspect).setYFov(verticalFov(views[0], aspect));
    else
      camera
        .setType('orthographic')
        .setXMag(first.orthoWidth / 2)
        .setYMag(first.orthoWidth / aspect / 2);
    const node = this.node('Camera').setCamera(camera).setTranslation(first.position).setRotation(first.quaternion);
    if (poses.length < 2) return;
    const input = this.accessor(Float32Array.from(times), 'SCALAR');
    const animation = this.document.createAnimation('Flight');
    const moves = [
      ['translation', 'VEC3', Float32Array.from(poses.flatMap(({ position }) => [...position]))],
      ['rotation', 'VEC4', shortWays(poses)],
    ] as const;
    for (const [path, type, values] of moves) {
      const sampler = this.document
        .createAnimationSampler()
        .setInterpolation('LINEAR')
        .setInput(input)
        .setOutput(this.accessor(values, type));
      const channel = this.document
        .createAnimationChannel()
        .setSampler(sampler)
        .setTargetNode(node)
        .setTargetPath(path);
      animation.addSampler(sampler).addChannel(channel);
    }
  }
}

/** Radians from the upper to the lower edge of the picture. @param degrees from its left to its right edge */
export const verticalFov = (degrees: number, aspect: number): number =>
  2 * Math.atan(Math.tan((degrees * Math.PI) / 360) / aspect);

/** Turns one after another, each by the shorter way from the one before. */
export function shortWays(poses: readonly Pick<CameraPose, 'quaternion'>[]): Float32Array {
  const out = new Float32Array(poses.length * 4);
  let sign = 1;
  poses.forEach(({ quaternion }, i) => {
    const before = poses.at(i - 1)?.quaternion;
    if (i > 0 && before && quaternion.reduce((sum, v, k) => sum + v * before[k], 0) < 0) sign = -sign;
    out.set(
      quaternion.map((v) => v * sign),
      i * 4,
    );
  });
  return out;
}

const MAKER = 'Isomorph';

/** A world of one moment, seen from a camera. */
export async function worldGlb(
  world: GivenWorld,
  camera: GivenCamera,
  aspect: number,
): Promise<Uint8Array<ArrayBuffer>> {
  const maker = new Maker(MAKER);
  for (const layer of world.layers) maker.layer(layer);
  maker.camera(camera, aspect);
  return written(maker);
}

/** A camera as it moves. */
export function cameraGlb(camera: GivenCamera, aspect: number): Promise<Uint8Array<ArrayBuffer>> {
  const maker = new Maker(MAKER);
  maker.camera(camera, aspect);
  return written(maker);
}

async function written({ document, matt, light }: Maker): Promise<Uint8Array<ArrayBuffer>> {
  // what nothing is made of is left out
  for (const material of [matt, light]) if (material.listParents().length < 2) material.dispose();
  const root = document.getRoot();
  for (const extension of root.listExtensionsUsed()) {
    const uses =
      extension.extensionName === 'EXT_mesh_gpu_instancing'
        ? root.listNodes().some((node) => node.getExtension(extension.extensionName))
        : root.listMaterials().length > 0 && root.listMaterials().includes(light);
    if (!uses) extension.dispose();
  }
  const io = new WebIO().registerExtensions([EXTMeshGPUInstancing, KHRMaterialsUnlit]);
  return Uint8Array.from(await io.writeBinary(document));
}
