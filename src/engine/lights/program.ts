import { LIGHTS, lightOf, type LightKind } from '../../core/look/lights/kinds';
import type { Piece } from '../../core/piece/schema';
import { lightSlots } from '../../core/world/lights';
import { MOST_AROUND, MOST_FLAT, shadowSlots } from '../shadows/slots';
import { slideHead, slideOf } from './slides';
import shadowSource from '../shadows/shadow.glsl?raw';
import { PROGRAMS } from './list';

/**
 * How one kind of light acts. One that shines on surfaces: `vec3 light_on(Light light, Surface s)`, what the surface gives back of it
 * (matter/brdf.glsl); one that is around: `vec3 light_from(Light light, vec3 d, float rough)`, how bright it is in direction d for
 * what sees it as roughly as that; a panorama `vec3 light_even(Light light, vec3 n)` besides, what matt white gives back of it. All names of its own begin with `light_`.
 */
export interface LightProgram {
  glsl: string;
  /**
   * What shines through air from a place: `vec3 light_beam(Light light, vec3 to)`, what share of its strength, by colour, it gives to where
   * it is seen in that direction; and the cosine of half its cone, -1 for none.
   */
  air?: { cosine: string };
}

/** Vectors of four numbers that a light takes in the table. */
export const LIGHT_ROWS = 6;

/** One row of the table, as the program has it: a kind, and what its shadow is looked up in. */
export interface LitRow {
  kind: LightKind;
  /** from which square on, and its number among those of one view, or of six; null for none */
  shadow: { square: number; number: number; around: boolean } | null;
  /** it is the light of the piece's own sky */
  sky: boolean;
  /** its light falls through a picture */
  slide: boolean;
}

/** The rows of the table of a piece; programs are the same where the key is. */
export function litOf(piece: Piece): { rows: LitRow[]; key: string } {
  const { slots } = shadowSlots(piece);
  const rows = lightSlots(piece).map(({ light }, row): LitRow => {
    const slot = slots[row];
    return {
      kind: light.kind,
      slide: slideOf(light) !== null,
      sky: light.kind === 'panorama' && light.of === 'sky',
      shadow: slot && { square: slot.square, number: slot.number, around: slot.sees === 'around' },
    };
  });
  return { rows, key: JSON.stringify(rows) };
}

const own = (kind: LightKind): string => PROGRAMS[kind].glsl.replaceAll('light_', `${kind}_`);

/** The functions of a panorama with its own map: textures cannot be chosen by a number. */
const ownPanorama = (number: number, sky: boolean): string =>
  PROGRAMS.panorama.glsl
    // a sky that is mirrored sharply is the sky itself
    .replaceAll('light_SHARP', sky ? '(low < 0.5 ? skyColour(d) : light_level(u, v, low))' : 'light_level(u, v, low)')
    .replaceAll('light_MAP', `uPanorama${number}`)
    .replaceAll('light_EVEN', `uEven${number}`)
    .replaceAll('light_', `panorama${number}_`);

/** The light at a place of the table. */
export const at = (i: number): string => {
  const row = (k: number): string => `uLights[${i * LIGHT_ROWS + k}]`;
  return `Light(${row(0)}.rgb, ${row(0)}.a, ${row(1)}.xyz, ${row(1)}.w, ${row(2)}.xyz, ${row(2)}.w, ${row(3)}, ${row(4)}, ${row(5)}.xyz, ${row(5)}.w)`;
};

/** How much of a light is not kept off by what stands in its way. */
export function seenOf(row: LitRow, i: number): string {
  if (!row.shadow) return '';
  const { square, number, around } = row.shadow;
  const light = at(i);
  const how = around
    ? `shadowAround(${square}, uShadowEye[${number}], uShadowFocal, ${light}.reach, s)`
    : `shadowIn(${square}, uShadowView[${number}], uShadowLens[${number}].x, uShadowLens[${number}].y, uShadowLens[${number}].z, s, towards(${light}, s))`;
  return ` * mix(1.0, ${how}, ${light}.shade * s.shaded)`;
}

/**
 * What some lights do, one after another: `lightOn(surface)`, the light that a surface gives back, and
 * `lightFrom(direction, roughness)`, how bright it is around; `panoramaFrom` and `panoramaEven` the same of panoramas, mirrored and
 * given back by matt white. Written out for the lights there are: a loop with a table that is
 * looked up by a changing number takes twice as long where there is no graphics card.
 * Needs matter/brdf.glsl and drawings/dome/sky.glsl in front of it.
 * @param rows of the table, in its order
 */
export function lightsProgram(rows: readonly LitRow[]): string {
  const around = (kind: LightKind): boolean => lightOf(kind).around === true;
  const on = rows.map((row, i) => (around(row.kind) ? '' : `  sum += ${row.kind}_on(${at(i)}, s)${seenOf(row, i)};\n`));
  const panoramas = rows.flatMap(({ kind }, i) => (kind === 'panorama' ? [i] : []));
  const named = (kind: LightKind, i: number): string =>
    kind === 'panorama' ? `panorama${panoramas.indexOf(i)}` : kind;
  const fromOf = (some: (kind: LightKind) => boolean): string =>
    rows
      .map(({ kind }, i) =>
        around(kind) && some(kind) ? `  sum += ${named(kind, i)}_from(${at(i)}, d, rough);\n` : '',
      )
      .join('');
  const even = panoramas.map((i, number) => `  sum += panorama${number}_even(${at(i)}, n);\n`).join('');
  const shadows = rows.some(({ shadow }) => shadow !== null)
    ? `uniform mat4 uShadowView[${MOST_FLAT}];
uniform vec4 uShadowLens[${MOST_FLAT}];
uniform float uShadowFocal;
uniform vec3 uShadowEye[${MOST_AROUND}];
${shadowSource}
vec3 towards(Light light, Surface s) { return light.reach > 0.0 ? normalize(light.place - s.place) : light.from; }
`
    : '';
  return `${panoramas.length > 0 ? '\n#define PANORAMAS' : ''}${rows.some(({ slide }) => slide) ? slideHead : ''}
struct Light { vec3 colour; float strength; vec3 from; float size; vec3 place; float reach; vec4 a; vec4 b; vec3 side; float shade; };
uniform vec4 uLights[${Math.max(1, rows.length) * LIGHT_ROWS}];
uniform float uSurround;     // brightness of what is around
${LIGHTS.names
  .filter((name) => name !== 'panorama' && rows.some(({ kind }) => kind === name))
  .map(own)
  .join('\n')}
${panoramas.map((_, i) => `uniform sampler2D uPanorama${i};\nuniform vec3 uEven${i}[9];\n${ownPanorama(i, rows[panoramas[i]].sky)}`).join('\n')}
${shadows}vec3 lightOn(Surface s) {
  vec3 sum = vec3(0.0);
${on.join('')}  return sum;
}
// what is around, but for panoramas
vec3 lightFrom(vec3 d, float rough) {
  vec3 sum = vec3(0.0);
${fromOf((kind) => kind !== 'panorama')}  // what is rough sees a wide patch of the sky: its direction drawn towards upright
  ${rows.some(({ sky }) => sky) ? 'vec3 sky = vec3(0.0);' : 'vec3 sky = uSky.x > 0.0 ? skyColour(normalize(mix(d, vec3(0.0, 1.0, 0.0), 0.35 * rough))) : vec3(0.0);'}
  return uSurround * sum + sky;
}
#ifdef PANORAMAS
vec3 panoramaFrom(vec3 d, float rough) {
  vec3 sum = vec3(0.0);
${fromOf((kind) => kind === 'panorama')}  return uSurround * sum;
}
// what matt white gives back of panoramas
vec3 panoramaEven(vec3 n) {
  vec3 sum = vec3(0.0);
${even}  return uSurround * sum;
}
#endif
`;
}
