import * as THREE from 'three';
import { colourAt } from '../../../core/colour/animated';
import { GHOSTS, type Flare } from '../../../core/look/effects/flare/flare';
import { sources } from '../../../core/look/effects/flare/flare.gen';
import { evaluateAnimated } from '../../../core/time/animated';
import { joinSources } from '../../../core/kernel/kernel';
import { ADDITIVE, bareGeometry, fullscreenMaterial, rawMaterial } from '../../gl/quad';
import { Sized } from '../../gl/sized';
import { emptyLight, floatTarget } from '../../gl/target';
import type { Gpu } from '../../gl/gpu';
import type { EffectProgram } from '../program';
import glsl from '../spread/added.glsl?raw';
import { BrightPicture, Taker } from '../spread/bright';
import { HALVING } from '../spread/reference';
import aroundFragment from './around.frag.glsl?raw';
import cellsFragment from './cells.frag.glsl?raw';
import chosenFragment from './chosen.frag.glsl?raw';
import flareFragment from './flare.frag.glsl?raw';
import flareVertex from './flare.vert.glsl?raw';

/** Cells of the grid along the picture's shorter side. */
const CELLS = 9;
/** Shine, ring and streak. */
const PARTS = 3;

/** The targets for pictures of one size. */
class Room extends BrightPicture {
  readonly half = this.target(0.5);
  readonly sum = this.target();
  /** side of a cell, in pixels of the half */
  readonly cell = Math.min(this.half.width, this.half.height) / CELLS;
  readonly columns = Math.ceil(this.half.width / this.cell - 1e-6);
  readonly rows = Math.ceil(this.half.height / this.cell - 1e-6);
  readonly grids = Array.from({ length: 4 }, () => floatTarget(this.columns, this.rows));

  override dispose(): void {
    super.dispose();
    for (const target of [this.half, this.sum, ...this.grids]) target.dispose();
  }
}

/** Finds the brightest lights of pictures and draws flares of them, without anything being read back. */
class Flares {
  private readonly taker: Taker;
  private readonly rooms = new Sized((width, height) => new Room(width, height));
  private readonly cells: THREE.RawShaderMaterial;
  private readonly around = fullscreenMaterial(aroundFragment, { uCells: { value: null } });
  private readonly chosen: THREE.RawShaderMaterial;
  private readonly uniforms = {
    uFlares: { value: null as THREE.Texture | null },
    uColours: { value: null as THREE.Texture | null },
    uPicture: { value: new THREE.Vector2() },
    uParts: { value: Array.from({ length: PARTS }, () => new THREE.Vector2()) },
    uTurn: { value: new THREE.Vector2(1, 0) },
    uGhosts: { value: 0 },
    uGhost: { value: 0 },
    uGhostAt: { value: GHOSTS.map(({ at, size }) => new THREE.Vector2(at, size)) },
    uGhostTint: { value: GHOSTS.map(({ tint }) => new THREE.Vector3(...tint)) },
    uTint: { value: new THREE.Vector3() },
  };
  private readonly mesh = new THREE.Mesh(
    bareGeometry(0),
    rawMaterial(flareVertex, flareFragment, this.uniforms, ADDITIVE),
  );

  constructor(private readonly gpu: Gpu) {
    this.taker = new Taker(gpu);
    const laws = joinSources(sources);
    this.cells = fullscreenMaterial(`${laws}\n${cellsFragment}`, {
      ...{ uSource: { value: null }, uCell: { value: 1 }, uWhat: { value: 0 } },
    });
    this.chosen = fullscreenMaterial(`${laws}\n${chosenFragment}`, {
      ...{ uLights: { value: null }, uBrightest: { value: 1 } },
    });
  }

  /** The flares of a picture, at the reference size. */
  draw(picture: THREE.WebGLRenderTarget, effect: Flare, phase: number): THREE.Texture {
    const { renderer, quad, stage } = this.gpu;
    const room = this.rooms.at(picture);
    const [colours, moments, lights, flares] = room.grids;
    this.taker.take(picture, { threshold: effect.threshold, soft: effect.soft, light: [1, 1, 1] }, room);
    this.taker.halver.draw(room.bright, room.half, HALVING);
    const u = this.cells.uniforms;
    u.uSource.value = room.half.texture;
    u.uCell.value = room.cell;
    for (const [what, target] of [colours, moments].entries()) {
      u.uWhat.value = what;
      quad.draw(renderer, this.cells, target);
    }
    this.around.uniforms.uCells.value = moments.texture;
    quad.draw(renderer, this.around, lights);
    this.chosen.uniforms.uLights.value = lights.texture;
    this.chosen.uniforms.uBrightest.value = effect.brightest;
    quad.draw(renderer, this.chosen, flares);
    this.setShapes(effect, phase, room);
    this.uniforms.uFlares.value = flares.texture;
    this.uniforms.uColours.value = colours.texture;
    this.mesh.geometry.setDrawRange(0, room.columns * room.rows * (PARTS + effect.ghosts) * 6);
    emptyLight(renderer, room.sum);
    stage.draw(renderer, this.mesh, room.sum);
    return room.sum.texture;
  }

  private setShapes(effect: Flare, phase: number, { sum }: Room): void {
    const { uPicture, uParts, uTurn, uGhosts, uGhost, uTint } = this.uniforms;
    const turn = 2 * Math.PI * evaluateAnimated(effect.turn, phase);
    uPicture.value.set(sum.width, sum.height);
    uParts.value[0].set(effect.shine, effect.shineSize);
    // a ring is a little within its square
    uParts.value[1].set(effect.ring, effect.ringSize / 0.86);
    uParts.value[2].set(effect.streak, effect.streakSize);
    uTurn.value.set(Math.cos(turn), Math.sin(turn));
    uGhosts.value = effect.ghosts;
    uGhost.value = effect.ghost;
    uTint.value.set(...colourAt(effect.tint, phase)).multiplyScalar(evaluateAnimated(effect.gain, phase));
  }

  dispose(): void {
    this.rooms.dispose();
    this.taker.dispose();
    this.mesh.geometry.dispose();
    for (const material of [this.cells, this.around, this.chosen, this.mesh.material]) material.dispose();
  }
}

export const flare: EffectProgram<Flare> = {
  needs: ['neighbours'],
  glsl,
  make(gpu) {
    const uniforms = { effect_light: { value: null as THREE.Texture | null } };
    const flares = new Flares(gpu);
    return {
      uniforms,
      prepare: (effect, source, { phase }) => (uniforms.effect_light.value = flares.draw(source, effect, phase)),
      dispose: () => flares.dispose(),
    };
  },
};
