import { layerExtent } from '../core/world/layers';
import { within } from '../core/layers/drawing';
import * as THREE from 'three';
import { definitionOf, type Layer } from '../core/layers/kinds';
import { bladesAt } from '../core/flight/form';
import { apertureCells, type LensPass } from '../core/lens/cells';
import { exposedPiece, exposureOf } from '../core/world/exposed';
import { blurRadiusPx } from '../core/lens/optics';
import { hexToLinear } from '../core/colour/colour';
import { joinSources } from '../core/kernel/kernel';
import type { Piece } from '../core/piece/schema';
import { sources as hashSources } from '../core/random/hash.gen';
import { evaluateAnimated } from '../core/time/animated';
import { shotAt, viewMatrix, type Shot } from './camera';
import { ADDITIVE, fullscreenMaterial, Quad, Stage } from './gl/quad';
import { isSolid, LayerObjects, SMALL_PX, type DrawnObject, type Phases } from './layerObjects';
import { EffectComposer } from './effects/chain';
import type { Need } from './effects/program';
import addFragment from './passes/resolve/add.frag.glsl?raw';
import backdropFragment from './passes/resolve/backdrop.frag.glsl?raw';
import skySource from './passes/sky/sky.glsl?raw';
import resolveFragment from './passes/resolve/resolve.frag.glsl?raw';
import { LEVELS, Targets } from './targets';
import { frameAt } from '../core/time/lap';
import { visibleParts } from './visible';
import { Trouble } from '../core/trouble';

export interface FrameRequest {
  /** position in the lap; any real */
  phase: number;
  /** index within the lap, for grain and dither */
  frameIndex: number;
  width: number;
  height: number;
  /** a power of two from 1 to 256 */
  passes: number;
  /** draw each layer's working count instead of its final one */
  working: boolean;
  /** grain and dither; off for measuring */
  texture: boolean;
  /** elements' own motion while the shutter is open; a live frame may leave it to the camera's */
  elementMotion: boolean;
}

/** Blur radius in pixels from which light is drawn into a half-size target; doubles per level. */
const CRISP_PX = 10;
/** What a frame holds for effects besides its light. */
const OFFERS: ReadonlySet<Need> = new Set(['neighbours']);
/** Slices of the shutter in which small particles are drawn when nothing solid can hide them. */
const SMALL_SLICES = 4;

interface ShownLayer {
  layer: Layer;
  objects: LayerObjects;
}

/** Every object of every layer that is there at this phase, once for each moment it is shown at. */
function eachDrawn(
  layers: readonly ShownLayer[],
  time: number,
  phase: number,
  frames: number,
  draw: (layer: Layer, drawn: DrawnObject) => void,
): void {
  const frame = frameAt(phase, frames);
  for (const { layer, objects } of layers)
    for (let moment = 0; moment < objects.momentCount; moment++) {
      objects.show(moment, time);
      for (const drawn of objects.drawn)
        if (within(drawn.shown, frame, frames) && !(drawn.as === 'links' && moment > 0)) draw(layer, drawn);
    }
}

/**
 * Draws a piece at a phase. Everything on screen is a function of (piece, request): no frame depends on the one before,
 * so any frame can be drawn alone, in any order, to the same bytes.
 */
export class Renderer {
  readonly three: THREE.WebGLRenderer;
  private readonly effects: EffectComposer;
  private readonly stage = new Stage();
  private readonly quad = new Quad(this.stage);
  private targets: Targets | null = null;
  private piece: Piece | null = null;
  private readonly objects = new Map<string, LayerObjects>();
  private wasLost = false;
  private losing = false;

  private readonly view: Record<string, THREE.IUniform> = {
    uPicture: { value: new THREE.Vector2() },
    uPixelFocal: { value: 1 },
    uApertureHalf: { value: 0 },
    uFocus: { value: 1 },
    uFlat: { value: 0 },
    uAir: { value: new THREE.Vector4() },
    uViewOpen: { value: new THREE.Matrix4() },
    uViewMid: { value: new THREE.Matrix4() },
    uViewClose: { value: new THREE.Matrix4() },
    uView: { value: new THREE.Matrix4() },
    uTime: { value: 0.5 },
    uPass: { value: new THREE.Vector4() },
    uShare: { value: 1 },
    uSmallSlices: { value: 1 },
    uAperture: { value: new THREE.Vector4() },
    uLevel: { value: new THREE.Vector4() },
    uLens: { value: new THREE.Vector2() },
    uJitter: { value: new THREE.Vector2() },
    uMatter: { value: null },
    uSolid: { value: false },
    uFogColour: { value: new THREE.Vector3() },
    uKey: { value: new THREE.Vector3() },
    uFill: { value: new THREE.Vector3() },
    uRim: { value: new THREE.Vector3() },
    uSurround: { value: 1 },
    uSkyGradient: { value: null },
    uSky: { value: new THREE.Vector4() },
    uStars: { value: new THREE.Vector4() },
    uSkySeed: { value: 0 },
  };

  private readonly backdrop = fullscreenMaterial(joinSources(hashSources) + skySource + backdropFragment, {
    ...this.view,
    uCentre: { value: new THREE.Vector3() },
    uEdge: { value: new THREE.Vector3() },
  });
  private readonly add = fullscreenMaterial(addFragment, { uSource: { value: null }, uShare: { value: 1 } }, ADDITIVE);
  private readonly resolve = fullscreenMaterial(resolveFragment, {
    uFull: { value: null },
    uHalf: { value: null },
    uQuarter: { value: null },
    uEighth: { value: null },
    uUsed: { value: [false, false, false] },
    uBackdrop: { value: true },
    uCentre: this.backdrop.uniforms.uCentre,
    uEdge: this.backdrop.uniforms.uEdge,
    uPicture: this.view.uPicture,
  });

  /**
   * @param canvas drawn to by {@link draw}; its size follows the request
   * @throws Error when the browser gives no WebGL2 context with float targets
   */
  constructor(readonly canvas: OffscreenCanvas) {
    const context = canvas.getContext('webgl2', {
      alpha: false,
      antialias: false,
      depth: false,
      powerPreference: 'high-performance',
      preserveDrawingBuffer: true,
    });
    if (!context) throw new Trouble('no-webgl2', 'this browser offers no WebGL2');
    if (context.isContextLost()) throw new Trouble('context-lost', 'the graphics driver has taken its context away');
    if (!context.getExtension('EXT_color_buffer_float') || !context.getExtension('OES_texture_float_linear'))
      throw new Trouble('no-float-targets', 'this graphics driver cannot draw into floating-point pictures');
    canvas.addEventListener('webglcontextlost', this.noteLoss);
    context.getExtension('EXT_float_blend');
    this.three = new THREE.WebGLRenderer({ canvas, context });
    this.three.autoClear = false;
    this.three.outputColorSpace = THREE.LinearSRGBColorSpace;
    this.three.info.autoReset = false;
    this.effects = new EffectComposer({ renderer: this.three, quad: this.quad });
  }

  /** Whether the context was ever taken away since: a renderer does not outlive that, even when the context comes back. */
  get lost(): boolean {
    return this.wasLost || this.three.getContext().isContextLost();
  }

  private readonly noteLoss = (): void => {
    this.wasLost = true;
  };

  /** For tests: the context is lost in the middle of the next frame. */
  loseSoon(): void {
    this.losing = true;
  }

  /** The canvas as encoded sRGB bytes, bottom row first. */
  private readRows(width: number, height: number): Uint8Array {
    const rows = new Uint8Array(width * height * 4);
    const gl = this.three.getContext() as WebGL2RenderingContext;
    this.three.setRenderTarget(null);
    gl.readPixels(0, 0, width, height, gl.RGBA, gl.UNSIGNED_BYTE, rows);
    // the canvas is opaque: bytes that were not written are those of a context that is not there
    if (rows[3] === 0 || rows[rows.length - 1] === 0) this.wasLost = true;
    return rows;
  }

  /** The canvas as encoded sRGB bytes, top row first. */
  readBytes(width: number, height: number): Uint8Array {
    const rows = this.readRows(width, height);
    const out = new Uint8Array(rows.length);
    for (let y = 0; y < height; y++)
      out.set(rows.subarray(y * width * 4, (y + 1) * width * 4), (height - 1 - y) * width * 4);
    return out;
  }

  setPiece(piece: Piece): void {
    this.piece = piece;
    const ids = new Set(piece.layers.map((layer) => layer.id));
    for (const [id, objects] of this.objects)
      if (!ids.has(id)) {
        objects.dispose();
        this.objects.delete(id);
      }
  }

  /** Draws the whole frame to the canvas. */
  draw(request: FrameRequest): void {
    for (const _ of this.drawInSteps(request));
  }

  /** Draws the frame, yielding after every pass; the canvas changes only at the end. */
  *drawInSteps(request: FrameRequest): Generator<number> {
    if (!this.piece) return;
    const piece = exposedPiece(this.piece, exposureOf(this.piece, request.phase));
    const targets = this.prepare(request);
    const shot = shotAt(piece, request.phase, request.width);
    this.setView(piece, shot, request);
    const layers = this.updateLayers(piece, shot, request);
    // a sky is behind everything in every pass, as solid things are
    const sky = this.setSky(layers, request.phase);
    const solid = sky || layers.some(({ objects }) => objects.solid);
    const used = LEVELS.map(() => false);
    for (const target of targets.levels) this.clear(target);
    const passes = apertureCells(
      request.passes,
      bladesAt(piece.flight, request.phase),
      evaluateAnimated(piece.flight.bladeTurn, request.phase) / 360,
      evaluateAnimated(piece.flight.squeeze, request.phase),
    );
    for (let index = 0; index < passes.length; index++) {
      this.drawPass(piece, shot, passes[index], index, passes.length, layers, solid, used, targets);
      if (this.losing) {
        this.losing = false;
        this.three.getContext().getExtension('WEBGL_lose_context')?.loseContext();
      }
      yield (index + 1) / passes.length;
    }
    this.compose(piece, request, targets, solid, used, null);
  }

  /** Moves every layer that is seen, or that a seen net is made of, to this frame; the seen ones are returned. */
  private updateLayers(piece: Piece, shot: Shot, request: FrameRequest): ShownLayer[] {
    const shareOf = (layer: Layer): number => (request.working ? layer.working : 1);
    const phases: Phases = request.elementMotion
      ? [shot.openPhase, request.phase, shot.closePhase]
      : [request.phase, request.phase, request.phase];
    const seen = piece.layers.filter((layer) => !layer.hidden);
    const named = new Set(seen.flatMap((layer) => definitionOf(layer.kind).madeOf?.(layer) ?? []));
    const shown = piece.layers
      .filter((layer) => !layer.hidden || named.has(layer.id))
      .map((layer) => {
        const objects = LayerObjects.fitting(this.objects.get(layer.id), piece, layer, shareOf(layer), this.view);
        this.objects.set(layer.id, objects);
        objects.update(this.three, this.quad, piece, layer, phases);
        return { layer, objects };
      });
    for (const { layer, objects } of shown) objects.link(piece, layer, phases, shareOf, (id) => this.objects.get(id));
    return shown.filter(({ layer }) => !layer.hidden);
  }

  /** The finished picture as floats 0..1, red, green, blue, alpha, bottom row first; without touching the canvas. */
  readPicture(request: FrameRequest): Float32Array {
    this.draw(request);
    const { width, height } = request;
    return Float32Array.from(this.readRows(width, height), (v) => v / 255);
  }

  /** Linear light of the frame before glow and finish, for tests and measurements. */
  readLight(request: FrameRequest): Float32Array {
    this.draw(request);
    const out = new Float32Array(request.width * request.height * 4);
    const { resolved } = this.currentTargets(request);
    this.three.readRenderTargetPixels(resolved, 0, 0, request.width, request.height, out);
    return out;
  }

  /**
   * The elements of one tile as the GPU has them, four numbers an element in each list: position and size; colour times light,
   * and how far it is there; where they turn, rotation; and key and order.
   */
  readElements(layerId: string, phase: number, share = 1): Float32Array[] {
    const layer = this.piece?.layers.find((candidate) => candidate.id === layerId);
    if (!this.piece || !layer) throw new RangeError(`the piece has no layer "${layerId}"`);
    const objects = LayerObjects.fitting(this.objects.get(layerId), this.piece, layer, share, this.view);
    this.objects.set(layerId, objects);
    objects.update(this.three, this.quad, this.piece, layer, [phase, phase, phase]);
    const target = objects.elements.target(0);
    return target.textures.map((_, i) => {
      const out = new Float32Array(target.width * target.height * 4);
      this.three.readRenderTargetPixels(target, 0, 0, target.width, target.height, out, 0, i);
      return out.subarray(0, objects.elements.count * 4);
    });
  }

  /** Waits until the GPU has finished; blocks this worker, never the page. */
  finishGpu(): void {
    const gl = this.three.getContext() as WebGL2RenderingContext;
    gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, new Uint8Array(4));
  }

  private prepare(request: FrameRequest): Targets {
    const { width, height } = request;
    if (this.canvas.width !== width || this.canvas.height !== height) this.three.setSize(width, height, false);
    return this.currentTargets(request);
  }

  private currentTargets({ width, height }: FrameRequest): Targets {
    if (this.targets?.width !== width || this.targets.height !== height) {
      this.targets?.dispose();
      this.targets = new Targets(width, height);
    }
    return this.targets;
  }

  private setView(piece: Piece, shot: Shot, request: FrameRequest): void {
    const { view } = this;
    const { flight, look } = piece;
    (view.uPicture.value as THREE.Vector2).set(request.width, request.height);
    view.uPixelFocal.value = shot.pixelFocal;
    view.uApertureHalf.value = shot.apertureHalfM;
    view.uFocus.value = shot.pose.focusDistance + shot.back;
    view.uFlat.value = shot.flat;
    const fog = evaluateAnimated(look.fogDistance, request.phase);
    (view.uAir.value as THREE.Vector4).set(look.fogStart + shot.back, fog, look.reach + shot.back, look.nearFade);
    (view.uViewOpen.value as THREE.Matrix4).copy(shot.open);
    (view.uViewMid.value as THREE.Matrix4).copy(shot.mid);
    (view.uViewClose.value as THREE.Matrix4).copy(shot.close);
    (view.uFogColour.value as THREE.Vector3).set(...hexToLinear(look.fogColour));
    const rig = evaluateAnimated(look.rig, request.phase);
    for (const [name, hex] of [
      ['uKey', look.rigKey],
      ['uFill', look.rigFill],
      ['uRim', look.rigRim],
    ] as const)
      (view[name].value as THREE.Vector3).set(...hexToLinear(hex)).multiplyScalar(rig);
    view.uSurround.value = look.surround * rig;
    (view.uAperture.value as THREE.Vector4).set(
      bladesAt(flight, request.phase),
      evaluateAnimated(flight.bladeTurn, request.phase) / 360,
      evaluateAnimated(flight.squeeze, request.phase),
      0,
    );
    (this.backdrop.uniforms.uCentre.value as THREE.Vector3).set(...hexToLinear(look.background));
    (this.backdrop.uniforms.uEdge.value as THREE.Vector3).set(...hexToLinear(look.backgroundEdge));
  }

  /** The first sky among the seen layers, if there is one. */
  private setSky(layers: readonly ShownLayer[], phase: number): boolean {
    const { view } = this;
    const found = layers.find(({ layer }) => definitionOf(layer.kind).look(layer).sky);
    const sky = found && definitionOf(found.layer.kind).look(found.layer).sky;
    (view.uSky.value as THREE.Vector4).set(0, 1, 0, 0);
    view.uSkyGradient.value = found?.objects.colours ?? null;
    if (!found || !sky) return false;
    const light = definitionOf(found.layer.kind).light(found.layer, phase);
    // a sky that has gone dark is still there
    (view.uSky.value as THREE.Vector4).set(Math.max(light, 1e-6), sky.tight, sky.clouds, phase * sky.cloudCycles);
    (view.uStars.value as THREE.Vector4).set(sky.stars, sky.starLight, sky.twinkle, phase);
    view.uSkySeed.value = sky.seed;
    return true;
  }

  private drawPass(
    piece: Piece,
    shot: Shot,
    pass: LensPass,
    index: number,
    total: number,
    layers: readonly ShownLayer[],
    solid: boolean,
    used: boolean[],
    targets: Targets,
  ): void {
    const { view } = this;
    (view.uPass.value as THREE.Vector4).set(pass.a, pass.b, pass.t, Math.log2(total));
    (view.uView.value as THREE.Matrix4).copy(
      total === 1 ? shot.mid : viewMatrix(piece, shot.openPhase + (shot.closePhase - shot.openPhase) * pass.t),
    );
    view.uTime.value = pass.t;
    // Without anything solid in the way a small particle's streak is closed form: a few slices of the shutter follow its
    // path as well as all passes would. The first pass of each slice draws it.
    const slices = solid ? total : Math.min(total, SMALL_SLICES);
    view.uSmallSlices.value = slices;
    const drawSmall = index % (total / slices) === 0;
    view.uShare.value = 1 / total;
    (view.uLens.value as THREE.Vector2).set(pass.x * shot.apertureHalfM, pass.y * shot.apertureHalfM);
    (view.uJitter.value as THREE.Vector2).set(total === 1 ? 0 : pass.b - 0.5, total === 1 ? 0 : pass.t - 0.5);
    (view.uAperture.value as THREE.Vector4).w = solid ? 1 : 0;
    view.uMatter.value = null;
    view.uSolid.value = false;
    if (solid) {
      this.quad.draw(this.three, this.backdrop, targets.matter);
      this.three.clearDepth();
      eachDrawn(layers, pass.t, shot.phase, piece.lap.frames, (layer, drawn) => {
        if (isSolid(drawn.as)) this.drawSolid(piece, layer, drawn, shot, targets.matter);
      });
      this.add.uniforms.uSource.value = targets.matter.texture;
      this.add.uniforms.uShare.value = 1 / total;
      this.quad.draw(this.three, this.add, targets.levels[0]);
      view.uMatter.value = targets.matter.texture;
      view.uSolid.value = true;
    }
    eachDrawn(layers, pass.t, shot.phase, piece.lap.frames, (layer, drawn) => {
      if (!isSolid(drawn.as)) this.drawLight(piece, layer, drawn, shot, used, targets, drawSmall);
    });
  }

  private drawSolid(piece: Piece, layer: Layer, drawn: DrawnObject, shot: Shot, target: THREE.WebGLRenderTarget): void {
    for (const { offset, near, part } of visibleParts(piece, layer, shot, drawn.parts)) {
      drawn.uniforms.uTileOffset.value = offset;
      const object = drawn.coarse && near - shot.back > drawn.coarse.beyond ? drawn.coarse.object : drawn.object;
      if (drawn.uniforms.uFirst) {
        const whole = !Number.isFinite(part.count);
        drawn.uniforms.uFirst.value = whole ? drawn.first : part.first;
        if (!whole) (object.geometry as THREE.InstancedBufferGeometry).instanceCount = part.count;
      }
      this.stage.draw(this.three, object, target);
    }
  }

  private drawLight(
    piece: Piece,
    layer: Layer,
    drawn: DrawnObject,
    shot: Shot,
    used: boolean[],
    targets: Targets,
    drawSmall: boolean,
  ): void {
    const { reach, nearFade } = piece.look;
    const focus = shot.pose.focusDistance + shot.back;
    const over = (d: number): number => (shot.flat > 0 ? shot.flat : d);
    const blurAt = (d: number): number =>
      Math.abs(blurRadiusPx(shot.apertureHalfM * 2, shot.pixelFocal, focus, d, shot.flat));
    const { largestRadius, lineWidth } = definitionOf(layer.kind).look(layer);
    const { grown } = layerExtent(piece, layer);
    for (const { offset, near, far, part } of visibleParts(piece, layer, shot, drawn.parts)) {
      // what is nearer than the fade or beyond the reach is not drawn: it bounds the blur
      const low = Math.max(near, nearFade * 0.25, 0.02);
      const high = Math.max(low, Math.min(far, reach + shot.back));
      const own = ((largestRadius * grown + lineWidth) * shot.pixelFocal) / over(low);
      const most = Math.hypot(Math.max(blurAt(low), blurAt(high)), own) + 2;
      const least = low < focus && high > focus ? 0 : Math.min(blurAt(low), blurAt(high));
      drawn.uniforms.uTileOffset.value = offset;
      if (Number.isFinite(part.count)) drawn.object.geometry.setDrawRange(part.first, part.count);
      for (let level = 0; level < LEVELS.length; level++) {
        const from = level === 0 ? 0 : CRISP_PX * 2 ** (level - 1);
        const to = level === LEVELS.length - 1 ? 1e9 : CRISP_PX * 2 ** level;
        if (from > most || to < least) continue;
        (this.view.uLevel.value as THREE.Vector4).set(LEVELS[level], from, to, 0);
        if (level > 0) used[level - 1] = true;
        if (level === 0 && drawn.small && drawSmall && least < SMALL_PX)
          this.stage.draw(this.three, drawn.small, targets.levels[0]);
        if (level > 0 || !drawn.small || most > SMALL_PX)
          this.stage.draw(this.three, drawn.object, targets.levels[level]);
      }
    }
  }

  private compose(
    piece: Piece,
    request: FrameRequest,
    targets: Targets,
    solid: boolean,
    used: boolean[],
    target: THREE.WebGLRenderTarget | null,
  ): void {
    const u = this.resolve.uniforms;
    u.uFull.value = targets.levels[0].texture;
    u.uHalf.value = targets.levels[1].texture;
    u.uQuarter.value = targets.levels[2].texture;
    u.uEighth.value = targets.levels[3].texture;
    u.uUsed.value = used.slice(0, 3);
    u.uBackdrop.value = !solid;
    this.quad.draw(this.three, this.resolve, targets.resolved);
    const { frames } = piece.lap;
    this.effects.run(
      piece.look.effects,
      targets.resolved,
      target,
      {
        phase: request.phase,
        frame: ((request.frameIndex % frames) + frames) % frames,
        texture: request.texture,
      },
      OFFERS,
    );
  }

  private clear(target: THREE.WebGLRenderTarget): void {
    this.three.setRenderTarget(target);
    this.three.setClearColor(0x000000, 0);
    this.three.clear(true, false, false);
  }

  dispose(): void {
    this.canvas.removeEventListener('webglcontextlost', this.noteLoss);
    for (const objects of this.objects.values()) objects.dispose();
    this.objects.clear();
    this.targets?.dispose();
    this.effects.dispose();
    for (const material of [this.backdrop, this.add, this.resolve]) material.dispose();
    this.three.dispose();
  }
}
