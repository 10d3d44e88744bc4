import type { DrawingOf } from '../../../core/layers/drawing';
import { WHOLE, type DrawingKind, type LightDrawn } from '../drawing';
import { elementUniforms, showElements } from '../uniforms';
import { drawLines, linesMesh, pairAttribute } from './lines';

/** Lines between fixed pairs of elements. */
export const segments: DrawingKind<DrawingOf<'segments'>> = {
  as: 'segments',
  make({ pairs }, { gpu, view }): LightDrawn {
    const own = { ...elementUniforms(), uWidth: { value: 0 } };
    const mesh = linesMesh({ ...view, ...own });
    mesh.geometry.setAttribute('aPair', pairAttribute(pairs));
    mesh.geometry.instanceCount = pairs.length / 2;
    return {
      stage: 'light',
      parts: WHOLE,
      shown: null,
      update({ look }) {
        own.uWidth.value = look.lineWidth;
      },
      show: (moment) => showElements(own, moment),
      draw: (at, to) => drawLines(gpu, mesh, own.uTileOffset, at, to),
      dispose() {
        mesh.geometry.dispose();
        mesh.material.dispose();
      },
    };
  },
};
