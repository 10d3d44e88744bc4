import { fromLinear, toLinear } from '../colour/colour';

// A wall of light-emitting diodes as it will show a picture: a stand-in to judge by, where there is none.

/** A wall. */
export interface Wall {
  /** millimetres from one diode to the next */
  pitchMm: number;
  /** metres from its left edge to its right one */
  widthM: number;
  /** side of what shines, as a share of the pitch */
  lit: number;
  /** how far it is turned up, 0..1 */
  brightness: number;
  /** bits of the steps of linear light that each diode has at full brightness; turned down it has no others */
  greyBits: number;
}

/** A wall of a stage, hired by the square metre. Common practice, no published source. */
export const USUAL_WALL: Wall = { pitchMm: 3.9, widthM: 6, lit: 0.55, brightness: 1, greyBits: 14 };

/** Light of what does not shine, as a share of white: plastic in a dark hall. Common practice, no published source. */
const DARK = 0.004;
/** Samples along a side of a pixel in which diodes are told apart. */
const FINE = 4;
/** What an eye of usual sharpness tells apart: a minute of arc (ISO 8596, visual acuity of 1.0). */
const ARC_MINUTE = Math.PI / 180 / 60;

/** Diodes of a wall on which a picture of an aspect fills the width. */
export function diodesOf({ pitchMm, widthM }: Wall, aspect: number): { width: number; height: number } {
  const width = Math.max(1, Math.round((widthM * 1000) / pitchMm));
  return { width, height: Math.max(1, Math.round(width / aspect)) };
}

/** Metres from which diodes are no longer told apart. */
export const meltsFrom = ({ pitchMm }: Wall): number => pitchMm / 1000 / Math.tan(ARC_MINUTE);

/** Encoded light of each of 256 code values as a wall gives it: linear, turned down, in its own steps. */
function lightTable({ brightness, greyBits }: Wall): Float32Array {
  const steps = 2 ** greyBits - 1;
  return Float32Array.from({ length: 256 }, (_, code) => Math.round(toLinear(code / 255) * brightness * steps) / steps);
}

/** Part of a wall: where its middle is, and how wide it is, as shares of the wall. */
export interface WallPart {
  x: number;
  y: number;
  wide: number;
}

/**
 * A part of a wall as it is seen from before it. Where diodes are far enough apart they are dots in the dark, as bright as makes the whole as
 * bright as the picture; from far away they melt together.
 * @param picture encoded bytes, four a pixel, top row first, stretched over all of the wall
 * @param diodes of the wall
 * @param out size of what is seen, in pixels, of the same aspect as the wall
 */
export function seenWall(
  picture: { rgba: Uint8Array; width: number; height: number },
  wall: Wall,
  diodes: { width: number; height: number },
  part: WallPart,
  out: { width: number; height: number },
): Uint8ClampedArray<ArrayBuffer> {
  const light = lightTable(wall);
  const bytes = new Uint8ClampedArray(out.width * out.height * 4);
  const [left, top] = [part.x - part.wide / 2, part.y - part.wide / 2];
  /** diodes a pixel */
  const [across, down] = [(part.wide * diodes.width) / out.width, (part.wide * diodes.height) / out.height];
  const apart = across < 1 / 2;
  const gain = 1 / wall.lit ** 2;
  // where they melt together every diode in a pixel counts
  const [stepsX, stepsY] = apart ? [FINE, FINE] : [Math.ceil(across), Math.ceil(down)];
  const samples = stepsX * stepsY;
  for (let y = 0; y < out.height; y++)
    for (let x = 0; x < out.width; x++) {
      const sum = [0, 0, 0];
      for (let j = 0; j < stepsY; j++)
        for (let i = 0; i < stepsX; i++) {
          const u = left * diodes.width + (x + (i + 0.5) / stepsX) * across;
          const v = top * diodes.height + (y + (j + 0.5) / stepsY) * down;
          const [column, row] = [Math.floor(u), Math.floor(v)];
          if (column < 0 || row < 0 || column >= diodes.width || row >= diodes.height) continue;
          const shines =
            !apart || (Math.abs(u - column - 0.5) < wall.lit / 2 && Math.abs(v - row - 0.5) < wall.lit / 2);
          const px = Math.floor(((column + 0.5) * picture.width) / diodes.width);
          const py = Math.floor(((row + 0.5) * picture.height) / diodes.height);
          const at = (py * picture.width + px) * 4;
          for (let k = 0; k < 3; k++)
            sum[k] += shines ? light[picture.rgba[at + k]] * (apart ? gain : 1) : DARK * wall.brightness;
        }
      const to = (y * out.width + x) * 4;
      for (let k = 0; k < 3; k++) bytes[to + k] = 255 * fromLinear(Math.min(1, sum[k] / samples));
      bytes[to + 3] = 255;
    }
  return bytes;
}
