import { LINEAR, luminance } from './light';
import { toLinear } from '../colour/colour';
import { contrastSensitivity } from './sight';

/** The display and the viewer that steps are judged for: a common monitor, seen from three times the picture's height. */
export const VIEWING = { white: 100, black: 0.1, heights: 3 } as const;

/** Side of a tile over the picture's height. */
const TILES = 12;
/** Code values by which a gradient may bend between two pixels before it counts as texture, which hides steps. */
const BENT = 0.35;
/** Code values a pixel from which on steps are too narrow to be told from a gradient. */
const STEEP = 0.6;
/** Share of a tile that must be gradient for steps to be looked for. */
const SMOOTH = 0.4;

/** What is seen of the steps of 8-bit code values in a picture. */
export interface Bands {
  columns: number;
  rows: number;
  /** of each tile, top row first: how many times as strong as what can just be seen its steps are */
  seen: Float32Array;
  /** the same had every code value only been rounded */
  bare: Float32Array;
  /** the most of either over the picture, a tile's neighbours among it */
  worst: number;
  worstBare: number;
  /** share of the picture in which steps are seen */
  share: number;
}

/** Fundamental of a sawtooth over its standard deviation: Fourier series of 2 (x − ½) is −(2/π) Σ sin(2πnx)/n, deviation 1/√3. */
const FUNDAMENTAL = (2 / Math.PI) * Math.sqrt(3);

/**
 * How strongly steps are seen. Rounding a gradient adds a sawtooth to it, as wide as the gradient needs for one code value; noise before rounding
 * breaks it up. How much of the sawtooth is left is the regression of what was added on it; it is seen where the contrast of one of its harmonics is above the eye's
 * threshold at its width.
 * @param exact code values 0..1 before noise and rounding, four a pixel, bottom row first
 * @param shown bytes as they are delivered, top row first
 */
export function bandsOf(exact: Float32Array, shown: Uint8Array, width: number, height: number): Bands {
  const side = Math.max(8, Math.round(height / TILES));
  const [columns, rows] = [Math.ceil(width / side), Math.ceil(height / side)];
  const tile = new Tile(VIEWING.heights * height);
  const seen = new Float32Array(columns * rows);
  const bare = new Float32Array(columns * rows);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      tile.begin();
      for (let y = Math.max(1, row * side); y < Math.min(height - 1, (row + 1) * side); y++)
        for (let x = Math.max(1, column * side); x < Math.min(width - 1, (column + 1) * side); x++)
          tile.add(exact, ((height - 1 - y) * width + x) * 4, width * 4, shown, (y * width + x) * 4);
      const { whole, left } = tile.end();
      bare[row * columns + column] = whole;
      seen[row * columns + column] = whole * left;
    }
  // one tile alone may be chance: its neighbourhood says
  const smooth = blurred(seen, columns, rows);
  return {
    ...{ columns, rows, seen: smooth, bare },
    worst: Math.max(...smooth),
    worstBare: Math.max(...bare),
    share: smooth.filter((v) => v > 1).length / smooth.length,
  };
}

const candelas = (value: number): number => VIEWING.black + (VIEWING.white - VIEWING.black) * value;

/** Sums over one tile. */
class Tile {
  private count = 0;
  private smooth = 0;
  private readonly sums = { s: 0, ss: 0, e: 0, es: 0, ee: 0, light: 0, slope: 0 };

  /** @param distance of the viewer in pixels */
  constructor(private readonly distance: number) {}

  begin(): void {
    this.count = this.smooth = 0;
    for (const name of Object.keys(this.sums) as (keyof typeof this.sums)[]) this.sums[name] = 0;
  }

  /** @param at of the pixel in `exact`, whose rows are `stride` long; `byte` the same in `shown` */
  add(exact: Float32Array, at: number, stride: number, shown: Uint8Array, byte: number): void {
    this.count++;
    let [bend, slope, most] = [0, 0, -1];
    for (let k = 0; k < 3; k++) {
      const i = at + k;
      const here = 2 * exact[i];
      bend = Math.max(
        bend,
        Math.abs(exact[i - 4] + exact[i + 4] - here),
        Math.abs(exact[i - stride] + exact[i + stride] - here),
      );
      // the channel whose steps are brightest says how wide they are
      const code = Math.min(254, Math.floor(exact[i] * 255));
      const step = WEIGHTS[k] * (LINEAR[code + 1] - LINEAR[code]);
      const own = Math.hypot(exact[i + 4] - exact[i - 4], exact[i + stride] - exact[i - stride]) / 2;
      if (step > most && own > 0) [most, slope] = [step, own];
    }
    if (bend * 255 > BENT || slope * 255 > STEEP || slope === 0) return;
    this.smooth++;
    const value = (k: number): number => Math.min(1, Math.max(0, exact[at + k]));
    const light = luminance(toLinear(value(0)), toLinear(value(1)), toLinear(value(2)));
    const rounded = (k: number): number => LINEAR[Math.round(value(k) * 255)];
    const s = luminance(rounded(0), rounded(1), rounded(2)) - light;
    const e = luminance(LINEAR[shown[byte]], LINEAR[shown[byte + 1]], LINEAR[shown[byte + 2]]) - light;
    const { sums } = this;
    sums.s += s;
    sums.ss += s * s;
    sums.e += e;
    sums.es += e * s;
    sums.ee += e * e;
    sums.light += light;
    sums.slope += slope * 255;
  }

  /** How visible whole steps would be, in thresholds, and how much of them is left. */
  end(): { whole: number; left: number } {
    const n = this.smooth;
    if (n < SMOOTH * this.count || n < 16) return { whole: 0, left: 0 };
    const { s, ss, e, es, ee, light, slope } = this.sums;
    const varied = ss / n - (s / n) ** 2;
    if (varied < 1e-14) return { whole: 0, left: 0 };
    const share = (es / n - (e / n) * (s / n)) / varied;
    // what chance alone leaves is no step
    const rest = Math.max(0, ee / n - (e / n) ** 2 - share ** 2 * varied);
    const chance = Math.sqrt(rest / varied / n);
    const left = Math.min(1, Math.max(0, Math.abs(share) - 2 * chance));
    const cd = candelas(light / n);
    const modulation = (FUNDAMENTAL * Math.sqrt(varied) * (VIEWING.white - VIEWING.black)) / cd;
    const cycles = (this.distance * Math.PI * (slope / n)) / 180;
    let whole = 0;
    for (let h = 1; h * cycles < 50 && h < 64; h++)
      whole = Math.max(whole, (modulation / h) * contrastSensitivity(cd, h * cycles));
    return { whole, left };
  }
}
const WEIGHTS = [0.2126, 0.7152, 0.0722] as const;

/** Of each tile the mean with its eight neighbours. */
function blurred(values: Float32Array, columns: number, rows: number): Float32Array {
  return values.map((_, i) => {
    const [x, y] = [i % columns, Math.floor(i / columns)];
    let [sum, count] = [0, 0];
    for (let dy = -1; dy <= 1; dy++)
      for (let dx = -1; dx <= 1; dx++) {
        if (x + dx < 0 || x + dx >= columns || y + dy < 0 || y + dy >= rows) continue;
        sum += values[i + dy * columns + dx];
        count++;
      }
    return sum / count;
  });
}
