import { toLinear } from '../core/colour/colour';
import type { Cut, Delivery } from '../core/deliveries/form';
import type { GivenCamera, GivenWorld } from '../core/world/given';
import type { GivenRoute } from '../core/world/givenRoutes';

/** A rendered frame on its way to a file, top row first. */
export interface Picture {
  width: number;
  height: number;
  /** code values of 8 bits, RGBA, opaque; where its format takes no finer ones */
  bytes: Uint8Array | null;
  /** RGBA, colours as they are over black: code values 0 … 1, or linear light; and the channels beside them */
  numbers: { rgba: Float32Array; channels: readonly NumberChannel[] } | null;
  /** what is given in place of a picture */
  given?: { world: GivenWorld | null; camera: GivenCamera; routes: readonly GivenRoute[]; aspect: number };
}

/** Numbers of every pixel besides its colour. */
export interface NumberChannel {
  name: string;
  values: Float32Array;
}

/** @throws RangeError when the picture was not drawn as bytes */
export function bytesOf({ bytes }: Picture): Uint8Array {
  if (!bytes) throw new RangeError('the picture has no bytes');
  return bytes;
}

/** @throws RangeError when the picture was not drawn as numbers */
export function numbersOf({ numbers }: Picture): NonNullable<Picture['numbers']> {
  if (!numbers) throw new RangeError('the picture has no numbers');
  return numbers;
}

/** @throws RangeError when it is a picture */
export function givenOf({ given }: Picture): NonNullable<Picture['given']> {
  if (!given) throw new RangeError('it is a picture');
  return given;
}

const cutNumbers = <T extends Uint8Array | Float32Array>(
  values: T,
  from: number,
  each: number,
  { left, top, width, height }: Cut,
): T => {
  const out = values.slice(0, width * height * each) as T;
  for (let y = 0; y < height; y++) {
    const at = ((top + y) * from + left) * each;
    out.set(values.subarray(at, at + width * each), y * width * each);
  }
  return out;
};

/** A part of a picture, with its channels. */
export function cutPicture(picture: Picture, cut: Cut): Picture {
  const { width, height, bytes, numbers } = picture;
  if (cut.width === width && cut.height === height) return picture;
  return {
    ...{ ...picture, width: cut.width, height: cut.height },
    bytes: bytes && cutNumbers(bytes, width, 4, cut),
    numbers: numbers && {
      rgba: cutNumbers(numbers.rgba, width, 4, cut),
      channels: numbers.channels.map(({ name, values }) => ({
        ...{ name, values: cutNumbers(values, width, values.length / (width * height), cut) },
      })),
    },
  };
}

/**
 * Colours with alpha as files hold them.
 * @param rgba over black, so premultiplied, and light without alpha added
 * @returns straight: as much alpha as its light needs, so that over black nothing of it is lost; else as it is
 */
export function withAlpha(rgba: Float32Array, alpha: Delivery['alpha']): Float32Array {
  if (alpha !== 'straight') return rgba;
  const out = new Float32Array(rgba.length);
  for (let i = 0; i < rgba.length; i += 4) {
    const most = Math.max(rgba[i], rgba[i + 1], rgba[i + 2]);
    const there = Math.min(1, Math.max(rgba[i + 3], most));
    for (let k = 0; k < 3; k++) out[i + k] = there > 0 ? rgba[i + k] / there : 0;
    out[i + 3] = there;
  }
  return out;
}

// plain loops: what calls something for each of eight million numbers takes a second

/** Every so-manieth number, from one on. */
export function everyOf(values: Float32Array, of: number, from: number): Float32Array {
  const out = new Float32Array(values.length / of);
  for (let i = 0; i < out.length; i++) out[i] = values[i * of + from];
  return out;
}

/** The three colours of each pixel. */
export function withoutAlpha(rgba: Uint8Array): Uint8Array {
  const out = new Uint8Array((rgba.length / 4) * 3);
  for (let from = 0, to = 0; from < rgba.length; from += 4) {
    out[to++] = rgba[from];
    out[to++] = rgba[from + 1];
    out[to++] = rgba[from + 2];
  }
  return out;
}

/** Code values 0 … 1 as whole numbers of so many bits. @param channels how many of the four are taken */
export function samplesOf(rgba: Float32Array, channels: 3 | 4, bits: 8 | 16): Uint8Array | Uint16Array {
  const length = (rgba.length / 4) * channels;
  const out = bits === 8 ? new Uint8Array(length) : new Uint16Array(length);
  const most = 2 ** bits - 1;
  let to = 0;
  for (let i = 0; i < rgba.length; i += 4)
    for (let k = 0; k < channels; k++) out[to++] = Math.min(1, Math.max(0, rgba[i + k])) * most + 0.5;
  return out;
}

/** Code values of four channels as linear light; alpha stays. */
export const linearOf = (rgba: Float32Array): Float32Array =>
  rgba.map((value, i) => ((i & 3) === 3 ? value : toLinear(value)));

/** White as far as it is bright: lines that were drawn white on black, as they are over nothing. */
export function coveredByLight(rgba: Float32Array): Float32Array {
  const out = rgba.slice();
  for (let i = 0; i < out.length; i += 4) out[i + 3] = Math.max(out[i], out[i + 1], out[i + 2]);
  return out;
}
