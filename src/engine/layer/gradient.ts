import * as THREE from 'three';
import { gradientTableAt, type AnimatedGradient } from '../../core/colour/animated';

/** Colours of a gradient. */
const ACROSS = 256;

/** Room for the colours of some gradients, a row each, on the GPU. */
export function gradientRows(rows: number): THREE.DataTexture {
  const texture = new THREE.DataTexture(
    new Float32Array(ACROSS * rows * 4),
    ACROSS,
    rows,
    THREE.RGBAFormat,
    THREE.FloatType,
  );
  texture.magFilter = texture.minFilter = THREE.LinearFilter;
  return texture;
}

/** Room for the colours of a gradient, on the GPU. */
export const gradientTexture = (): THREE.DataTexture => gradientRows(1);

const held = new WeakMap<THREE.DataTexture, Float32Array[]>();

/** Writes a gradient as it is at a phase into a row, unless that holds it already; leaves it as it is where there is none. */
export function fillRows(
  texture: THREE.DataTexture,
  row: number,
  gradient: AnimatedGradient | null,
  phase: number,
): void {
  if (!gradient) return;
  const table = gradientTableAt(gradient, phase);
  const rows = held.get(texture) ?? [];
  held.set(texture, rows);
  if (rows[row] === table) return;
  rows[row] = table;
  (texture.image.data as Float32Array).set(table, row * ACROSS * 4);
  texture.needsUpdate = true;
}

/** Writes a gradient as it is at a phase into its texture, unless it holds it already. */
export const fillGradient = (texture: THREE.DataTexture, gradient: AnimatedGradient, phase: number): void =>
  fillRows(texture, 0, gradient, phase);
