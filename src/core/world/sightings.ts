import type { Layer } from '../layers/kinds';
import type { Piece } from '../piece/schema';
import { radiansPerPixel } from '../lens/fisheye';
import { inverse, length, rotate, subtract, type Vec3 } from '../space/vector';
import { cameraPose } from './camera';
import { layerElements, pipelineOf } from './layers';
import { mirrored, mirrorsOf, planeOf } from './mirrors';
import { layerEchoes } from './pipeline';
import { rides, standsOnce } from './route';

/** How far beyond the frame something may be and still be called in sight, as a share of the frame. */
const MARGIN = 0.15;
/** Metres before which nothing is looked at from nearer. */
const NEAREST = 0.05;
/** For how far elements move while the shutter is open. */
const SLACK = 1.3;

/**
 * How large elements are on the picture: of each the height in pixels of what is one size high, where it may be seen, in a mirror too; 0
 * where it is out of sight for certain. Generous: where space is bent, or other moments are shown too, all of
 * them may fill the picture.
 * @param frame pixels of the picture @param radius of an element, in sizes
 */
export function sightings(
  piece: Piece,
  layer: Layer,
  phase: number,
  share: number,
  frame: { width: number; height: number },
  radius: number,
): Float32Array {
  const { position, size, fade, count } = layerElements(piece, layer.id, phase, share);
  const out = new Float32Array(count);
  const echoes = layerEchoes(layer, phase, piece.lap.frames).length > 1;
  if (echoes || pipelineOf(piece, layer, share).space.length > 0) return out.fill(frame.width);
  const pose = cameraPose(piece, phase);
  const back = inverse(pose.quaternion);
  const pixelFocal = (frame.width * pose.focalMm) / pose.sensorMm;
  const each = pose.fisheye && radiansPerPixel(pose.fisheye.angle, frame);
  const half: Vec3 = [(frame.width / 2) * (1 + MARGIN), (frame.height / 2) * (1 + MARGIN), 0];
  const aperture = pose.focalMm / 1000 / pose.fNumber / 2;
  const flat = pose.orthoWidth === null ? null : frame.width / pose.orthoWidth;
  const tile = standsOnce(piece, layer) ? null : piece.tile;
  const reach = piece.look.reach;
  // what is mirrored is seen where its image is, too
  const planes = rides(layer) ? [] : mirrorsOf(piece).flatMap((mirror) => planeOf(piece, mirror, phase) ?? []);
  for (let i = 0; i < count; i++) {
    if (fade[i] <= 0 || size[i] <= 0) continue;
    const far = size[i] * radius * SLACK;
    const at: Vec3 = [position[i * 3], position[i * 3 + 1], position[i * 3 + 2]];
    const here =
      tile === null ? [at] : repetitions(at[2], pose.position[2], tile, reach).map((z): Vec3 => [at[0], at[1], z]);
    for (const place of [...here, ...planes.flatMap((plane) => here.map((p) => mirrored(plane, p)))]) {
      const off = subtract(place, pose.position);
      if (each !== null) {
        // all around
        const near = Math.max(NEAREST, length(off) - far);
        if (near < reach) out[i] = Math.max(out[i], size[i] / near / each);
        continue;
      }
      const [x, y, ahead] = rotate(back, off);
      const depth = -ahead;
      if (flat === null && depth < -far) continue;
      const near = Math.max(NEAREST, depth - far);
      const scale = flat ?? pixelFocal / near;
      const blur = aperture * Math.abs(depth / pose.focusDistance - 1);
      const wide = (far + blur) * scale;
      // what reaches the lens may be anywhere
      const least = flat ?? (depth < far ? 0 : pixelFocal / depth);
      if (Math.abs(x) * least - wide > half[0] || Math.abs(y) * least - wide > half[1]) continue;
      out[i] = Math.max(out[i], size[i] * scale);
    }
  }
  return out;
}

/** Where along z something stands in each repetition that may be within reach. */
function repetitions(z: number, camera: number, tile: number, reach: number): number[] {
  const first = Math.ceil((camera - reach - z) / tile);
  const last = Math.floor((camera + reach - z) / tile);
  return Array.from({ length: Math.min(200, Math.max(0, last - first + 1)) }, (_, k) => z + (first + k) * tile);
}
