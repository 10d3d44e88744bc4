import { canEncodeVideo } from 'mediabunny';
import type { ExportCodec } from '../codec';
import { verifyVideo } from './read';
import { bitrate, openVideo, type Container } from './write';

/** A codec of video in a container. */
export const videoCodec = (kind: Container): ExportCodec => ({
  async refusal(settings) {
    const { width, height } = settings;
    if (width % 2 || height % 2) return `${kind.name} needs even sizes; ${width}×${height} is not`;
    if (!('VideoEncoder' in globalThis)) return 'this browser has no video encoder; a PNG sequence works';
    if (!(await canEncodeVideo(kind.codec, { width, height, bitrate: bitrate(settings) })))
      return `this browser cannot encode ${kind.name} at ${width}×${height}; a smaller size or a PNG sequence works`;
    return null;
  },
  open: (settings, out) => openVideo(kind, settings, out),
  verify: verifyVideo,
});
