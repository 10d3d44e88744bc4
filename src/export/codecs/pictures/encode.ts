import { fromLinear } from '../../../core/colour/colour';
import { exrLines, readExr, writeExr, type ExrChannel, type ExrPicture } from '../../../formats/exr/exr';
import { readPng, writePng, type PngPicture } from '../../../formats/png/png';
import { everyOf, numbersOf, samplesOf, withAlpha, withoutAlpha, linearOf, type Picture } from '../../picture';
import { sumOf, traceOf, traceOfNumbers } from '../../trace';
import type { FrameFacts, Settings } from '../codec';

/** A picture as a file, and what is known of it. */
export interface Encoded {
  bytes: Uint8Array<ArrayBuffer>;
  facts: FrameFacts;
}

/** The checksum of a picture's samples as they stand in the file, or null when it cannot be read. */
export type Reads = (bytes: Uint8Array) => number | null;

const unlessBroken = (read: () => number): number | null => {
  try {
    return read();
  } catch (error) {
    if (error instanceof RangeError || (error instanceof Error && 'code' in error)) return null;
    throw error;
  }
};

const bytesOf = ({ buffer, byteOffset, byteLength }: Uint8Array | Uint16Array): Uint8Array =>
  new Uint8Array(buffer, byteOffset, byteLength);

/** A PNG of a picture as its delivery asks for it. */
export function encodePng(picture: Picture, { delivery }: Pick<Settings, 'delivery'>): Encoded {
  const { width, height, bytes } = picture;
  if (bytes) {
    const samples = withoutAlpha(bytes);
    const facts = { ...traceOf(bytes, width, height), sum: sumOf(samples) };
    return { bytes: writePng({ width, height, channels: 3, samples }), facts };
  }
  const { rgba } = numbersOf(picture);
  const channels = delivery.alpha === 'none' ? 3 : 4;
  const samples = samplesOf(withAlpha(rgba, delivery.alpha), channels, delivery.bits === '16' ? 16 : 8);
  const own: PngPicture = { width, height, channels, samples };
  return { bytes: writePng(own), facts: traceOfNumbers(rgba, width, height, sumOf(bytesOf(samples))) };
}

export const pngSum: Reads = (bytes) => unlessBroken(() => sumOf(bytesOf(readPng(bytes).samples)));

/** Names of the numbers of a channel of so many. */
const PARTS: Readonly<Record<number, readonly string[]>> = { 1: [''], 2: ['.X', '.Y'], 3: ['.X', '.Y', '.Z'] };

/** A picture and its channels as the layers of an EXR. */
export function exrOf(picture: Picture, { delivery, rate }: Pick<Settings, 'delivery' | 'rate'>): ExrPicture {
  const { width, height } = picture;
  const { rgba, channels } = numbersOf(picture);
  const light = withAlpha(
    delivery.light === 'scene' && delivery.shows === 'picture' ? rgba : linearOf(rgba),
    delivery.alpha,
  );
  const type = delivery.numbers;
  const names = delivery.alpha === 'none' ? ['R', 'G', 'B'] : ['R', 'G', 'B', 'A'];
  const colours = names.map((name, k): ExrChannel => ({ name, type, values: everyOf(light, 4, k) }));
  const besides = channels.flatMap(({ name, values }) => {
    const of = values.length / (width * height);
    return PARTS[of].map((part, k): ExrChannel => ({
      name: name + part,
      type: name === 'Z' ? 'float' : type,
      values: everyOf(values, of, k),
    }));
  });
  return { width, height, channels: [...colours, ...besides], rate };
}

export function encodeExr(picture: Picture, settings: Pick<Settings, 'delivery' | 'rate'>): Encoded {
  const { width, height } = picture;
  const own = exrOf(picture, settings);
  const shown =
    settings.delivery.light === 'scene' ? numbersOf(picture).rgba.map((v) => fromLinear(v)) : numbersOf(picture).rgba;
  const lines = exrLines(own);
  return { bytes: writeExr(own, lines), facts: traceOfNumbers(shown, width, height, sumOf(lines)) };
}

export const exrSum: Reads = (bytes) => unlessBroken(() => sumOf(readExr(bytes).lines));

/** Pictures that are files by themselves, how they are written, and read back. */
export const ENCODERS = {
  png: { encode: encodePng, sum: pngSum },
  exr: { encode: encodeExr, sum: exrSum },
} as const;
export type PictureFormat = keyof typeof ENCODERS;
