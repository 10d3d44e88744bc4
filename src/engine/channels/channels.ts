import * as THREE from 'three';
import { channelAsks, type Numbers } from '../../core/look/channels';
import type { Piece } from '../../core/piece/schema';
import { drawMatter, type ShownLayers } from '../frame/layers';
import type { Shot } from '../frame/shot';
import { matterTarget, type Targets } from '../frame/targets';
import { setPass, type Pass, type View } from '../frame/view';
import type { Gpu } from '../gl/gpu';
import { Sized } from '../gl/sized';
import { fullscreenMaterial } from '../gl/quad';
import { emptyMatter } from '../gl/target';
import directionSource from '../matter/direction.glsl?raw';
import channelFragment from './channel.frag.glsl?raw';
import type { Slots } from './slots';

/** The one pass that channels which are not filtered are drawn in: from the middle of the lens, at the frame's own phase. */
const MIDDLE: Pass = { lens: { x: 0, y: 0, a: 0.5, b: 0.5, t: 0.5 }, index: 0, total: 1 };

/** Draws a channel of a frame in place of its picture. */
export class Channels {
  private readonly surfaces = new Sized(matterTarget);
  private readonly material: THREE.RawShaderMaterial;
  private readonly own = {
    uSurface: { value: null as THREE.Texture | null },
    uOf: { value: 0 },
    uNumber: { value: 0 },
    uShown: { value: true },
    uDrawnBack: { value: 0 },
  };

  constructor(
    private readonly gpu: Gpu,
    private readonly view: View,
    private readonly slots: Slots,
  ) {
    const { uView, uFocus } = view;
    this.material = fullscreenMaterial(directionSource + channelFragment, { ...this.own, uView, uFocus });
  }

  /** Draws what the frame's own moment shows of depths and normals. */
  private seen(piece: Piece, shot: Shot, shown: ShownLayers, targets: Targets): THREE.Texture {
    const surface = this.surfaces.at(targets);
    setPass(this.view, piece, shot, MIDDLE, shown.solid, new Map());
    emptyMatter(this.gpu.renderer, surface);
    drawMatter(shown.matter, 0.5, surface);
    return surface.textures[0];
  }

  /** @param to where its numbers go; null for the canvas, to be looked at */
  draw(
    channel: Numbers,
    { piece, shot, shown, targets }: { piece: Piece; shot: Shot; shown: ShownLayers; targets: Targets },
    to: THREE.WebGLRenderTarget | null,
  ): void {
    const asked = channelAsks(channel);
    const slot = asked && this.slots.at(asked);
    this.own.uSurface.value = slot?.target.texture ?? this.seen(piece, shot, shown, targets);
    this.own.uNumber.value = slot?.number ?? 0;
    this.own.uOf.value = slot ? 2 : channel.of === 'depth' ? 0 : 1;
    this.own.uShown.value = to === null;
    this.own.uDrawnBack.value = shot.back;
    this.gpu.quad.draw(this.gpu.renderer, this.material, to);
    this.own.uSurface.value = null;
  }

  dispose(): void {
    this.surfaces.dispose();
    this.material.dispose();
  }
}
