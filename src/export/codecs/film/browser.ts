import { canEncodeVideo } from 'mediabunny';
import type { ExportCodec, Settings } from '../codec';
import { verifyVideo } from './read';
import { soundRefusal } from './sound';
import { filmHz } from './hz';
import { encoding, joinParts, openPart, type Container } from './write';

/** Frames that are encoded together: about a second, which is as far as players jump and as much as a crash takes away. */
export const partFrames = (settings: Settings): number => Math.min(60, Math.max(12, Math.round(filmHz(settings))));

/** A codec of video in a container, encoded by the browser. */
export const browserFilm = (kind: Container): ExportCodec => ({
  async refusal(settings) {
    const { width, height, delivery } = settings;
    if (width % 2 || height % 2) return `${kind.name} needs even sizes; ${width}×${height} is not`;
    if (!('VideoEncoder' in globalThis)) return 'this browser has no video encoder; PNG pictures work';
    if (!(await canEncodeVideo(kind.codec, { width, height, ...encoding(settings) })))
      return delivery.tenBits
        ? `this browser cannot encode ${kind.name} of ten bits at ${width}×${height}; eight bits or PNG pictures work`
        : `this browser cannot encode ${kind.name} at ${width}×${height}; a smaller size or PNG pictures work`;
    return soundRefusal(settings, kind.holder);
  },
  partFrames,
  open: (settings) => openPart(kind, settings),
  join: async (settings, parts, whole) => joinParts(kind, settings, parts, await whole()),
  verify: verifyVideo,
});
