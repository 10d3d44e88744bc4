import type * as THREE from 'three';
import { bladesAt } from '../../core/flight/form';
import { apertureCells } from '../../core/lens/cells';
import { channelAsks, type Asked, type Numbers } from '../../core/look/channels';
import type { Piece } from '../../core/piece/schema';
import type { LensPass } from '../../core/lens/cells';
import { evaluateAnimated } from '../../core/time/animated';
import { cameraPose } from '../../core/world/camera';
import { sunPlace, type SeenPlace } from '../../core/world/sunPlace';
import { exposedPiece, exposureOf, withShutter } from '../../core/world/exposed';
import { clearSky } from '../drawings/dome/sky';
import { Channels } from '../channels/channels';
import { RangePaint } from '../channels/range';
import { Slots, type Slot } from '../channels/slots';
import { EffectComposer } from '../effects/chain';
import { Circle } from '../fisheye/circle';
import { Context } from '../gl/context';
import type { Gpu } from '../gl/gpu';
import { Sized } from '../gl/sized';
import { Quad, Stage } from '../gl/quad';
import { emptyMatter, floatTarget, NOWHERE } from '../gl/target';
import { Shadows } from '../shadows/shadows';
import { Panoramas } from '../lights/panorama/textures';
import { Mirrors } from '../mirror/mirrors';
import { Slides } from '../lights/slides';
import { Screens } from '../screens/screens';
import { drawMatter, HeldLayers, type ShownLayers } from './layers';
import { ANYTHING, askedOf, atMoment, earlierOf, momentOf } from './asked';
import { Earlier } from './earlier';
import { lightTargets } from './levels';
import type { FrameNumbers } from '../protocol';
import { topFirst } from './rows';
import type { FrameRequest, Lessens } from './request';
import { shotAt, type Shot, type ShotPart } from './shot';
import { ShownPicture } from './shownPicture';
import { Sum } from './sum';
import { LEVELS, Targets } from './targets';
import { makeView, setFrame, setPass, type Pass } from './view';

/** What all passes of a frame share. */
interface Frame {
  piece: Piece;
  shot: Shot;
  shown: ShownLayers;
  targets: Targets;
  /** what was drawn into of the targets below full size */
  used: boolean[];
  /** the parts of the lens and the shutter that are looked through in turn */
  cells: readonly LensPass[];
  /** whether what effects ask for besides light is counted */
  counted: boolean;
}

/** One of the views that a picture is made of. */
interface Part extends ShotPart {
  /** which of them */
  index: number;
}

/** The linear light of a picture whose passes are drawn. */
interface Lit {
  frame: Frame;
  light: THREE.WebGLRenderTarget;
}

/**
 * Draws a piece at a phase. Everything on screen is a function of (piece, request): no frame depends on the one before,
 * so any frame can be drawn alone, in any order, to the same bytes.
 */
export class Renderer {
  private readonly context: Context;
  private readonly view = makeView();
  private readonly screens = new Screens();
  private readonly panoramas: Panoramas;
  private readonly slides: Slides;
  private readonly layers: HeldLayers;
  private readonly sum: Sum;
  private readonly shadows: Shadows;
  private readonly mirrors: Mirrors;
  private readonly effects: EffectComposer;
  private readonly slots: Slots;
  private readonly channels: Channels;
  private readonly range: RangePaint;
  private readonly earlier: Earlier;
  private readonly circle: Circle;
  private readonly picture: ShownPicture;
  private readonly targets = new Sized((width, height) => new Targets(width, height));
  /** the linear light of the frame that was drawn last */
  private light: THREE.WebGLRenderTarget | null = null;
  private piece: Piece | null = null;
  private losing = false;
  /** what of the last frame may be less to save time */
  lessens: Lessens = { particles: false, shapes: false };

  /**
   * @param canvas drawn to by {@link draw}; its size follows the request
   * @throws Trouble when the browser gives no WebGL2 context with float targets
   */
  constructor(readonly canvas: OffscreenCanvas) {
    this.context = new Context(canvas);
    const stage = new Stage();
    const { renderer, noteLoss } = this.context;
    const gpu: Gpu = { renderer, stage, quad: new Quad(stage), noteLoss };
    this.panoramas = new Panoramas(this.view);
    this.slides = new Slides(this.view);
    this.layers = new HeldLayers({ gpu, view: this.view, screens: this.screens });
    this.sum = new Sum(gpu, this.view);
    this.shadows = new Shadows(gpu, this.view);
    this.mirrors = new Mirrors(gpu, this.view);
    this.slots = new Slots(gpu, this.view, this.sum);
    this.channels = new Channels(gpu, this.view, this.slots);
    this.range = new RangePaint(gpu);
    this.earlier = new Earlier(gpu);
    this.circle = new Circle(gpu);
    this.effects = new EffectComposer(gpu);
    this.picture = new ShownPicture(gpu);
  }

  get three(): THREE.WebGLRenderer {
    return this.context.renderer;
  }

  /** How many programs there are: a frame after which there are more took longer than others will. */
  get programs(): number {
    return this.three.info.programs?.length ?? 0;
  }

  /** Whether the context was ever taken away since. */
  get lost(): boolean {
    return this.context.lost;
  }

  /** For tests: the context is lost in the middle of the next frame. */
  loseSoon(): void {
    this.losing = true;
  }

  setPiece(piece: Piece): void {
    this.piece = piece;
    this.layers.keepOnly(piece);
  }

  /** What must be done before a frame can be drawn as it is to be: clips decoded; null where there is nothing. */
  ready(asked: FrameRequest): Promise<void> | null {
    const { piece } = this;
    if (!piece) return null;
    const own = atMoment(piece, asked);
    const waits = [{ piece, request: own }, ...earlierOf(piece, asked)].flatMap(
      ({ piece, request }) => Screens.ready(exposedPiece(piece, exposureOf(piece, request.phase)), request) ?? [],
    );
    return waits.length === 0 ? null : Promise.all(waits).then(() => undefined);
  }

  /** Shows a finished picture instead of drawing one. */
  show(picture: ImageBitmap): void {
    this.context.setSize(picture.width, picture.height);
    this.picture.draw(picture);
  }

  /** Draws the whole frame, to the canvas or somewhere else. */
  draw(request: FrameRequest, to: THREE.WebGLRenderTarget | null = null): void {
    for (const _ of this.drawInSteps(request, to));
  }

  /** Draws the frame, yielding after every pass; the canvas changes only at the end. */
  *drawInSteps(asked: FrameRequest, to: THREE.WebGLRenderTarget | null = null): Generator<number> {
    if (!this.piece) return;
    const request = atMoment(this.piece, asked);
    const earlier = earlierOf(this.piece, asked);
    const views = this.partsOf(this.piece, request).length || 1;
    const whole = views * earlier.reduce((sum, { request: { passes } }) => sum + passes, request.passes);
    let done = 0;
    this.earlier.begin([...new Set(earlier.map(({ id }) => id))], request);
    for (const { id, joins, gain, piece, request: other } of earlier)
      for (const lit of this.drawLight(piece, other, false)) {
        if (lit) this.earlier.add(id, lit.light.texture, joins, gain);
        else yield ++done / whole;
      }
    const { channel } = request;
    if (channel.of === 'depth' || channel.of === 'normal' || channel.of === 'motion') {
      // motion is that of a whole frame, and of what moves by itself too
      const whole = channel.of === 'motion' ? withShutter(this.piece, 1 / this.piece.lap.frames) : this.piece;
      this.drawNumbers(channel, whole, { ...request, elementMotion: true }, to);
      yield 1;
      return;
    }
    for (const lit of this.drawLight(this.piece, request, true)) {
      if (lit) this.finish(lit, request, to);
      else yield ++done / whole;
    }
  }

  /** The views that a picture is gathered from: the sides of a fisheye's cube; none where it is one view. */
  private partsOf(piece: Piece, request: FrameRequest): Part[] {
    const { fisheye } = cameraPose(piece, request.phase);
    if (!fisheye) return [];
    const { sides, size } = this.circle.begin(fisheye, request);
    return sides.map((side, index) => ({ side, index, size, angle: fisheye.angle }));
  }

  /**
   * Draws the light of a picture, yielding nothing after every pass, and itself at the end.
   * @param counted whether what effects ask for besides light is counted
   */
  private *drawLight(piece: Piece, request: FrameRequest, counted: boolean): Generator<Lit | null> {
    const parts = this.partsOf(piece, request);
    if (parts.length === 0) {
      const frame = this.begin(piece, request, counted, null);
      for (const _ of this.drawPasses(frame)) yield null;
      const light = this.bring(frame, request);
      if (counted) this.slots.end();
      yield { frame, light };
      return;
    }
    const light = this.circle.light();
    let shares: THREE.WebGLRenderTarget[] | null = null;
    let lit: Lit | null = null;
    for (const part of parts) {
      const frame = this.begin(piece, request, counted, part);
      for (const _ of this.drawPasses(frame)) yield null;
      this.circle.add(part.index, this.bring(frame, request).texture, light);
      if (counted) {
        this.slots.end();
        const to = (shares ??= this.circle.sharesOf(this.slots.targets.length));
        this.slots.targets.forEach(({ texture }, i) => this.circle.add(part.index, texture, to[i]));
      }
      lit = { frame, light };
    }
    if (shares) this.slots.gather(shares);
    yield lit;
  }

  /** Draws numbers that are not the mean of a frame's passes. */
  private drawNumbers(channel: Numbers, piece: Piece, request: FrameRequest, to: THREE.WebGLRenderTarget | null): void {
    const parts = this.partsOf(piece, request);
    const shown = to === null;
    if (parts.length === 0) {
      const frame = this.begin(piece, request, true, null);
      this.resize(request, to);
      this.channels.draw(channel, frame, to, shown);
      return;
    }
    this.resize(request, to);
    for (const part of parts) {
      const numbers = this.circle.numbers(part.size);
      this.channels.draw(channel, this.begin(piece, request, true, part), numbers, shown);
      this.circle.pick(part.index, numbers.texture, channel.of === 'depth' && !shown ? NOWHERE : 0, to);
    }
  }

  /** Draws all passes of a frame, yielding after each. */
  private *drawPasses(frame: Frame): Generator<void> {
    const { cells } = frame;
    for (const [index, lens] of cells.entries()) {
      this.drawPass(frame, { lens, index, total: cells.length });
      if (this.losing) {
        this.losing = false;
        this.context.lose();
      }
      yield;
    }
  }

  /** Gives the canvas the size of a picture that is drawn to it. Only then: it is emptied by that. */
  private resize({ width, height }: FrameRequest, to: THREE.WebGLRenderTarget | null): void {
    if (to === null) this.context.setSize(width, height);
  }

  /**
   * Works out all that does not change from pass to pass.
   * @param counted whether what effects ask for besides light is counted
   * @param part of the picture that is drawn; null for all of it
   */
  private begin(whole: Piece, picture: FrameRequest, counted: boolean, part: Part | null): Frame {
    const { view } = this;
    const request = part ? { ...picture, ...part.size } : picture;
    const { phase } = request;
    const piece = exposedPiece(whole, exposureOf(whole, phase));
    const { flight } = piece;
    const targets = this.targets.at(request);
    const shot = shotAt(piece, request.phase, picture, part);
    setFrame(view, piece, shot, request);
    this.sum.setLook(piece, request.phase);
    this.panoramas.at(piece, request.phase);
    this.slides.at(piece);
    this.screens.at(piece, picture);
    const shown = this.layers.at(piece, shot, request);
    const { thins: particles, coarsens: shapes } = shown;
    this.lessens = { particles, shapes };
    this.shadows.begin(piece, shot, request, shown.casters, shown.things);
    clearSky(view);
    shown.behind?.surround();
    this.mirrors.begin(piece, shot, shown);
    this.sum.clear(targets);
    if (counted) this.slots.begin(askedOf(piece, request), targets, shown);
    const cells = apertureCells(
      request.passes,
      bladesAt(flight, phase),
      evaluateAnimated(flight.bladeTurn, phase) / 360,
      evaluateAnimated(flight.squeeze, phase),
    );
    return { piece, shot, shown, targets, used: LEVELS.map(() => false), cells, counted };
  }

  private drawPass({ piece, shot, shown, targets, used, counted }: Frame, pass: Pass): void {
    const { view } = this;
    const few = setPass(view, piece, shot, pass, shown.solid, this.screens.tints);
    const { t } = pass.lens;
    if (shown.solid) {
      this.shadows.draw(pass);
      this.mirrors.draw(piece, shot, pass, targets);
      emptyMatter(this.three, targets.matter);
      drawMatter(shown.matter, t, targets.matter);
      if (counted) this.slots.addPass(targets, shot, pass, shown);
      this.sum.addMatter(targets, shot, pass, shown.glass);
    } else if (counted && this.slots.wanted) {
      emptyMatter(this.three, targets.matter);
      this.slots.addPass(targets, shot, pass, shown);
      setPass(view, piece, shot, pass, shown.solid, this.screens.tints);
    }
    const to = lightTargets(view, targets, few, used);
    for (const { drawn, moment } of shown.light) {
      drawn.show(moment, t);
      drawn.draw(to);
    }
    if (counted) this.slots.addLight(pass, shown, few);
  }

  /** The light of a frame whose passes are drawn. */
  private bring({ shown, targets, used }: Frame, { clear }: FrameRequest): THREE.WebGLRenderTarget {
    return this.sum.bring(targets, shown.solid || clear, used);
  }

  private finish({ frame, light }: Lit, request: FrameRequest, to: THREE.WebGLRenderTarget | null): void {
    const { piece } = frame;
    this.light = light;
    this.resize(request, to);
    const { channel } = request;
    if (channel.of !== 'picture' && channel.of !== 'range') {
      this.channels.draw(channel, frame, to, to === null);
      return;
    }
    const slotOf = (asked: Asked): Slot => this.slots.at(asked);
    const sunAt = (): SeenPlace | null => sunPlace(piece, request.phase);
    const earlierOf = ({ id }: { id: string }): THREE.Texture => this.earlier.at(id);
    const moment = momentOf(piece, request);
    const { step } = request;
    const run = (target: THREE.WebGLRenderTarget | null, texture: boolean): void =>
      this.effects.run(piece.look.effects, light, target, { ...moment, texture, step, slotOf, sunAt, earlierOf });
    if (channel.of === 'range') this.range.draw(request, (target) => run(target, false), to);
    else run(to, request.texture);
    if (frame.shot.side) this.circle.cut(to);
  }

  /** The canvas as encoded sRGB bytes, top row first. */
  readBytes(width: number, height: number): Uint8Array {
    return this.context.readBytes(width, height);
  }

  /** The finished picture as floats 0..1, red, green, blue, alpha, bottom row first; without touching the canvas. */
  readPicture(request: FrameRequest): Float32Array {
    this.draw(request);
    const { width, height } = request;
    return Float32Array.from(this.context.readRows(width, height), (v) => v / 255);
  }

  /** Linear light of the frame before glow and finish, for tests and measurements. */
  readLight(request: FrameRequest): Float32Array {
    this.draw(request);
    if (!this.light) throw new RangeError('there is no piece to draw');
    const light = this.context.readFloats(this.light);
    if (!request.clear) return light;
    const { target, number } = this.slots.at(ANYTHING);
    const shares = this.context.readFloats(target);
    for (let i = 0; i < light.length; i += 4) light[i + 3] = shares[i + number];
    return light;
  }

  /**
   * What is drawn of the frame as numbers: code values of a picture; metres, 1e9 where there is nothing; a normal; or a share. Four a
   * pixel, bottom row first.
   */
  readNumbers(request: FrameRequest): Float32Array {
    const target = floatTarget(request.width, request.height);
    this.draw(request, target);
    const numbers = this.context.readFloats(target);
    target.dispose();
    return numbers;
  }

  /**
   * A frame as numbers, and the channels that its request names besides: what covers a pixel as the mean of its passes, the rest from the middle
   * of the lens. @param scene its light before all effects
   */
  readFrame(request: FrameRequest, scene: boolean): FrameNumbers {
    const target = floatTarget(request.width, request.height);
    const rows = (numbers: Float32Array, each: number, from = 0): Float32Array =>
      topFirst(numbers, request.width, request.height, each, from);
    try {
      this.draw(request, target);
      const rgba = rows(this.context.readFloats(scene && this.light ? this.light : target), 4);
      const shareOf = (asked: Asked): Float32Array => {
        const slot = this.slots.at(asked);
        return rows(this.context.readFloats(slot.target), 1, slot.number);
      };
      const alpha = request.clear ? shareOf(ANYTHING) : null;
      for (let i = 3; i < rgba.length; i += 4) rgba[i] = alpha?.[i >> 2] ?? 1;
      // before another picture is drawn: they are of this one
      const shares = request.also.map((channel) => {
        const asked = channelAsks(channel);
        return asked && shareOf(asked);
      });
      const channels = request.also.map((channel, i) => {
        const share = shares[i];
        if (share) return share;
        this.draw({ ...request, channel, also: [], clear: false }, target);
        return rows(this.context.readFloats(target), channel.of === 'normal' ? 3 : channel.of === 'motion' ? 2 : 1);
      });
      return { rgba, channels };
    } finally {
      target.dispose();
    }
  }

  /**
   * The elements of one tile as the GPU has them, four numbers an element in each list: position and size; colour times light,
   * and how far it is there; where they turn, rotation; and key and order.
   */
  readElements(layerId: string, phase: number, share = 1): Float32Array[] {
    const layer = this.piece?.layers.find((candidate) => candidate.id === layerId);
    if (!this.piece || !layer) throw new RangeError(`the piece has no layer "${layerId}"`);
    const [{ elements }] = this.layers.move(this.piece, layer, [phase, phase, phase], () => share);
    const target = elements.target(0);
    return target.textures.map((_, i) => this.context.readFloats(target, i).subarray(0, elements.count * 4));
  }

  /** Waits until the GPU has finished; blocks this worker, never the page. */
  finishGpu(): void {
    this.context.finish();
  }

  dispose(): void {
    this.layers.dispose();
    this.sum.dispose();
    this.shadows.dispose();
    this.mirrors.dispose();
    this.panoramas.dispose();
    this.slides.dispose();
    this.targets.dispose();
    this.slots.dispose();
    this.channels.dispose();
    this.range.dispose();
    this.earlier.dispose();
    this.circle.dispose();
    this.effects.dispose();
    this.picture.dispose();
    this.context.dispose();
  }
}
