import { cross, normalize, type Vec3 } from '../space/vector';
import { addLight, directionAt, halved, lightAt, type Panorama } from './panorama';

/** Roughnesses that a panorama is worked out for, evenly from 0 to 1. */
export const ROUGH_LEVELS = 6;

/**
 * Pixels across each is worked out with before it is brought to the size of the first, since what is rough is smooth; and directions
 * that its lobe is summed over, since a wide one sees more.
 */
const WORK = [
  { across: 0, samples: 0 },
  { across: 128, samples: 64 },
  { across: 64, samples: 128 },
  { across: 64, samples: 192 },
  { across: 32, samples: 256 },
  { across: 32, samples: 256 },
] as const;

/** The share i of n in two dimensions: van der Corput's, base 2, and the regular one (Hammersley). */
const hammersley = (i: number, n: number): [number, number] => {
  let bits = i;
  bits = ((bits & 0x55555555) << 1) | ((bits & 0xaaaaaaaa) >>> 1);
  bits = ((bits & 0x33333333) << 2) | ((bits & 0xcccccccc) >>> 2);
  bits = ((bits & 0x0f0f0f0f) << 4) | ((bits & 0xf0f0f0f0) >>> 4);
  bits = ((bits & 0x00ff00ff) << 8) | ((bits & 0xff00ff00) >>> 8);
  bits = ((bits << 16) | (bits >>> 16)) >>> 0;
  return [(i + 0.5) / n, bits / 2 ** 32];
};

/** Directions about the normal that a lobe reflects, looked at along it: how much they count, and how wide a patch each stands for. */
function lobe(alpha: number, count: number): { way: Vec3; weight: number; share: number }[] {
  return Array.from({ length: count }, (_, i) => {
    const [a, b] = hammersley(i, count);
    const cosine = Math.sqrt((1 - a) / (1 + (alpha * alpha - 1) * a));
    const sine = Math.sqrt(Math.max(0, 1 - cosine * cosine));
    const h: Vec3 = [sine * Math.cos(2 * Math.PI * b), sine * Math.sin(2 * Math.PI * b), cosine];
    const way: Vec3 = [2 * cosine * h[0], 2 * cosine * h[1], 2 * cosine * cosine - 1];
    const k = cosine * cosine * (alpha * alpha - 1) + 1;
    // of the light of one direction a lobe takes D/4 as its density where it is looked at along the normal
    const density = (alpha * alpha) / (Math.PI * k * k) / 4;
    return { way, weight: way[2], share: 1 / (count * density) };
  }).filter(({ weight }) => weight > 0);
}

/** A panorama as surfaces of one roughness reflect it. */
function levelOf(sizes: readonly Panorama[], alpha: number, across: number, count: number): Panorama {
  const [width, height] = [across, across / 2];
  const rgb = new Float32Array(width * height * 3);
  const samples = lobe(alpha, count);
  const total = samples.reduce((sum, { weight }) => sum + weight, 0);
  // a sample is looked up where a pixel is about as wide as its patch
  const size = ({ share }: (typeof samples)[number]): Panorama => {
    const pixel = (4 * Math.PI) / (sizes[0].width * sizes[0].height);
    return sizes[Math.min(sizes.length - 1, Math.max(0, Math.round(0.5 * Math.log2(share / pixel) + 0.5)))];
  };
  const from = samples.map((sample) => ({ ...sample, of: size(sample) }));
  const sum = new Float64Array(3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const n = directionAt((x + 0.5) / width, (y + 0.5) / height);
      const right = normalize(cross(Math.abs(n[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0], n));
      const up = cross(n, right);
      sum.fill(0);
      for (const { way, weight, of } of from) {
        const [a, b, c] = way;
        addLight(
          of,
          a * right[0] + b * up[0] + c * n[0],
          a * right[1] + b * up[1] + c * n[1],
          a * right[2] + b * up[2] + c * n[2],
          weight / total,
          sum,
        );
      }
      rgb.set(sum, (y * width + x) * 3);
    }
  return { width, height, rgb };
}

/**
 * A panorama as surfaces reflect it whose roughness is 0, 0.2 … 1, all as large as itself: the mean over the lobe of GGX, seen along
 * its normal (Karis, "Real Shading in Unreal Engine 4", SIGGRAPH course, 2013: the first of the two sums it is split into).
 */
export function roughLevels(panorama: Panorama): Panorama[] {
  const sizes = halved(panorama, 8);
  const { width, height } = panorama;
  return Array.from({ length: ROUGH_LEVELS }, (_, level) => {
    if (level === 0) return panorama;
    const rough = level / (ROUGH_LEVELS - 1);
    const { across, samples } = WORK[level];
    const small = levelOf(sizes, rough * rough, Math.min(width, across), samples);
    const rgb = new Float32Array(width * height * 3);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        rgb.set(lightAt(small, (x + 0.5) / width, (y + 0.5) / height), (y * width + x) * 3);
    return { width, height, rgb };
  });
}
