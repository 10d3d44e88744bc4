import { PLAIN, type FormatInfo } from '../format';

/** The camera as it moves over the lap. */
export const cameraGlb = {
  ...PLAIN,
  kind: 'cameraGlb',
  label: 'GLB, the camera',
  short: 'GLB camera',
  extension: '.glb',
  mime: 'model/gltf-binary',
  holds: 'track',
  each: null,
  takes: { pixels: 'camera', alpha: false, channels: false },
} as const satisfies FormatInfo;
