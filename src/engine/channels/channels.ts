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
import { emptyMatter, floatTarget } from '../gl/target';
import roundSource from '../fisheye/round.glsl?raw';
import viewSource from '../frame/view.glsl?raw';
import motionSource from '../lens/motion.glsl?raw';
import directionSource from '../matter/direction.glsl?raw';
import channelFragment from './channel.frag.glsl?raw';
import motionFragment from './motion.frag.glsl?raw';
import type { Slots } from './slots';

/** The one pass that channels which are not filtered are drawn in: from the middle of the lens, at the frame's own phase. */
const MIDDLE: Pass = { lens: { x: 0, y: 0, a: 0.5, b: 0.5, t: 0.5 }, index: 0, total: 1 };

/** What a program is told that it shows: see channel.frag.glsl. */
const OF = { depth: 0, normal: 1, share: 2, motion: 3 } as const;

/** A frame whose channels are asked for. */
interface Framed {
  piece: Piece;
  shot: Shot;
  shown: ShownLayers;
  targets: Targets;
}

/** Draws a channel of a frame in place of its picture. */
export class Channels {
  private readonly surfaces = new Sized(matterTarget);
  private readonly motions = new Sized((width, height) => floatTarget(width, height));
  private readonly material: THREE.RawShaderMaterial;
  private readonly still: THREE.RawShaderMaterial;
  private readonly own = {
    uSurface: { value: null as THREE.Texture | null },
    uOf: { value: 0 },
    uNumber: { value: 0 },
    uShown: { value: true },
    uDrawnBack: { value: 0 },
    uToOpen: { value: new THREE.Matrix4() },
    uToClose: { value: new THREE.Matrix4() },
    // all of the shutter, and as far as it goes
    uSpread: { value: new THREE.Vector3(0, 1, 1e9) },
  };

  constructor(
    private readonly gpu: Gpu,
    private readonly view: View,
    private readonly slots: Slots,
  ) {
    const { uView, uFocus, uPicture, uPixelFocal, uToPicture, uCircle } = view;
    this.material = fullscreenMaterial(
      `${directionSource}uniform float uPixelFocal;\n${roundSource}${channelFragment}`,
      { ...this.own, uView, uFocus, uPicture, uPixelFocal, uToPicture, uCircle },
    );
    this.still = fullscreenMaterial(viewSource + motionSource + motionFragment, { ...view, ...this.own });
  }

  /** Draws what the frame's own moment shows of depths and normals. */
  private seen({ piece, shot, shown, targets }: Framed): THREE.Texture {
    const surface = this.surfaces.at(targets);
    setPass(this.view, piece, shot, MIDDLE, shown.solid, new Map());
    emptyMatter(this.gpu.renderer, surface);
    drawMatter(shown.matter, 0.5, surface);
    return surface.textures[0];
  }

  /** Draws how far what is seen goes while the shutter is open: what stands still by the camera, and what moves besides over it. */
  private motion(framed: Framed): THREE.Texture {
    const { view, own } = this;
    const surface = (own.uSurface.value = this.seen(framed));
    const { shot, shown, targets } = framed;
    const motion = this.motions.at(targets);
    const back = view.uView.value.clone().invert();
    own.uToOpen.value.multiplyMatrices(shot.open, back);
    own.uToClose.value.multiplyMatrices(shot.close, back);
    this.gpu.quad.draw(this.gpu.renderer, this.still, motion);
    view.uMatter.value = surface;
    for (const { drawn, moment } of shown.matter) {
      if (!drawn.drawMotion) continue;
      drawn.show(moment, MIDDLE.lens.t);
      drawn.drawMotion(motion);
    }
    view.uMatter.value = null;
    return motion.texture;
  }

  /** @param to where its numbers go; null for the canvas @param shown whether they are to be looked at */
  draw(channel: Numbers, framed: Framed, to: THREE.WebGLRenderTarget | null, shown: boolean): void {
    const { shot } = framed;
    const asked = channelAsks(channel);
    const slot = asked && this.slots.at(asked);
    this.own.uSurface.value =
      slot?.target.texture ?? (channel.of === 'motion' ? this.motion(framed) : this.seen(framed));
    this.own.uNumber.value = slot?.number ?? 0;
    this.own.uOf.value = channel.of === 'alpha' || channel.of === 'layer' ? OF.share : OF[channel.of];
    this.own.uShown.value = shown;
    this.own.uDrawnBack.value = shot.back;
    this.gpu.quad.draw(this.gpu.renderer, this.material, to);
    this.own.uSurface.value = null;
  }

  dispose(): void {
    this.surfaces.dispose();
    this.motions.dispose();
    this.material.dispose();
    this.still.dispose();
  }
}
