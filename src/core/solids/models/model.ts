import { Held } from '../../kept/held';
import type { Detail } from '../details/details';
import type { Raster } from '../../pictures/raster';
import type { ModelMaterial } from './raw';

/** What is known of a model without its triangles. */
export interface ModelFacts {
  name: string;
  triangles: number;
  vertices: number;
  /** along its own x, y and z, in the file's unit */
  span: readonly [number, number, number];
  /** which of its axes is up, and whether its file says so */
  up: 'y' | 'z';
  upSaid: boolean;
  /** metres to the file's unit, and whether its file says so */
  unit: number;
  unitSaid: boolean;
  /** it has no border: its inside is never seen */
  closed: boolean;
  /** its normals come from its file, or were worked out */
  normals: 'own' | 'made';
  materials: number;
  pictures: number;
}

/**
 * A model made ready: one across along its longest side, about the middle of the box around it, y up; welded, with normals, and in several details.
 * Structure of arrays, so that it crosses threads by transfer.
 */
export interface Model {
  facts: ModelFacts;
  /** x, y, z */
  position: Float32Array;
  /** unit x, y, z */
  normal: Float32Array;
  /** where on its pictures, to the right and down, and the number of its material */
  uv: Float32Array;
  /** linear red, green, blue; null for white */
  dye: Float32Array | null;
  /** the first is all of it, each coarser than the one before; of indices into the vertices */
  details: Detail[];
  materials: ModelMaterial[];
  /** encoded pictures, as the file has them */
  pictures: Uint8Array<ArrayBuffer>[];
}

/** A model as a thread holds it. */
export interface HeldModel extends Model {
  /** its pictures opened, for whoever draws it; null where they are not drawn here, or damaged */
  rasters: (Raster | null)[];
}

/** Models that have been taken in. On the page they are held in their coarsest detail: what is known of them is that of all. */
export const MODELS = new Held<HeldModel>();

/** The memory that a model's arrays lie in, each once: what crosses threads without being copied. */
export const buffersOf = ({ position, normal, uv, dye, details, pictures }: Model): ArrayBuffer[] => [
  ...new Set(
    [position, normal, uv, ...(dye ? [dye] : []), ...details.map(({ index }) => index), ...pictures].map(
      ({ buffer }) => buffer as ArrayBuffer,
    ),
  ),
];
