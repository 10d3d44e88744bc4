import { hexToLinear, type Rgb } from '../colour/colour';
import { cross, dot, normalize, type Vec3 } from '../space/vector';

const smooth = (low: number, high: number, v: number): number => {
  const x = Math.min(1, Math.max(0, (v - low) / (high - low)));
  return x * x * (3 - 2 * x);
};
const mix = (a: Rgb, b: Rgb, t: number): Rgb => [0, 1, 2].map((k) => a[k] + (b[k] - a[k]) * t) as Rgb;
const scaled = (a: Rgb, s: number): Rgb => [a[0] * s, a[1] * s, a[2] * s];
const sum = (...of: Rgb[]): Rgb => [0, 1, 2].map((k) => of.reduce((s, rgb) => s + rgb[k], 0)) as Rgb;

/** A box of light far away, about a direction, in radians wide and high, with soft edges. */
function box(about: Vec3, wide: number, high: number, colour: Rgb): (d: Vec3) => Rgb {
  const ahead = normalize(about);
  const side = normalize(cross([0, 1, 0], ahead));
  const up = cross(ahead, side);
  return (d) => {
    const away = dot(d, ahead);
    if (away <= 0.05) return [0, 0, 0];
    const [x, y] = [Math.abs(dot(d, side) / away), Math.abs(dot(d, up) / away)];
    const inside = smooth(wide / 2 + 0.05, wide / 2 - 0.05, x) * smooth(high / 2 + 0.05, high / 2 - 0.05, y);
    // brighter in its middle, as lamps behind a cloth are
    return scaled(colour, inside * (1 - 0.35 * Math.min(1, (x / wide) ** 2 + (y / high) ** 2)));
  };
}

/** A disc with a glow around it. */
const disc = (about: Vec3, colour: Rgb, radius: number, glow: number): ((d: Vec3) => Rgb) => {
  const way = normalize(about);
  return (d) => {
    const angle = Math.acos(Math.min(1, Math.max(-1, dot(d, way))));
    return scaled(colour, smooth(radius * 1.15, radius * 0.85, angle) + glow * Math.exp(-angle / 0.25));
  };
};

const colour = (hex: string, strength = 1): Rgb => scaled(hexToLinear(hex), strength);

const STUDIO = [
  box([-0.5, 1.1, 0.3], 1.4, 0.8, colour('#fff4e6', 5)),
  box([1, 0.35, 0.35], 0.5, 1.5, colour('#ffe3c4', 3.2)),
  box([-1, 0.2, -0.25], 0.35, 1.6, colour('#a9c6f2', 3.6)),
];
const MOON = disc([-0.55, 0.5, -0.8], colour('#cfe0ff', 60), 0.035, 0.012);
const SUNKEN = disc([0.35, -0.02, -1], colour('#ffb070', 2.2), 0.1, 0.8);
/** Lamps along a quay, by number: how far around, and how high above the horizon. */
const LAMPS = Array.from({ length: 22 }, (_, i) => {
  const around = ((i * 0.618034) % 1) * 2 * Math.PI;
  const high = 0.03 + 0.1 * ((i * 0.7548777) % 1);
  const warm = i % 4 === 0 ? colour('#9fd0ff', 16) : colour('#ffb25e', 20);
  return disc([Math.sin(around), high, -Math.cos(around)], warm, 0.022, 0.007);
});

/** Light from everywhere that ships: a law for each, so that they are as sharp as they are asked for. */
export const STOCK_PANORAMAS = {
  studio: {
    label: 'Studio',
    law: (d: Vec3): Rgb =>
      sum(mix(colour('#101114', 0.35), colour('#2a2c30', 0.6), smooth(-0.2, -1, d[1])), ...STUDIO.map((lit) => lit(d))),
  },
  dusk: {
    label: 'Dusk over water',
    law: (d: Vec3): Rgb => {
      const [x, y, z] = d;
      // below the horizon the water gives the sky back, darker
      const up = Math.abs(y);
      const towards = 0.5 + 0.5 * dot(normalize([x, 0, z - 1e-6]), normalize([0.35, 0, -1]));
      const low = mix(colour('#30445c', 0.55), colour('#f08a4b', 1.5), towards ** 3);
      const sky = mix(
        mix(low, colour('#3a5f86', 0.6), smooth(0, 0.35, up)),
        colour('#101c34', 0.4),
        smooth(0.2, 1, up),
      );
      const clouds = 0.5 + 0.5 * Math.sin(9 * Math.atan2(x, -z) + 21 * up + 2 * Math.sin(40 * up));
      const lit = mix(sky, colour('#ffb184', 0.9), 0.25 * clouds * smooth(0.45, 0.08, up) * towards);
      return y >= 0 ? sum(lit, SUNKEN(d)) : scaled(lit, 0.35 + 0.3 * Math.exp(-up * 6));
    },
  },
  overcast: {
    label: 'Overcast',
    // three times as bright above as at the horizon: the standard overcast sky (Moon and Spencer, 1942; ISO 15469)
    law: ([, y]: Vec3): Rgb =>
      y >= 0 ? colour('#dfe8f2', (1 + 2 * y) / 3) : scaled(colour('#5a5750'), 0.35 * smooth(-0.6, 0, y) + 0.1),
  },
  quay: {
    label: 'Quay at night',
    law: (d: Vec3): Rgb =>
      sum(
        mix(colour('#0b1626', 0.5), colour('#03060c', 0.5), smooth(0, 0.6, Math.abs(d[1]))),
        MOON(d),
        ...LAMPS.map((lamp) => lamp(d[1] >= 0 ? d : [d[0], -d[1], d[2]]).map((v) => v * (d[1] >= 0 ? 1 : 0.2)) as Rgb),
      ),
  },
} as const satisfies Record<string, { label: string; law: (d: Vec3) => Rgb }>;

export type StockPanorama = keyof typeof STOCK_PANORAMAS;
