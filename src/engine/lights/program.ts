import { LIGHTS, MOST_LIGHTS, type LightKind } from '../../core/look/lights/kinds';
import { constants } from '../gl/quad';
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

/** The numbers of the kinds in the table. */
export const numberOf = (kind: LightKind): number => LIGHTS.names.indexOf(kind);

const own = (kind: LightKind): string => programOf(kind).glsl.replaceAll('light_', `${kind}_`);
const named = (kind: LightKind): string => `LIGHT_${kind.toUpperCase()}`;

const sumOf = (shines: LightProgram['shines'], args: string): string =>
  LIGHTS.names
    .filter((kind) => programOf(kind).shines === shines)
    .map((kind) => `    if (light.kind == ${named(kind)}) sum += ${kind}_${shines}(light, ${args});\n`)
    .join('');

/**
 * What lights do: `lightOn(surface)`, the light that a surface gives back, and `lightFrom(direction, roughness)`, how bright it
 * is around. Needs matter/brdf.glsl and drawings/dome/sky.glsl in front of it.
 */
export const lightsProgram = (): string => `
${constants('LIGHT', Object.fromEntries(LIGHTS.names.map((kind) => [kind, numberOf(kind)])))}
struct Light { vec3 colour; float strength; vec3 from; int kind; vec4 a; vec4 b; };
uniform vec4 uLights[${MOST_LIGHTS * LIGHT_ROWS}];
uniform ivec2 uLightCount;   // those that shine on surfaces; all
uniform float uSurround;     // brightness of what is around
Light lightAt(int i) {
  vec4 colour = uLights[i * ${LIGHT_ROWS}];
  vec4 from = uLights[i * ${LIGHT_ROWS} + 1];
  return Light(colour.rgb, colour.a, from.xyz, int(from.w), uLights[i * ${LIGHT_ROWS} + 2], uLights[i * ${LIGHT_ROWS} + 3]);
}
${LIGHTS.names.map(own).join('\n')}
vec3 lightOn(Surface s) {
  vec3 sum = vec3(0.0);
  for (int i = 0; i < uLightCount.x; i++) {
    Light light = lightAt(i);
${sumOf('on', 's')}  }
  return sum;
}
vec3 lightFrom(vec3 d, float rough) {
  vec3 sum = vec3(0.0);
  for (int i = uLightCount.x; i < uLightCount.y; i++) {
    Light light = lightAt(i);
${sumOf('from', 'd, rough')}  }
  // what is rough sees a wide patch of the sky: its direction drawn towards upright
  vec3 sky = uSky.x > 0.0 ? skyColour(normalize(mix(d, vec3(0.0, 1.0, 0.0), 0.35 * rough))) : vec3(0.0);
  return uSurround * sum + sky;
}
`;
