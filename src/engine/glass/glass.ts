import * as THREE from 'three';
import { VEIL } from '../air/air';
import type { ShownMatter } from '../frame/layers';
import type { View } from '../frame/view';
import viewSource from '../frame/view.glsl?raw';
import type { Gpu } from '../gl/gpu';
import { Sized } from '../gl/sized';
import { ADDITIVE, fullscreenMaterial } from '../gl/quad';
import { emptyMatter, floatTarget } from '../gl/target';
import composeFragment from './compose.frag.glsl?raw';
import copyFragment from './copy.frag.glsl?raw';

/** What glass needs of one picture size. */
class Room {
  /** light of one pass behind all glass, and its depth; and the same with all its levels */
  readonly lit: THREE.WebGLRenderTarget;
  readonly behind: THREE.WebGLRenderTarget;
  readonly back: THREE.WebGLRenderTarget;
  readonly front: THREE.WebGLRenderTarget;

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    const nearest = { type: THREE.FloatType, minFilter: THREE.NearestFilter, magFilter: THREE.NearestFilter } as const;
    this.lit = floatTarget(width, height);
    this.behind = floatTarget(width, height);
    this.behind.texture.generateMipmaps = true;
    this.behind.texture.minFilter = THREE.LinearMipmapLinearFilter;
    this.back = new THREE.WebGLRenderTarget(width, height, { ...nearest, count: 3 });
    this.front = new THREE.WebGLRenderTarget(width, height, { ...nearest, count: 3 });
  }

  dispose(): void {
    for (const target of [this.lit, this.behind, this.back, this.front]) target.dispose();
  }
}

/**
 * What is seen through: drawn over the lit rest of a pass, of which it shows what is behind it. The nearest glass is seen through; what
 * is added as light behind it is not bent.
 */
export class GlassStage {
  private readonly own = {
    uGlass: { value: null as THREE.Texture | null },
    uGlassColour: { value: null as THREE.Texture | null },
    uGlassManner: { value: null as THREE.Texture | null },
  };
  private readonly copy: THREE.RawShaderMaterial;
  private readonly compose: THREE.RawShaderMaterial;
  private readonly rooms = new Sized((width, height) => new Room(width, height));

  constructor(
    private readonly gpu: Gpu,
    private readonly view: View,
  ) {
    const uniforms = { ...view, ...this.own };
    this.copy = fullscreenMaterial(viewSource + copyFragment, uniforms);
    this.compose = fullscreenMaterial(viewSource + VEIL + composeFragment, uniforms, ADDITIVE);
  }

  /** Where the light of a pass goes, with the depth in alpha, before its glass is drawn. */
  begin(): THREE.WebGLRenderTarget {
    const { x: width, y: height } = this.view.uPicture.value;
    const room = this.rooms.at({ width, height });
    return room.lit;
  }

  /**
   * Draws the glass of a pass over what is lit, and adds all to a target by a share.
   * @param keepsDepth whether its alpha is to be the depth
   */
  end(
    glass: readonly ShownMatter[],
    time: number,
    to: THREE.WebGLRenderTarget,
    share: number,
    keepsDepth: boolean,
  ): void {
    const { gpu, view, own } = this;
    const room = this.rooms.last;
    if (!room) return;
    view.uBehind.value = room.lit.texture;
    gpu.quad.draw(gpu.renderer, this.copy, room.behind);
    view.uBehind.value = room.behind.texture;
    emptyMatter(gpu.renderer, room.back);
    for (const { drawn, moment, at } of glass) {
      drawn.show(moment, time);
      drawn.drawBacks?.(at, room.back);
    }
    [view.uGlassBack.value] = room.back.textures;
    emptyMatter(gpu.renderer, room.front);
    for (const { drawn, moment, at } of glass) {
      drawn.show(moment, time);
      drawn.draw(at, room.front);
    }
    [own.uGlass.value, own.uGlassColour.value, own.uGlassManner.value] = room.front.textures;
    view.uShare.value = share;
    view.uKeepDepth.value = Number(keepsDepth);
    view.uBehind.value = room.lit.texture;
    gpu.quad.draw(gpu.renderer, this.compose, to);
    view.uBehind.value = view.uGlassBack.value = null;
    own.uGlass.value = own.uGlassColour.value = own.uGlassManner.value = null;
  }

  dispose(): void {
    this.rooms.dispose();
    this.copy.dispose();
    this.compose.dispose();
  }
}
