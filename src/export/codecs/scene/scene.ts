import { lapSeconds } from '../../../core/time/lap';
import { givenOf, type Picture } from '../../picture';
import { sumOf } from '../../trace';
import type { ExportCodec } from '../codec';
import type { Reads } from '../pictures/encode';
import { numberedPictures, verifyOne } from '../pictures/pictures';

type Given = ReturnType<typeof givenOf>;

/** What is read back is compared to the byte. */
const bytesSum: Reads = (bytes) => sumOf(bytes);

/** A file of the world for each frame. */
export function worldFiles(write: (given: Given) => Promise<Uint8Array<ArrayBuffer>>): ExportCodec {
  const numbered = numberedPictures(async (picture) => {
    const bytes = await write(givenOf(picture));
    return { bytes, facts: { cells: [], sum: sumOf(bytes) } };
  }, bytesSum);
  return {
    ...numbered,
    async verify(file, settings, facts) {
      const found = await numbered.verify(file, settings, facts);
      const { frames } = found;
      return found.ok ? { ...found, says: `${frames} ${frames === 1 ? 'file' : 'files'}, each as it was made` } : found;
    },
  };
}

/** One file of what is given at all frames. @param of in words, of so many frames */
export const trackFile = (
  of: (frames: number) => string,
  write: (given: Given, frames: readonly number[]) => Promise<Uint8Array<ArrayBuffer>>,
): ExportCodec => ({
  refusal: () => Promise.resolve(null),
  partFrames: ({ frames }) => frames.length,
  open({ frames }) {
    const seen: Given[] = [];
    return Promise.resolve({
      add: (picture: Picture) => Promise.resolve(void seen.push(givenOf(picture))),
      async finish() {
        const poses = seen.flatMap(({ camera }) => camera.poses);
        const views = seen.flatMap(({ camera }) => camera.views);
        const times = Float64Array.from(seen, ({ camera }) => camera.times[0]);
        const [first] = seen;
        const bytes = await write({ ...first, camera: { times, poses, views } }, frames);
        // the sum of the whole stands with its first frame
        return { bytes, frames: frames.map((_, i) => ({ cells: [], sum: i === 0 ? sumOf(bytes) : 0 })) };
      },
      abandon: () => Promise.resolve(),
    });
  },
  join: (_, parts) => parts.at(0),
  async verify(file, settings, [facts]) {
    const { frames, rate } = settings;
    const says = of(frames.length);
    const one = await verifyOne(file, settings, facts?.sum, says, bytesSum);
    return {
      ...one,
      frames: frames.length,
      seconds: lapSeconds(frames.length, rate),
      says: one.ok ? says : one.says,
    };
  },
});

/** One file of what the camera does at all frames. */
export const cameraFile = (write: Parameters<typeof trackFile>[1]): ExportCodec =>
  trackFile((frames) => `a camera at ${frames} frames`, write);
