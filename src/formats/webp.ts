import { riffChunk, riffChunks } from './riff';

// Moving WebP of frames that were compressed each by itself: "WebP Container Specification" (RFC 9649, §2.7).

const three = (value: number): number[] => [value & 255, (value >> 8) & 255, (value >> 16) & 255];
const NAMES = ['VP8 ', 'VP8L', 'ALPH'];
/** A frame covers what was there, and leaves itself. */
const OVER = 2;
const ANIMATED = 2;

/** A frame, and for how many milliseconds it is shown. */
export interface WebpFrame {
  /** a still WebP */
  still: Uint8Array;
  ms: number;
}

/** What of a still is its picture. @throws RangeError when it is no WebP */
function pictureOf(still: Uint8Array): Uint8Array[] {
  const [riff] = riffChunks(still);
  if (riff?.name !== 'RIFF' || String.fromCharCode(...riff.data.subarray(0, 4)) !== 'WEBP')
    throw new RangeError('this is no WebP');
  return riffChunks(riff.data.subarray(4)).flatMap(({ name, data }) =>
    NAMES.includes(name) ? [riffChunk(name, data)] : [],
  );
}

/** The chunk of a frame. */
export const webpFrame = ({ still, ms }: WebpFrame, width: number, height: number): Uint8Array<ArrayBuffer> =>
  riffChunk(
    'ANMF',
    Uint8Array.from([...three(0), ...three(0), ...three(width - 1), ...three(height - 1), ...three(ms), OVER]),
    ...pictureOf(still),
  );

/** What stands before the frames, when all of them take so many bytes; it plays for ever. */
export function webpHead(width: number, height: number, bytes: number): Uint8Array<ArrayBuffer> {
  const head = riffChunk(
    'RIFF',
    new TextEncoder().encode('WEBP'),
    riffChunk('VP8X', Uint8Array.from([ANIMATED, 0, 0, 0, ...three(width - 1), ...three(height - 1)])),
    riffChunk('ANIM', new Uint8Array(6)),
  );
  const view = new DataView(head.buffer);
  view.setUint32(4, view.getUint32(4, true) + bytes, true);
  return head;
}
