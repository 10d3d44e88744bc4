import { LIGHTS, lightOf, type LightKind } from '../../core/look/lights/kinds';
import type { Piece } from '../../core/piece/schema';
import { lightSlots, MOST_ROWS } from '../../core/world/lights';
import { MOST_AROUND, MOST_FLAT, shadowSlots } from '../shadows/slots';
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
   * What shines through air from a place: `float light_beam(Light light, vec3 to)`, what share of its strength it gives to where it is
   * seen in that direction; and the cosine of half its cone, -1 for none.
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
}

/** The rows of the table of a piece; programs are the same where the key is. */
export function litOf(piece: Piece): { rows: LitRow[]; key: string } {
  const { slots } = shadowSlots(piece);
  const rows = lightSlots(piece).map(({ light }, row): LitRow => {
    const slot = slots[row];
    return {
      kind: light.kind,
      shadow: slot && { square: slot.square, number: slot.number, around: slot.sees === 'around' },
    };
  });
  return { rows, key: JSON.stringify(rows) };
}

const own = (kind: LightKind): string => PROGRAMS[kind].glsl.replaceAll('light_', `${kind}_`);

/** The functions of a panorama with its own map: textures cannot be chosen by a number. */
const ownPanorama = (number: number): string =>
  PROGRAMS.panorama.glsl
    .replaceAll('light_MAP', `uPanorama${number}`)
    .replaceAll('light_EVEN', `uEven${number}`)
    .replaceAll('light_', `panorama${number}_`);

/** The light at a place of the table. */
const at = (i: number): string => {
  const row = (k: number): string => `uLights[${i * LIGHT_ROWS + k}]`;
  return `Light(${row(0)}.rgb, ${row(0)}.a, ${row(1)}.xyz, ${row(1)}.w, ${row(2)}.xyz, ${row(2)}.w, ${row(3)}, ${row(4)}, ${row(5)}.xyz, ${row(5)}.w)`;
};

/** How much of a light is not kept off by what stands in its way. */
function seenOf(row: LitRow, i: number): string {
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
  return `${panoramas.length > 0 ? '\n#define PANORAMAS' : ''}
struct Light { vec3 colour; float strength; vec3 from; float size; vec3 place; float reach; vec4 a; vec4 b; vec3 side; float shade; };
uniform vec4 uLights[${Math.max(1, rows.length) * LIGHT_ROWS}];
uniform float uSurround;     // brightness of what is around
${LIGHTS.names
  .filter((name) => name !== 'panorama' && rows.some(({ kind }) => kind === name))
  .map(own)
  .join('\n')}
${panoramas.map((_, i) => `uniform sampler2D uPanorama${i};\nuniform vec3 uEven${i}[9];\n${ownPanorama(i)}`).join('\n')}
${shadows}vec3 lightOn(Surface s) {
  vec3 sum = vec3(0.0);
${on.join('')}  return sum;
}
// what is around, but for panoramas
vec3 lightFrom(vec3 d, float rough) {
  vec3 sum = vec3(0.0);
${fromOf((kind) => kind !== 'panorama')}  // what is rough sees a wide patch of the sky: its direction drawn towards upright
  vec3 sky = uSky.x > 0.0 ? skyColour(normalize(mix(d, vec3(0.0, 1.0, 0.0), 0.35 * rough))) : vec3(0.0);
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

/** Places along a line of sight at which the light of one lamp in the air is looked at. */
const PLACES = 12;

/**
 * What lamps do to air: `airLit(from, way, len, deep, jitter)`, the light that comes along a line of sight.
 * Needs all that lightsProgram gives, and air/lit.frag.glsl's own.
 * @param rows of the table, in its order
 */
export function airProgram(rows: readonly LitRow[]): string {
  const lamps = rows.map((row, i) => {
    const air = (PROGRAMS[row.kind] as LightProgram).air;
    if (!air) return '';
    return `  {
    Light light = ${at(i)};
    vec2 span = litSpan(from, way, len, light.place, -light.from, ${air.cosine}, light.reach);
    vec4 angles = litAngles(from, way, span, light.place, max(light.size, 0.01));
    // without a graphics card a loop that no pixel needs is left out, and both sides of a condition are worked out
    int places = span.y > span.x && uBeams[${i}] > 0.0 ? ${PLACES} : 0;
    float got = 0.0;
    for (int k = 0; k < places; k++) {
      float t = litAt(angles, (float(k) + ${row.shadow ? 'jitter' : 'patterned(light, jitter)'}) / ${PLACES}.0);
      vec3 place = from + way * t;
      vec3 to = light.place - place;
      float away = max(length(to), 1e-4);
      to /= away;
      Surface s = Surface(to, to, vec3(0.0), vec3(0.0), 1.0, place, 1.0);
      got += ${row.kind}_beam(light, to) * window(away, light.reach) * airBetween(from, place, deep * t, light.place, away)
        * litScatter(dot(to, way), uHaze.y)${seenOf(row, i)};
    }
    sum += light.colour * (light.strength * uBeams[${i}] * got * (angles.w - angles.z) / (angles.y * ${PLACES}.0));
  }
`;
  });
  return `
uniform float uBeams[${MOST_ROWS}];
// even steps will do but through a pattern
float patterned(Light light, float jitter) { return light.a.w > 0.5 ? jitter : 0.5; }
vec3 airLit(vec3 from, vec3 way, float len, float deep, float jitter) {
  vec3 sum = vec3(0.0);
${lamps.join('')}  return sum;
}
`;
}
