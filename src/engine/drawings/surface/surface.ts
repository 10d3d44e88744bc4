import * as THREE from 'three';
import type { DrawingOf } from '../../../core/layers/drawing';
import viewSource from '../../frame/view.glsl?raw';
import { bareGeometry, rawMaterial } from '../../gl/quad';
import { SOLID } from '../../matter/program';
import surfaceSource from '../../matter/surface.glsl?raw';
import { WHOLE, type DrawingKind, type MatterDrawn } from '../drawing';
import { elementUniforms, showElements } from '../uniforms';
import fragment from './surface.frag.glsl?raw';
import vertex from './surface.vert.glsl?raw';

/** A wall between elements, rough and dark. */
export const surface: DrawingKind<DrawingOf<'surface'>> = {
  as: 'surface',
  make({ triangles }, { gpu, view }): MatterDrawn {
    const own = elementUniforms();
    const material = rawMaterial(
      viewSource + vertex,
      surfaceSource + viewSource + fragment,
      { ...view, ...own },
      { ...SOLID, side: THREE.DoubleSide },
    );
    const mesh = new THREE.Mesh(bareGeometry(0, triangles), material);
    return {
      stage: 'matter',
      parts: WHOLE,
      shown: null,
      update: () => undefined,
      show: (moment) => showElements(own, moment),
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
