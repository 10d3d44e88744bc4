import * as THREE from 'three';
import { effectOf, reachOf, type Effect } from '../../core/look/effects/kinds';
import { ellipseOf, levelAt, maskAsks, type Reaching } from '../../core/look/effects/reach';
import type { FrameInfo } from './program';

/**
 * How an effect is mixed with what was there before: not at all where there is always all of it, or its program draws as much as it is
 * told; else by its amount alone, or by a mask too. It follows from what a document says, not from the moment, so that no value that
 * moves asks for another program.
 */
export type Mixing = 'none' | 'amount' | 'ellipse' | 'light' | 'there';

/** Masks that are something the frame holds. */
const isThere = (mask: Reaching['mask']): boolean => mask === 'near' || mask === 'layer';

export function mixingOf(effect: Effect): Mixing {
  const reach = reachOf(effect);
  if (!reach) return 'none';
  if (reach.mask === 'ellipse' || reach.mask === 'light') return reach.mask;
  if (isThere(reach.mask)) return 'there';
  const whole = reach.amount === 1 && reach.acts === 'always';
  return whole || effectOf(effect.kind).graded ? 'none' : 'amount';
}

const HEAD =
  'uniform float effect_level;\nuniform vec4 effect_mask;\nuniform vec4 effect_maskMore;\nuniform sampler2D effect_there;\nuniform int effect_thereOf;\n';

/** What an effect declares besides its own. */
export const mixingHead = (mixing: Mixing): string => (mixing === 'none' ? '' : HEAD);

/** The share of what an effect does, of a colour before it; see {@link setMixing}. */
const SHARES: Record<Exclude<Mixing, 'none'>, string> = {
  amount: 'effect_level',
  ellipse:
    'effect_level * abs(effect_maskMore.w - ellipseMask(vUv, effect_mask.xy, effect_mask.zw, effect_maskMore.x))',
  light: 'effect_level * abs(effect_maskMore.w - lightMask(before * had, effect_maskMore.y, effect_maskMore.z))',
  there: 'effect_level * abs(effect_maskMore.w - texelFetch(effect_there, ivec2(gl_FragCoord.xy), 0)[effect_thereOf])',
};

/** What calls an effect. */
export const mixed = (mixing: Mixing): string =>
  mixing === 'none'
    ? '  effect_apply(c, gain);'
    : [
        '  {',
        '    vec3 before = c;',
        '    float had = gain;',
        `    float share = ${SHARES[mixing]};`,
        '    effect_apply(c, gain);',
        '    c = mix(before * had, c * gain, share);',
        '    gain = 1.0;',
        '  }',
      ].join('\n');

export const mixingUniforms = () => ({
  effect_level: { value: 1 },
  effect_mask: { value: new THREE.Vector4(0, 0, 1, 1) },
  effect_maskMore: { value: new THREE.Vector4(0, 0, 0, 0) },
  effect_there: { value: null as THREE.Texture | null },
  effect_thereOf: { value: 0 },
});

/** Sets how much of an effect is mixed in. */
export function setMixing(uniforms: ReturnType<typeof mixingUniforms>, effect: Effect, frame: FrameInfo): void {
  const reach = reachOf(effect);
  if (!reach) return;
  const { middle, radii } = ellipseOf(reach, frame.phase);
  uniforms.effect_level.value = effectOf(effect.kind).graded ? 1 : levelAt(reach, frame);
  uniforms.effect_mask.value.set(...middle, ...radii);
  uniforms.effect_maskMore.value.set(reach.maskSoft, reach.maskNone, reach.maskAll, reach.maskTurned ? 1 : 0);
  const asked = maskAsks(reach, frame.phase);
  const slot = asked && frame.slotOf(asked);
  uniforms.effect_there.value = slot?.target.texture ?? null;
  uniforms.effect_thereOf.value = slot?.number ?? 0;
}
