import * as THREE from 'three';
import { sources as hashSources } from '../../../core/random/hash.gen';
import { mistProgram } from '../../air/air';
import viewSource from '../../frame/view.glsl?raw';
import type { Gpu, Uniforms } from '../../gl/gpu';
import { ADDITIVE, bareGeometry, rawMaterial } from '../../gl/quad';
import fragment from './stars.frag.glsl?raw';
import vertex from './stars.vert.glsl?raw';

/** Cells from the zenith to the horizon: a star, or none, in each. */
const CELLS = 90;

/** The stars of a sky, drawn as points where nothing hides them. */
export class Stars {
  private readonly points: THREE.Points<THREE.BufferGeometry, THREE.RawShaderMaterial>;

  constructor(
    private readonly gpu: Gpu,
    uniforms: Uniforms,
  ) {
    const program = `const int CELLS = ${CELLS};\n${viewSource}${mistProgram(hashSources)}${vertex}`;
    this.points = new THREE.Points(bareGeometry((2 * CELLS) ** 2), rawMaterial(program, fragment, uniforms, ADDITIVE));
  }

  draw(target: THREE.WebGLRenderTarget): void {
    this.gpu.stage.draw(this.gpu.renderer, this.points, target);
  }

  dispose(): void {
    this.points.geometry.dispose();
    this.points.material.dispose();
  }
}
