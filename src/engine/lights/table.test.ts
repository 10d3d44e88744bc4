import { describe, expect, it } from 'vitest';
import { hexToLinear } from '../../core/colour/colour';
import { LOOK, type Look } from '../../core/look/form';
import { LIGHTS, MOST_LIGHTS, newLight } from '../../core/look/lights/kinds';
import { LIGHT_ROWS, lightsProgram, programOf } from './program';
import { lightUniforms, setLights, tableOf } from './table';

const look = (more: object): Look => LOOK.schema.parse(more);
const rowsAt = (uniforms: ReturnType<typeof lightUniforms>, i: number): number[][] =>
  uniforms.uLights.value.slice(i * LIGHT_ROWS, (i + 1) * LIGHT_ROWS).map((row) => row.toArray());

describe('the table of lights', () => {
  it('holds those that are on: first what shines on surfaces, then what is around', () => {
    const uniforms = lightUniforms();
    const lights = [
      newLight('softBox', 'a', { strength: 1.5 }),
      newLight('sun', 'b', { strength: 3, aside: 0, above: 0, behind: -1 }),
      newLight('surroundings', 'c'),
      newLight('sun', 'd', { strength: 4 }),
      { ...newLight('sun', 'e', { strength: 5 }), off: true },
    ];
    setLights(uniforms, look({ lights }), 0);
    const strengths = [0, 1, 2, 3].map((i) => rowsAt(uniforms, i)[0][3]);
    expect(strengths).toEqual([3, 4, 1.5, 1]);
    expect(tableOf(look({ lights })).map(({ id }) => id)).toEqual(['b', 'd', 'a', 'c']);
    expect(rowsAt(uniforms, 0)[1].slice(0, 3)).toEqual([0, 0, -1]);
  });

  it('masters dim what they are masters of', () => {
    const uniforms = lightUniforms();
    const lights = [newLight('sun', 'a', { colour: '#808080', dimmer: 0.5 }), newLight('softBox', 'b')];
    setLights(uniforms, look({ lights, rig: 0.25, surround: 3 }), 0.4);
    const [grey] = hexToLinear('#808080');
    expect(rowsAt(uniforms, 0)[0][0]).toBeCloseTo(grey * 0.5 * 0.25, 14);
    // what is around is multiplied by its master in the shader
    expect(rowsAt(uniforms, 1)[0][0]).toBe(1);
    expect(uniforms.uSurround.value).toBe(0.75);
  });

  it('has room for as many as a look may have', () => {
    const uniforms = lightUniforms();
    const lights = Array.from({ length: MOST_LIGHTS }, (_, i) => newLight('sun', `s${i}`, { strength: i }));
    setLights(uniforms, look({ lights }), 0);
    expect(rowsAt(uniforms, MOST_LIGHTS - 1)[0][3]).toBe(MOST_LIGHTS - 1);
    expect(LOOK.schema.safeParse({ lights: [...lights, newLight('sun', 'more')] }).success).toBe(false);
  });
});

it('a program asks for every light of the table, in its order and in the sum that it belongs to', () => {
  const kinds = ['sun', 'sun', 'softBox', 'surroundings'] as const;
  const source = lightsProgram(kinds);
  const sums = {
    on: source.slice(source.indexOf('vec3 lightOn')),
    from: source.slice(source.indexOf('vec3 lightFrom')),
  };
  kinds.forEach((kind, i) => {
    const { shines } = programOf(kind);
    expect(sums[shines]).toContain(`sum += ${kind}_${shines}(Light(uLights[${i * LIGHT_ROWS}].rgb`);
  });
  expect(source.match(/sum \+= /g)).toHaveLength(4);
  for (const kind of LIGHTS.names) expect(source).toContain(`vec3 ${kind}_${programOf(kind).shines}(Light light`);
  expect(source).not.toContain('light_');
  expect(lightsProgram([]).match(/sum \+= /g)).toBeNull();
});
