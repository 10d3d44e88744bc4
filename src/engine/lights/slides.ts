import * as THREE from 'three';
import { toLinear } from '../../core/colour/colour';
import { lightOf, type Light } from '../../core/look/lights/kinds';
import { crystalPicture } from '../../core/pictures/crystal';
import { pixmapOf, type Picture } from '../../core/pictures/pixmap';
import type { Piece } from '../../core/piece/schema';
import { lightSlots } from '../../core/world/lights';

/** Pixels across a slide, the most of one look, and how many times it lies in the texture, each more blurred. */
const [SIDE, MOST, LEVELS] = [128, 4, 5];

/** What stands in front of programs of lights whose light falls through pictures. */
export const slideHead = `
#define SLIDES ${MOST.toFixed(1)}
#define SLIDE ${SIDE.toFixed(1)}
#define SLIDE_LEVELS ${LEVELS.toFixed(1)}
// slides beside one another, below each the same more blurred: square roots of light
uniform sampler2D uSlides;
`;

/** The picture that the light of a lamp falls through; null where there is none. */
export const slideOf = (light: Light): string | null => lightOf(light.kind).slide?.(light) ?? null;

/** The pictures that lamps of a piece have, each once, in the order of its table; those past the most are left out. */
export function slidesOf(piece: Piece): string[] {
  const all = lightSlots(piece).flatMap(({ light }) => slideOf(light) ?? []);
  return [...new Set(all)].slice(0, MOST);
}

/** A picture in the middle of a black square, as linear light. */
export function squared({ width, height, rgb }: Picture): Float32Array {
  const out = new Float32Array(SIDE * SIDE * 3);
  const scale = Math.max(width, height) / SIDE;
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const [u, v] = [width / 2 + (x + 0.5 - SIDE / 2) * scale, height / 2 + (y + 0.5 - SIDE / 2) * scale];
      if (u < 0 || v < 0 || u >= width || v >= height) continue;
      const at = (Math.floor(v) * width + Math.floor(u)) * 3;
      for (let k = 0; k < 3; k++) out[(y * SIDE + x) * 3 + k] = toLinear(rgb[at + k] / 255);
    }
  return out;
}

/** The means over squares of so many pixels either way, going on beside itself: rows, then columns. */
export function blurred(light: Float32Array, radius: number): Float32Array {
  const pass = (from: Float32Array, step: number, line: number): Float32Array => {
    const out = new Float32Array(from.length);
    for (let other = 0; other < SIDE; other++)
      for (let i = 0; i < SIDE; i++)
        for (let k = 0; k < 3; k++) {
          let sum = 0;
          for (let d = -radius; d <= radius; d++) sum += from[(other * line + ((i + d + SIDE) % SIDE) * step) * 3 + k];
          out[(other * line + i * step) * 3 + k] = sum / (2 * radius + 1);
        }
    return out;
  };
  return pass(pass(light, 1, SIDE), SIDE, 1);
}

function textureOf(urls: readonly string[]): THREE.DataTexture {
  const bytes = new Uint8Array(SIDE * MOST * SIDE * LEVELS * 4);
  urls.forEach((url, cell) => {
    const picture = url === '' ? crystalPicture() : pixmapOf(url);
    if (!picture) return;
    let light = squared(picture);
    for (let level = 0; level < LEVELS; level++) {
      // twice a box is nearly a bell
      if (level > 0) light = blurred(blurred(light, 2 ** level), 2 ** level);
      for (let y = 0; y < SIDE; y++)
        for (let x = 0; x < SIDE; x++) {
          const to = ((level * SIDE + y) * SIDE * MOST + cell * SIDE + x) * 4;
          for (let k = 0; k < 3; k++) bytes[to + k] = Math.round(255 * Math.sqrt(light[(y * SIDE + x) * 3 + k]));
        }
    }
  });
  const texture = new THREE.DataTexture(bytes, SIDE * MOST, SIDE * LEVELS, THREE.RGBAFormat, THREE.UnsignedByteType);
  texture.minFilter = texture.magFilter = THREE.LinearFilter;
  texture.needsUpdate = true;
  return texture;
}

export const slideUniforms = () => ({ uSlides: { value: null as THREE.Texture | null } });

/** The pictures that the light of lamps falls through, on the GPU; made anew only when they are others. */
export class Slides {
  private shown = '';

  constructor(private readonly uniforms: ReturnType<typeof slideUniforms>) {}

  at(piece: Piece): void {
    const urls = slidesOf(piece);
    const key = JSON.stringify(urls);
    if (key === this.shown) return;
    this.shown = key;
    this.dispose();
    this.uniforms.uSlides.value = urls.length > 0 ? textureOf(urls) : null;
  }

  dispose(): void {
    this.uniforms.uSlides.value?.dispose();
    this.uniforms.uSlides.value = null;
  }
}
