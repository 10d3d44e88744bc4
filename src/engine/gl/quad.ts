import * as THREE from 'three';
import fullscreenVertex from './fullscreen.vert.glsl?raw';

const HEAD = 'precision highp float;\nprecision highp int;\nprecision highp sampler2D;\n';

/** A raw GLSL ES 3.00 material with the precision our passes need. */
export function rawMaterial(
  vertex: string,
  fragment: string,
  uniforms: Record<string, THREE.IUniform>,
  options: Partial<THREE.ShaderMaterialParameters> = {},
): THREE.RawShaderMaterial {
  return new THREE.RawShaderMaterial({
    glslVersion: THREE.GLSL3,
    vertexShader: HEAD + vertex,
    fragmentShader: HEAD + fragment,
    uniforms,
    depthTest: false,
    depthWrite: false,
    blending: THREE.NoBlending,
    toneMapped: false,
    ...options,
  });
}

/** Gives a raw material another fragment program, made when it is drawn next. */
export function setFragment(material: THREE.RawShaderMaterial, fragment: string): void {
  material.fragmentShader = HEAD + fragment;
  material.needsUpdate = true;
}

/** The same of its vertex program. */
export function setVertex(material: THREE.RawShaderMaterial, vertex: string): void {
  material.vertexShader = HEAD + vertex;
  material.needsUpdate = true;
}

/** The numbers of some choices as GLSL, each as PREFIX_NAME: so that no number is written twice. */
export const constants = (prefix: string, numbers: Readonly<Record<string, number>>): string =>
  Object.entries(numbers)
    .map(([name, n]) => `const int ${prefix}_${name.toUpperCase()} = ${n};\n`)
    .join('');

export const fullscreenMaterial = (
  fragment: string,
  uniforms: Record<string, THREE.IUniform>,
  options: Partial<THREE.ShaderMaterialParameters> = {},
): THREE.RawShaderMaterial => rawMaterial(fullscreenVertex, fragment, uniforms, options);

/** Adds what is drawn to what is there: red, green, blue and alpha alike. */
export const ADDITIVE: Partial<THREE.ShaderMaterialParameters> = {
  blending: THREE.CustomBlending,
  blendEquation: THREE.AddEquation,
  blendSrc: THREE.OneFactor,
  blendDst: THREE.OneFactor,
  blendSrcAlpha: THREE.OneFactor,
  blendDstAlpha: THREE.OneFactor,
};

/** Geometry without attributes: vertices are made from gl_VertexID, or from the index when one is given. */
export function bareGeometry(vertices: number, index: Uint32Array | null = null): THREE.BufferGeometry {
  const geometry = new THREE.BufferGeometry();
  if (index) geometry.setIndex(new THREE.BufferAttribute(index, 1));
  geometry.setDrawRange(0, index ? index.length : vertices);
  return geometry;
}

/** Draws single objects into targets. three wants a scene and a camera; ours hold nothing else. */
export class Stage {
  private readonly scene = new THREE.Scene();
  private readonly camera = new THREE.Camera();

  constructor() {
    this.scene.matrixAutoUpdate = false;
    this.scene.matrixWorldAutoUpdate = false;
  }

  draw(renderer: THREE.WebGLRenderer, object: THREE.Object3D, target: THREE.WebGLRenderTarget | null): void {
    object.frustumCulled = false;
    this.scene.children = [object];
    renderer.setRenderTarget(target);
    renderer.render(this.scene, this.camera);
    this.scene.children = [];
  }

  /** Draws an object with each of some geometries that has instances. */
  drawInstances(
    renderer: THREE.WebGLRenderer,
    object: THREE.Mesh<THREE.BufferGeometry, THREE.Material>,
    geometries: readonly THREE.InstancedBufferGeometry[],
    target: THREE.WebGLRenderTarget | null,
  ): void {
    for (const geometry of geometries) {
      if (geometry.instanceCount === 0) continue;
      object.geometry = geometry;
      this.draw(renderer, object, target);
    }
  }
}

/** Full-screen passes. */
export class Quad {
  private readonly mesh = new THREE.Mesh(bareGeometry(3));

  constructor(private readonly stage: Stage) {}

  draw(renderer: THREE.WebGLRenderer, material: THREE.Material, target: THREE.WebGLRenderTarget | null): void {
    this.mesh.material = material;
    this.stage.draw(renderer, this.mesh, target);
  }
}
