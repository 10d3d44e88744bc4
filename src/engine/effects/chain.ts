import * as THREE from 'three';
import { joinSources } from '../../core/kernel/kernel';
import { actingEffects, type Effect } from '../../core/look/effects/kinds';
import { sources as maskSources } from '../../core/look/effects/mask.gen';
import { fullscreenMaterial } from '../gl/quad';
import { Sized } from '../gl/sized';
import { floatTarget } from '../gl/target';
import type { Gpu } from '../gl/gpu';
import { mixed, mixingHead, mixingOf, mixingUniforms, setMixing } from './mixing';
import type { FrameInfo, RunningEffect } from './program';
import { programOf } from './programs';

/** Chains that are kept beside the one in use: switching an effect off and on again compiles nothing. */
const KEPT = 6;

/** Effects that follow one another in one program. */
interface Stretch {
  effects: { index: number; running: RunningEffect<Effect>; mixing: ReturnType<typeof mixingUniforms> }[];
  material: THREE.RawShaderMaterial;
}

/** Where the names of an effect's GLSL stand for those of its place in the chain. */
const placed = (text: string, index: number): string => text.replaceAll('effect_', `e${index}_`);

function program(effects: readonly Effect[], from: number, last: boolean): string {
  const own = effects.map((effect, k) => ({
    ...programOf(effect.kind),
    mixing: mixingOf(effect),
    index: from + k,
  }));
  return [
    joinSources(...own.map(({ sources = {} }) => sources), maskSources),
    'uniform sampler2D uSource;',
    'uniform vec2 uPicture;',
    'uniform uint uFrame;         // index within the lap: noise repeats with it',
    'in vec2 vUv;',
    'out vec4 outColour;',
    ...own.map(({ glsl, mixing, index }) => placed(mixingHead(mixing) + glsl, index)),
    'void main() {',
    // what was already worked on is read as it is, to the last bit
    from === 0
      ? '  vec3 c = texture(uSource, vUv).rgb;'
      : '  vec3 c = texelFetch(uSource, ivec2(gl_FragCoord.xy), 0).rgb;',
    '  float gain = 1.0;',
    ...own.map(({ mixing, index }) => placed(mixed(mixing), index)),
    last ? '  outColour = vec4(clamp(c, 0.0, 1.0), 1.0);' : '  outColour = vec4(c * gain, 1.0);',
    '}',
  ].join('\n');
}

/** The stretches of a chain: a new one begins before an effect that looks at the neighbours of a picture already changed. */
function stretches(effects: readonly Effect[]): number[] {
  const starts = [0];
  effects.forEach(({ kind }, i) => {
    if (i > 0 && programOf(kind).needs.includes('neighbours')) starts.push(i);
  });
  return starts;
}

/** The programs that draw one order of effects. */
class Chain {
  private readonly stretches: Stretch[];
  /** what one stretch hands to the next, in turns */
  private readonly between = [0, 1].map(() => new Sized((width, height) => floatTarget(width, height)));

  constructor(
    private readonly gpu: Gpu,
    effects: readonly Effect[],
  ) {
    const starts = stretches(effects);
    this.stretches = starts.map((from, s) => {
      const to = starts[s + 1] ?? effects.length;
      const own = effects.slice(from, to);
      const running = own.map(({ kind }, k) => ({
        ...{ index: from + k, running: programOf(kind).make(gpu), mixing: mixingUniforms() },
      }));
      const uniforms: Record<string, THREE.IUniform> = {
        uSource: { value: null },
        uPicture: { value: new THREE.Vector2() },
        uFrame: { value: 0 },
      };
      for (const { index, running: effect, mixing } of running)
        for (const [name, uniform] of Object.entries({ ...mixing, ...effect.uniforms }))
          uniforms[placed(name, index)] = uniform;
      return { effects: running, material: fullscreenMaterial(program(own, from, to === effects.length), uniforms) };
    });
  }

  run(
    effects: readonly Effect[],
    light: THREE.WebGLRenderTarget,
    target: THREE.WebGLRenderTarget | null,
    frame: FrameInfo,
  ): void {
    let source = light;
    this.stretches.forEach(({ effects: own, material }, s) => {
      for (const { index, running, mixing } of own) {
        setMixing(mixing, effects[index], frame);
        running.prepare(effects[index], source, frame);
      }
      const last = s === this.stretches.length - 1;
      const to = last ? target : this.between[s % 2].at(light);
      const { uSource, uPicture, uFrame } = material.uniforms;
      uSource.value = source.texture;
      (uPicture.value as THREE.Vector2).set(light.width, light.height);
      uFrame.value = frame.frame;
      this.gpu.quad.draw(this.gpu.renderer, material, to);
      if (to) source = to;
    });
  }

  dispose(): void {
    for (const { effects, material } of this.stretches) {
      for (const { running } of effects) running.dispose();
      material.dispose();
    }
    for (const target of this.between) target.dispose();
  }
}

/** Puts the effects of a look in order, and draws them. */
export class EffectComposer {
  private readonly chains = new Map<string, Chain>();

  constructor(private readonly gpu: Gpu) {}

  /** From the linear light of a frame to code values. */
  run(
    effects: readonly Effect[],
    light: THREE.WebGLRenderTarget,
    target: THREE.WebGLRenderTarget | null,
    frame: FrameInfo,
  ): void {
    const acting = actingEffects(effects, frame);
    const key = acting.map((effect) => `${effect.kind} ${mixingOf(effect)}`).join(', ');
    const chain = this.chains.get(key) ?? new Chain(this.gpu, acting);
    // the one in use is the youngest
    this.chains.delete(key);
    this.chains.set(key, chain);
    for (const [name, old] of this.chains) {
      if (this.chains.size <= KEPT) break;
      old.dispose();
      this.chains.delete(name);
    }
    chain.run(acting, light, target, frame);
  }

  dispose(): void {
    for (const chain of this.chains.values()) chain.dispose();
    this.chains.clear();
  }
}
