import * as THREE from 'three';
import { hexToLinear } from '../../core/colour/colour';
import { joinSources } from '../../core/kernel/kernel';
import type { Piece } from '../../core/piece/schema';
import { sources as hashSources } from '../../core/random/hash.gen';
import skySource from '../drawings/dome/sky.glsl?raw';
import type { Gpu } from '../gl/gpu';
import { ADDITIVE, fullscreenMaterial } from '../gl/quad';
import addFragment from './add.frag.glsl?raw';
import backdropFragment from './backdrop.frag.glsl?raw';
import resolveFragment from './resolve.frag.glsl?raw';
import type { Targets } from './targets';
import type { View } from './view';

/** The full-screen steps of a frame that begin a pass, add it to the frame, and bring the frame's targets together. */
export class Sum {
  private readonly background = { uCentre: { value: new THREE.Vector3() }, uEdge: { value: new THREE.Vector3() } };
  private readonly backdrop: THREE.RawShaderMaterial;
  private readonly add = fullscreenMaterial(addFragment, { uSource: { value: null }, uShare: { value: 1 } }, ADDITIVE);
  private readonly resolve: THREE.RawShaderMaterial;

  constructor(
    private readonly gpu: Gpu,
    view: View,
  ) {
    const source = joinSources(hashSources) + skySource + backdropFragment;
    this.backdrop = fullscreenMaterial(source, { ...view, ...this.background });
    this.resolve = fullscreenMaterial(resolveFragment, {
      uFull: { value: null },
      uHalf: { value: null },
      uQuarter: { value: null },
      uEighth: { value: null },
      uUsed: { value: [false, false, false] },
      uBackdrop: { value: true },
      uPicture: view.uPicture,
      ...this.background,
    });
  }

  setBackground({ look }: Piece): void {
    this.background.uCentre.value.set(...hexToLinear(look.background));
    this.background.uEdge.value.set(...hexToLinear(look.backgroundEdge));
  }

  /** Empties the targets that light is drawn into. */
  clear({ levels }: Targets): void {
    const { renderer } = this.gpu;
    for (const target of levels) {
      renderer.setRenderTarget(target);
      renderer.setClearColor(0x000000, 0);
      renderer.clear(true, false, false);
    }
  }

  /** Puts what is behind everything into a pass's matter. */
  begin({ matter }: Targets): void {
    this.gpu.quad.draw(this.gpu.renderer, this.backdrop, matter);
    this.gpu.renderer.clearDepth();
  }

  /** Adds a pass's matter to the frame. */
  addMatter({ matter, levels }: Targets, share: number): void {
    this.add.uniforms.uSource.value = matter.texture;
    this.add.uniforms.uShare.value = share;
    this.gpu.quad.draw(this.gpu.renderer, this.add, levels[0]);
  }

  /**
   * The linear picture from all targets.
   * @param solid whether the background is in the matter already
   * @param used what was drawn into of the targets below full size
   */
  bring({ levels, resolved }: Targets, solid: boolean, used: readonly boolean[]): void {
    const u = this.resolve.uniforms;
    [u.uFull.value, u.uHalf.value, u.uQuarter.value, u.uEighth.value] = levels.map(({ texture }) => texture);
    u.uUsed.value = used.slice(0, 3);
    u.uBackdrop.value = !solid;
    this.gpu.quad.draw(this.gpu.renderer, this.resolve, resolved);
  }

  dispose(): void {
    for (const material of [this.backdrop, this.add, this.resolve]) material.dispose();
  }
}
