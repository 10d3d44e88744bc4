import * as THREE from 'three';
import type { Rgb } from '../../../core/colour/colour';
import { colourAt } from '../../../core/colour/animated';
import { MOST_GLOWS, type GlowLayer } from '../../../core/look/effects/glow/glow';
import { fullscreenMaterial } from '../../gl/quad';
import { Sized } from '../../gl/sized';
import { floatTarget } from '../../gl/target';
import type { Gpu, Uniforms } from '../../gl/gpu';
import brightSource from '../spread/bright.glsl?raw';
import { Halver, HALVING, Reference } from '../spread/reference';
import nearFragment from './near.frag.glsl?raw';
import upFragment from './up.frag.glsl?raw';

const LEVELS = 7;
/** Reach of the taps that double the glow, in texels of the coarser: what lets a glow spread as far as its radius says. */
const DOUBLING = 0.56;

/** The targets for pictures of one size. */
class Sizes {
  /** the picture on which glow is measured */
  readonly reference: Reference;
  /** from half the reference on, each half the one before; and what is gathered upwards in them */
  readonly pyramid: THREE.WebGLRenderTarget[];
  readonly glow: THREE.WebGLRenderTarget[];
  /** all that glows, at the reference size */
  readonly together = new Sized((width, height) => floatTarget(width, height));

  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    this.reference = new Reference(width, height);
    const { scale } = this.reference;
    const half = (j: number): THREE.WebGLRenderTarget => {
      const factor = scale / 2 ** (j + 1);
      return floatTarget(width * factor, height * factor);
    };
    this.pyramid = Array.from({ length: LEVELS - 1 }, (_, j) => half(j));
    this.glow = Array.from({ length: LEVELS - 1 }, (_, j) => half(j));
  }

  dispose(): void {
    this.reference.dispose();
    for (const target of [...this.pyramid, ...this.glow, this.together]) target.dispose();
  }
}

/** What glows of a light, in a program whose names begin with a prefix. */
export const brightGlsl = (prefix: string): string => brightSource.replaceAll('GLOW_', prefix);

/** The uniforms of {@link brightGlsl}. */
export const brightUniforms = (prefix: string): Uniforms => ({
  [`${prefix}count`]: { value: 0 },
  [`${prefix}threshold`]: { value: Array.from({ length: MOST_GLOWS }, () => new THREE.Vector2()) },
  [`${prefix}tint`]: { value: Array.from({ length: MOST_GLOWS }, () => new THREE.Vector3()) },
});

/** One glow among the levels of a pyramid. */
interface Placed {
  glow: GlowLayer;
  /** what its light is multiplied by */
  tint: Rgb;
  /** the level, fractional, whose spread matches its radius */
  level: number;
}

/** How much of a glow belongs to a level, times its gain. */
const weightAt = ({ glow, level }: Placed, j: number): number => glow.gain * Math.max(0, 1 - Math.abs(level - j));

/** Sets what glows at a level. @returns whether anything does */
function setBright(uniforms: Uniforms, prefix: string, glows: readonly Placed[], j: number): boolean {
  const here = glows.filter((placed) => weightAt(placed, j) > 0);
  const threshold = uniforms[`${prefix}threshold`].value as THREE.Vector2[];
  const tints = uniforms[`${prefix}tint`].value as THREE.Vector3[];
  here.forEach((placed, i) => {
    threshold[i].set(placed.glow.threshold, placed.glow.soft);
    tints[i].set(...placed.tint).multiplyScalar(weightAt(placed, j));
  });
  uniforms[`${prefix}count`].value = here.length;
  return here.length > 0;
}

/**
 * Up to four glows from one shared pyramid. The picture is first averaged to a fixed reference size, unless it is smaller; each
 * glow takes the light above its threshold on the level of its own radius, and the levels are gathered upwards, each smoothed
 * as it is doubled, to half the reference. What belongs to the finest level hardly spreads: it is taken on
 * the reference, or by whoever draws a picture that is no larger, by {@link brightGlsl}.
 */
export class GlowPyramid {
  private readonly upMaterial = fullscreenMaterial(brightGlsl('level_') + upFragment, {
    ...brightUniforms('level_'),
    uCoarse: { value: null },
    uLevel: { value: null },
    uCoarseReach: { value: new THREE.Vector2() },
    uLevelReach: { value: new THREE.Vector2() },
    uHasCoarse: { value: 0 },
  });

  private readonly nearMaterial = fullscreenMaterial(brightGlsl('near_') + nearFragment, {
    ...brightUniforms('near_'),
    uReference: { value: null },
    uGathered: { value: null },
    uHasGathered: { value: 0 },
  });

  private readonly halver: Halver;
  private readonly sizes = new Sized((width, height) => new Sizes(width, height));

  constructor(private readonly gpu: Gpu) {
    this.halver = new Halver(gpu);
  }

  /**
   * What a frame adds of its glows; null where that is nothing, or only where it is.
   * @param near takes what glows where it is, of a picture that is its own reference: uniforms of `brightGlsl('effect_')`
   */
  gather(
    light: THREE.WebGLRenderTarget,
    layers: readonly GlowLayer[],
    near: Uniforms,
    phase: number,
  ): THREE.Texture | null {
    const sizes = this.sizes.at(light);
    const glows = layers
      .filter(({ gain }) => gain > 0)
      .map((glow): Placed => {
        const level = Math.log2(glow.radius * sizes.reference.side * 0.7);
        return { glow, tint: colourAt(glow.tint, phase), level: Math.min(LEVELS - 1, Math.max(0, level)) };
      });
    const { uniforms } = this.nearMaterial;
    const resized = sizes.reference.scale < 1;
    const hasNear = setBright(resized ? uniforms : near, resized ? 'near_' : 'effect_', glows, 0);
    if (resized) setBright(near, 'effect_', [], 0);
    const deepest = Math.ceil(Math.max(0, ...glows.map(({ level }) => level)));
    if (deepest === 0 && !hasNear) return null;
    const reference = sizes.reference.of(light, this.halver);
    let source = reference;
    for (const level of sizes.pyramid.slice(0, deepest)) source = this.halver.draw(source, level, HALVING);
    for (let j = deepest; j >= 1; j--) this.up(sizes, glows, j, deepest);
    const gathered = deepest > 0 ? sizes.glow[0].texture : null;
    if (!resized || !hasNear) return gathered;
    uniforms.uReference.value = reference.texture;
    uniforms.uGathered.value = gathered;
    uniforms.uHasGathered.value = gathered ? 1 : 0;
    const together = sizes.together.at(reference);
    this.gpu.quad.draw(this.gpu.renderer, this.nearMaterial, together);
    return together.texture;
  }

  /** Adds what glows at a level to what was gathered below it. */
  private up({ pyramid, glow }: Sizes, glows: readonly Placed[], j: number, deepest: number): void {
    const u = this.upMaterial.uniforms;
    const level = pyramid[j - 1];
    setBright(u, 'level_', glows, j);
    u.uLevel.value = level.texture;
    (u.uLevelReach.value as THREE.Vector2).set(0.5 / level.width, 0.5 / level.height);
    u.uHasCoarse.value = j < deepest ? 1 : 0;
    // what is drawn into must not be bound either, even where it is not read: nothing would be drawn
    u.uCoarse.value = null;
    if (j < deepest) {
      const coarse = glow[j];
      u.uCoarse.value = coarse.texture;
      (u.uCoarseReach.value as THREE.Vector2).set(DOUBLING / coarse.width, DOUBLING / coarse.height);
    }
    this.gpu.quad.draw(this.gpu.renderer, this.upMaterial, glow[j - 1]);
  }

  dispose(): void {
    this.sizes.dispose();
    this.halver.dispose();
    this.upMaterial.dispose();
    this.nearMaterial.dispose();
  }
}
