import * as THREE from 'three';
import { CRISP_PX } from '../../frame/levels';
import hidingSource from '../../frame/hiding.glsl?raw';
import { LEVELS } from '../../frame/targets';
import { mistProgram } from '../../air/air';
import viewSource from '../../frame/view.glsl?raw';
import { fillAttribute } from '../../gl/fill';
import type { Gpu, Uniforms } from '../../gl/gpu';
import { ADDITIVE, rawMaterial } from '../../gl/quad';
import sidesSource from '../../seen/sides.glsl?raw';
import { type Seen, SortProgram, type Sorting } from '../../seen/sorter';
import type { LightTargets } from '../drawing';
import fragment from './segments.frag.glsl?raw';
import lineSource from './line.glsl?raw';
import sortSource from './sort.glsl?raw';
import vertex from './segments.vert.glsl?raw';

/** Texels in a row of what is kept of lines. */
const ROW = 1024;
const CONSTANTS = `const float CRISP_PX = ${CRISP_PX.toFixed(1)};\nconst int LEVELS = ${LEVELS.length};\n`;

/** What is seen of some lines at one moment: four corners each, one target after another. */
type SeenLines = THREE.InstancedBufferGeometry[];

const quads = (): THREE.InstancedBufferGeometry => {
  const geometry = new THREE.InstancedBufferGeometry();
  geometry.setIndex([0, 1, 2, 2, 1, 3]);
  return geometry;
};

/** Lines of light between elements: sorted by what is in sight and by the size of their blur, each drawn into one target. */
export class Lines implements Sorting {
  readonly program: SortProgram;
  readonly classes = LEVELS.length;
  readonly first = 0;
  count = 0;
  private readonly lines = { uLines: { value: null as THREE.DataTexture | null } };
  private readonly mesh: THREE.Mesh<THREE.InstancedBufferGeometry, THREE.RawShaderMaterial>;
  private readonly seen: SeenLines[] = [];
  private shown = 0;

  /**
   * @param uniforms of line.glsl and segments.vert.glsl
   * @param head put in front of the programs
   */
  constructor(
    private readonly gpu: Gpu,
    uniforms: Uniforms,
    head = '',
  ) {
    const all = { ...uniforms, ...this.lines };
    const line = head + viewSource + lineSource;
    const options = { ...ADDITIVE, side: THREE.DoubleSide };
    this.mesh = new THREE.Mesh(
      quads(),
      rawMaterial(line + mistProgram() + vertex, hidingSource + fragment, all, options),
    );
    this.program = new SortProgram(CONSTANTS + line + sidesSource + sortSource, all, null);
  }

  take(moment: number, { pairs, starts }: Seen): void {
    const geometries = (this.seen[moment] ??= LEVELS.map(quads));
    geometries.forEach((geometry, level) => {
      fillAttribute(geometry, 'aElement', pairs.subarray(2 * starts[level], 2 * starts[level + 1]), 2);
      geometry.instanceCount = starts[level + 1] - starts[level];
    });
  }

  /** Takes the lines there are. @param texels four numbers a texel, as line.glsl reads them */
  set(count: number, texels: Float32Array): void {
    this.count = count;
    const rows = Math.max(1, Math.ceil(texels.length / 4 / ROW));
    let texture = this.lines.uLines.value;
    if (texture?.image.height !== rows) {
      texture?.dispose();
      texture = new THREE.DataTexture(new Float32Array(rows * ROW * 4), ROW, rows, THREE.RGBAFormat, THREE.FloatType);
      this.lines.uLines.value = texture;
    }
    (texture.image.data as Float32Array).set(texels);
    texture.needsUpdate = true;
  }

  /** @param moment number of the one that is drawn next */
  show(moment: number): void {
    this.shown = moment;
  }

  draw({ level }: LightTargets): void {
    this.seen[this.shown].forEach((geometry, n) => {
      if (geometry.instanceCount === 0) return;
      this.mesh.geometry = geometry;
      this.gpu.stage.draw(this.gpu.renderer, this.mesh, level(n));
    });
  }

  dispose(): void {
    for (const geometry of this.seen.flat()) geometry.dispose();
    this.program.dispose();
    this.lines.uLines.value?.dispose();
    this.mesh.geometry.dispose();
    this.mesh.material.dispose();
  }
}
