import * as THREE from 'three';
import { sources } from '../../../core/colour/lookup.gen';
import { TABLES, type ColourTable } from '../../../core/colour/table';
import type { Table } from '../../../core/look/effects/table/table';
import type { EffectProgram } from '../program';
import glsl from './table.glsl?raw';

/** Entries in a row of the texture. */
const ROW = 4096;

/** The entries of a table as the program reads them. */
function textureOf({ values }: ColourTable): THREE.DataTexture {
  const count = values.length / 3;
  const rows = Math.ceil(count / ROW);
  const data = new Float32Array(ROW * rows * 4);
  for (let i = 0; i < count; i++) data.set(values.subarray(3 * i, 3 * i + 3), 4 * i);
  const texture = new THREE.DataTexture(data, ROW, rows, THREE.RGBAFormat, THREE.FloatType);
  texture.minFilter = texture.magFilter = THREE.NearestFilter;
  texture.needsUpdate = true;
  return texture;
}

export const table: EffectProgram<Table> = {
  needs: [],
  sources,
  glsl,
  make() {
    const uniforms = {
      effect_table: { value: null as THREE.DataTexture | null },
      effect_side: { value: 0 },
      effect_colours: { value: false },
      effect_low: { value: new THREE.Vector3() },
      effect_scale: { value: new THREE.Vector3() },
    };
    let shown: ColourTable | null = null;
    return {
      uniforms,
      prepare({ file }) {
        const next = TABLES.at(file);
        if (next === shown) return;
        shown = next;
        uniforms.effect_table.value?.dispose();
        uniforms.effect_table.value = next && textureOf(next);
        uniforms.effect_side.value = next?.side ?? 0;
        if (!next) return;
        uniforms.effect_colours.value = next.of === 'colours';
        uniforms.effect_low.value.set(...next.low);
        uniforms.effect_scale.value.set(...next.high).sub(uniforms.effect_low.value);
        const { x, y, z } = uniforms.effect_scale.value;
        uniforms.effect_scale.value.set(1 / x, 1 / y, 1 / z).multiplyScalar(next.side - 1);
      },
      dispose: () => uniforms.effect_table.value?.dispose(),
    };
  },
};
