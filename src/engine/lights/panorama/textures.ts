import * as THREE from 'three';
import { MOST_PANORAMAS, shownBy } from '../../../core/look/lights/panorama/panorama';
import { evenOf } from '../../../core/panorama/even';
import type { Panorama } from '../../../core/panorama/panorama';
import { ROUGH_LEVELS, roughLevels } from '../../../core/panorama/rough';
import type { Piece } from '../../../core/piece/schema';
import { lightSlots } from '../../../core/world/lights';
import { skyAt } from '../../../core/world/sky';

/** Panoramas that are kept beside those in use. */
const KEPT = 4;

/** A panorama as programs read it. */
interface Made {
  map: THREE.DataTexture;
  even: THREE.Vector3[];
}

function made(panorama: Panorama): Made {
  const { width, height } = panorama;
  const data = new Float32Array(width * height * ROUGH_LEVELS * 4);
  roughLevels(panorama).forEach(({ rgb }, level) => {
    for (let i = 0; i < width * height; i++) data.set(rgb.subarray(i * 3, i * 3 + 3), (level * width * height + i) * 4);
  });
  const map = new THREE.DataTexture(data, width, height * ROUGH_LEVELS, THREE.RGBAFormat, THREE.FloatType);
  map.minFilter = map.magFilter = THREE.LinearFilter;
  map.wrapS = THREE.RepeatWrapping;
  map.needsUpdate = true;
  return { map, even: evenOf(panorama).map((rgb) => new THREE.Vector3(...rgb)) };
}

const NONE = (): THREE.Vector3[] => Array.from({ length: 9 }, () => new THREE.Vector3());

/** The panoramas of a look, as every program knows them that lights. */
export const panoramaUniforms = () => ({
  uPanorama0: { value: null as THREE.Texture | null },
  uPanorama1: { value: null as THREE.Texture | null },
  uEven0: { value: NONE() },
  uEven1: { value: NONE() },
});

/** Panoramas on the GPU, worked out once for all frames in which they are the same. */
export class Panoramas {
  private readonly known = new Map<string, Made>();

  constructor(private readonly uniforms: ReturnType<typeof panoramaUniforms>) {}

  /** Makes those of a piece at a phase the ones that programs see, in the order of its table of lights. */
  at(piece: Piece, phase: number): void {
    const { uPanorama0, uPanorama1, uEven0, uEven1 } = this.uniforms;
    const shown = lightSlots(piece).flatMap(({ light }) => (light.kind === 'panorama' ? [light] : []));
    const sky = shown.some(({ of }) => of === 'sky') ? skyAt(piece, phase) : null;
    const [first, second] = shown.slice(0, MOST_PANORAMAS).map((light) => this.made(shownBy(light, sky)));
    uPanorama0.value = first?.map ?? null;
    uPanorama1.value = second?.map ?? null;
    uEven0.value = first?.even ?? NONE();
    uEven1.value = second?.even ?? NONE();
    const used = new Set(shown.map((light) => shownBy(light, sky).key));
    for (const [name, old] of this.known) {
      if (this.known.size <= MOST_PANORAMAS + KEPT) break;
      if (used.has(name)) continue;
      old.map.dispose();
      this.known.delete(name);
    }
  }

  private made({ key, panorama }: ReturnType<typeof shownBy>): Made {
    let known = this.known.get(key);
    if (!known) this.known.set(key, (known = made(panorama())));
    return known;
  }

  dispose(): void {
    for (const { map } of this.known.values()) map.dispose();
    this.known.clear();
  }
}
