import * as THREE from 'three';
import type { Piece } from '../../core/piece/schema';
import { VEIL } from '../air/air';
import type { Gpu, Uniforms } from '../gl/gpu';
import { ADDITIVE, bareGeometry, fullscreenMaterial, rawMaterial } from '../gl/quad';
import type { LitRow } from '../lights/program';
import { LitProgram, shadingSource, skySources } from '../matter/program';
import directionSource from '../matter/direction.glsl?raw';
import lightingFragment from './lighting.frag.glsl?raw';
import { TILE, type Targets } from './targets';
import tilesFragment from './tiles.frag.glsl?raw';
import tilesVertex from './tiles.vert.glsl?raw';
import type { View } from './view';
import roundSource from '../fisheye/round.glsl?raw';
import viewSource from './view.glsl?raw';

/** What a pixel may need: what is behind everything, which may be a sky; plain matter lit; matter whose light is known. */
const MARKS = { behind: 0, sky: 1, plain: 2, shone: 3 };
type Mark = keyof typeof MARKS;

const TILES = `#define TILE ${TILE}\n`;

/** Lights the matter that a pass sees, once a pixel, over the tiles in which there is something for each program. */
export class Lighting {
  private readonly marks = { uTileMarks: { value: null as THREE.Texture | null } };
  private readonly mesh = new THREE.Mesh(bareGeometry(0));
  private readonly tiles: THREE.RawShaderMaterial;
  private readonly programs: Partial<Record<Mark, LitProgram>>;
  private readonly plain: LitProgram;

  /**
   * @param background what is behind everything
   * @param mirror whether it lights what a mirror shows, which has nothing behind it and air since the mirror alone
   */
  constructor(
    private readonly gpu: Gpu,
    private readonly view: View,
    background: Uniforms,
    mirror: boolean,
  ) {
    const uniforms = { ...view, ...background, ...this.marks };
    this.tiles = fullscreenMaterial(TILES + tilesFragment, uniforms);
    const program = (mark: Mark): LitProgram => {
      const head = `${TILES}#define MARK ${MARKS[mark]}\n${mirror ? '#define MIRROR\n' : ''}`;
      const source = (lights: readonly LitRow[], coated: boolean): string =>
        head +
        (coated ? '#define COATED\n' : '') +
        viewSource +
        roundSource +
        VEIL +
        (mark === 'plain' ? shadingSource(lights) : skySources) +
        directionSource +
        lightingFragment;
      return new LitProgram(rawMaterial(head + tilesVertex, source([], false), uniforms, ADDITIVE), source);
    };
    this.plain = program('plain');
    const beyond = mirror ? {} : { behind: program('behind'), sky: program('sky') };
    this.programs = { ...beyond, plain: this.plain, shone: program('shone') };
  }

  /** Takes the lights of a piece. */
  light(piece: Piece): void {
    this.plain.light(piece);
  }

  /** Adds what is lit of the matter of a pass to a target. */
  draw({ matter, tileMarks }: Pick<Targets, 'matter' | 'tileMarks'>, to: THREE.WebGLRenderTarget): void {
    const { view, mesh, gpu } = this;
    [view.uMatter.value, view.uMatterColour.value, view.uMatterManner.value] = matter.textures;
    gpu.quad.draw(gpu.renderer, this.tiles, tileMarks);
    this.marks.uTileMarks.value = tileMarks.texture;
    mesh.geometry.setDrawRange(0, tileMarks.width * tileMarks.height * 6);
    for (const mark of [view.uSky.value.x > 0 ? 'sky' : 'behind', 'plain', 'shone'] as const) {
      const program = this.programs[mark];
      if (!program) continue;
      mesh.material = program.material;
      gpu.stage.draw(gpu.renderer, mesh, to);
    }
    this.marks.uTileMarks.value = null;
  }

  dispose(): void {
    for (const { material } of Object.values(this.programs)) material.dispose();
    this.tiles.dispose();
  }
}
