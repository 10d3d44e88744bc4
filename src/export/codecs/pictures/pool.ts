import { transfer } from 'comlink';
import { guarded, workerName, type Guarded } from '../../../engine/work/guard';
import type { Picture } from '../../picture';
import type { Settings } from '../codec';
import { ENCODERS, type Encoded, type PictureFormat } from './encode';
import type { EncoderApi } from './encoder';
import workerUrl from './encoder.ts?worker&url';

/** Each takes the memory of a few pictures; drawing is seldom faster than so many. */
const MOST = 4;

/** How many pictures are encoded at once: drawing has a core of its own. Where there are no threads, one. */
export const encodersAtOnce = (): number =>
  typeof Worker === 'undefined' ? 1 : Math.min(MOST, Math.max(2, navigator.hardwareConcurrency - 1));

/** Encoders that have nothing to do. They end with the thread that has started them. */
const free: Guarded<EncoderApi>[] = [];

async function lent<T>(work: (api: Guarded<EncoderApi>['api']) => Promise<T>): Promise<T> {
  const encoder =
    free.pop() ??
    guarded<EncoderApi>(
      'The encoding worker',
      workerName('encoder'),
      (name) => new Worker(workerUrl, { type: 'module', name }),
    );
  const result = await work(encoder.api);
  // one that has failed is not asked again
  free.push(encoder);
  return result;
}

/** The memory that a picture's numbers lie in, each once. */
const memoryOf = ({ bytes, numbers }: Picture): ArrayBuffer[] => [
  ...new Set(
    [bytes, numbers?.rgba, ...(numbers?.channels ?? []).map(({ values }) => values)].flatMap((values) =>
      values ? [values.buffer as ArrayBuffer] : [],
    ),
  ),
];

/** Encodes a picture in another thread, where there are some; its numbers are given away. */
export const encodedApart = async (
  format: PictureFormat,
  picture: Picture,
  { delivery, rate }: Settings,
): Promise<Encoded> =>
  typeof Worker === 'undefined'
    ? ENCODERS[format].encode(picture, { delivery, rate })
    : lent((api) => api.encode(format, transfer(picture, memoryOf(picture)), { delivery, rate }));

/** The checksum of a picture's samples as they stand in its file, found in another thread; null when it cannot be read. The bytes are given away. */
export const sumApart = async (format: PictureFormat, bytes: Uint8Array<ArrayBuffer>): Promise<number | null> =>
  typeof Worker === 'undefined'
    ? ENCODERS[format].sum(bytes)
    : lent((api) => api.sum(format, transfer(bytes, [bytes.buffer])));
