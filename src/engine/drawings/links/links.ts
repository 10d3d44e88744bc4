import * as THREE from 'three';
import type { DrawingOf } from '../../../core/layers/drawing';
import { definitionOf } from '../../../core/layers/kinds';
import { relink, type Relinked } from '../../../core/layers/links/neighbours';
import { layerLinks } from '../../../core/world/layers';
import { fillAttribute } from '../../gl/fill';
import { fillGradient, gradientTexture } from '../../layer/gradient';
import { WHOLE, type DrawingKind, type LightDrawn } from '../drawing';
import { drawLines, linesMesh } from '../segments/lines';
import { elementUniforms } from '../uniforms';

/** Lists the pairs of a frame. */
function fill(geometry: THREE.InstancedBufferGeometry, { count, pairs, marks }: Relinked): void {
  fillAttribute(geometry, 'aPair', pairs, 2);
  fillAttribute(geometry, 'aMark', marks, 3);
  geometry.instanceCount = count;
}

/** A net: lines between near elements, of one layer or two, found anew every frame. */
export const links: DrawingKind<DrawingOf<'links'>> = {
  as: 'links',
  make({ from, to }, { gpu, view }): LightDrawn {
    const colours = gradientTexture();
    const own = {
      ...elementUniforms(),
      uOpenPlaceB: { value: null as THREE.Texture | null },
      uClosePlaceB: { value: null as THREE.Texture | null },
      uOpenLookB: { value: null as THREE.Texture | null },
      uLinkGradient: { value: colours },
      uFalloff: { value: 1 },
      uThickness: { value: 0 },
      uTile: { value: 1 },
    };
    const mesh = linesMesh({ ...view, ...own }, '#define LINKS\n');
    mesh.geometry.instanceCount = 0;
    return {
      stage: 'light',
      parts: WHOLE,
      shown: null,
      // its points are found at the present moment
      momentary: true,
      update(frame, frameOf) {
        const { piece, layer, phases, shareOf } = frame;
        const [openPhase, phase, closePhase] = phases;
        const linking = definitionOf(layer.kind).linking?.(layer, phase);
        const first = from === null ? frame : frameOf(from);
        const second = to === null ? first : frameOf(to);
        if (!linking || !first || !second) return;
        const open = layerLinks(piece, layer, openPhase, shareOf, phase);
        const close = closePhase === openPhase ? open : layerLinks(piece, layer, closePhase, shareOf, phase);
        fill(mesh.geometry, relink(open, close));
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
        fillGradient(colours, linking.gradient);
      },
      show: () => undefined,
      draw: (at, to) => drawLines(gpu, mesh, own.uTileOffset, at, to),
      dispose() {
        colours.dispose();
        mesh.geometry.dispose();
        mesh.material.dispose();
      },
    };
  },
};
