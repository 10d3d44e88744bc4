import { Unzip, UnzipPassThrough } from 'fflate';
import { pictureName } from '../../../core/deliveries/form';
import { lapSeconds } from '../../../core/time/lap';
import { joined } from '../../../formats/bytes';
import { zipOf } from '../../../formats/zip/zip';
import type { Picture } from '../../picture';
import type { ExportCodec, FrameFacts, Parts, Settings, Verified } from '../codec';
import { AtOnce } from '../../atOnce';
import type { Encoded, PictureFormat, Reads } from './encode';
import { encodedApart, encodersAtOnce, sumApart } from './pool';

/** Names of all pictures of a delivery, in their order. */
export const namesOf = ({ delivery, stem, frames }: Settings): string[] =>
  frames.map((frame) => pictureName(delivery, stem, frame));

/** An archive of pictures that stay where they are. */
async function archiveOf(settings: Settings, parts: Parts): Promise<Blob> {
  const names = namesOf(settings);
  const files = await Promise.all(names.map((_, part) => parts.at(part)));
  return zipOf(names.map((name, part) => ({ name, file: files[part], crc: parts.crcOf(part) })));
}

/** Reads the pictures of an archive one after another, as it comes from the disk, and goes on when `look` has room for more. */
async function eachPicture(
  file: Blob,
  look: (name: string, bytes: Uint8Array<ArrayBuffer>) => Promise<void>,
): Promise<void> {
  const failed: Error[] = [];
  const found: [string, Uint8Array<ArrayBuffer>][] = [];
  const unzip = new Unzip((entry) => {
    const parts: Uint8Array[] = [];
    entry.ondata = (error, part, final) => {
      if (error) failed.push(error);
      else parts.push(part);
      if (final && !error) found.push([entry.name, joined(parts)]);
    };
    entry.start();
  });
  unzip.register(UnzipPassThrough);
  const reader = file.stream().getReader();
  for (let { value, done } = await reader.read(); ; { value, done } = await reader.read()) {
    unzip.push(value ?? new Uint8Array(), done);
    for (const error of failed) throw error;
    for (const [name, bytes] of found.splice(0)) await look(name, bytes);
    if (done) return;
  }
}

/** What is found among pictures that were read back, by their names. */
export function foundPictures(
  settings: Settings,
  sums: ReadonlyMap<string, number | null>,
  facts: readonly FrameFacts[],
): Verified {
  const asked = namesOf(settings);
  const missing = asked.filter((name) => !sums.has(name));
  const wrong = asked.filter((name, i) => sums.has(name) && sums.get(name) !== facts.at(i)?.sum);
  const frames = sums.size;
  const ok = missing.length === 0 && frames === asked.length && wrong.length === 0;
  const says = ok
    ? `${frames} ${frames === 1 ? 'picture' : 'pictures'}, each as it was rendered`
    : wrong.length > 0
      ? `${wrong[0]} is not the picture that was rendered`
      : `${missing[0] ?? 'a picture too many'} ${missing.length ? 'is missing' : 'was written'}`;
  return { frames, seconds: lapSeconds(frames, settings.rate), ok, says };
}

/** Writes a picture, or what is given in place of one. */
type Encode = (picture: Picture, settings: Settings) => Encoded | Promise<Encoded>;

/** Reads a file back: the checksum of what it holds, or null when it cannot be read. */
type ReadsBack = (bytes: Uint8Array<ArrayBuffer>) => ReturnType<Reads> | Promise<ReturnType<Reads>>;

/**
 * Numbered pictures: each is kept by itself, and an archive holds them where they are saved as one file.
 * @param atOnce how many are encoded, or read back, at the same time
 */
export const numberedPictures = (encode: Encode, reads: ReadsBack, atOnce: () => number = () => 1): ExportCodec => ({
  atOnce,
  refusal(settings) {
    const names = namesOf(settings);
    const twice = names.find((name, i) => names.indexOf(name) !== i);
    return Promise.resolve(
      twice === undefined ? null : `two pictures would be called ${twice}; the pattern needs more # for their numbers`,
    );
  },
  partFrames: () => 1,
  open: (settings) => openPicture(encode, settings),
  join: archiveOf,
  async verify(file, settings, facts) {
    const sums = new Map<string, number | null>();
    const reading = new AtOnce(atOnce());
    await eachPicture(file, (name, bytes) => reading.begin(async () => void sums.set(name, await reads(bytes))));
    await reading.done();
    return foundPictures(settings, sums, facts);
  },
});

/** Numbered pictures that are encoded and read back in threads of their own. */
export const apart = (format: PictureFormat): ExportCodec =>
  numberedPictures(
    (picture, settings) => encodedApart(format, picture, settings),
    (bytes) => sumApart(format, bytes),
    encodersAtOnce,
  );

/** One picture, by itself. */
export function openPicture(encode: Encode, settings: Settings): ReturnType<ExportCodec['open']> {
  let made: Encoded | null = null;
  return Promise.resolve({
    async add(picture) {
      made = await encode(picture, settings);
    },
    finish() {
      if (!made) throw new RangeError('there is no picture');
      return Promise.resolve({ bytes: made.bytes, frames: [made.facts] });
    },
    abandon: () => Promise.resolve(),
  });
}

/** One picture as a file. */
export async function verifyOne(
  file: Blob,
  { rate }: Settings,
  sum: number | undefined,
  says: string,
  reads: Reads,
): Promise<Verified> {
  const ok = reads(new Uint8Array(await file.arrayBuffer())) === sum;
  return {
    frames: 1,
    seconds: lapSeconds(1, rate),
    ok,
    says: ok ? `${says}, as it was rendered` : 'the file does not hold the picture that was rendered',
  };
}
