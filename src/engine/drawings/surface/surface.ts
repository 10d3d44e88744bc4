import * as THREE from 'three';
import type { DrawingOf } from '../../../core/layers/drawing';
import viewSource from '../../frame/view.glsl?raw';
import { bareGeometry, rawMaterial } from '../../gl/quad';
import { WHOLE, type DrawingKind, type MatterDrawn } from '../drawing';
import { matterMaterial, SOLID } from '../../matter/program';
import surfaceSource from '../../matter/surface.glsl?raw';
import { elementUniforms, litUniforms, setMatter, showElements, showLit } from '../uniforms';
import fragment from './surface.frag.glsl?raw';
import vertex from './surface.vert.glsl?raw';

const SIDE = THREE.DoubleSide;

/** A wall or ground between elements: rough and dark, or smooth matter under the lights, which may be water. */
export const surface: DrawingKind<DrawingOf<'surface'>> = {
  as: 'surface',
  turned: ({ smooth }) => smooth,
  make({ triangles, smooth }, { gpu, view, matter }): MatterDrawn {
    const rough = elementUniforms();
    const lit = { ...litUniforms(), uRipple: { value: new THREE.Vector3() }, uRippleTile: { value: 0 } };
    const own = smooth ? lit : rough;
    const head = smooth ? '#define SMOOTH\n' : '';
    const uniforms = { ...view, ...own };
    const program = [head + viewSource + vertex, viewSource + head + fragment] as const;
    const { material, take } = smooth
      ? matterMaterial(matter, program, uniforms, SIDE)
      : {
          material: rawMaterial(program[0], surfaceSource + program[1], uniforms, { ...SOLID, side: SIDE }),
          take: () => undefined,
        };
    const mesh = new THREE.Mesh(bareGeometry(0, triangles), material);
    return {
      stage: 'matter',
      parts: WHOLE,
      shown: null,
      update({ look, piece }) {
        const { strength = 0, size = 1, cycles = 0 } = look.ripple ?? {};
        lit.uRipple.value.set(strength, 1 / size, cycles);
        lit.uRippleTile.value = Math.max(1, Math.round(piece.tile / size)) / piece.tile;
        setMatter(lit, look);
        take(piece.look);
      },
      show: (moment, time) => (smooth ? showLit(lit, moment, time) : showElements(rough, moment)),
      draw(at, target) {
        for (const { offset } of at) {
          own.uTileOffset.value = offset;
          gpu.stage.draw(gpu.renderer, mesh, target);
        }
      },
      dispose() {
        mesh.geometry.dispose();
        material.dispose();
      },
    };
  },
};
