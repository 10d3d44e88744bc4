import { PLAIN, type FormatInfo } from '../format';

/** Meshes, points and lines of the world, a file for each frame, with the camera. */
export const glb = {
  ...PLAIN,
  kind: 'glb',
  label: 'GLB, the world',
  short: 'GLB world',
  extension: '.zip',
  mime: 'application/zip',
  holds: 'pictures',
  each: '.glb',
  takes: { pixels: 'world', alpha: false, channels: false },
} as const satisfies FormatInfo;
