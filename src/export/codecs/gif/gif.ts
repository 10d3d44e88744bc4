import { applyPalette, GIFEncoder, quantize } from 'gifenc';
import { joined } from '../../../formats/bytes';
import { Appender } from '../../bytes/sink';
import { bytesOf, type Picture } from '../../picture';
import { traceOf } from '../../trace';
import type { ExportCodec, FrameFacts, Settings } from '../codec';
import { FEW, verifyMoving, wholeTimes } from '../film/moving';
import { pack, unpack } from '../film/packed';

const COLOURS = 256;

/** A frame that is shown for no time yet: that follows from its place. Its colours are its own. */
function frameOf(picture: Picture): Uint8Array<ArrayBuffer> {
  const rgba = bytesOf(picture);
  const palette = quantize(rgba, COLOURS);
  const encoder = GIFEncoder({ auto: false });
  encoder.writeFrame(applyPalette(rgba, palette), picture.width, picture.height, { palette, delay: 0 });
  return encoder.bytes();
}

/** What stands before the frames; it plays for ever. Every frame brings colours of its own. */
function headOf({ width, height }: Settings): Uint8Array<ArrayBuffer> {
  const size = [width & 255, width >> 8, height & 255, height >> 8];
  const signature = new TextEncoder().encode('GIF89a');
  const extension = [0x21, 0xff, 11, ...new TextEncoder().encode('NETSCAPE2.0'), 3, 1, 0, 0, 0];
  return joined([signature, Uint8Array.from([...size, 0x70, 0, 0]), Uint8Array.from(extension)]);
}

/** Where a frame says for how many hundredths of a second it is shown (GIF89a, §23). */
const DELAY_AT = 4;

export const gif: ExportCodec = {
  refusal: () => Promise.resolve(null),
  partFrames: () => FEW,
  open({ width, height }) {
    const encoded: Uint8Array<ArrayBuffer>[] = [];
    const frames: FrameFacts[] = [];
    return Promise.resolve({
      add(picture) {
        encoded.push(frameOf(picture));
        frames.push(traceOf(bytesOf(picture), width, height));
        return Promise.resolve();
      },
      finish: () => Promise.resolve({ bytes: pack({ head: null, frames: encoded }), frames }),
      abandon: () => Promise.resolve(),
    });
  },
  async join(settings, parts, whole) {
    const out = await whole();
    const file = new Appender(out);
    const times = wholeTimes(settings, 100, 0, settings.frames.length);
    let index = 0;
    await file.write(headOf(settings));
    for (let part = 0; part < parts.count; part++)
      for (const bytes of (await unpack(await parts.at(part))).frames) {
        new DataView(bytes.buffer, bytes.byteOffset).setUint16(DELAY_AT, times[index++], true);
        await file.write(bytes);
      }
    await file.write(Uint8Array.of(0x3b));
    return (await out.finish()).slice(0, file.at, 'image/gif');
  },
  verify: verifyMoving,
};
