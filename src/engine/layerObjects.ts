import * as THREE from 'three';
import { layerContext } from '../core/layers/batch';
import type { Part } from '../core/layers/definition';
import { definitionOf, type Layer } from '../core/layers/registry';
import { gradientTable } from '../core/look/colour';
import { source as apertureSource } from '../core/lens/aperture.gen';
import type { Piece } from '../core/piece/schema';
import { ADDITIVE, bareGeometry, rawMaterial, type Quad } from './gl/quad';
import { ElementPass } from './passes/elements/elements';
import segmentsFragment from './passes/segments/segments.frag.glsl?raw';
import segmentsVertex from './passes/segments/segments.vert.glsl?raw';
import smallFragment from './passes/sprites/small.frag.glsl?raw';
import spritesFragment from './passes/sprites/sprites.frag.glsl?raw';
import spritesVertex from './passes/sprites/sprites.vert.glsl?raw';
import surfaceFragment from './passes/surface/surface.frag.glsl?raw';
import surfaceVertex from './passes/surface/surface.vert.glsl?raw';
import viewSource from './passes/view.glsl?raw';

/** Radius in pixels under which particles are drawn by the cheap program: see sprites.vert.glsl. */
export const SMALL_PX = 4;

/** Something drawn once per visible tile. */
export interface DrawnObject {
  as: 'sprites' | 'segments' | 'surface';
  object: THREE.Mesh | THREE.Points;
  /** the same particles where they are under four pixels: see sprites.vert.glsl */
  small?: THREE.Points;
  uniforms: Record<string, THREE.IUniform>;
  /** stretches that are drawn or left out together */
  parts: readonly Part[];
}

const WHOLE: readonly Part[] = [{ from: 0, to: 1, first: 0, count: Infinity }];

const sharedNames = ['uOpenPlace', 'uClosePlace', 'uOpenLook', 'uTileOffset', 'uLight'] as const;

/** What the GPU holds for one layer. Rebuilt only when what its rest elements depend on changes. */
export class LayerObjects {
  readonly elements: ElementPass;
  readonly drawn: DrawnObject[];
  private readonly gradient: THREE.DataTexture;
  private gradientKey = '';

  private constructor(
    readonly structure: string,
    layer: Layer,
    share: number,
    view: Record<string, THREE.IUniform>,
  ) {
    const definition = definitionOf(layer.kind);
    this.gradient = new THREE.DataTexture(new Float32Array(256 * 4), 256, 1, THREE.RGBAFormat, THREE.FloatType);
    this.gradient.magFilter = this.gradient.minFilter = THREE.LinearFilter;
    this.elements = new ElementPass(definition.kernel, definition.elementCount(layer, share), this.gradient);
    const own = Object.fromEntries(sharedNames.map((name) => [name, { value: null as unknown }]));
    this.drawn = definition.drawings(layer, share).map((drawing): DrawnObject => {
      const uniforms: Record<string, THREE.IUniform> = { ...view, ...own };
      if (drawing.as === 'sprites') {
        uniforms.uSoftness = { value: 0 };
        const vertex = `#define SMALL_PX ${SMALL_PX.toFixed(1)}\n` + apertureSource + viewSource + spritesVertex;
        const geometry = bareGeometry(0, drawing.order);
        const large = rawMaterial(vertex, apertureSource + spritesFragment, uniforms, ADDITIVE);
        const small = rawMaterial(`#define SMALL\n${vertex}`, smallFragment, uniforms, ADDITIVE);
        return {
          as: 'sprites',
          uniforms,
          parts: drawing.parts,
          object: new THREE.Points(geometry, large),
          small: new THREE.Points(geometry, small),
        };
      }
      if (drawing.as === 'segments') {
        uniforms.uWidth = { value: 0 };
        const geometry = new THREE.InstancedBufferGeometry();
        geometry.setIndex([0, 1, 2, 2, 1, 3]);
        const pairs = new THREE.InstancedBufferAttribute(drawing.pairs, 2);
        pairs.gpuType = THREE.IntType;
        geometry.setAttribute('aPair', pairs);
        geometry.instanceCount = drawing.pairs.length / 2;
        const material = rawMaterial(viewSource + segmentsVertex, segmentsFragment, uniforms, {
          ...ADDITIVE,
          side: THREE.DoubleSide,
        });
        return { as: 'segments', uniforms, parts: WHOLE, object: new THREE.Mesh(geometry, material) };
      }
      const material = rawMaterial(viewSource + surfaceVertex, viewSource + surfaceFragment, uniforms, {
        depthTest: true,
        depthWrite: true,
        side: THREE.DoubleSide,
      });
      return {
        as: 'surface',
        uniforms,
        parts: WHOLE,
        object: new THREE.Mesh(bareGeometry(0, drawing.triangles), material),
      };
    });
  }

  /** The objects of a layer: those given, when they still fit, or new ones. */
  static fitting(
    previous: LayerObjects | undefined,
    layer: Layer,
    share: number,
    view: Record<string, THREE.IUniform>,
  ): LayerObjects {
    const definition = definitionOf(layer.kind);
    const structure = JSON.stringify([layer.kind, definition.elementCount(layer, share), definition.structure(layer)]);
    if (previous?.structure === structure) return previous;
    previous?.dispose();
    return new LayerObjects(structure, layer, share, view);
  }

  /** Moves the elements to where they are when the shutter opens and closes. Uploads uniforms only. */
  update(
    renderer: THREE.WebGLRenderer,
    quad: Quad,
    piece: Piece,
    layer: Layer,
    share: number,
    phases: [number, number, number],
  ): void {
    const definition = definitionOf(layer.kind);
    const context = layerContext(piece);
    const [openPhase, phase, closePhase] = phases;
    const gradientKey = JSON.stringify(definition.gradient(layer));
    if (gradientKey !== this.gradientKey) {
      this.gradientKey = gradientKey;
      (this.gradient.image.data as Float32Array).set(gradientTable(definition.gradient(layer)));
      this.gradient.needsUpdate = true;
    }
    const open = this.elements.run(renderer, quad, 0, definition.values(layer, context, openPhase, share));
    const close =
      closePhase === openPhase
        ? open
        : this.elements.run(renderer, quad, 1, definition.values(layer, context, closePhase, share));
    const look = definition.look(layer);
    for (const { uniforms } of this.drawn) {
      uniforms.uOpenPlace.value = open.textures[0];
      uniforms.uOpenLook.value = open.textures[1];
      uniforms.uClosePlace.value = close.textures[0];
      uniforms.uLight.value = definition.light(layer, phase);
      if (uniforms.uSoftness) uniforms.uSoftness.value = look.softness;
      if (uniforms.uWidth) uniforms.uWidth.value = look.lineWidth;
    }
  }

  dispose(): void {
    this.elements.dispose();
    this.gradient.dispose();
    for (const { object, small } of this.drawn) {
      object.geometry.dispose();
      (object.material as THREE.Material).dispose();
      (small?.material as THREE.Material | undefined)?.dispose();
    }
  }
}
