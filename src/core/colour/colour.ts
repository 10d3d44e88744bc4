/** Colours at places 0..1, mixed in between. */
export type Gradient = { at: number; colour: string }[];

export type Rgb = [number, number, number];

/** sRGB value 0..1 to linear light (IEC 61966-2-1). */
export const toLinear = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
/** Linear light 0..1 to sRGB (IEC 61966-2-1). */
export const fromLinear = (v: number): number => (v <= 0.0031308 ? v * 12.92 : 1.055 * v ** (1 / 2.4) - 0.055);

/** `#rrggbb` to linear light. */
export function hexToLinear(hex: string): Rgb {
  const n = Number.parseInt(hex.slice(1), 16);
  return [toLinear((n >> 16) / 255), toLinear(((n >> 8) & 255) / 255), toLinear((n & 255) / 255)];
}

/** Linear light to `#rrggbb`, clipped to what a display shows. */
export const linearToHex = (rgb: Rgb): string =>
  `#${rgb
    .map((v) => Math.round(fromLinear(Math.min(1, Math.max(0, v))) * 255))
    .map((v) => v.toString(16).padStart(2, '0'))
    .join('')}`;

// Oklab: Ottosson, "A perceptual color space for image processing", 2020.
export function linearToOklab([r, g, b]: Rgb): Rgb {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ];
}

export function oklabToLinear([L, a, b]: Rgb): Rgb {
  const l = (L + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const m = (L - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const s = (L - 0.0894841775 * a - 1.291485548 * b) ** 3;
  return [
    4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
    -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
    -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s,
  ];
}

/** Colour at a place 0..1 of a gradient, mixed in Oklab; linear light, never negative. */
export function gradientAt(gradient: Gradient, place: number): Rgb {
  const stops = [...gradient].sort((p, q) => p.at - q.at);
  const last = stops[stops.length - 1];
  if (place <= stops[0].at) return hexToLinear(stops[0].colour);
  if (place >= last.at) return hexToLinear(last.colour);
  const index = stops.findIndex((stop) => stop.at > place);
  const [from, to] = [stops[index - 1], stops[index]];
  const t = (place - from.at) / (to.at - from.at);
  const a = linearToOklab(hexToLinear(from.colour));
  const b = linearToOklab(hexToLinear(to.colour));
  const mixed = oklabToLinear([a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t]);
  return mixed.map((v) => Math.max(0, v)) as Rgb;
}

/** The gradient as a table of `size` RGBA texels of linear light, alpha 1. */
export function gradientTable(gradient: Gradient, size = 256): Float32Array {
  const out = new Float32Array(size * 4);
  for (let i = 0; i < size; i++) {
    out.set(gradientAt(gradient, (i + 0.5) / size), i * 4);
    out[i * 4 + 3] = 1;
  }
  return out;
}
