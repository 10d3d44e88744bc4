import * as THREE from 'three';
import type { VisiblePart } from '../frame/visible';
import type { Gpu, Uniforms } from '../gl/gpu';
import { fullscreenMaterial } from '../gl/quad';
import { ELEMENT_ROW } from '../layer/program';
import sortSource from './sort.glsl?raw';

/** How the elements of a drawing are sorted before a frame is drawn. */
export interface Sorting {
  readonly program: SortProgram;
  /** classes there are, from 1 */
  readonly classes: number;
  /** the stretch of elements that is drawn where a part of the layer says nothing else */
  readonly first: number;
  readonly count: number;
  /** Takes what is seen at a moment of each class: an element and the number of its repetition, one after another. */
  take(moment: number, found: readonly Int32Array[]): void;
}

/** A drawing whose elements are sorted, shown at a moment. */
export interface SortJob {
  sorting: Sorting;
  moment: number;
  at: readonly VisiblePart[];
  /** makes the drawing's uniforms those of the moment, in the middle of the open shutter */
  show(): void;
}

/** Elements next to each other in drawing order, of one repetition. */
interface Stretch {
  repetition: number;
  first: number;
  count: number;
  /** row of the target where it begins */
  row: number;
}

/** Rows of the target, and so elements that are sorted at a time: as high as every graphics card can draw. */
const MOST_ROWS = 2048;

/** The program that sorts the elements of one drawing. */
export class SortProgram {
  readonly material: THREE.RawShaderMaterial;
  private readonly places: THREE.DataTexture | null;

  /**
   * @param glsl `int classOf(ivec2 texel, int repetition)`, and what it needs
   * @param order element at each place of the drawing order; null when they come as they are numbered
   */
  constructor(
    glsl: string,
    uniforms: Uniforms,
    readonly order: Uint32Array | null,
  ) {
    const natural = order?.every((id, place) => id === place) !== false;
    this.places = natural ? null : orderTexture(order ?? new Uint32Array());
    if (natural) this.order = null;
    this.material = fullscreenMaterial(sortSource + glsl, {
      ...uniforms,
      uStretch: { value: [0, 0, 0] },
      uOrder: { value: this.places },
      uOrdered: { value: this.places !== null },
    });
  }

  dispose(): void {
    this.material.dispose();
    this.places?.dispose();
  }
}

function orderTexture(order: Uint32Array): THREE.DataTexture {
  const rows = Math.max(1, Math.ceil(order.length / ELEMENT_ROW));
  const data = new Float32Array(rows * ELEMENT_ROW);
  data.set(order);
  const texture = new THREE.DataTexture(data, ELEMENT_ROW, rows, THREE.RedFormat, THREE.FloatType);
  texture.needsUpdate = true;
  return texture;
}

/** The stretches of what may be seen, neighbours joined. */
export function stretchesOf(at: readonly VisiblePart[], first: number, count: number): Stretch[] {
  const out: Stretch[] = [];
  for (const { repetition, part } of at) {
    const own = Number.isFinite(part.count) ? { first: part.first, count: part.count } : { first, count };
    const last = out.at(-1);
    if (last?.repetition === repetition && last.first + last.count === own.first) last.count += own.count;
    else out.push({ repetition, ...own, row: 0 });
  }
  return out.filter((stretch) => stretch.count > 0);
}

/** Cuts stretches into pieces that fit the target. */
const fitting = (stretches: readonly Stretch[]): Stretch[] =>
  stretches.flatMap((stretch) => {
    const most = MOST_ROWS * ELEMENT_ROW;
    return Array.from({ length: Math.ceil(stretch.count / most) }, (_, i) => ({
      ...stretch,
      first: stretch.first + i * most,
      count: Math.min(most, stretch.count - i * most),
    }));
  });

interface Placed {
  job: number;
  stretch: Stretch;
}

/**
 * Sorts the elements of a frame, all drawings and moments together: the GPU works out the class of each, which is read back
 * once; what is not in sight is left out, and the rest is drawn class by class in as few calls. The classes hold for all passes.
 */
export class Sorter {
  private target: THREE.WebGLRenderTarget | null = null;
  private bytes = new Uint8Array();

  constructor(private readonly gpu: Gpu) {}

  sort(jobs: readonly SortJob[]): void {
    const found = jobs.map(({ sorting }) => Array.from({ length: sorting.classes }, () => [] as Int32Array[]));
    const all = jobs.flatMap(({ sorting, at }, job) =>
      fitting(stretchesOf(at, sorting.first, sorting.count)).map((stretch): Placed => ({ job, stretch })),
    );
    for (const batch of batches(all)) {
      this.draw(jobs, batch);
      for (const { job, stretch } of batch) this.gather(jobs[job].sorting, stretch, found[job]);
    }
    jobs.forEach(({ sorting, moment }, i) => sorting.take(moment, found[i].map(joined)));
  }

  private draw(jobs: readonly SortJob[], batch: readonly Placed[]): void {
    const { renderer, quad } = this.gpu;
    const { stretch: last } = batch[batch.length - 1];
    const rows = last.row + Math.ceil(last.count / ELEMENT_ROW);
    const target = this.room(rows);
    let shown = -1;
    for (const { job, stretch } of batch) {
      if (job !== shown) jobs[job].show();
      shown = job;
      const { material } = jobs[job].sorting.program;
      material.uniforms.uStretch.value = [stretch.first, stretch.row, stretch.repetition];
      target.viewport.set(0, stretch.row, Math.min(stretch.count, ELEMENT_ROW), Math.ceil(stretch.count / ELEMENT_ROW));
      quad.draw(renderer, material, target);
    }
    if (this.bytes.length < rows * ELEMENT_ROW * 4) this.bytes = new Uint8Array(target.height * ELEMENT_ROW * 4);
    const marks = batch.map(({ stretch }) => stretch.row * ELEMENT_ROW * 4 + 3);
    for (const at of marks) this.bytes[at] = 0;
    renderer.readRenderTargetPixels(target, 0, 0, ELEMENT_ROW, rows, this.bytes);
    // every class that was written is opaque: what is not is of a context that is not there
    if (marks.some((at) => this.bytes[at] === 0)) this.gpu.noteLoss();
  }

  private room(rows: number): THREE.WebGLRenderTarget {
    if (this.target && this.target.height >= rows) return this.target;
    this.target?.dispose();
    const height = 2 ** Math.ceil(Math.log2(Math.max(rows, 16)));
    this.target = new THREE.WebGLRenderTarget(ELEMENT_ROW, height, {
      minFilter: THREE.NearestFilter,
      magFilter: THREE.NearestFilter,
      depthBuffer: false,
    });
    return this.target;
  }

  /** Adds what is seen of a stretch to the lists of its drawing. */
  private gather(
    { program, classes }: Sorting,
    { repetition, first, count, row }: Stretch,
    lists: Int32Array[][],
  ): void {
    const { order } = program;
    const read = new Uint32Array(this.bytes.buffer, row * ELEMENT_ROW * 4, count);
    const counts = new Uint32Array(classes + 1);
    for (let i = 0; i < count; i++) counts[read[i] & 255]++;
    for (let k = 1; k <= classes; k++) {
      if (counts[k] === 0) continue;
      const list = new Int32Array(counts[k] * 2);
      let n = 0;
      for (let i = 0; i < count; i++) {
        if ((read[i] & 255) !== k) continue;
        list[n++] = order ? order[first + i] : first + i;
        list[n++] = repetition;
      }
      lists[k - 1].push(list);
    }
  }

  dispose(): void {
    this.target?.dispose();
  }
}

/** Gives every stretch its rows; as many together as the target has. */
function batches(all: readonly Placed[]): Placed[][] {
  const out: Placed[][] = [];
  let rows = Infinity;
  for (const placed of all) {
    const own = Math.ceil(placed.stretch.count / ELEMENT_ROW);
    if (rows + own > MOST_ROWS) {
      out.push([]);
      rows = 0;
    }
    placed.stretch.row = rows;
    rows += own;
    out[out.length - 1].push(placed);
  }
  return out;
}

/** Lists one after another. */
export function joined(lists: readonly Int32Array[]): Int32Array {
  if (lists.length === 1) return lists[0];
  const out = new Int32Array(lists.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const list of lists) {
    out.set(list, at);
    at += list.length;
  }
  return out;
}
