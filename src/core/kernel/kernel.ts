/** So many numbers. */
export type Numbers<N extends number> = N extends 2
  ? readonly [number, number]
  : N extends 3
    ? readonly [number, number, number]
    : N extends 4
      ? readonly [number, number, number, number]
      : readonly number[];

/** Kernel parameters by name; vectors as arrays, tables (sampler2D) as four numbers an entry, or as what fills them. */
export type KernelValues = Readonly<Record<string, number | readonly number[] | Float64Array | FilledTable>>;

export interface KernelParameter {
  readonly name: string;
  readonly type: string;
  readonly direction: 'in' | 'out' | 'inout';
}

type Column = Float64Array | Uint32Array | Int32Array;
/** The arrays a kernel reads or writes, by parameter name. */
export type Columns = Readonly<Record<string, Column>>;

/**
 * A kernel in both its forms: GLSL for the GPU and a generated loop over typed arrays for the CPU. `Values` are the
 * parameters that are the same for every element: uniforms on the GPU.
 */
export interface Kernel<Values extends KernelValues = KernelValues> {
  entry: string;
  /** GLSL by file, in order */
  sources: Record<string, string>;
  signature: readonly KernelParameter[];
  /** parameters that are read from arrays; all it writes are arrays besides */
  columns: readonly string[];
  /** the generated loop: (first, end, inputs and inouts in the kernel's order, outs) */
  run: (...args: never[]) => void;
  /** never there: it ties a kernel to what it must be given */
  needs?: Values;
}

/**
 * A table that a kernel fills, one vec4 an entry: on the CPU when it is first read, on the GPU by the engine, in rows of 1024
 * entries.
 */
export class FilledTable {
  private filled: Float64Array | null = null;

  /**
   * @param kernel writes nothing but `entry`, a vec4
   * @param values all else it must be given
   * @param entries how many, at least 0; what reads more than there are asks elsewhere first
   */
  constructor(
    readonly kernel: Kernel,
    readonly values: KernelValues,
    readonly entries: number,
  ) {}

  /** Four numbers an entry. */
  get numbers(): Float64Array {
    if (!this.filled) {
      this.filled = new Float64Array(this.entries * 4);
      runKernel(this.kernel, 0, this.entries, this.values, { entry: this.filled });
    }
    return this.filled;
  }
}

/** The GLSL of several kernels, every file once. */
export const joinSources = (...lists: readonly Record<string, string>[]): string =>
  Object.values(Object.assign({}, ...lists) as Record<string, string>).join('\n');

/** Whether a parameter is the running index of the loop: an unsigned integer named `id`. */
export const isIndex = (p: KernelParameter): boolean => p.name === 'id';

/** The parameters that are the same for every element, in order: uniforms on the GPU. */
export const uniformParameters = (kernel: Kernel, columns: ReadonlySet<string>): KernelParameter[] =>
  kernel.signature.filter((p) => p.direction === 'in' && !isIndex(p) && !columns.has(p.name));

const NUMBERS: Record<string, number> = { vec2: 2, vec3: 3, vec4: 4, ivec2: 2, ivec3: 3, ivec4: 4, mat3: 9 };

/**
 * Runs a kernel on the CPU for elements first…end−1.
 * @param values parameters that are the same for all elements
 * @param columns arrays for the rest; a parameter found here is taken from it, never from `values`
 * @throws RangeError naming a parameter that is missing or of the wrong width
 */
export function runKernel<Values extends KernelValues>(
  kernel: Kernel<Values>,
  first: number,
  end: number,
  values: Values,
  columns: Columns,
): void {
  const args: unknown[] = [];
  const outs: Column[] = [];
  for (const p of kernel.signature) {
    if (isIndex(p)) continue;
    const column = columns[p.name] as Column | undefined;
    if (p.direction !== 'in' && !column) throw new RangeError(`kernel ${kernel.entry} needs an array for ${p.name}`);
    if (p.direction === 'out' && column) outs.push(column);
    else if (column) args.push(column);
    else {
      const value = values[p.name];
      if (p.type === 'sampler2D') {
        const table = value instanceof FilledTable ? value.numbers : value;
        if (!(table instanceof Float64Array))
          throw new RangeError(`kernel ${kernel.entry} needs a table for ${p.name}`);
        args.push(table);
        continue;
      }
      const list = typeof value === 'number' ? [value] : (value as readonly number[] | undefined);
      if (list?.length !== (NUMBERS[p.type] ?? 1))
        throw new RangeError(`kernel ${kernel.entry}: parameter ${p.name} needs ${NUMBERS[p.type] ?? 1} number(s)`);
      args.push(...list);
    }
  }
  const run = kernel.run as (...all: unknown[]) => void;
  run(first, end, ...args, ...outs);
}
