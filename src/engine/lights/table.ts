import * as THREE from 'three';
import { lightOf, MOST_LIGHTS, type Light } from '../../core/look/lights/kinds';
import type { Look } from '../../core/look/form';
import { evaluateAnimated } from '../../core/time/animated';
import { LIGHT_ROWS, programOf } from './program';

/** The table of the lights, as every shader knows it that shades matter. */
export const lightUniforms = () => ({
  uLights: { value: Array.from({ length: MOST_LIGHTS * LIGHT_ROWS }, () => new THREE.Vector4()) },
  uSurround: { value: 1 },
});

const shining = (look: Look, shines: 'on' | 'from'): Light[] =>
  look.lights.filter(({ kind, off }) => !off && programOf(kind).shines === shines);

/** The lights that are on, as they stand in the table: first those that shine on surfaces, then those that are around. */
export const tableOf = (look: Look): Light[] => [...shining(look, 'on'), ...shining(look, 'from')];

/** Writes the lights that are on into the table. */
export function setLights({ uLights, uSurround }: ReturnType<typeof lightUniforms>, look: Look, phase: number): void {
  const master = evaluateAnimated(look.rig, phase);
  tableOf(look).forEach((light, i) => {
    const { colour, strength, from: direction, own = [] } = lightOf(light.kind).at(light, phase);
    // what is around has a master of its own, which the shader multiplies by
    const [red, green, blue] = programOf(light.kind).shines === 'on' ? colour.map((v) => v * master) : colour;
    const rows = uLights.value.slice(i * LIGHT_ROWS, (i + 1) * LIGHT_ROWS);
    rows[0].set(red, green, blue, strength);
    rows[1].set(...direction, 0);
    rows[2].set(own[0] ?? 0, own[1] ?? 0, own[2] ?? 0, own[3] ?? 0);
    rows[3].set(own[4] ?? 0, own[5] ?? 0, own[6] ?? 0, own[7] ?? 0);
  });
  uSurround.value = look.surround * master;
}
