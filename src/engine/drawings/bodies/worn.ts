import * as THREE from 'three';
import type { Raster } from '../../../core/pictures/raster';
import type { Worn } from '../../../core/solids/mesh';
import { isPartly, MODEL_MAPS, type ModelMap } from '../../../core/solids/models/raw';

/** Texels of a material in the table that matter/modelled reads. */
const ROWS = 4;

/** Maps of light, which are filtered as light; the others as the numbers they are. */
const LIGHT: readonly ModelMap[] = ['colour', 'glow'];

/** Pictures of one size, in an array with all its levels. */
function arrayOf(rasters: readonly Raster[], light: boolean): THREE.DataArrayTexture {
  const { width, height } = rasters[0] ?? { width: 1, height: 1 };
  const bytes = new Uint8Array(width * height * 4 * Math.max(1, rasters.length));
  rasters.forEach(({ rgba }, i) => bytes.set(rgba, i * width * height * 4));
  const texture = new THREE.DataArrayTexture(bytes, width, height, Math.max(1, rasters.length));
  texture.format = THREE.RGBAFormat;
  texture.type = THREE.UnsignedByteType;
  texture.colorSpace = light ? THREE.SRGBColorSpace : THREE.NoColorSpace;
  texture.wrapS = texture.wrapT = THREE.RepeatWrapping;
  texture.minFilter = THREE.LinearMipmapLinearFilter;
  texture.magFilter = THREE.LinearFilter;
  texture.generateMipmaps = true;
  texture.anisotropy = 4;
  texture.needsUpdate = true;
  return texture;
}

/** What a model wears, for its program: a table of its materials, and its pictures. */
export class WornBodies {
  readonly uniforms;
  /** defined in front of its programs */
  readonly head: string;
  /** whether some of it is not there where it stands */
  readonly partly: boolean;
  private readonly textures: THREE.Texture[];

  constructor({ materials, rasters, dye }: Worn) {
    const light: Raster[] = [];
    const flat: Raster[] = [];
    const places = new Map<string, number>();
    const placeOf = (picture: number | null, map: ModelMap): number => {
      const raster = picture === null ? null : rasters[picture];
      if (!raster) return -1;
      const lit = LIGHT.includes(map);
      const key = `${lit} ${picture}`;
      const place = places.get(key) ?? (lit ? light : flat).push(raster) - 1;
      places.set(key, place);
      return place;
    };
    const table = new Float32Array(materials.length * ROWS * 4);
    let relief = false;
    materials.forEach((material, i) => {
      const maps = MODEL_MAPS.map((map) => placeOf(material.maps[map], map));
      relief ||= maps[3] >= 0;
      table.set(
        [
          ...[...material.colour, material.opaque],
          ...[material.rough, material.metal, cutOf(material), material.deep],
          ...[...material.glow, 0],
          ...maps,
        ],
        i * ROWS * 4,
      );
    });
    const rows = new THREE.DataTexture(table, ROWS, Math.max(1, materials.length), THREE.RGBAFormat, THREE.FloatType);
    rows.needsUpdate = true;
    const mapped = light.length + flat.length > 0;
    const arrays = mapped ? [arrayOf(light, true), arrayOf(flat, false)] : [];
    this.textures = [rows, ...arrays];
    this.uniforms = {
      uWorn: { value: rows },
      uLightMaps: { value: arrays.at(0) ?? null },
      uFlatMaps: { value: arrays.at(1) ?? null },
    };
    this.head = [
      ['WORN', true],
      ['DYED', dye !== null],
      ['MAPPED', mapped],
      ['RELIEF', relief],
    ]
      .map(([name, there]) => (there ? `#define ${String(name)}\n` : ''))
      .join('');
    this.partly = materials.some(isPartly);
  }

  dispose(): void {
    for (const texture of this.textures) texture.dispose();
  }
}

/** Below which share it is not there at all: 0 where nothing of it is seen through, negative where it blends. */
const cutOf = (material: Worn['materials'][number]): number => material.cutoff ?? (material.blends ? -1 : 0);
