import { unzipSync, Zip, ZipPassThrough } from 'fflate';
import { rateHz } from '../../core/time/lap';
import { readPng, writePng } from '../../formats/png';
import { colourSum } from '../trace';
import type { ExportCodec, FrameSink, SinkSettings } from './codec';

/** Frames are numbered as they stand in the lap, so that a part rendered again falls into its place. */
export const frameName = (index: number): string => `frame-${String(index).padStart(5, '0')}.png`;

const joined = (parts: readonly Uint8Array[]): Uint8Array => {
  const out = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    out.set(part, at);
    at += part.length;
  }
  return out;
};

function open({ width, height, first }: SinkSettings): Promise<FrameSink> {
  const parts: Uint8Array[] = [];
  let failed: Error | null = null;
  const zip = new Zip((error, part) => {
    if (error) failed = error;
    else parts.push(part);
  });
  let index = first;
  return Promise.resolve({
    async add(rgba) {
      // a PNG is packed already: the archive only holds it
      const entry = new ZipPassThrough(frameName(index++));
      entry.mtime = new Date(1980, 0, 2);
      zip.add(entry);
      entry.push(writePng(rgba, width, height), true);
      if (failed) throw failed;
      await Promise.resolve();
    },
    finish() {
      zip.end();
      return failed ? Promise.reject(failed) : Promise.resolve(joined(parts));
    },
    abandon() {
      zip.terminate();
      parts.length = 0;
      return Promise.resolve();
    },
  });
}

/** The sum of a picture's colours, or null when it cannot be read. */
function pictureSum(png: Uint8Array): number | null {
  try {
    return colourSum(readPng(png).rgb, 3);
  } catch {
    return null;
  }
}

export const pngSequence: ExportCodec = {
  refusal: () => Promise.resolve(null),
  open,
  verify(bytes, settings, traces) {
    const pictures = unzipSync(bytes, { filter: ({ name }) => name.endsWith('.png') });
    const names = Object.keys(pictures);
    const missing = Array.from({ length: settings.count }, (_, i) => frameName(settings.first + i)).filter(
      (name) => !names.includes(name),
    );
    const wrong = traces.flatMap(({ sum }, i) => {
      const name = frameName(settings.first + i);
      return pictures[name] && pictureSum(pictures[name]) !== sum ? [name] : [];
    });
    const ok = missing.length === 0 && names.length === settings.count && wrong.length === 0;
    const says = ok
      ? `${names.length} pictures, each as it was rendered`
      : wrong.length > 0
        ? `${wrong[0]} is not the picture that was rendered`
        : `${missing[0] ?? 'a picture too many'} ${missing.length ? 'is missing' : 'was written'}`;
    return Promise.resolve({ frames: names.length, seconds: names.length / rateHz(settings.rate), ok, says });
  },
};
