import * as THREE from 'three';
import type { Pipeline, Step } from '../../core/world/pipeline';
import type { Gpu } from '../gl/gpu';
import { fullscreenMaterial } from '../gl/quad';
import { Feed } from './feed';
import { TableTexture } from './table';
import { GROUP } from './picked';
import { ELEMENT_ROW, elementProgram, type ElementSort } from './program';

/** Rest values of the elements as a texture, four numbers a texel. */
function restTexture(rest: Float32Array): THREE.DataTexture {
  const rows = Math.max(1, Math.ceil(rest.length / 4 / ELEMENT_ROW));
  const data = new Float32Array(rows * ELEMENT_ROW * 4);
  data.set(rest);
  const texture = new THREE.DataTexture(data, ELEMENT_ROW, rows, THREE.RGBAFormat, THREE.FloatType);
  texture.needsUpdate = true;
  return texture;
}

/**
 * Runs a layer's pipeline once for every element of a tile and keeps the result in textures, one texel an element: position
 * and size, linear colour times light with how far it is there, and for what needs them rotation, key and order. Drawings
 * read them. Changing the phase or a value changes uniforms only.
 */
export class ElementPass {
  private readonly material: THREE.RawShaderMaterial;
  private readonly targets: THREE.WebGLRenderTarget[] = [];
  private readonly rest: THREE.DataTexture | null;
  private readonly feed: Feed;
  private readonly picked = { uPicked: { value: GROUP } };
  /** what each slot was worked out from last */
  private readonly states: unknown[][] = [];
  /** the number of the run that each slot holds, among all there ever were */
  private readonly numbers: number[] = [];
  private static runs = 0;

  constructor(
    private readonly gpu: Gpu,
    pipeline: Pipeline,
    private readonly sort: ElementSort,
    private readonly gradient: THREE.Texture,
  ) {
    this.rest = sort.rest ? restTexture(sort.rest) : null;
    this.feed = new Feed(this.stepsOf(pipeline), (kernel) => new TableTexture(gpu, kernel));
    this.material = fullscreenMaterial(elementProgram(pipeline, sort), {
      ...this.picked,
      ...this.feed.uniforms,
      uGradient: { value: gradient },
      uRest: { value: this.rest },
    });
  }

  /** What a slot holds is the same where this is. */
  stateOf(slot: number): number {
    return this.numbers[slot] ?? 0;
  }

  get count(): number {
    return this.sort.count;
  }

  private stepsOf(pipeline: Pipeline): Step[] {
    return this.sort.bodies ? pipeline.element : [...pipeline.element, ...pipeline.space];
  }

  /**
   * Evaluates a pipeline of the same structure at a phase into a slot, unless all of it is as it was there the last time.
   * @param count of the first elements, all or fewer; what the others are is not known then
   * @param picked of every group so many, where they lie in rows
   */
  run(
    slot: number,
    pipeline: Pipeline,
    phase: number,
    echoOf: readonly string[],
    count: number,
    picked = GROUP,
  ): THREE.WebGLRenderTarget {
    const target = this.target(slot);
    const rows = Math.ceil(count / ELEMENT_ROW);
    this.feed.at(this.stepsOf(pipeline), phase, echoOf);
    const state = [...this.feed.state(), this.gradient.version, rows, picked];
    const { [slot]: before } = this.states as (unknown[] | undefined)[];
    if (before?.length === state.length && state.every((value, i) => Object.is(value, before[i]))) return target;
    this.states[slot] = state;
    this.numbers[slot] = ++ElementPass.runs;
    this.picked.uPicked.value = picked;
    target.viewport.set(0, 0, target.width, rows);
    this.gpu.quad.draw(this.gpu.renderer, this.material, target);
    return target;
  }

  /** The last run of a slot: place, look, and for what needs them turn and mark. */
  target(slot: number): THREE.WebGLRenderTarget {
    const made = this.targets[slot] as THREE.WebGLRenderTarget | undefined;
    if (made) return made;
    const rows = Math.max(1, Math.ceil(this.count / ELEMENT_ROW));
    // no wider than needed: a texel without an element is worked out like the others
    const target = new THREE.WebGLRenderTarget(Math.min(this.count, ELEMENT_ROW) || 1, rows, {
      count: this.sort.turned ? 4 : 2,
      type: THREE.FloatType,
      format: THREE.RGBAFormat,
      minFilter: THREE.NearestFilter,
      magFilter: THREE.NearestFilter,
      depthBuffer: false,
    });
    this.targets[slot] = target;
    return target;
  }

  dispose(): void {
    this.feed.dispose();
    this.material.dispose();
    this.rest?.dispose();
    for (const target of this.targets) (target as THREE.WebGLRenderTarget | undefined)?.dispose();
  }
}
