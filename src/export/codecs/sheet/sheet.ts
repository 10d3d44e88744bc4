import { SHEET } from '../../../core/deliveries/form';
import { writePng } from '../../../formats/png/png';
import { bytesOf } from '../../picture';
import { sumOf, traceOf } from '../../trace';
import type { ExportCodec, FrameFacts } from '../codec';
import { pngSum } from '../pictures/encode';
import { verifyOne } from '../pictures/pictures';

/** Frames side by side, row after row; what is left at the right and below is black. */
export const sheet: ExportCodec = {
  refusal: () => Promise.resolve(null),
  partFrames: ({ frames }) => frames.length,
  open({ width, height, delivery }) {
    const samples = new Uint8Array(delivery.width * delivery.height * 3);
    const frames: FrameFacts[] = [];
    return Promise.resolve({
      add(picture) {
        const own = bytesOf(picture);
        const [left, top] = [(frames.length % SHEET) * width, Math.floor(frames.length / SHEET) * height];
        for (let y = 0; y < height; y++)
          for (let x = 0; x < width; x++) {
            const [from, to] = [(y * width + x) * 4, ((top + y) * delivery.width + left + x) * 3];
            for (let k = 0; k < 3; k++) samples[to + k] = own[from + k];
          }
        frames.push({ ...traceOf(own, width, height), sum: 0 });
        return Promise.resolve();
      },
      finish() {
        // the sum of the whole stands with its first frame
        const sums = frames.map((facts, i) => (i === 0 ? { ...facts, sum: sumOf(samples) } : facts));
        const bytes = writePng({ width: delivery.width, height: delivery.height, channels: 3, samples });
        return Promise.resolve({ bytes, frames: sums });
      },
      abandon: () => Promise.resolve(),
    });
  },
  join: (_, parts) => parts.at(0),
  verify: (file, settings, facts) => {
    const says = `${facts.length} frames side by side`;
    return verifyOne(file, settings, facts.at(0)?.sum, says, pngSum);
  },
};
