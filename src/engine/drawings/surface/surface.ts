import * as THREE from 'three';
import type { DrawingOf } from '../../../core/layers/drawing';
import viewSource from '../../frame/view.glsl?raw';
import { fillAttribute } from '../../gl/fill';
import { coverVertex } from '../../matter/pattern/program';
import { Lazily, movingMaterial } from '../../matter/moving';
import { hidingMaterial, isSeenThrough, matterMaterial } from '../../matter/program';
import sidesSource from '../../seen/sides.glsl?raw';
import { SortProgram } from '../../seen/sorter';
import { SEEN_MOMENTS, WHOLE, type DrawingKind, type MatterDrawn } from '../drawing';
import { GridLines, LINE_CLASSES, maySources, strokesIn } from '../ink/gridLines';
import { bodyUniforms, setMatter, showLit } from '../uniforms';
import linesVertex from './lines.vert.glsl?raw';
import sortSource from './sort.glsl?raw';
import fragment from './surface.frag.glsl?raw';
import vertex from './surface.vert.glsl?raw';
import wallSource from './wall.glsl?raw';

/** Cosines of the angles between quads from which on they are not, and up to which they are all of one round wall. */
const cosines = (...degrees: [number, number]): [number, number] =>
  degrees.map((angle) => Math.cos((angle * Math.PI) / 180)) as [number, number];
const ROUND = cosines(60, 40);
const FOLDED = cosines(16, 10);

function quads(): THREE.InstancedBufferGeometry {
  const geometry = new THREE.InstancedBufferGeometry();
  geometry.setIndex([0, 1, 2, 1, 3, 2]);
  geometry.instanceCount = 0;
  return geometry;
}

/** A wall of quads between elements, round where it hardly turns from one to the next. */
export const surface: DrawingKind<DrawingOf<'surface'>> = {
  as: 'surface',
  make({ corners, copies, rings, gaps, round }, { gpu, view, made, covered }): MatterDrawn {
    const perRing = corners * copies;
    const own = {
      ...bodyUniforms(),
      uWall: { value: [corners, perRing, rings, gaps ? 1 : rings] },
      uRound: { value: new THREE.Vector4(...(round ? ROUND : FOLDED), ...ROUND) },
      uStrokeTile: { value: 1 },
    };
    const uniforms = { ...view, ...own, ...covered.uniforms };
    const { material, take } = matterMaterial(
      made,
      [viewSource + wallSource + coverVertex(made.cover) + vertex, fragment],
      uniforms,
      THREE.DoubleSide,
    );
    const hiding = hidingMaterial(viewSource + wallSource + vertex, uniforms, THREE.DoubleSide);
    const moving = new Lazily(() => movingMaterial(viewSource + wallSource + vertex, uniforms, THREE.DoubleSide));
    const inks = `const bool INKED = ${String(made.lines !== 'none')};\n`;
    const program = new SortProgram(
      inks + viewSource + wallSource + sidesSource + maySources + sortSource,
      uniforms,
      null,
    );
    const lines =
      made.lines === 'none' ? null : new GridLines(gpu, viewSource + wallSource, linesVertex, uniforms, made.lines);
    const object = new THREE.Mesh(new THREE.BufferGeometry(), material);
    const seen: THREE.InstancedBufferGeometry[] = [];
    let now = 0;
    return {
      stage: 'matter',
      casts: true,
      seenThrough: isSeenThrough(made.matter),
      parts: WHOLE,
      sorting: {
        program,
        classes: 1 + LINE_CLASSES,
        first: 0,
        count: rings * perRing,
        take(moment, found) {
          const geometry = (seen[moment] ??= quads());
          const count = found.starts[1 + LINE_CLASSES];
          fillAttribute(geometry, 'aQuad', found.pairs.subarray(0, 2 * count), 2);
          geometry.instanceCount = count;
          if (moment < SEEN_MOMENTS) lines?.take(moment, found, 'aQuad', 1);
        },
      },
      update(frame) {
        const { look, piece } = frame;
        own.uTile.value = piece.tile;
        if (look.lines) own.uStrokeTile.value = strokesIn(piece.tile, look.lines.strokes);
        setMatter(own, frame);
        take(piece);
      },
      show(moment, time) {
        now = moment.index;
        showLit(own, moment, time);
      },
      draw(_at, target) {
        object.geometry = seen[now];
        object.material = now < SEEN_MOMENTS ? material : hiding;
        gpu.stage.draw(gpu.renderer, object, target);
      },
      ...(lines && { drawLines: (target: THREE.WebGLRenderTarget) => lines.draw(now, target) }),
      drawMotion(target) {
        object.geometry = seen[now];
        object.material = moving.get();
        gpu.stage.draw(gpu.renderer, object, target);
      },
      dispose() {
        program.dispose();
        // of moments that were never shown there is none
        seen.forEach((geometry) => geometry.dispose());
        material.dispose();
        hiding.dispose();
        moving.dispose();
        lines?.dispose();
      },
    };
  },
};
