import { layerLinks, worldOf, pipelineOf } from '../core/world/layers';
import type { Drawing, Frames, Part } from '../core/layers/drawing';
import * as THREE from 'three';
import { joinSources } from '../core/kernel/kernel';
import { sources as apertureSources } from '../core/lens/aperture.gen';
import type { Mesh } from '../core/solids/mesh';
import { relink, type Relinked } from '../core/layers/links/neighbours';
import { layerEchoes, shownPhase, type Pipeline } from '../core/world/pipeline';
import { definitionOf, type Layer } from '../core/layers/kinds';
import { gradientTable, type Gradient } from '../core/colour/colour';
import type { Piece } from '../core/piece/schema';
import { sources as hashSources } from '../core/random/hash.gen';
import { SPRITE_INDEX } from '../core/layers/base';
import { ADDITIVE, bareGeometry, constants, rawMaterial, type Quad } from './gl/quad';
import bodiesFragment from './passes/bodies/bodies.frag.glsl?raw';
import bodiesVertex from './passes/bodies/bodies.vert.glsl?raw';
import shadeSource from './passes/bodies/shade.glsl?raw';
import skySource from './passes/sky/sky.glsl?raw';
import { vertexProgram } from './passes/elements/compose';
import { ElementPass, feed, releaseTables, uniformsOf } from './passes/elements/elements';
import segmentsFragment from './passes/segments/segments.frag.glsl?raw';
import segmentsVertex from './passes/segments/segments.vert.glsl?raw';
import smallFragment from './passes/sprites/small.frag.glsl?raw';
import { showPicture } from './passes/sprites/picture';
import spritesFragment from './passes/sprites/sprites.frag.glsl?raw';
import spritesVertex from './passes/sprites/sprites.vert.glsl?raw';
import surfaceFragment from './passes/surface/surface.frag.glsl?raw';
import surfaceVertex from './passes/surface/surface.vert.glsl?raw';
import viewSource from './passes/view.glsl?raw';

/** Radius in pixels under which particles are drawn by the cheap program: see sprites.vert.glsl. */
export const SMALL_PX = 4;

type Uniforms = Record<string, THREE.IUniform>;

/** Something drawn once per visible tile. */
export interface DrawnObject {
  as: Drawing['as'];
  object: THREE.Mesh | THREE.Points;
  /** the same particles where they are under four pixels: see sprites.vert.glsl */
  small?: THREE.Points;
  /** a simpler form of the same bodies, beyond some metres */
  coarse?: { object: THREE.Mesh; beyond: number };
  uniforms: Uniforms;
  /** first element of the bodies */
  first: number;
  /** stretches that are drawn or left out together */
  parts: readonly Part[];
  /** the frames in which it is there at all; null for always */
  shown: Frames | null;
}

/** One moment a layer is shown at, as textures. */
interface Moment {
  open: THREE.Texture[];
  close: THREE.Texture[];
  light: number;
  fade: number;
  openPhase: number;
  closePhase: number;
}

const WHOLE: readonly Part[] = [{ from: 0, to: 1, first: 0, count: Infinity }];

const sharedNames = ['uOpenPlace', 'uClosePlace', 'uOpenLook', 'uTileOffset', 'uLight'] as const;
const bodyNames = ['uOpenTurn', 'uCloseTurn', 'uOpenMark', 'uMaterial', 'uFade', 'uLap'] as const;

export const isSolid = (as: Drawing['as']): boolean => as === 'surface' || as === 'bodies';

/** A sky is drawn behind everything, not as an object. */
const isObject = (drawing: Drawing): drawing is Exclude<Drawing, { as: 'dome' }> => drawing.as !== 'dome';

const attribute = (array: Float32Array, width: number): THREE.BufferAttribute =>
  new THREE.BufferAttribute(array, width);

function spritesObject(drawing: Extract<Drawing, { as: 'sprites' }>, uniforms: Uniforms) {
  uniforms.uSoftness = { value: 0 };
  uniforms.uSprite = { value: 0 };
  for (const name of ['uSpritePicture', 'uSpriteGain', 'uSpriteTint'] as const) uniforms[name] = { value: null };
  const aperture = joinSources(apertureSources);
  const sprites = constants('SPRITE', SPRITE_INDEX);
  const vertex = `#define SMALL_PX ${SMALL_PX.toFixed(1)}\n${sprites}${aperture}${viewSource}${spritesVertex}`;
  const geometry = bareGeometry(0, drawing.order);
  const large = rawMaterial(vertex, sprites + aperture + spritesFragment, uniforms, ADDITIVE);
  const small = rawMaterial(`#define SMALL\n${vertex}`, smallFragment, uniforms, ADDITIVE);
  return { parts: drawing.parts, object: new THREE.Points(geometry, large), small: new THREE.Points(geometry, small) };
}

function segmentsObject(drawing: Extract<Drawing, { as: 'segments' }>, uniforms: Uniforms) {
  uniforms.uWidth = { value: 0 };
  const geometry = new THREE.InstancedBufferGeometry();
  geometry.setIndex([0, 1, 2, 2, 1, 3]);
  const pairs = new THREE.InstancedBufferAttribute(drawing.pairs, 2);
  pairs.gpuType = THREE.IntType;
  geometry.setAttribute('aPair', pairs);
  geometry.instanceCount = drawing.pairs.length / 2;
  const options = { ...ADDITIVE, side: THREE.DoubleSide };
  const material = rawMaterial(viewSource + segmentsVertex, segmentsFragment, uniforms, options);
  return { parts: WHOLE, object: new THREE.Mesh(geometry, material) };
}

/** Lines of a net are listed anew every frame; the buffers grow when they must. */
function linksObject(uniforms: Uniforms) {
  const names = ['uOpenPlaceB', 'uClosePlaceB', 'uOpenLookB', 'uLinkGradient', 'uFalloff', 'uThickness', 'uTile'];
  // its ends and its light are its own: the net's points are drawn with others
  for (const name of [...names, 'uOpenPlace', 'uClosePlace', 'uOpenLook', 'uLight']) uniforms[name] = { value: null };
  const geometry = new THREE.InstancedBufferGeometry();
  geometry.setIndex([0, 1, 2, 2, 1, 3]);
  geometry.instanceCount = 0;
  const options = { ...ADDITIVE, side: THREE.DoubleSide };
  const vertex = `#define LINKS\n${viewSource}${segmentsVertex}`;
  return { parts: WHOLE, object: new THREE.Mesh(geometry, rawMaterial(vertex, segmentsFragment, uniforms, options)) };
}

function fillLinks(geometry: THREE.InstancedBufferGeometry, { count, pairs, marks }: Relinked): void {
  const room = geometry.getAttribute('aPair') as THREE.InstancedBufferAttribute | undefined;
  if (!room || room.count < count) {
    const most = Math.max(256, Math.ceil(count * 1.3));
    const pair = new THREE.InstancedBufferAttribute(new Uint32Array(most * 2), 2);
    pair.gpuType = THREE.IntType;
    geometry.deleteAttribute('aPair').deleteAttribute('aMark');
    geometry.setAttribute('aPair', pair.setUsage(THREE.DynamicDrawUsage));
    const mark = new THREE.InstancedBufferAttribute(new Float32Array(most * 3), 3);
    geometry.setAttribute('aMark', mark.setUsage(THREE.DynamicDrawUsage));
  }
  for (const [name, values] of [
    ['aPair', pairs],
    ['aMark', marks],
  ] as const) {
    const attribute = geometry.getAttribute(name) as THREE.InstancedBufferAttribute;
    attribute.array.set(values);
    attribute.clearUpdateRanges();
    attribute.addUpdateRange(0, values.length);
    attribute.needsUpdate = true;
  }
  geometry.instanceCount = count;
}

/** What shading matter needs in front of it. */
const LIT = joinSources(hashSources) + skySource + shadeSource;

const SOLID: Partial<THREE.ShaderMaterialParameters> = { depthTest: true, depthWrite: true };

function surfaceObject(drawing: Extract<Drawing, { as: 'surface' }>, uniforms: Uniforms) {
  const options = { ...SOLID, side: THREE.DoubleSide };
  const smooth = drawing.smooth ? '#define SMOOTH\n' : '';
  if (drawing.smooth) {
    for (const name of [...bodyNames, 'uRipple', 'uRippleTile'] as const) uniforms[name] ??= { value: null };
    uniforms.uMaterial.value = new THREE.Vector4();
    uniforms.uRipple.value = new THREE.Vector3();
    uniforms.uRippleTile.value = 0;
  }
  const shading = drawing.smooth ? LIT : '';
  const material = rawMaterial(
    smooth + viewSource + surfaceVertex,
    smooth + shading + viewSource + surfaceFragment,
    uniforms,
    options,
  );
  return { parts: WHOLE, object: new THREE.Mesh(bareGeometry(0, drawing.triangles), material) };
}

function bodiesObject(drawing: Extract<Drawing, { as: 'bodies' }>, uniforms: Uniforms, pipeline: Pipeline) {
  Object.assign(uniforms, uniformsOf([...pipeline.piece, ...pipeline.space]));
  for (const name of bodyNames) uniforms[name] ??= { value: null };
  uniforms.uFirst = { value: drawing.first };
  (uniforms.uMaterial as THREE.IUniform<unknown>).value = new THREE.Vector4();
  const vertex = vertexProgram(pipeline) + viewSource + bodiesVertex;
  const side = drawing.mesh.open ? THREE.DoubleSide : THREE.FrontSide;
  const material = rawMaterial(vertex, LIT + viewSource + bodiesFragment, uniforms, { ...SOLID, side });
  const object = new THREE.Mesh(bodiesGeometry(drawing.mesh, drawing.count), material);
  const coarse = drawing.coarse && new THREE.Mesh(bodiesGeometry(drawing.coarse.mesh, drawing.count), material);
  return {
    parts: drawing.parts ?? WHOLE,
    object,
    ...(coarse && drawing.coarse ? { coarse: { object: coarse, beyond: drawing.coarse.beyond } } : {}),
  };
}

function bodiesGeometry(mesh: Mesh, count: number): THREE.InstancedBufferGeometry {
  const geometry = new THREE.InstancedBufferGeometry();
  geometry.setIndex(new THREE.BufferAttribute(mesh.index, 1));
  geometry.setAttribute('aPosition', attribute(mesh.position, 3));
  geometry.setAttribute('aNormal', attribute(mesh.normal, 3));
  geometry.setAttribute('aPiece', attribute(mesh.piece ?? new Float32Array((mesh.position.length / 3) * 4), 4));
  geometry.instanceCount = count;
  return geometry;
}

function gradientTexture(): THREE.DataTexture {
  const texture = new THREE.DataTexture(new Float32Array(256 * 4), 256, 1, THREE.RGBAFormat, THREE.FloatType);
  texture.magFilter = texture.minFilter = THREE.LinearFilter;
  return texture;
}

/** Writes a gradient into its texture, unless it holds it already. */
function fillGradient(texture: THREE.DataTexture, gradient: Gradient): void {
  const key = JSON.stringify(gradient);
  if (texture.name === key) return;
  texture.name = key;
  (texture.image.data as Float32Array).set(gradientTable(gradient));
  texture.needsUpdate = true;
}

/** Phases at which the shutter opens, of the frame itself, and at which it closes; not wrapped. */
export type Phases = readonly [number, number, number];

/** What the GPU holds for one layer. Rebuilt only when what its rest elements depend on changes. */
export class LayerObjects {
  readonly elements: ElementPass;
  readonly drawn: DrawnObject[];
  private readonly gradient: THREE.DataTexture;
  private moments: Moment[] = [];
  /** where the first ends of links are, when those are another layer's elements */
  private ends: Pick<Moment, 'open' | 'close'> | null = null;
  private linkLight = 0;
  private linkGradient: THREE.DataTexture | null = null;
  private pipeline: Pipeline;

  /** how often rest elements were made anew, for the benches */
  static builds = 0;

  private constructor(
    readonly structure: string,
    piece: Piece,
    layer: Layer,
    share: number,
    view: Uniforms,
    pipeline: Pipeline,
  ) {
    LayerObjects.builds++;
    this.pipeline = pipeline;
    const definition = definitionOf(layer.kind);
    const context = worldOf(piece);
    const bodies = definition.bodies?.(layer) === true;
    this.gradient = gradientTexture();
    const drawings = definition.drawings(layer, share, context);
    const turned = bodies || drawings.some((drawing) => drawing.as === 'surface' && drawing.smooth);
    this.elements = new ElementPass(
      pipeline,
      definition.elementCount(layer, share, context),
      this.gradient,
      bodies,
      turned,
      definition.rest?.(layer, context, share) ?? null,
    );
    const own = Object.fromEntries(
      [...sharedNames, ...(turned ? bodyNames : [])].map((name) => [name, { value: null as unknown }]),
    );
    this.drawn = drawings.filter(isObject).map((drawing): DrawnObject => {
      const uniforms: Uniforms = { ...view, ...own };
      const first = drawing.as === 'bodies' ? drawing.first : 0;
      const made =
        drawing.as === 'sprites'
          ? spritesObject(drawing, uniforms)
          : drawing.as === 'segments'
            ? segmentsObject(drawing, uniforms)
            : drawing.as === 'links'
              ? linksObject(uniforms)
              : drawing.as === 'surface'
                ? surfaceObject(drawing, uniforms)
                : bodiesObject(drawing, uniforms, pipeline);
      return { as: drawing.as, uniforms, first, shown: drawing.as === 'bodies' ? drawing.shown : null, ...made };
    });
  }

  /** The objects of a layer: those given, when they still fit, or new ones. */
  static fitting(
    previous: LayerObjects | undefined,
    piece: Piece,
    layer: Layer,
    share: number,
    view: Uniforms,
  ): LayerObjects {
    const definition = definitionOf(layer.kind);
    const pipeline = pipelineOf(piece, layer, share);
    const context = worldOf(piece);
    const structure = JSON.stringify([
      layer.kind,
      definition.elementCount(layer, share, context),
      definition.structure(layer, context),
      definition.restKey?.(layer, context, share) ?? (definition.rest && piece.tile),
      pipeline.structure,
    ]);
    if (previous?.structure !== structure) {
      previous?.dispose();
      return new LayerObjects(structure, piece, layer, share, view, pipeline);
    }
    previous.pipeline = pipeline;
    return previous;
  }

  get solid(): boolean {
    return this.drawn.some(({ as }) => isSolid(as));
  }

  /** Moves the elements to where they are when the shutter opens and closes. Uploads uniforms only. */
  update(
    renderer: THREE.WebGLRenderer,
    quad: Quad,
    piece: Piece,
    layer: Layer,
    [openPhase, phase, closePhase]: Phases,
  ): void {
    const definition = definitionOf(layer.kind);
    const { frames } = piece.lap;
    fillGradient(this.gradient, definition.gradient(layer));
    const additive = definition.bodies?.(layer) !== true;
    this.moments = layerEchoes(layer, phase, frames).map(({ behind, light, of }, echo): Moment => {
      const held = (at: number): number => shownPhase(layer, at - behind, phase - behind, frames);
      const [first, last] = [held(openPhase), held(closePhase)];
      const open = this.elements.run(renderer, quad, echo * 2, this.pipeline, first, of);
      const close = last === first ? open : this.elements.run(renderer, quad, echo * 2 + 1, this.pipeline, last, of);
      return {
        open: open.textures,
        close: close.textures,
        light: definition.light(layer, held(phase)) * (additive ? light : 1),
        fade: light,
        openPhase: first,
        closePhase: last,
      };
    });
    const look = definition.look(layer);
    const { metal, rough, glow, film } = look.matter;
    for (const { uniforms } of this.drawn) {
      if (uniforms.uSoftness) uniforms.uSoftness.value = look.softness;
      if (uniforms.uSprite) {
        uniforms.uSprite.value = look.sprite;
        showPicture(uniforms, look.sprite === SPRITE_INDEX.picture ? (look.picture ?? '') : null);
      }
      if (uniforms.uWidth) uniforms.uWidth.value = look.lineWidth;
      if (uniforms.uRipple) {
        const { strength = 0, size = 1, cycles = 0 } = look.ripple ?? {};
        (uniforms.uRipple.value as THREE.Vector3).set(strength, 1 / size, cycles);
        uniforms.uRippleTile.value = Math.max(1, Math.round(piece.tile / size)) / piece.tile;
      }
      if (uniforms.uMaterial) (uniforms.uMaterial.value as THREE.Vector4).set(metal, rough, glow, film);
    }
  }

  /**
   * Links its points anew for this frame. Every layer it names must have been updated.
   * @param objectsOf the objects of a layer by id
   */
  link(
    piece: Piece,
    layer: Layer,
    phases: Phases,
    shareOf: (layer: Layer) => number,
    objectsOf: (id: string) => LayerObjects | undefined,
  ): void {
    const { linking: linkingOf, madeOf } = definitionOf(layer.kind);
    const linking = linkingOf?.(layer, phases[1]);
    if (!linking) return;
    const [first = null, second = null] = madeOf?.(layer) ?? [];
    const from = first === null ? this : objectsOf(first);
    const to = second === null ? from : objectsOf(second);
    for (const { as, object, uniforms } of this.drawn) {
      if (as !== 'links' || !from || !to) continue;
      const [openPhase, phase, closePhase] = phases;
      const open = layerLinks(piece, layer, openPhase, shareOf, phase);
      const close = closePhase === openPhase ? open : layerLinks(piece, layer, closePhase, shareOf, phase);
      fillLinks(object.geometry as THREE.InstancedBufferGeometry, relink(open, close));
      const [start, end] = [from.moments[0], to.moments[0]];
      this.ends = { open: start.open, close: start.close };
      uniforms.uOpenPlaceB.value = end.open[0];
      uniforms.uClosePlaceB.value = end.close[0];
      uniforms.uOpenLookB.value = end.open[1];
      uniforms.uFalloff.value = linking.falloff;
      uniforms.uThickness.value = linking.thickness;
      uniforms.uTile.value = piece.tile;
      this.linkLight = linking.light;
      this.linkGradient ??= gradientTexture();
      fillGradient(this.linkGradient, linking.gradient);
      uniforms.uLinkGradient.value = this.linkGradient;
    }
  }

  /** Colours of its gradient, for a sky. */
  get colours(): THREE.Texture {
    return this.gradient;
  }

  /** How many moments the layer is shown at. */
  get momentCount(): number {
    return this.moments.length;
  }

  /** Makes its objects show one of the layer's moments, at a time 0..1 of the open shutter. */
  show(index: number, time: number): void {
    const moment = this.moments[index];
    const phase = moment.openPhase + (moment.closePhase - moment.openPhase) * time;
    for (const { uniforms, as } of this.drawn) {
      uniforms.uOpenPlace.value = moment.open[0];
      uniforms.uOpenLook.value = moment.open[1];
      uniforms.uClosePlace.value = moment.close[0];
      uniforms.uLight.value = moment.light;
      if (as === 'links' && this.ends) {
        uniforms.uOpenPlace.value = this.ends.open[0];
        uniforms.uOpenLook.value = this.ends.open[1];
        uniforms.uClosePlace.value = this.ends.close[0];
        uniforms.uLight.value = this.linkLight;
      }
      if (!uniforms.uOpenTurn) continue;
      uniforms.uOpenTurn.value = moment.open[2];
      uniforms.uCloseTurn.value = moment.close[2];
      uniforms.uOpenMark.value = moment.open[3];
      uniforms.uFade.value = moment.fade;
      uniforms.uLap.value = phase;
      if (as === 'bodies') feed(uniforms, [...this.pipeline.piece, ...this.pipeline.space], phase);
    }
  }

  dispose(): void {
    this.elements.dispose();
    this.gradient.dispose();
    this.linkGradient?.dispose();
    for (const { object, small, coarse, uniforms } of this.drawn) {
      releaseTables(uniforms);
      if (uniforms.uSprite) showPicture(uniforms, null);
      object.geometry.dispose();
      coarse?.object.geometry.dispose();
      (object.material as THREE.Material).dispose();
      (small?.material as THREE.Material | undefined)?.dispose();
    }
  }
}
