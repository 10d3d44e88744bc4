import * as THREE from 'three';
import { lightOf, MOST_LIGHTS, type Light } from '../../core/look/lights/kinds';
import type { Look } from '../../core/look/form';
import { evaluateAnimated } from '../../core/time/animated';
import { LIGHT_ROWS, numberOf, programOf } from './program';

/** The table of the lights, as every shader knows it that shades matter. */
export const lightUniforms = () => ({
  uLights: { value: Array.from({ length: MOST_LIGHTS * LIGHT_ROWS }, () => new THREE.Vector4()) },
  uLightCount: { value: new THREE.Vector2() },
  uSurround: { value: 1 },
});

/** Writes the lights that are on into the table: first those that shine on surfaces, then those that are around. */
export function setLights(
  { uLights, uLightCount, uSurround }: ReturnType<typeof lightUniforms>,
  look: Look,
  phase: number,
): void {
  const master = evaluateAnimated(look.rig, phase);
  const lit = look.lights.filter(({ off }) => !off);
  const shining = (shines: 'on' | 'from'): Light[] => lit.filter(({ kind }) => programOf(kind).shines === shines);
  const [on, from] = [shining('on'), shining('from')];
  [...on, ...from].forEach((light, i) => {
    const { colour, strength, from: direction, own = [] } = lightOf(light.kind).at(light, phase);
    // what is around has a master of its own, which the shader multiplies by
    const [red, green, blue] = i < on.length ? colour.map((v) => v * master) : colour;
    const rows = uLights.value.slice(i * LIGHT_ROWS, (i + 1) * LIGHT_ROWS);
    rows[0].set(red, green, blue, strength);
    rows[1].set(...direction, numberOf(light.kind));
    rows[2].set(own[0] ?? 0, own[1] ?? 0, own[2] ?? 0, own[3] ?? 0);
    rows[3].set(own[4] ?? 0, own[5] ?? 0, own[6] ?? 0, own[7] ?? 0);
  });
  uLightCount.value.set(on.length, on.length + from.length);
  uSurround.value = look.surround * master;
}
