import { LIGHTS, MOST_LIGHTS, type LightKind } from '../../core/look/lights/kinds';
import { PROGRAMS } from './list';

/**
 * How one kind of light acts. `on` a surface from a direction, `vec3 light_on(Light light, Surface s)`: what the surface gives
 * back of it (matter/brdf.glsl); or `from` around, `vec3 light_from(Light light, vec3 d, float rough)`: how bright it is
 * in direction d for what sees it as roughly as that. All names of its own begin with `light_`.
 */
export interface LightProgram {
  shines: 'on' | 'from';
  glsl: string;
}

/** Vectors of four numbers that a light takes in the table. */
export const LIGHT_ROWS = 4;

/** The program of a kind. */
export const programOf = (kind: LightKind): LightProgram => PROGRAMS[kind];

const own = (kind: LightKind): string => programOf(kind).glsl.replaceAll('light_', `${kind}_`);

/** The light at a place of the table. */
const at = (i: number): string => {
  const row = (k: number): string => `uLights[${i * LIGHT_ROWS + k}]`;
  return `Light(${row(0)}.rgb, ${row(0)}.a, ${row(1)}.xyz, ${row(2)}, ${row(3)})`;
};

/**
 * What some lights do, one after another: `lightOn(surface)`, the light that a surface gives back, and
 * `lightFrom(direction, roughness)`, how bright it is around. Written out for the lights there are: a loop with a table that is
 * looked up by a changing number takes twice as long where there is no graphics card.
 * Needs matter/brdf.glsl and drawings/dome/sky.glsl in front of it.
 * @param kinds of the lights in the table, in its order
 */
export function lightsProgram(kinds: readonly LightKind[]): string {
  const sumOf = (shines: LightProgram['shines'], args: string): string =>
    kinds
      .map((kind, i) => (programOf(kind).shines === shines ? `  sum += ${kind}_${shines}(${at(i)}, ${args});\n` : ''))
      .join('');
  return `
struct Light { vec3 colour; float strength; vec3 from; vec4 a; vec4 b; };
uniform vec4 uLights[${MOST_LIGHTS * LIGHT_ROWS}];
uniform float uSurround;     // brightness of what is around
${LIGHTS.names.map(own).join('\n')}
vec3 lightOn(Surface s) {
  vec3 sum = vec3(0.0);
${sumOf('on', 's')}  return sum;
}
vec3 lightFrom(vec3 d, float rough) {
  vec3 sum = vec3(0.0);
${sumOf('from', 'd, rough')}  // what is rough sees a wide patch of the sky: its direction drawn towards upright
  vec3 sky = uSky.x > 0.0 ? skyColour(normalize(mix(d, vec3(0.0, 1.0, 0.0), 0.35 * rough))) : vec3(0.0);
  return uSurround * sum + sky;
}
`;
}
