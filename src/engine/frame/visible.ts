import * as THREE from 'three';
import type { Part } from '../../core/layers/drawing';
import type { LayerFrame } from '../layer/frame';
import type { Shot } from './shot';

/** A stretch of one repetition of a layer that the camera may see. */
export interface VisiblePart {
  /** number of the repetition, and metres along −z by which its tile is moved */
  repetition: number;
  offset: number;
  /** least and greatest depth along the view, metres; near is 0 or more */
  near: number;
  far: number;
  part: Part;
}

/** From where parts are looked at: the camera, or a light. */
export type Onlooker = Pick<Shot, 'pose' | 'open' | 'mid' | 'close' | 'back'>;

/** Repetitions looked at to either side, however short the tile and however wide what is in it. */
const MOST_TILES = 512;

const corner = new THREE.Vector3();

/** Least and greatest depth of a box about the travel axis: depth is linear, so the corners hold the extremes. */
function depthRange(
  view: THREE.Matrix4,
  x: number,
  y: number,
  halfX: number,
  halfY: number,
  zNear: number,
  zFar: number,
): [number, number] {
  let near = Infinity;
  let far = -Infinity;
  for (let i = 0; i < 8; i++) {
    corner.set(x + (i & 1 ? halfX : -halfX), y + (i & 2 ? halfY : -halfY), i & 4 ? zNear : zFar).applyMatrix4(view);
    near = Math.min(near, -corner.z);
    far = Math.max(far, -corner.z);
  }
  return [near, far];
}

/**
 * The parts of a layer's repetitions that are in front of the lens and within the piece's reach. Generous by the way the
 * camera moves while the shutter is open.
 */
export function visibleParts(
  { piece, extent, once }: Pick<LayerFrame, 'piece' | 'extent' | 'once'>,
  shot: Onlooker,
  parts: readonly Part[],
): VisiblePart[] {
  const { tile } = piece;
  const at = -shot.pose.position[2];
  const { reach } = piece.look;
  const { bend, carried } = extent;
  const sway =
    Math.hypot(...[12, 13, 14].map((i) => shot.open.elements[i] - shot.close.elements[i])) +
    0.02 * reach * shutterTurn(shot);
  const here = Math.floor(at / tile);
  const first = once ? 0 : Math.max(here - MOST_TILES, Math.floor((at - reach - extent.to - carried) / tile));
  const last = once ? 0 : Math.min(here + MOST_TILES, Math.ceil((at + reach - extent.from + carried) / tile));
  const length = extent.to - extent.from;
  const out: VisiblePart[] = [];
  for (let k = first; k <= last; k++)
    for (const part of parts) {
      const from = k * tile + extent.from + part.from * length - carried;
      const to = k * tile + extent.from + part.to * length + carried;
      const [near, far] = depthRange(
        shot.mid,
        extent.centre[0],
        extent.centre[1],
        extent.halfWidth + bend + carried,
        extent.halfHeight + bend + carried,
        -from,
        -to,
      );
      if (far + sway < 0.02 || near - sway > reach + shot.back) continue;
      out.push({ repetition: k, offset: k * tile, near: Math.max(0, near - sway), far: far + sway, part });
    }
  return out;
}

/** How much the view turns while the shutter is open, as the largest change of a rotation matrix's entry. */
function shutterTurn(shot: Onlooker): number {
  let most = 0;
  for (let i = 0; i < 11; i++)
    if (i % 4 !== 3) most = Math.max(most, Math.abs(shot.open.elements[i] - shot.close.elements[i]));
  return most > 0 ? most * 50 : 0;
}
