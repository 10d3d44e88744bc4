import * as THREE from 'three';
import { colourAt } from '../../core/colour/animated';
import type { Piece } from '../../core/piece/schema';
import { LitAir } from '../air/air';
import { Stars } from '../drawings/dome/stars';
import type { Gpu } from '../gl/gpu';
import { fullscreenMaterial } from '../gl/quad';
import { emptyLight } from '../gl/target';
import { GlassStage } from '../glass/glass';
import { FewPassLens } from '../lens/lens';
import { Lighting } from './lighting';
import roundSource from '../fisheye/round.glsl?raw';
import resolveFragment from './resolve.frag.glsl?raw';
import type { Levels, Targets } from './targets';
import type { Shot } from './shot';
import type { Pass, View } from './view';
import type { ShownMatter } from './layers';

/** The full-screen steps of a frame that light a pass into the frame, and bring the frame's targets together. */
export class Sum {
  private readonly background = { uCentre: { value: new THREE.Vector3() }, uEdge: { value: new THREE.Vector3() } };
  private readonly lighting: Lighting;
  private readonly stars: Stars;
  private readonly lens: FewPassLens;
  private readonly glass: GlassStage;
  private readonly air: LitAir;
  private readonly resolve: THREE.RawShaderMaterial;

  constructor(
    private readonly gpu: Gpu,
    private readonly view: View,
  ) {
    this.lighting = new Lighting(gpu, view, this.background, false);
    this.stars = new Stars(gpu, view);
    this.lens = new FewPassLens(gpu, view);
    this.glass = new GlassStage(gpu, view);
    this.air = new LitAir(gpu, view);
    this.resolve = fullscreenMaterial(`uniform float uPixelFocal;\n${roundSource}${resolveFragment}`, {
      uFull: { value: null },
      uHalf: { value: null },
      uQuarter: { value: null },
      uEighth: { value: null },
      uUsed: { value: [false, false, false] },
      uBehindAll: { value: true },
      uPicture: view.uPicture,
      uPixelFocal: view.uPixelFocal,
      uToPicture: view.uToPicture,
      uCircle: view.uCircle,
      ...this.background,
    });
  }

  /** Takes what a frame's background and matter are lit by. */
  setLook(piece: Piece, phase: number): void {
    const { look } = piece;
    this.background.uCentre.value.set(...colourAt(look.background, phase));
    this.background.uEdge.value.set(...colourAt(look.backgroundEdge, phase));
    this.lighting.light(piece);
    this.air.light(piece);
  }

  /** Empties the targets that light is drawn into. */
  clear({ levels }: Levels): void {
    for (const target of levels) emptyLight(this.gpu.renderer, target);
  }

  /** Lights the matter of a pass, and adds that to the frame; from then on it hides the light that is drawn behind it. */
  addMatter(
    targets: Targets,
    shot: Shot,
    { total: passes, lens: { t } }: Pass,
    seenThrough: readonly ShownMatter[],
  ): void {
    const { view, gpu } = this;
    const { matter, levels } = targets;
    const through = this.lens.begin(shot, passes);
    const beneath = seenThrough.length > 0 ? this.glass.begin() : null;
    const to = beneath ?? through ?? levels[0];
    const whole = to !== levels[0];
    for (const target of [through, beneath]) if (target) emptyLight(gpu.renderer, target);
    view.uShare.value = whole ? 1 : 1 / passes;
    view.uKeepDepth.value = whole ? 1 : 0;
    this.lighting.draw(targets, to);
    if (view.uSky.value.x > 0 && view.uStars.value.x > 0 && view.uBackdrop.value > 0) this.stars.draw(to);
    if (beneath) this.glass.end(seenThrough, t, through ?? levels[0], through ? 1 : 1 / passes, through !== null);
    if (beneath) {
      // what is added as light is seen through glass
      [view.uMatter.value] = matter.textures;
      view.uSoftHiding.value = 0;
    }
    view.uShare.value = through ? 1 : 1 / passes;
    this.air.draw(through ?? levels[0]);
    view.uShare.value = 1 / passes;
    if (through) this.lens.end(levels[0]);
    view.uSolid.value = true;
  }

  /**
   * The linear picture from all targets.
   * @param solid whether the background is in the light of the matter already, or there is to be none
   * @param used what was drawn into of the targets below full size
   */
  bring({ levels, resolved }: Levels, solid: boolean, used: readonly boolean[]): THREE.WebGLRenderTarget {
    if (solid && !used.includes(true)) return levels[0];
    const u = this.resolve.uniforms;
    [u.uFull.value, u.uHalf.value, u.uQuarter.value, u.uEighth.value] = levels.map(({ texture }) => texture);
    u.uUsed.value = used.slice(0, 3);
    u.uBehindAll.value = !solid;
    this.gpu.quad.draw(this.gpu.renderer, this.resolve, resolved);
    return resolved;
  }

  dispose(): void {
    this.lighting.dispose();
    this.resolve.dispose();
    this.stars.dispose();
    this.lens.dispose();
    this.air.dispose();
    this.glass.dispose();
  }
}
