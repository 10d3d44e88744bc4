import { MOST_ROWS } from '../../core/world/lights';
import { PROGRAMS } from './list';
import { at, seenOf, type LightProgram, type LitRow } from './program';

/** A single pass has no others to look at what is between. */
const MOST_PLACES = 12;

/**
 * Places along a line of sight at which one pass looks at the light of a lamp in the air: a single pass at so many that they will do, of
 * several each at others, all of them evenly apart.
 * @param passes of a frame
 */
export const placesOf = (passes: number): number => (passes === 1 ? MOST_PLACES : passes <= 4 ? 6 : 4);

/** Code for every row that shines through air, one after another. */
const each = (rows: readonly LitRow[], write: (row: LitRow, i: number, cosine: string) => string): string =>
  rows
    .map((row, i) => {
      const { air } = PROGRAMS[row.kind] as LightProgram;
      return air ? write(row, i, air.cosine) : '';
    })
    .join('');

/** How much of a lamp comes to a place in the air that is `away` metres from it in direction `to`, beside the inverse square. */
const comes = (row: LitRow, i: number): string => `${row.kind}_beam(light, to)${seenOf(row, i)}`;

const PLACED = `vec3 to = light.place - place;
      float away = max(length(to), 1e-4);
      to /= away;
      Surface s = Surface(to, to, vec3(0.0), vec3(0.0), 1.0, place, 1.0);`;

/**
 * What lamps do to air: `airLit(from, way, len, deep, jitter)`, the light that comes along a line of sight.
 * Needs matter/program.ts's shading under the same rows, core/air/lit.glsl and air/between.glsl.
 * @param rows of the table, in its order
 */
export const airProgram = (rows: readonly LitRow[]): string => `
uniform float uBeams[${MOST_ROWS}];
uniform int uPlaces;
// the middles of even steps will do for one pass, but through a pattern
float patterned(Light light, float jitter) { return uPlaces < ${MOST_PLACES} || light.a.w > 0.5 ? jitter : 0.5; }
vec3 airLit(vec3 from, vec3 way, float len, float deep, float jitter) {
  vec3 sum = vec3(0.0);
${each(
  rows,
  (row, i, cosine) => `  {
    Light light = ${at(i)};
    vec2 span = litSpan(from, way, len, light.place, -light.from, ${cosine}, light.reach);
    vec4 angles = litAngles(from, way, span, light.place, max(light.size, 0.01));
    // without a graphics card a loop that no pixel needs is left out, and both sides of a condition are worked out
    int places = span.y > span.x && uBeams[${i}] > 0.0 ? uPlaces : 0;
    vec3 got = vec3(0.0);
    for (int k = 0; k < places; k++) {
      vec2 at = litAt(angles, (float(k) + ${row.shadow ? 'jitter' : 'patterned(light, jitter)'}) / float(uPlaces));
      vec3 place = from + way * at.x;
      ${PLACED}
      got += at.y * window(away, light.reach) * airBetween(from, place, deep * at.x, light.place, away) * litScatter(dot(to, way), uHaze.y)
        * ${comes(row, i)};
    }
    sum += light.colour * (light.strength * uBeams[${i}] * got * (angles.w - angles.z) / (angles.y * float(uPlaces)));
  }
`,
)}  return sum;
}
`;

/**
 * What lamps do to what floats in the air: `lampsAt(place, way)`, what a mote there gives on in direction -way, beside what matt white that faces
 * a lamp would. Needs the same.
 */
export const lampsProgram = (rows: readonly LitRow[]): string => `
uniform vec2 uHaze;
vec3 lampsAt(vec3 place, vec3 way) {
  vec3 sum = vec3(0.0);
${each(
  rows,
  (row, i) => `  {
      Light light = ${at(i)};
      ${PLACED}
      sum += light.colour * (light.strength * 4.0 * litScatter(dot(to, way), uHaze.y) * fallOff(away, light.size, light.reach)
        * ${comes(row, i)});
  }
`,
)}  return sum;
}
`;
