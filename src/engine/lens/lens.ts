import * as THREE from 'three';
import { apertureCells } from '../../core/lens/cells';
import { ADDITIVE, fullscreenMaterial } from '../gl/quad';
import { Sized } from '../gl/sized';
import type { Gpu } from '../gl/gpu';
import { floatTarget } from '../gl/target';
import type { Shot } from '../frame/shot';
import { TILE } from '../frame/targets';
import type { View } from '../frame/view';
import viewSource from '../frame/view.glsl?raw';
import addFragment from './add.frag.glsl?raw';
import gatherFragment from './gather.frag.glsl?raw';
import motionSource from './motion.glsl?raw';
import noiseSource from './noise.glsl?raw';
import reachFragment from './reach.frag.glsl?raw';
import spreadFragment from './spread.frag.glsl?raw';

/** From so many passes on what they show is all there is. */
const ENOUGH_PASSES = 16;
/** Points of the lens that are looked through, by how much there is to see. */
const TAPS = [8, 16, 32] as const;
/** Radius in pixels over which what is there in some pixels is there in part. */
const PARTLY_PX = 1.5;
/** Of the picture's height, the most that anything is spread by: what is more is for more passes. */
const MOST_SHARE = 0.12;

/** What the lens needs of one picture size. */
class Room {
  /** light of one pass, and depth in metres */
  readonly sharp: THREE.WebGLRenderTarget;
  /** the same through the lens, and what it hides */
  readonly gathered: THREE.WebGLRenderTarget;
  readonly reach: THREE.WebGLRenderTarget;
  readonly spread: THREE.WebGLRenderTarget;

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    const nearest = { type: THREE.FloatType, minFilter: THREE.NearestFilter, magFilter: THREE.NearestFilter } as const;
    this.sharp = floatTarget(width, height);
    this.gathered = new THREE.WebGLRenderTarget(width, height, { ...nearest, count: 2, depthBuffer: false });
    const tiles = [Math.ceil(width / TILE), Math.ceil(height / TILE)] as const;
    this.reach = new THREE.WebGLRenderTarget(...tiles, { ...nearest, count: 2, depthBuffer: false });
    this.spread = new THREE.WebGLRenderTarget(...tiles, { ...nearest, count: 2, depthBuffer: false });
  }

  dispose(): void {
    for (const target of [this.sharp, this.gathered, this.reach, this.spread]) target.dispose();
  }
}

/**
 * The lens and the shutter where there are few passes: the picture of each is spread by what it stands for. It fades as passes
 * grow: from 16 on it does nothing.
 */
export class FewPassLens {
  private readonly own = {
    uToOpen: { value: new THREE.Matrix4() },
    uToClose: { value: new THREE.Matrix4() },
    uSpread: { value: new THREE.Vector3() },
    uReach: { value: null as THREE.Texture | null },
    uNear: { value: null as THREE.Texture | null },
    uSpreads: { value: null as THREE.Texture | null },
    uCovers: { value: null as THREE.Texture | null },
    uSharp: { value: null as THREE.Texture | null },
    uGathered: { value: null as THREE.Texture | null },
    uTaps: { value: Array.from({ length: 56 }, () => new THREE.Vector4()) },
  };
  private readonly reach: THREE.RawShaderMaterial;
  private readonly spread: THREE.RawShaderMaterial;
  private readonly gather: THREE.RawShaderMaterial;
  private readonly add: THREE.RawShaderMaterial;
  private readonly back = new THREE.Matrix4();
  private readonly rooms = new Sized((width, height) => new Room(width, height));
  private aperture = '';

  constructor(
    private readonly gpu: Gpu,
    private readonly view: View,
  ) {
    const uniforms = { ...view, ...this.own };
    const head = `#define TILE ${TILE}\nconst float EVEN = 0.45;\nconst float PARTLY_PX = ${PARTLY_PX.toFixed(1)};\n`;
    const seen = head + viewSource + motionSource;
    this.reach = fullscreenMaterial(seen + reachFragment, uniforms);
    this.spread = fullscreenMaterial(seen + spreadFragment, uniforms);
    this.gather = fullscreenMaterial(seen + noiseSource + gatherFragment, uniforms);
    this.add = fullscreenMaterial(addFragment, uniforms, ADDITIVE);
  }

  /**
   * Prepares for a pass.
   * @returns where its light goes, with the depth in alpha; null where this lens does nothing
   */
  begin(shot: Shot, passes: number): THREE.WebGLRenderTarget | null {
    const { view, own } = this;
    if (passes >= ENOUGH_PASSES) return null;
    const { x: width, y: height } = view.uPicture.value;
    const room = this.rooms.at({ width, height });
    const most = MOST_SHARE * height;
    own.uSpread.value.set(1 / Math.sqrt(passes), 1 / passes, most);
    this.back.copy(view.uView.value).invert();
    own.uToOpen.value.multiplyMatrices(shot.open, this.back);
    own.uToClose.value.multiplyMatrices(shot.close, this.back);
    this.setAperture();
    return room.sharp;
  }

  private setAperture(): void {
    const { x: blades, y: turn, z: squeeze } = this.view.uAperture.value;
    const aperture = `${blades} ${turn} ${squeeze}`;
    if (aperture === this.aperture) return;
    this.aperture = aperture;
    const cells = TAPS.flatMap((count) => apertureCells(count, blades, turn, squeeze));
    for (const [i, { a, b, t, x, y }] of cells.entries())
      this.own.uTaps.value[i].set(x, y, t - 0.5, 2 * Math.max(Math.abs(a - 0.5), Math.abs(b - 0.5)));
  }

  /** Spreads the light that was drawn where {@link begin} said, adds it to the frame, and lets it hide what is drawn behind it. */
  end(target: THREE.WebGLRenderTarget): void {
    const { gpu, own, view } = this;
    const room = this.rooms.last;
    if (!room) return;
    own.uSharp.value = room.sharp.texture;
    gpu.quad.draw(gpu.renderer, this.reach, room.reach);
    [own.uReach.value, own.uNear.value] = room.reach.textures;
    gpu.quad.draw(gpu.renderer, this.spread, room.spread);
    [own.uSpreads.value, own.uCovers.value] = room.spread.textures;
    gpu.quad.draw(gpu.renderer, this.gather, room.gathered);
    [own.uGathered.value, view.uMatter.value] = room.gathered.textures;
    gpu.quad.draw(gpu.renderer, this.add, target);
    own.uReach.value =
      own.uNear.value =
      own.uSpreads.value =
      own.uCovers.value =
      own.uSharp.value =
      own.uGathered.value =
        null;
    view.uSoftHiding.value = 1;
  }

  dispose(): void {
    this.rooms.dispose();
    for (const material of [this.reach, this.spread, this.gather, this.add]) material.dispose();
  }
}
