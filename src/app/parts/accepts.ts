import type { FileKind } from '../../core/kept';

/** What a chooser of files takes, by what they are for. */
export const ACCEPTS: Readonly<Record<FileKind, string>> = {
  font: '.ttf,.otf,.ttc,.woff,.woff2,font/*',
  mark: '.svg,image/svg+xml',
  picture: '.png,.jpg,.jpeg,.webp,.avif,.svg,image/*',
  panorama: '.hdr,.exr,.png,.jpg,.jpeg,.webp,.avif',
  clip: '.mp4,.m4v,.mov,.webm,video/*',
  table: '.cube',
  motion: '.bvh',
  sound: '.wav,.mp3,.flac,.ogg,.oga,.opus,.m4a,.aac,audio/*',
  model: '.glb,.gltf,.obj,.mtl,.bin,.ply,.stl,.zip,model/*',
};

/** All that can be kept. */
export const ANY_FILE = Object.values(ACCEPTS).join();
