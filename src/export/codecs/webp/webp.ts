import { webpFrame, webpHead } from '../../../formats/webp';
import { Appender } from '../../bytes/sink';
import { bytesOf } from '../../picture';
import { traceOf } from '../../trace';
import type { ExportCodec, FrameFacts } from '../codec';
import { FEW, verifyMoving, wholeTimes } from '../film/moving';
import { pack, unpack } from '../film/packed';

const TYPE = 'image/webp';

export const webp: ExportCodec = {
  async refusal() {
    const none = 'this browser cannot write WebP; a GIF or an MP4 works';
    if (!('OffscreenCanvas' in globalThis)) return none;
    const canvas = new OffscreenCanvas(1, 1);
    canvas.getContext('2d');
    return (await canvas.convertToBlob({ type: TYPE })).type === TYPE ? null : none;
  },
  partFrames: () => FEW,
  open({ width, height, delivery }) {
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d');
    const encoded: Uint8Array<ArrayBuffer>[] = [];
    const frames: FrameFacts[] = [];
    return Promise.resolve({
      async add(picture) {
        const bytes = bytesOf(picture);
        context?.putImageData(new ImageData(Uint8ClampedArray.from(bytes), width, height), 0, 0);
        const still = await canvas.convertToBlob({ type: TYPE, quality: delivery.pictureQuality / 100 });
        encoded.push(new Uint8Array(await still.arrayBuffer()));
        frames.push(traceOf(bytes, width, height));
      },
      finish: () => Promise.resolve({ bytes: pack({ head: null, frames: encoded }), frames }),
      abandon: () => Promise.resolve(),
    });
  },
  async join(settings, parts, whole) {
    const { width, height } = settings;
    const out = await whole();
    const times = wholeTimes(settings, 1000, 0, settings.frames.length);
    const start = webpHead(width, height, 0).length;
    const file = new Appender(out, start);
    let index = 0;
    for (let part = 0; part < parts.count; part++)
      for (const still of (await unpack(await parts.at(part))).frames) {
        await file.write(webpFrame({ still, ms: times[index++] }, width, height));
      }
    await out.write(webpHead(width, height, file.at - start), 0);
    return (await out.finish()).slice(0, file.at, TYPE);
  },
  verify: verifyMoving,
};
