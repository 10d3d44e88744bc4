import * as THREE from 'three';
import { OVERLAP, radiansPerPixel, sidePixels, sidesOf, type Fisheye, type Side } from '../../core/lens/fisheye';
import { inverse } from '../../core/space/vector';
import type { Gpu } from '../gl/gpu';
import { ADDITIVE, fullscreenMaterial } from '../gl/quad';
import { Sized } from '../gl/sized';
import { emptyLight, floatTarget } from '../gl/target';
import gatherFragment from './gather.frag.glsl?raw';
import rimFragment from './rim.frag.glsl?raw';

const MOST_SIDES = 6;
const HEAD = `#define SIDES ${MOST_SIDES}\n#define OVERLAP ${OVERLAP}\n`;

/** What there is, times what is drawn. */
const MULTIPLIED: typeof ADDITIVE = {
  ...ADDITIVE,
  blendSrc: THREE.ZeroFactor,
  blendDst: THREE.SrcColorFactor,
  blendSrcAlpha: THREE.ZeroFactor,
  blendDstAlpha: THREE.SrcAlphaFactor,
};

interface Size {
  width: number;
  height: number;
}

/** The rotation of a quaternion as a matrix of three rows. */
const matrixOf = (q: Side['turn']): THREE.Matrix3 =>
  new THREE.Matrix3().setFromMatrix4(new THREE.Matrix4().makeRotationFromQuaternion(new THREE.Quaternion(...q)));

/** From the axes of what a side sees to those of the picture. */
export const toPicture = ({ turn }: Side): THREE.Matrix3 => matrixOf(turn);

/** Gathers a fisheye's circle from the sides of a cube around the eye, each drawn as a picture of its own. */
export class Circle {
  private readonly own = {
    uSide: { value: null as THREE.Texture | null },
    uSize: { value: new THREE.Vector2() },
    uCircle: { value: new THREE.Vector2() },
    uToSides: { value: Array.from({ length: MOST_SIDES }, () => new THREE.Matrix3()) },
    uSides: { value: 0 },
    uOwn: { value: 0 },
    uNothing: { value: new THREE.Vector4() },
  };
  private readonly added = fullscreenMaterial(HEAD + gatherFragment, this.own, ADDITIVE);
  private readonly picked = fullscreenMaterial(`#define PICK\n${HEAD}${gatherFragment}`, this.own);
  private readonly rim = fullscreenMaterial(rimFragment, this.own, MULTIPLIED);
  private readonly lights = new Sized(floatTarget);
  private readonly sideNumbers = new Sized(floatTarget);
  private shares: THREE.WebGLRenderTarget[] = [];
  private size: Size = { width: 1, height: 1 };

  constructor(private readonly gpu: Gpu) {}

  /**
   * Begins a picture.
   * @returns the sides that are seen, and the size of each in pixels
   */
  begin({ angle }: Fisheye, { width, height }: Size): { sides: readonly Side[]; size: Size } {
    this.size = { width, height };
    const sides = sidesOf(angle);
    const px = sidePixels(angle, this.size);
    const { uSize, uCircle, uSides, uToSides } = this.own;
    uSize.value.set(width, height);
    uCircle.value.set(angle / 2, radiansPerPixel(angle, this.size));
    uSides.value = sides.length;
    sides.forEach(({ turn }, k) => uToSides.value[k].copy(matrixOf(inverse(turn))));
    return { sides, size: { width: px, height: px } };
  }

  /** Where its light is gathered, empty. */
  light(): THREE.WebGLRenderTarget {
    const target = this.lights.at(this.size);
    emptyLight(this.gpu.renderer, target);
    return target;
  }

  /** As many targets, empty, as there are of what else is asked of a picture. */
  sharesOf(count: number): THREE.WebGLRenderTarget[] {
    const { width, height } = this.size;
    const fits = (one: THREE.WebGLRenderTarget): boolean => one.width === width && one.height === height;
    for (const target of this.shares.filter((one, i) => i >= count || !fits(one))) target.dispose();
    this.shares = Array.from({ length: count }, (_, i) => {
      const known = this.shares.at(i);
      return known && fits(known) ? known : floatTarget(width, height);
    });
    for (const target of this.shares) emptyLight(this.gpu.renderer, target);
    return this.shares;
  }

  /** Adds what a side shows. @param index of the side */
  add(index: number, texture: THREE.Texture, to: THREE.WebGLRenderTarget): void {
    this.gather(this.added, index, texture, to);
  }

  /** Where the numbers of a side are drawn before they are {@link pick}ed. */
  numbers(side: Size): THREE.WebGLRenderTarget {
    return this.sideNumbers.at(side);
  }

  /** Draws what a side shows where it sees best, as it is. @param beyond what there is beyond the circle */
  pick(index: number, texture: THREE.Texture, beyond: number, to: THREE.WebGLRenderTarget | null): void {
    this.own.uNothing.value.set(beyond, beyond, beyond, 1);
    this.gather(this.picked, index, texture, to);
  }

  /** Leaves nothing beyond the circle of a finished picture. */
  cut(to: THREE.WebGLRenderTarget | null): void {
    this.gpu.quad.draw(this.gpu.renderer, this.rim, to);
  }

  private gather(
    material: THREE.Material,
    index: number,
    texture: THREE.Texture,
    to: THREE.WebGLRenderTarget | null,
  ): void {
    this.own.uSide.value = texture;
    this.own.uOwn.value = index;
    this.gpu.quad.draw(this.gpu.renderer, material, to);
    this.own.uSide.value = null;
  }

  dispose(): void {
    for (const target of [this.lights, this.sideNumbers, ...this.shares]) target.dispose();
    for (const material of [this.added, this.picked, this.rim]) material.dispose();
  }
}
