import * as THREE from 'three';
import type { DrawingOf } from '../../../core/layers/drawing';
import type { Mesh } from '../../../core/solids/mesh';
import type { Pipeline, Step } from '../../../core/world/pipeline';
import viewSource from '../../frame/view.glsl?raw';
import { Feed } from '../../layer/feed';
import { vertexProgram } from '../../layer/program';
import { WHOLE, type DrawingKind, type MatterDrawn } from '../drawing';
import { LitMaterial, SOLID } from '../../matter/program';
import { litUniforms, phaseAt, setMatter, showLit } from '../uniforms';
import fragment from './bodies.frag.glsl?raw';
import vertex from './bodies.vert.glsl?raw';

const attribute = (array: Float32Array, width: number): THREE.BufferAttribute =>
  new THREE.BufferAttribute(array, width);

function geometryOf(mesh: Mesh, count: number): THREE.InstancedBufferGeometry {
  const geometry = new THREE.InstancedBufferGeometry();
  geometry.setIndex(new THREE.BufferAttribute(mesh.index, 1));
  geometry.setAttribute('aPosition', attribute(mesh.position, 3));
  geometry.setAttribute('aNormal', attribute(mesh.normal, 3));
  geometry.setAttribute('aPiece', attribute(mesh.piece ?? new Float32Array((mesh.position.length / 3) * 4), 4));
  geometry.instanceCount = count;
  return geometry;
}

/** What acts on the vertices of a body. */
const vertexSteps = ({ piece, space }: Pipeline): Step[] => [...piece, ...space];

/** A mesh for each of some elements, broken and bent vertex by vertex. */
export const bodies: DrawingKind<DrawingOf<'bodies'>> = {
  as: 'bodies',
  turned: () => true,
  make({ mesh, first, count, parts = WHOLE, coarse, shown }, { gpu, view, pipeline, matter }): MatterDrawn {
    const feed = new Feed(vertexSteps(pipeline));
    const own = { ...litUniforms(), uFirst: { value: first } };
    const lit = new LitMaterial(
      vertexProgram(pipeline) + viewSource + vertex,
      '',
      viewSource + fragment,
      matter,
      { ...view, ...own, ...feed.uniforms },
      { ...SOLID, side: mesh.open ? THREE.DoubleSide : THREE.FrontSide },
    );
    const { material } = lit;
    const fine = new THREE.Mesh(geometryOf(mesh, count), material);
    const far = coarse && new THREE.Mesh(geometryOf(coarse.mesh, count), material);
    let steps = vertexSteps(pipeline);
    return {
      stage: 'matter',
      parts,
      shown,
      update(frame) {
        steps = vertexSteps(frame.pipeline);
        setMatter(own, frame.look);
        lit.light(frame.piece.look);
      },
      show(moment, time) {
        showLit(own, moment, time);
        feed.at(steps, phaseAt(moment, time));
      },
      draw({ offset, near, part }, shot, target) {
        own.uTileOffset.value = offset;
        const object = far && coarse && near - shot.back > coarse.beyond ? far : fine;
        const whole = !Number.isFinite(part.count);
        own.uFirst.value = whole ? first : part.first;
        if (!whole) object.geometry.instanceCount = part.count;
        gpu.stage.draw(gpu.renderer, object, target);
      },
      dispose() {
        feed.dispose();
        fine.geometry.dispose();
        far?.geometry.dispose();
        material.dispose();
      },
    };
  },
};
