import * as THREE from 'three';
import type { Plane } from '../../core/world/mirrors';

/** The world seen in a plane, as a matrix. */
function mirroredIn({ normal: [x, y, z], along }: Plane): THREE.Matrix4 {
  return new THREE.Matrix4().set(
    ...([1 - 2 * x * x, -2 * x * y, -2 * x * z, 2 * along * x] as const),
    ...([-2 * x * y, 1 - 2 * y * y, -2 * y * z, 2 * along * y] as const),
    ...([-2 * x * z, -2 * y * z, 1 - 2 * z * z, 2 * along * z] as const),
    ...([0, 0, 0, 1] as const),
  );
}

const OVER = new THREE.Matrix4().makeScale(-1, 1, 1);

/**
 * A view as an eye behind the mirror has it, which sees what the mirror shows, turned over from left to right: so it is a view like any
 * other, in which a shape turns the same side to the eye.
 */
export const behind = (view: THREE.Matrix4, plane: Plane): THREE.Matrix4 =>
  OVER.clone().multiply(view).multiply(mirroredIn(plane));

/** A plane as a view has it: unit normal and how far before it the eye is, metres, both towards the eye. */
export function towardsEye({ normal, along }: Plane, view: THREE.Matrix4): THREE.Vector4 {
  const n = new THREE.Vector3(...normal).transformDirection(view);
  const at = new THREE.Vector3(...normal).multiplyScalar(along).applyMatrix4(view);
  const away = -n.dot(at);
  return new THREE.Vector4(n.x, n.y, n.z, away).multiplyScalar(away < 0 ? -1 : 1);
}

/** A lens, as far as it matters how wide it sees: pixels; metres, and 0 with perspective; metres of the point it looks through. */
export interface Sees {
  width: number;
  height: number;
  pixelFocal: number;
  flat: number;
  focus: number;
  far: number;
  lens: readonly [number, number];
}

/**
 * What frame/view.glsl takes for the near side of what an eye behind a mirror sees: the plane, from it towards what it mirrors, so long
 * that nothing in the picture is beyond the far side, which is 2.
 * @param view of the eye behind it
 */
export function nearSide(plane: Plane, view: THREE.Matrix4, sees: Sees): THREE.Vector4 {
  const side = towardsEye(plane, view).multiplyScalar(-1);
  const { width, height, pixelFocal, flat, focus, far, lens } = sees;
  const wide = (flat > 0 ? flat : 1) / pixelFocal / 2;
  // how far from it anything in the picture is, for each metre of depth; without perspective altogether
  const aside = Math.abs(side.x * lens[0]) + Math.abs(side.y * lens[1]);
  const reach =
    (Math.abs(side.x) * width + Math.abs(side.y) * height) * wide +
    aside * (flat > 0 ? Math.max(focus, far - focus) / flat : 1 / focus);
  const most = flat > 0 ? Math.max(side.w - side.z * far, side.w) + reach : reach - side.z;
  return side.multiplyScalar(2 / Math.max(most, 1e-6));
}
