import type { DrawingOf } from '../../../core/layers/drawing';
import { WHOLE, type DrawingKind, type LightDrawn } from '../drawing';
import { momentUniforms, showElements } from '../uniforms';
import { Lines } from './lines';

/** Lines between fixed pairs of elements. */
export const segments: DrawingKind<DrawingOf<'segments'>> = {
  as: 'segments',
  make({ pairs, sized }, { gpu, view }): LightDrawn {
    const own = { ...momentUniforms(), uWidth: { value: 0 }, uTile: { value: 1 } };
    const lines = new Lines(gpu, { ...view, ...own }, sized ? '#define SIZED\n' : '');
    const count = pairs.length / 2;
    const texels = new Float32Array(count * 4);
    for (let i = 0; i < count; i++) texels.set(pairs.subarray(i * 2, i * 2 + 2), i * 4);
    lines.set(count, texels);
    return {
      stage: 'light',
      parts: WHOLE,
      sorting: lines,
      update({ look, piece }) {
        own.uWidth.value = look.lineWidth;
        own.uTile.value = piece.tile;
      },
      show(moment) {
        showElements(own, moment);
        lines.show(moment.index);
      },
      draw: (to) => lines.draw(to),
      dispose: () => lines.dispose(),
    };
  },
};
