import { describe, expect, it } from 'vitest';
import { pieceOf } from '../../../tests/pieces';
import { hexToLinear } from '../../core/colour/colour';
import { LIGHTS, lightOf, newLight, type Light } from '../../core/look/lights/kinds';
import type { Piece } from '../../core/piece/schema';
import { MOST_ROWS } from '../../core/world/lights';
import { LIGHT_ROWS, lightsProgram, litOf } from './program';
import { lightUniforms, setLights } from './table';

const piece = (lights: Light[], look: object = {}, route: object = { kind: 'keys' }): Piece =>
  pieceOf({ kind: 'copies' }, { look: { lights, ...look }, flight: { route } });
const rowsAt = (uniforms: ReturnType<typeof lightUniforms>, i: number): number[][] =>
  uniforms.uLights.value.slice(i * LIGHT_ROWS, (i + 1) * LIGHT_ROWS).map((row) => row.toArray());

describe('the table of lights', () => {
  it('holds those that are on, in their order', () => {
    const uniforms = lightUniforms();
    const lights = [
      newLight('farBox', 'a', { strength: 1.5 }),
      newLight('sun', 'b', { strength: 3, aside: 0, above: 0, behind: -1 }),
      { ...newLight('sun', 'c', { strength: 5 }), off: true },
      newLight('point', 'd', { strength: 2, aside: 1, above: 2, ahead: 3, reach: 7, radius: 0.25 }),
    ];
    setLights(uniforms, piece(lights), 0, 0);
    expect([0, 1, 2].map((i) => rowsAt(uniforms, i)[0][3])).toEqual([1.5, 3 * Math.PI, 2 * Math.PI]);
    expect(rowsAt(uniforms, 1)[1].slice(0, 3)).toEqual([0, 0, -1]);
    expect(rowsAt(uniforms, 2).slice(1, 3)).toEqual([
      [0, 1, 0, 0.25],
      [1, 2, -3, 7],
    ]);
  });

  it('masters dim what they are masters of', () => {
    const uniforms = lightUniforms();
    const lights = [newLight('sun', 'a', { colour: '#808080', dimmer: 0.5 }), newLight('farBox', 'b')];
    setLights(uniforms, piece(lights, { rig: 0.25, surround: 3 }), 0.4, 40);
    const [grey] = hexToLinear('#808080');
    expect(rowsAt(uniforms, 0)[0][0]).toBeCloseTo(grey * 0.5 * 0.25, 14);
    // what is around is multiplied by its master in the shader
    expect(rowsAt(uniforms, 1)[0][0]).toBe(1);
    expect(uniforms.uSurround.value).toBe(0.75);
  });

  it('has room for as many as a look may have, in every tile', () => {
    const lights = Array.from({ length: 16 }, (_, i) => newLight('point', `s${i}`, { strength: i }));
    const { rows } = litOf(piece(lights, {}, { kind: 'run' }));
    expect(rows.length).toBeLessThanOrEqual(MOST_ROWS);
    setLights(lightUniforms(), piece(lights, {}, { kind: 'run' }), 0, 0);
  });
});

describe('a program of lights', () => {
  it('asks for every light of the table, in its order and in the sum that it belongs to', () => {
    const kinds = ['sun', 'sun', 'farBox', 'surroundings', 'spot'] as const;
    const { rows } = litOf(piece(kinds.map((kind, i) => newLight(kind, `l${i}`, { shadow: false }))));
    const source = lightsProgram(rows);
    const [head, on, from] = source.split(/vec3 light(?:On|From)\(/);
    kinds.forEach((kind, i) => {
      const sum = lightOf(kind).around ? from : on;
      expect(sum).toContain(
        `sum += ${kind}_${lightOf(kind).around ? 'from' : 'on'}(Light(uLights[${i * LIGHT_ROWS}].rgb`,
      );
    });
    expect(source.match(/sum \+= /g)).toHaveLength(5);
    // of kinds there are none of nothing is said
    for (const kind of LIGHTS.names)
      expect([kind, head.includes(`${kind}_`)]).toEqual([kind, (kinds as readonly string[]).includes(kind)]);
    expect(source).not.toContain('light_');
    expect(source).not.toContain('Shadow');
    expect(lightsProgram([]).match(/sum \+= /g)).toBeNull();
  });

  it('looks shadows up for those that cast them, each in a place of its own', () => {
    const lights = [
      newLight('point', 'a', { shadow: true }),
      newLight('sun', 'b', { shadow: true }),
      newLight('spot', 'c', { shadow: false }),
      newLight('softBox', 'd', { shadow: true }),
    ];
    const { rows, key } = litOf(piece(lights));
    expect(rows.map(({ shadow }) => shadow)).toEqual([
      { square: 0, number: 0, around: true },
      { square: 6, number: 0, around: false },
      null,
      { square: 7, number: 1, around: false },
    ]);
    expect(lightsProgram(rows).match(/\* mix\(1\.0, shadow/g)).toHaveLength(3);
    expect(key).not.toBe(litOf(piece(lights.map((light) => ({ ...light, shadow: false }) as Light))).key);
  });
});
