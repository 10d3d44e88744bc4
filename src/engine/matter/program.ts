import type * as THREE from 'three';
import { joinSources } from '../../core/kernel/kernel';
import type { Piece } from '../../core/piece/schema';
import { matterOf, type Matter, type MatterKind } from '../../core/matter/kinds';
import { sources as hashSources } from '../../core/random/hash.gen';
import skySource from '../drawings/dome/sky.glsl?raw';
import type { Uniforms } from '../gl/gpu';
import { rawMaterial, setFragment } from '../gl/quad';
import { lightsProgram, litOf, type LitRow } from '../lights/program';
import viewSource from '../frame/view.glsl?raw';
import brdfSource from './brdf.glsl?raw';
import { PROGRAMS } from './list';
import { coverHead, coverSource, coverSources, type Cover } from './pattern/program';
import bodySource from './body.glsl?raw';
import shineSource from './shine.glsl?raw';
import surfaceSource from './surface.glsl?raw';

/**
 * How one kind of matter looks: GLSL with `Matter matterOf(Body b)`, what it is. Its light is lit once a pixel later; or its own alone,
 * its colour as often as it glows; or worked out by itself, when `matterOf` gives that light, for which it may call `shine` (matter/shine.glsl).
 */
export interface MatterProgram {
  light: 'lit' | 'own' | 'worked out';
  /** what is made of it is there all over */
  opaque: boolean;
  /** it may have a clear coat: `vec2 coatOf()` */
  coats?: boolean;
  /** it shows what is behind it, so that is lit before it is drawn (glass/) */
  behind?: boolean;
  glsl: string;
  /** of the core, that it needs */
  sources?: Record<string, string>;
}

/** Whether what is made of a kind of matter is there all over. */
export const isOpaque = (kind: MatterKind): boolean => PROGRAMS[kind].opaque;

/** Whether what is made of a kind of matter is seen through. */
export const isSeenThrough = (kind: MatterKind): boolean => (PROGRAMS[kind] as MatterProgram).behind === true;

/** Whether what is made of a kind of matter can mirror what is near: all does that gives back light. */
export const canMirror = (kind: MatterKind): boolean => PROGRAMS[kind].light !== 'own';

/** What a sky is, as programs have it in front that light nothing. */
export const skySources = joinSources(hashSources) + skySource;

/** Shading under some lights, as a program has it in front. @param sources of the core that it needs besides */
export const shadingSource = (lights: readonly LitRow[], sources: Record<string, string> = {}): string =>
  joinSources(hashSources, sources) + skySource + brdfSource + lightsProgram(lights) + shineSource;

/** Matter hides what is behind it. */
export const SOLID: Partial<THREE.ShaderMaterialParameters> = { depthTest: true, depthWrite: true };

/** The fragments of what only hides: a light that looks for what is in its way asks for no more. */
const HIDES = 'layout(location = 0) out vec4 outSurface;\nvoid main() { outSurface = vec4(0.0); }\n';

/** The material of something that is there all over, as lights see it. */
export const hidingMaterial = (vertex: string, uniforms: Uniforms, side: THREE.Side): THREE.RawShaderMaterial =>
  rawMaterial(vertex, HIDES, uniforms, { ...SOLID, side });

/** Whether a clear coat may be on matter. */
const isCoated = (matter: Matter): boolean => matterOf(matter.kind).coated?.(matter) === true;

/** A program that is that of the lights there are: another is made only when they are others, or in another order. */
export class LitProgram {
  private lights = '';

  /** @param set gives the material the program */
  constructor(
    readonly material: THREE.RawShaderMaterial,
    private readonly source: (lights: readonly LitRow[], coated: boolean) => string,
    private readonly set: typeof setFragment = setFragment,
  ) {}

  /** Takes the lights of a piece. */
  light(piece: Piece): void {
    const { rows, key } = litOf(piece);
    const coated = piece.layers.some((layer) => !layer.hidden && 'matter' in layer && isCoated(layer.matter));
    if (`${key}${coated}` === this.lights) return;
    this.lights = `${key}${coated}`;
    this.set(this.material, this.source(rows, coated));
  }
}

/** Defined in the programs of what is made of matter that is not lit later. */
const HEADS = { lit: '', own: '#define OWN_LIGHT\n', 'worked out': '#define SHINES\n' };

/** What something is made of, and what covers it. */
export interface Made {
  matter: MatterKind;
  cover: Cover;
  /** which lines are drawn along it, and whether they are all that is drawn of it */
  lines: 'none' | 'edges' | 'wire';
  alone: boolean;
  /** what stands on it is mirrored in it */
  mirrors: boolean;
  /** defined besides, of what wears matter of its own */
  worn?: string;
}

/**
 * The material of something made of matter: `take` follows the lights of a piece where the kind's program needs them.
 * @param besides sources of the core that its own program needs
 */
export function matterMaterial(
  { matter, cover, alone, mirrors, worn = '' }: Made,
  [vertex, fragment]: readonly [string, string],
  uniforms: Uniforms,
  side: THREE.Side,
  besides: Record<string, string> = {},
): { material: THREE.RawShaderMaterial; take: (piece: Piece) => void } {
  const { light, glsl, sources, behind, coats }: MatterProgram = PROGRAMS[matter];
  // what mirrors what is near is lit where it is drawn, which alone knows that
  const shines = light === 'worked out' || mirrors;
  const head =
    worn +
    HEADS[light] +
    (mirrors ? '#define MIRRORED\n' : '') +
    (coats === true ? '#define COATS\n' : '') +
    coverHead(cover) +
    (behind === true ? '#define BEHIND\n' : '') +
    (alone ? '#define ALONE\n' : '');
  const needed = { ...sources, ...coverSources(cover), ...besides };
  const source = (lights: readonly LitRow[], coated = false): string =>
    head +
    (mirrors && coated ? '#define COATED\n' : '') +
    (shines ? shadingSource(lights, needed) : joinSources(hashSources, needed)) +
    surfaceSource +
    viewSource +
    bodySource +
    glsl +
    coverSource(cover) +
    fragment;
  const material = rawMaterial(head + vertex, source([]), uniforms, { ...SOLID, side });
  const lit = shines ? new LitProgram(material, source) : null;
  return { material, take: (piece) => lit?.light(piece) };
}
