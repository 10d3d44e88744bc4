import { reducedTo } from '../../core/panorama/facts';
import type { Panorama } from '../../core/panorama/panorama';
import { Trouble } from '../../core/trouble';

/** The most pixels a side: lights see it 256 across, and more takes only time. */
const MOST_SIDE = 8192;

interface Read {
  width: number;
  height: number;
  /** four numbers a pixel, linear */
  data: ArrayLike<number>;
  /** its first row is the lowest */
  upwards: boolean;
}

const isRadiance = (bytes: Uint8Array): boolean => bytes[0] === 0x23 && bytes[1] === 0x3f;

/** Width and height as a Radiance picture says them: "-Y h +X w" after an empty line. */
function radianceSize(bytes: Uint8Array): [number, number] | null {
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 4096));
  const found = /\n\n-Y (\d+) \+X (\d+)\n/.exec(head);
  return found ? [Number(found[2]), Number(found[1])] : null;
}

/** Width and height as an OpenEXR picture says them: its attribute dataWindow, four numbers of 32 bits. */
function exrSize(bytes: Uint8Array): [number, number] | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 16384));
  const at = head.indexOf('dataWindow\0box2i\0');
  if (at < 0 || at + 37 > bytes.length) return null;
  const of = (k: number): number => view.getInt32(at + 21 + 4 * k, true);
  return [of(2) - of(0) + 1, of(3) - of(1) + 1];
}

/** What a loader found. @throws RangeError when that is not whole */
function pixelsOf({
  width,
  height,
  data,
}: {
  width?: unknown;
  height?: unknown;
  data?: unknown;
}): Omit<Read, 'upwards'> {
  if (typeof width !== 'number' || typeof height !== 'number' || !(data instanceof Float32Array))
    throw new RangeError('a picture without pixels');
  return { width, height, data };
}

async function read(bytes: Uint8Array<ArrayBuffer>): Promise<Read> {
  const buffer = bytes.slice().buffer;
  const { FloatType } = await import('three');
  if (isRadiance(bytes)) {
    const { HDRLoader } = await import('three/examples/jsm/loaders/HDRLoader.js');
    return { ...pixelsOf(new HDRLoader().setDataType(FloatType).parse(buffer)), upwards: false };
  }
  const { EXRLoader } = await import('three/examples/jsm/loaders/EXRLoader.js');
  return { ...pixelsOf(new EXRLoader().setDataType(FloatType).parse(buffer)), upwards: true };
}

/**
 * A panorama from a Radiance (.hdr) or OpenEXR (.exr) picture, opened by three.js, as lights see it. Of Radiance's mantissas
 * three.js takes 255ths, not 256ths: it is 0.4 % brighter than its maker said.
 * @throws Trouble `refused` when it is damaged, too large, or holds what are no numbers
 */
export async function readPanorama(bytes: Uint8Array<ArrayBuffer>, name: string): Promise<Panorama> {
  const size = isRadiance(bytes) ? radianceSize(bytes) : exrSize(bytes);
  if (!size || size[0] < 1 || size[1] < 1)
    throw new Trouble('refused', `“${name}” is damaged: it does not say how large its picture is`);
  if (Math.max(...size) > MOST_SIDE)
    throw new Trouble('refused', `“${name}” is ${size[0]} × ${size[1]} pixels`, {
      would: `Bring it in at most ${MOST_SIDE} pixels across: surfaces mirror a panorama no sharper than 256.`,
    });
  let picture: Read;
  try {
    picture = await read(bytes);
  } catch {
    throw new Trouble('refused', `“${name}” is damaged: its picture cannot be opened`);
  }
  const { width, height, data, upwards } = picture;
  if (width !== size[0] || height !== size[1] || data.length < width * height * 4)
    throw new Trouble('refused', `“${name}” is damaged: a part of its picture is missing`);
  let odd = 0;
  for (let i = 0; i < width * height * 4; i++) if (i % 4 < 3 && !Number.isFinite(data[i])) odd++;
  if (odd > 0)
    throw new Trouble('refused', `“${name}” holds ${odd} values that are no numbers`, {
      would: 'Save it again without them: light would spread from them over everything.',
    });
  return reducedTo(width, height, (x, y, out) => {
    const at = ((upwards ? height - 1 - y : y) * width + x) * 4;
    for (let k = 0; k < 3; k++) out[k] = Math.min(65504, Math.max(0, data[at + k]));
  });
}
