import { PLAIN, type FormatInfo } from '../format';

/** The ways of layers and of the camera as curves, the same at every frame. */
export const routes = {
  ...PLAIN,
  kind: 'routes',
  label: 'OBJ, the routes',
  short: 'OBJ routes',
  extension: '.obj',
  mime: 'model/obj',
  holds: 'track',
  each: null,
  takes: { pixels: 'routes', alpha: false, channels: false },
} as const satisfies FormatInfo;
