import type * as THREE from 'three';
import { joinSources } from '../../core/kernel/kernel';
import type { Piece } from '../../core/piece/schema';
import type { MatterKind } from '../../core/matter/kinds';
import { sources as hashSources } from '../../core/random/hash.gen';
import skySource from '../drawings/dome/sky.glsl?raw';
import type { Uniforms } from '../gl/gpu';
import { rawMaterial, setFragment } from '../gl/quad';
import { lightsProgram, litOf, type LitRow } from '../lights/program';
import brdfSource from './brdf.glsl?raw';
import { PROGRAMS } from './list';
import bodySource from './body.glsl?raw';
import shineSource from './shine.glsl?raw';
import surfaceSource from './surface.glsl?raw';

/**
 * How one kind of matter looks: GLSL with `Matter matterOf(Body b)`, what it is, which is lit once a pixel; or, where it `shines`
 * by a program of its own, the light itself, for which it may call `shine` (matter/shine.glsl).
 */
export interface MatterProgram {
  shines: boolean;
  /** what is made of it is there all over */
  opaque: boolean;
  glsl: string;
}

/** Whether what is made of a kind of matter is there all over. */
export const isOpaque = (kind: MatterKind): boolean => PROGRAMS[kind].opaque;

/** Shading under some lights, as a program has it in front. */
export const shadingSource = (lights: readonly LitRow[]): string =>
  joinSources(hashSources) + skySource + brdfSource + lightsProgram(lights) + shineSource;

/** Matter hides what is behind it. */
export const SOLID: Partial<THREE.ShaderMaterialParameters> = { depthTest: true, depthWrite: true };

/** The fragments of what only hides: a light that looks for what is in its way asks for no more. */
const HIDES = 'layout(location = 0) out vec4 outSurface;\nvoid main() { outSurface = vec4(0.0); }\n';

/** The material of something that is there all over, as lights see it. */
export const hidingMaterial = (vertex: string, uniforms: Uniforms, side: THREE.Side): THREE.RawShaderMaterial =>
  rawMaterial(vertex, HIDES, uniforms, { ...SOLID, side });

/** A program that is that of the lights there are: another is made only when they are others, or in another order. */
export class LitProgram {
  private lights = '';

  constructor(
    readonly material: THREE.RawShaderMaterial,
    private readonly source: (lights: readonly LitRow[]) => string,
  ) {}

  /** Takes the lights of a piece. */
  light(piece: Piece): void {
    const { rows, key } = litOf(piece);
    if (key === this.lights) return;
    this.lights = key;
    setFragment(this.material, this.source(rows));
  }
}

/** Defined in both programs of what is made of matter that shines by a program of its own. */
const SHINES = '#define SHINES\n';

/** The material of something made of a kind of matter: `take` follows the lights of a piece where the kind's program needs them. */
export function matterMaterial(
  kind: MatterKind,
  [vertex, fragment]: readonly [string, string],
  uniforms: Uniforms,
  side: THREE.Side,
): { material: THREE.RawShaderMaterial; take: (piece: Piece) => void } {
  const { shines, glsl }: MatterProgram = PROGRAMS[kind];
  const source = (lights: readonly LitRow[]): string =>
    (shines ? SHINES + shadingSource(lights) : joinSources(hashSources)) + surfaceSource + bodySource + glsl + fragment;
  const material = rawMaterial((shines ? SHINES : '') + vertex, source([]), uniforms, { ...SOLID, side });
  const lit = shines ? new LitProgram(material, source) : null;
  return { material, take: (piece) => lit?.light(piece) };
}
