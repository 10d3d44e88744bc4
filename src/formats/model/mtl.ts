import { toLinear } from '../../core/colour/colour';
import type { Rgb } from '../../core/colour/colour';
import { BARE, type ModelMap, type ModelMaterial } from '../../core/solids/models/raw';
import { linesOf } from './lists';

/** Materials by name, and the pictures that they name by place. */
export interface Library {
  materials: ReadonlyMap<string, ModelMaterial>;
  pictures: readonly Uint8Array<ArrayBuffer>[];
}
export const NO_LIBRARY: Library = { materials: new Map(), pictures: [] };

/** Which of a material's pictures a word names. */
const MAPS: Readonly<Record<string, ModelMap>> = {
  map_kd: 'colour',
  map_ke: 'glow',
  norm: 'relief',
};

/** Options of a picture that take so many words; what follows them is its name. */
const OPTIONS: Readonly<Record<string, number>> = {
  '-blendu': 1,
  '-blendv': 1,
  '-boost': 1,
  '-mm': 2,
  '-o': 3,
  '-s': 3,
  '-t': 3,
  '-texres': 1,
  '-clamp': 1,
  '-bm': 1,
  '-imfchan': 1,
  '-cc': 1,
};

function pictureName(words: readonly string[]): string {
  let at = 1;
  while (at < words.length && words[at] in OPTIONS) at += 1 + OPTIONS[words[at]];
  return words.slice(at).join(' ');
}

/** The last part of a path, whichever way its slashes lean. */
export const baseName = (path: string): string => path.split(/[\\/]/).at(-1) ?? path;

const share = (value: number): number => Math.min(1, Math.max(0, value));

/**
 * How rough a surface is whose highlight falls off with a power of a cosine: as wide a lobe of GGX (Walter et al., EGSR 2007, §5.2: α =
 * √(2/(n + 2)), of which roughness is the root).
 */
export const roughOf = (power: number): number => (2 / (Math.max(0, power) + 2)) ** 0.25;

/**
 * The materials of a Wavefront model (Wavefront, MTL material format, 1995: Kd, Ke, Ns, d, Tr, map_Kd, map_Ke), and what newer programs
 * add to it: Pr, Pm, norm (common practice, no published source). What it does not know it passes over.
 * @param picture gives the bytes of a picture that it names; null where there are none
 */
export function readMtl(
  bytes: Uint8Array,
  picture: (name: string) => Uint8Array<ArrayBuffer> | null = () => null,
): Library {
  const materials = new Map<string, ModelMaterial>();
  const pictures: Uint8Array<ArrayBuffer>[] = [];
  const places = new Map<string, number | null>();
  const placeOf = (name: string): number | null => {
    const known = places.get(name);
    if (known !== undefined) return known;
    const found = picture(name);
    const place = found ? pictures.push(found) - 1 : null;
    places.set(name, place);
    return place;
  };
  let now: ModelMaterial | null = null;
  for (const line of linesOf(bytes)) {
    const text = line.trim();
    const words = text.split(/\s+/);
    const word = words[0].toLowerCase();
    if (word === 'newmtl') {
      now = { ...BARE, name: text.slice(6).trim(), maps: { ...BARE.maps } };
      materials.set(now.name, now);
      continue;
    }
    if (!now) continue;
    const [a, b, c] = words.slice(1).map(Number);
    // a single number is one grey
    const colour: Rgb = [a, b ?? a, c ?? a].map((v) => toLinear(share(v || 0))) as Rgb;
    if (word === 'kd') now.colour = colour;
    else if (word === 'ke') now.glow = colour;
    else if (word === 'ns' && Number.isFinite(a)) now.rough = roughOf(a);
    else if (word === 'pr' && Number.isFinite(a)) now.rough = share(a);
    else if (word === 'pm' && Number.isFinite(a)) now.metal = share(a);
    else if ((word === 'd' || word === 'tr') && Number.isFinite(a)) {
      now.opaque = word === 'd' ? share(a) : 1 - share(a);
      now.blends = now.opaque < 1;
    } else if (word in MAPS) {
      const place = placeOf(baseName(pictureName(words)));
      now.maps = { ...now.maps, [MAPS[word]]: place };
      // a picture of the light has all of it where nothing else is said
      if (MAPS[word] === 'glow' && place !== null && now.glow.every((v) => v === 0)) now.glow = [1, 1, 1];
    }
  }
  return { materials, pictures };
}
