import * as THREE from 'three';
import type { Earlier as Joined } from '../../core/look/effects/definition';
import type { Gpu } from '../gl/gpu';
import { ADDITIVE, fullscreenMaterial } from '../gl/quad';
import { Sized } from '../gl/sized';
import { emptyLight, floatTarget } from '../gl/target';
import earlierFragment from './earlier.frag.glsl?raw';

/** The brighter of what is drawn and what is there, channel by channel. */
const BRIGHTEST: typeof ADDITIVE = { ...ADDITIVE, blendEquation: THREE.MaxEquation };

/** Light of other moments, joined for the effects of a frame that ask for it. What nobody asks for any more is let go of. */
export class Earlier {
  private readonly own = { uLight: { value: null as THREE.Texture | null }, uGain: { value: new THREE.Vector3() } };
  private readonly materials: Record<Joined['joins'], THREE.RawShaderMaterial> = {
    brightest: fullscreenMaterial(earlierFragment, this.own, BRIGHTEST),
    added: fullscreenMaterial(earlierFragment, this.own, ADDITIVE),
  };
  private held = new Map<string, Sized<THREE.WebGLRenderTarget>>();

  constructor(private readonly gpu: Gpu) {}

  /** Empties what a frame of a size asks for. @param ids of its effects */
  begin(ids: readonly string[], size: { width: number; height: number }): void {
    for (const [id, old] of this.held) if (!ids.includes(id)) old.dispose();
    this.held = new Map(ids.map((id) => [id, this.held.get(id) ?? new Sized(floatTarget)]));
    for (const target of this.held.values()) emptyLight(this.gpu.renderer, target.at(size));
  }

  /** Joins the light of a moment to what an effect has. */
  add(id: string, light: THREE.Texture, joins: Joined['joins'], gain: readonly number[]): void {
    const target = this.held.get(id)?.last;
    if (!target) return;
    this.own.uLight.value = light;
    this.own.uGain.value.fromArray(gain);
    this.gpu.quad.draw(this.gpu.renderer, this.materials[joins], target);
    this.own.uLight.value = null;
  }

  /** What an effect asked for. @throws RangeError when it did not */
  at(id: string): THREE.Texture {
    const target = this.held.get(id)?.last;
    if (!target) throw new RangeError(`the effect ${id} asked for no other moments`);
    return target.texture;
  }

  dispose(): void {
    for (const target of this.held.values()) target.dispose();
    for (const material of Object.values(this.materials)) material.dispose();
  }
}
