import { Unzip, UnzipPassThrough, Zip, ZipPassThrough } from 'fflate';
import { rateHz } from '../../../core/time/lap';
import { joined } from '../../../formats/bytes';
import { readPng, writePng } from '../../../formats/png';
import { Appender, type ByteSink } from '../../bytes/sink';
import { colourSum } from '../../trace';
import type { ExportCodec, FrameSink, SinkSettings } from '../codec';

/** Frames are numbered as they stand in the lap, so that a part rendered again falls into its place. */
export const frameName = (index: number): string => `frame-${String(index).padStart(5, '0')}.png`;

/** No time of its own, so that the same frames are the same file. */
const MTIME = new Date(1980, 0, 2);

function open({ width, height, first, clear = false }: SinkSettings, out: ByteSink): Promise<FrameSink> {
  const file = new Appender(out);
  let waiting: Promise<void>[] = [];
  let failed: Error | null = null;
  const zip = new Zip((error, part) => {
    if (error) failed = error;
    else waiting.push(file.write(part));
  });
  const written = async (): Promise<void> => {
    const parts = waiting;
    waiting = [];
    await Promise.all(parts);
    if (failed) throw failed;
  };
  let index = first;
  return Promise.resolve({
    async add(rgba) {
      // a PNG is packed already: the archive only holds it
      const entry = new ZipPassThrough(frameName(index++));
      entry.mtime = MTIME;
      zip.add(entry);
      entry.push(writePng(clear ? cleared(rgba) : rgba, width, height, clear), true);
      await written();
    },
    async finish() {
      zip.end();
      await written();
    },
    abandon() {
      zip.terminate();
      return Promise.resolve();
    },
  });
}

/** Reads the pictures of an archive one after another, as it comes from the disk. */
async function eachPicture(file: Blob, look: (name: string, png: Uint8Array) => void): Promise<void> {
  const failed: Error[] = [];
  const unzip = new Unzip((entry) => {
    if (!entry.name.endsWith('.png')) return;
    const parts: Uint8Array[] = [];
    entry.ondata = (error, part, final) => {
      if (error) failed.push(error);
      else parts.push(part);
      if (final && !error) look(entry.name, joined(parts));
    };
    entry.start();
  });
  unzip.register(UnzipPassThrough);
  const reader = file.stream().getReader();
  for (let { value, done } = await reader.read(); ; { value, done } = await reader.read()) {
    unzip.push(value ?? new Uint8Array(), done);
    for (const error of failed) throw error;
    if (done) return;
  }
}

/** White as far as something white on black is there. */
function cleared(rgba: Uint8Array): Uint8Array {
  const out = new Uint8Array(rgba.length).fill(255);
  for (let i = 0; i < rgba.length; i += 4) out[i + 3] = rgba[i];
  return out;
}

/** The sum of a picture's colours before black, or null when it cannot be read. */
function pictureSum(png: Uint8Array): number | null {
  try {
    const { channels, pixels } = readPng(png);
    if (channels === 3) return colourSum(pixels, 3);
    return colourSum(
      pixels.map((v, i) => (i % 4 === 3 ? v : (v * pixels[i - (i % 4) + 3]) / 255)),
      4,
    );
  } catch {
    return null;
  }
}

export const png: ExportCodec = {
  refusal: () => Promise.resolve(null),
  open,
  async verify(file, { first, count, rate }, traces) {
    const sums = new Map<string, number | null>();
    await eachPicture(file, (name, picture) => sums.set(name, pictureSum(picture)));
    const asked = Array.from({ length: count }, (_, i) => frameName(first + i));
    const missing = asked.filter((name) => !sums.has(name));
    const wrong = traces.flatMap(({ sum }, i) => {
      const name = frameName(first + i);
      return sums.has(name) && sums.get(name) !== sum ? [name] : [];
    });
    const frames = sums.size;
    const ok = missing.length === 0 && frames === count && wrong.length === 0;
    const says = ok
      ? `${frames} pictures, each as it was rendered`
      : wrong.length > 0
        ? `${wrong[0]} is not the picture that was rendered`
        : `${missing[0] ?? 'a picture too many'} ${missing.length ? 'is missing' : 'was written'}`;
    return { frames, seconds: frames / rateHz(rate), ok, says };
  },
};
