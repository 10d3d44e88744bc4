import * as THREE from 'three';
import { FilledTable, type Kernel } from '../../core/kernel/kernel';
import type { Step } from '../../core/world/pipeline';
import type { Uniforms } from '../gl/gpu';
import { stepUniforms } from './program';

/** Makes the texture of a table that a kernel fills; for one kernel. */
export interface TableMaker {
  of(table: FilledTable): THREE.Texture | null;
  dispose(): void;
}

const noTables = (kernel: Kernel): never => {
  throw new RangeError(`nothing here fills tables by ${kernel.entry}`);
};

/** The uniforms of some steps, known by name once: every frame, moment and pass only sets their values. */
export class Feed {
  readonly uniforms: Uniforms;
  private readonly known: ReturnType<typeof stepUniforms>[];
  /** by the name of the uniform */
  private readonly tables = new Map<string, TableMaker>();

  /** @param tableMaker of what fills the tables of a kernel, where steps may have such */
  constructor(
    steps: readonly Step[],
    private readonly tableMaker: (kernel: Kernel) => TableMaker = noTables,
  ) {
    this.known = steps.map(stepUniforms);
    this.uniforms = Object.fromEntries(
      this.known.flatMap(({ own, reach }) => [...own, ...reach].map(({ name }) => [name, { value: 0 as unknown }])),
    );
  }

  /**
   * Sets them to what they are at a phase.
   * @param steps of the same kernels as those it was made for
   * @param echoOf ids of the trails this moment is an earlier one of
   */
  at(steps: readonly Step[], phase: number, echoOf: readonly string[] = []): void {
    steps.forEach((step, i) => {
      const { own, reach } = this.known[i];
      const values = step.values(phase, echoOf);
      for (const { name, parameter } of own) this.give(name, values[parameter.name]);
      const reachValues = step.reach?.(phase);
      if (reachValues) for (const { name, parameter } of reach) this.give(name, reachValues[parameter.name]);
    });
  }

  /** All that the uniforms hold, and how often their tables were filled: what is the same twice gives the same. */
  state(): unknown[] {
    return Object.values(this.uniforms).flatMap(({ value }: { value: unknown }) =>
      value instanceof THREE.Texture ? [value, value.userData.filled] : value,
    );
  }

  private give(name: string, value: Given): void {
    const uniform = this.uniforms[name];
    if (value instanceof FilledTable) {
      const maker = this.tables.get(name) ?? this.tableMaker(value.kernel);
      this.tables.set(name, maker);
      uniform.value = maker.of(value);
    } else if (value instanceof Float64Array) giveTable(uniform, value);
    else uniform.value = value;
  }

  /** Gives back the textures that stand for tables. */
  dispose(): void {
    for (const { value } of Object.values(this.uniforms)) if (value instanceof THREE.DataTexture) value.dispose();
    for (const maker of this.tables.values()) maker.dispose();
  }
}

type Given = ReturnType<Step['values']>[string];

/** Entries in a row of a table, as kernels read long ones. */
const ROW = 1024;

/** A table becomes a texture, of one row where it fits, made anew only when it is another one. */
function giveTable(uniform: THREE.IUniform, value: Float64Array): void {
  const former: unknown = uniform.value;
  if (former instanceof THREE.DataTexture) {
    if (former.userData.table === value) return;
    former.dispose();
  }
  const entries = value.length / 4;
  const [width, rows] = [Math.min(entries, ROW), Math.ceil(entries / ROW)];
  const data = new Float32Array(width * rows * 4);
  data.set(value);
  const texture = new THREE.DataTexture(data, width, rows, THREE.RGBAFormat, THREE.FloatType);
  texture.userData.table = value;
  texture.needsUpdate = true;
  uniform.value = texture;
}
