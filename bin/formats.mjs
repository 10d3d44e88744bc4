// What the command line knows of formats: the endings that fit each. A test holds them against core/deliveries.

/**
 * @typedef {object} FormatWords
 * @property {string} kind as deliveries have it
 * @property {readonly string[]} endings that its file may have; '' is a folder
 * @property {boolean} film all frames in one file
 */

/** By the names they are asked for. @type {Readonly<Record<string, FormatWords>>} */
export const FORMATS = {
  mp4: { kind: 'mp4', endings: ['mp4'], film: true },
  'mp4-av1': { kind: 'mp4Av1', endings: ['mp4'], film: true },
  webm: { kind: 'webm', endings: ['webm'], film: true },
  'webm-av1': { kind: 'webmAv1', endings: ['webm'], film: true },
  prores: { kind: 'prores422', endings: ['mov'], film: true },
  'prores-4444': { kind: 'prores4444', endings: ['mov'], film: true },
  hap: { kind: 'hap', endings: ['mov'], film: true },
  'hap-alpha': { kind: 'hapAlpha', endings: ['mov'], film: true },
  'hap-q': { kind: 'hapQ', endings: ['mov'], film: true },
  h265: { kind: 'hevc', endings: ['mp4'], film: true },
  ffv1: { kind: 'ffv1', endings: ['mkv'], film: true },
  png: { kind: 'png', endings: ['', 'zip'], film: false },
  exr: { kind: 'exr', endings: ['', 'zip'], film: false },
  gif: { kind: 'gif', endings: ['gif'], film: true },
  webp: { kind: 'webp', endings: ['webp'], film: true },
  poster: { kind: 'poster', endings: ['png'], film: false },
  sheet: { kind: 'sheet', endings: ['png'], film: false },
  glb: { kind: 'glb', endings: ['', 'zip'], film: false },
  obj: { kind: 'obj', endings: ['', 'zip'], film: false },
  ply: { kind: 'ply', endings: ['', 'zip'], film: false },
  camera: { kind: 'cameraGlb', endings: ['glb'], film: false },
  'camera-table': { kind: 'cameraCsv', endings: ['csv'], film: false },
  routes: { kind: 'routes', endings: ['obj'], film: false },
};

/** Their names, as a sentence has them. */
export const FORMAT_NAMES = Object.keys(FORMATS).join(', ');
