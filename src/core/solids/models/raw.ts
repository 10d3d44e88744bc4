import type { Rgb } from '../../colour/colour';

/** A stretch of a model as its file has it: triangles of one material, in the file's own units and axes. */
export interface RawPart {
  /** x, y, z of each vertex */
  position: Float32Array;
  /** unit x, y, z; null where the file has none: they are worked out */
  normal: Float32Array | null;
  /** where on its pictures, to the right and down; null where it has none */
  uv: Float32Array | null;
  /** linear red, green, blue; null for white */
  dye: Float32Array | null;
  /** three vertices a triangle, counter-clockwise from outside */
  index: Uint32Array;
  /** among the model's */
  material: number;
  /**
   * Where it has no normals: whether edges are round ('soft'), or faces flat ('hard'); where nothing is said an edge is hard where it turns by
   * more than {@link CREASE}.
   */
  edges?: 'soft' | 'hard';
}

/** What a part of a model is made of (Khronos, glTF 2.0, §3.9: metallic-roughness). Colours and light are linear. */
export interface ModelMaterial {
  name: string;
  colour: Rgb;
  /** how far it is there, 0..1, where it blends with what is behind it */
  opaque: number;
  blends: boolean;
  rough: number;
  metal: number;
  /** what it gives off */
  glow: Rgb;
  /** seen from both sides */
  open: boolean;
  /** what of its colour's picture is there less than so far is not there at all; null where it is there as far as it says */
  cutoff: number | null;
  /** pictures, by their place among the model's; null for none */
  maps: Readonly<Record<ModelMap, number | null>>;
  /** of its relief */
  deep: number;
}

/** What a picture of a model says: its colour; roughness (green) and metal (blue); light it gives off; which way it faces. */
export type ModelMap = 'colour' | 'manner' | 'glow' | 'relief';
export const MODEL_MAPS: readonly ModelMap[] = ['colour', 'manner', 'glow', 'relief'];

/** A model as a file has it. */
export interface RawModel {
  name: string;
  parts: RawPart[];
  materials: ModelMaterial[];
  /** encoded pictures (PNG, JPEG, WebP), as the file has them */
  pictures: Uint8Array<ArrayBuffer>[];
  /** which of its axes is up, where the format says so; null where it does not */
  up: 'y' | null;
  /** metres to its unit, likewise */
  unit: number | null;
}

/** Without normals an edge is hard where faces turn by more than so many degrees. */
export const CREASE = 35;

/** What is made of nothing that is said: light grey, as rough as plaster. */
export const BARE: ModelMaterial = {
  name: '',
  colour: [0.6, 0.6, 0.6],
  opaque: 1,
  blends: false,
  rough: 0.6,
  metal: 0,
  glow: [0, 0, 0],
  open: false,
  cutoff: null,
  maps: { colour: null, manner: null, glow: null, relief: null },
  deep: 1,
};

/** Whether something made of it is not there all over. */
export const isPartly = ({ blends, cutoff }: ModelMaterial): boolean => blends || cutoff !== null;

/** The most triangles and vertices a model may have. */
export const MOST_TRIANGLES = 2_000_000;
export const MOST_VERTICES = 6_000_000;
