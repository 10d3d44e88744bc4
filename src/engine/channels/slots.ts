import * as THREE from 'three';
import { joinSources } from '../../core/kernel/kernel';
import { askedKey, type Asked } from '../../core/look/channels';
import { sources as maskSources } from '../../core/look/effects/mask.gen';
import { PIXEL, VEIL } from '../air/air';
import { lightTargets } from '../frame/levels';
import { drawMatter, type ShownLayers } from '../frame/layers';
import type { Shot } from '../frame/shot';
import type { Sum } from '../frame/sum';
import { Levels, LEVELS, matterTarget, type Targets } from '../frame/targets';
import type { Pass, View } from '../frame/view';
import viewSource from '../frame/view.glsl?raw';
import type { Gpu } from '../gl/gpu';
import { ADDITIVE, fullscreenMaterial } from '../gl/quad';
import { emptyLight, emptyMatter, floatTarget } from '../gl/target';
import shareFragment from './share.frag.glsl?raw';

/** One of the four numbers of a target's pixels. */
export interface Slot {
  target: THREE.WebGLRenderTarget;
  /** 0 to 3 */
  number: number;
}

const NUMBERS = { anything: 0, layer: 1, near: 2, fog: 3, bright: 4 } as const;
type Of = keyof typeof NUMBERS;

/** What its program needs to know of the view. */
const BEFORE: Record<Of, string> = {
  anything: viewSource + VEIL,
  layer: '',
  near: viewSource + PIXEL,
  fog: viewSource + PIXEL,
  bright: '',
};

const UNITS = [0, 1, 2, 3].map((k) => new THREE.Vector4(...[0, 1, 2, 3].map((i) => (i === k ? 1 : 0))));

/** Light of one layer alone, in targets of its own. */
interface OwnLight {
  targets: Levels;
  used: boolean[];
}

/**
 * How far what effects ask for is there in each pixel, the mean of all passes of a frame: four of them a texture. What nobody asks for costs
 * nothing.
 */
export class Slots {
  private readonly programs = new Map<Of, THREE.RawShaderMaterial>();
  private readonly own = {
    uOne: { value: null as THREE.Texture | null },
    uRange: { value: new THREE.Vector2() },
    uDrawnBack: { value: 0 },
    uUnit: { value: UNITS[0] },
  };
  private asked: Asked[] = [];
  private keys = new Map<string, number>();
  private held: THREE.WebGLRenderTarget[] = [];
  /** where it lies instead, when it was gathered from several views */
  private gathered: readonly THREE.WebGLRenderTarget[] | null = null;
  /** what a pass sees of one layer alone */
  private scratch: THREE.WebGLRenderTarget | null = null;
  private readonly light = new Map<string, OwnLight>();

  constructor(
    private readonly gpu: Gpu,
    private readonly view: View,
    private readonly sum: Sum,
  ) {}

  /** Empties what a frame of a size is asked for. */
  begin(asked: readonly Asked[], { width, height }: Pick<Targets, 'width' | 'height'>, shown: ShownLayers): void {
    this.keys = new Map();
    this.asked = [];
    this.gathered = null;
    for (const one of asked)
      if (!this.keys.has(askedKey(one))) {
        this.keys.set(askedKey(one), this.asked.length);
        this.asked.push(one);
      }
    const fits = (target: Pick<Targets, 'width' | 'height'>): boolean =>
      target.width === width && target.height === height;
    const count = Math.ceil(this.asked.length / 4);
    for (const target of this.held.filter((one, i) => i >= count || !fits(one))) target.dispose();
    this.held = Array.from({ length: count }, (_, i) => {
      const known = this.held.at(i);
      return known && fits(known) ? known : floatTarget(width, height);
    });
    for (const target of this.held) emptyLight(this.gpu.renderer, target);
    const layers = this.asked.flatMap((one) => (one.of === 'layer' ? [one.id] : []));
    const lit = new Set(layers.filter((id) => shown.light.some(({ frame }) => frame.layer.id === id)));
    for (const [id, { targets }] of this.light)
      if (!lit.has(id) || !fits(targets)) {
        targets.dispose();
        this.light.delete(id);
      }
    for (const id of lit) {
      const light = this.light.get(id) ?? { targets: new Levels(width, height), used: [] };
      light.used = LEVELS.map(() => false);
      this.light.set(id, light);
      for (const target of light.targets.levels) emptyLight(this.gpu.renderer, target);
    }
    const needsScratch = layers.some((id) => shown.matter.some(({ frame }) => frame.layer.id === id));
    if (this.scratch && (!needsScratch || !fits(this.scratch))) {
      this.scratch.dispose();
      this.scratch = null;
    }
    if (needsScratch) this.scratch ??= matterTarget(width, height);
  }

  /** Adds what one pass sees. Its matter is drawn, and its light has not begun to be. */
  addPass({ matter }: Targets, shot: Shot, { lens: { t }, total }: Pass, shown: ShownLayers): void {
    for (const asked of this.asked) {
      if (asked.of === 'layer') {
        const own = shown.matter.filter(({ frame }) => frame.layer.id === asked.id);
        if (own.length === 0 || !this.scratch) continue;
        emptyMatter(this.gpu.renderer, this.scratch);
        drawMatter(own, t, this.scratch);
        this.own.uOne.value = this.scratch.textures[0];
      }
      this.own.uRange.value.set(
        'from' in asked ? asked.from : 0,
        asked.of === 'near' ? asked.to : asked.of === 'fog' ? asked.distance : 0,
      );
      this.own.uDrawnBack.value = shot.back;
      [this.view.uMatter.value] = matter.textures;
      this.view.uShare.value = 1 / total;
      this.add(asked, asked.of);
    }
    this.own.uOne.value = null;
  }

  /** Draws the light of layers that are asked for once more, each alone. Everything is set for the light of a pass. */
  addLight({ lens: { t } }: Pass, shown: ShownLayers, few: boolean): void {
    for (const [id, { targets, used }] of this.light) {
      const to = lightTargets(this.view, targets, few, used);
      for (const { drawn, moment, frame } of shown.light)
        if (frame.layer.id === id) {
          drawn.show(moment, t);
          drawn.draw(to);
        }
    }
  }

  /** Counts the light of layers, when all passes are drawn. */
  end(): void {
    for (const [id, { targets, used }] of this.light) {
      this.own.uOne.value = this.sum.bring(targets, true, used).texture;
      this.view.uShare.value = 1;
      this.add({ of: 'layer', id }, 'bright');
    }
    this.own.uOne.value = null;
  }

  /** What was counted of one view, four numbers each. */
  get targets(): readonly THREE.WebGLRenderTarget[] {
    return this.held;
  }

  /** Says where all that was asked for lies, gathered from several views. */
  gather(targets: readonly THREE.WebGLRenderTarget[]): void {
    this.gathered = targets;
  }

  /** Whether anything is asked for. */
  get wanted(): boolean {
    return this.asked.length > 0;
  }

  /** Where something is that was asked for. @throws RangeError when it was not */
  at(asked: Asked): Slot {
    const index = this.keys.get(askedKey(asked));
    const target = index === undefined ? undefined : (this.gathered ?? this.held).at(index >> 2);
    if (index === undefined || !target) throw new RangeError(`nobody asked for ${askedKey(asked)}`);
    return { target, number: index & 3 };
  }

  private add(asked: Asked, of: Of): void {
    const index = this.keys.get(askedKey(asked)) ?? 0;
    this.own.uUnit.value = UNITS[index & 3];
    this.gpu.quad.draw(this.gpu.renderer, this.program(of), this.held[index >> 2]);
  }

  private program(of: Of): THREE.RawShaderMaterial {
    const known = this.programs.get(of);
    if (known) return known;
    const source = `#define OF ${NUMBERS[of]}\n${BEFORE[of]}${joinSources(maskSources)}${shareFragment}`;
    const made = fullscreenMaterial(source, { ...this.view, ...this.own }, ADDITIVE);
    this.programs.set(of, made);
    return made;
  }

  dispose(): void {
    for (const target of this.held) target.dispose();
    for (const { targets } of this.light.values()) targets.dispose();
    for (const material of this.programs.values()) material.dispose();
    this.scratch?.dispose();
  }
}
