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
  /** where some elements are kept now, if not at their own numbers */
  placesOf?(stretch: { first: number; count: number }): { first: number; count: number };
  /** Takes what is seen at a moment. */
  take(moment: number, seen: Seen): void;
}

/** What is seen of a drawing: class after class an element and the number of its repetition. Valid until the next is sorted. */
export interface Seen {
  pairs: Int32Array;
  /** pair at which each class begins, and after them the number of all */
  starts: readonly number[];
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

/** Ranks within a class. */
const RANKS = 256;
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
  private found = new Uint16Array();
  private pairs = new Int32Array();

  constructor(private readonly gpu: Gpu) {}

  sort(jobs: readonly SortJob[]): void {
    const all = jobs.flatMap(({ sorting, at }, job) =>
      fitting(
        stretchesOf(at, sorting.first, sorting.count).map((stretch) => ({
          ...stretch,
          ...sorting.placesOf?.(stretch),
        })),
      ).map((stretch): Placed => ({ job, stretch })),
    );
    const total = all.reduce((sum, { stretch }) => sum + stretch.count, 0);
    if (this.found.length < total) this.found = new Uint16Array(Math.ceil(total * 1.4));
    let done = 0;
    for (const batch of batches(all)) {
      this.draw(jobs, batch);
      for (const { stretch } of batch) {
        const read = new Uint32Array(this.bytes.buffer, stretch.row * ELEMENT_ROW * 4, stretch.count);
        for (let i = 0; i < read.length; i++) this.found[done++] = read[i];
      }
    }
    done = 0;
    jobs.forEach(({ sorting, moment }, job) => {
      const stretches = all.filter((placed) => placed.job === job).map(({ stretch }) => stretch);
      const count = stretches.reduce((sum, stretch) => sum + stretch.count, 0);
      if (this.pairs.length < count * 2) this.pairs = new Int32Array(Math.ceil(count * 2.8));
      const starts = gathered(this.found.subarray(done, done + count), stretches, sorting, this.pairs);
      sorting.take(moment, { pairs: this.pairs, starts });
      done += count;
    });
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

/**
 * Puts what is seen of some stretches into order: class by class, in each by rank, otherwise as it comes.
 * @param found class and 256 times the rank of all their elements, one stretch after another; class 0 is not in sight
 * @param pairs filled with an element and the number of its repetition
 * @returns pair at which each class begins, and after them the number of all
 */
export function gathered(
  found: Uint16Array,
  stretches: readonly Pick<Stretch, 'repetition' | 'first' | 'count'>[],
  sorting: { program: Pick<SortProgram, 'order'>; classes: number },
  pairs: Int32Array,
): number[] {
  const { order } = sorting.program;
  // a place for every rank of every class
  const next = new Int32Array((sorting.classes + 1) * RANKS);
  const keyOf = (word: number): number => ((word & 255) - 1) * RANKS + (word >> 8);
  for (let i = 0; i < found.length; i++) if ((found[i] & 255) > 0) next[keyOf(found[i])]++;
  let sum = 0;
  for (let key = 0; key < next.length; key++) {
    const many = next[key];
    next[key] = sum;
    sum += many;
  }
  const starts = Array.from({ length: sorting.classes + 1 }, (_, k) => next[k * RANKS]);
  let at = 0;
  for (const { repetition, first, count } of stretches)
    for (let i = 0; i < count; i++) {
      const word = found[at++];
      if ((word & 255) === 0) continue;
      const to = 2 * next[keyOf(word)]++;
      pairs[to] = order ? order[first + i] : first + i;
      pairs[to + 1] = repetition;
    }
  return starts;
}
