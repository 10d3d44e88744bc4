import * as THREE from 'three';
import type { DrawingOf } from '../../../core/layers/drawing';
import { definitionOf } from '../../../core/layers/kinds';
import { relink, type Relinked } from '../../../core/layers/links/neighbours';
import { layerLinks } from '../../../core/world/layers';
import { fillGradient, gradientTexture } from '../../layer/gradient';
import { WHOLE, type DrawingKind, type LightDrawn } from '../drawing';
import { Lines } from '../segments/lines';
import { momentUniforms } from '../uniforms';

/** The lines of a frame as line.glsl reads them. */
function texelsOf({ count, pairs, marks }: Relinked): Float32Array {
  const texels = new Float32Array(count * 8);
  for (let i = 0; i < count; i++) {
    const [open, close, tiles] = marks.subarray(i * 3, i * 3 + 3);
    texels.set([pairs[i * 2], pairs[i * 2 + 1], open, close, tiles], i * 8);
  }
  return texels;
}

/** A net: lines between near elements, of one layer or two, found anew every frame. */
export const links: DrawingKind<DrawingOf<'links'>> = {
  as: 'links',
  make({ from, to }, { gpu, view }): LightDrawn {
    const colours = gradientTexture();
    const own = {
      ...momentUniforms(),
      uOpenPlaceB: { value: null as THREE.Texture | null },
      uClosePlaceB: { value: null as THREE.Texture | null },
      uOpenLookB: { value: null as THREE.Texture | null },
      uLinkGradient: { value: colours },
      uFalloff: { value: 1 },
      uThickness: { value: 0 },
      uTile: { value: 1 },
    };
    const lines = new Lines(gpu, { ...view, ...own }, '#define LINKS\n');
    lines.set(0, new Float32Array());
    return {
      stage: 'light',
      parts: WHOLE,
      // its points are found at the present moment
      momentary: true,
      sorting: lines,
      update(frame, frameOf) {
        const { piece, layer, phases, shareOf } = frame;
        const [openPhase, phase, closePhase] = phases;
        const linking = definitionOf(layer.kind).linking?.(layer, phase);
        const first = from === null ? frame : frameOf(from);
        const second = to === null ? first : frameOf(to);
        if (!linking || !first || !second) return;
        const open = layerLinks(piece, layer, openPhase, shareOf, phase);
        const close = closePhase === openPhase ? open : layerLinks(piece, layer, closePhase, shareOf, phase);
        const found = relink(open, close);
        lines.set(found.count, texelsOf(found));
        const [start, end] = [first.moments[0], second.moments[0]];
        own.uOpenPlace.value = start.open[0];
        own.uOpenLook.value = start.open[1];
        own.uClosePlace.value = start.close[0];
        own.uOpenPlaceB.value = end.open[0];
        own.uOpenLookB.value = end.open[1];
        own.uClosePlaceB.value = end.close[0];
        own.uLight.value = linking.light;
        own.uFalloff.value = linking.falloff;
        own.uThickness.value = linking.thickness;
        own.uTile.value = piece.tile;
        fillGradient(colours, linking.gradient, phase);
      },
      show: (moment) => lines.show(moment.index),
      draw: (to) => lines.draw(to),
      dispose() {
        colours.dispose();
        lines.dispose();
      },
    };
  },
};
