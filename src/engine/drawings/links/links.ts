import * as THREE from 'three';
import type { DrawingOf } from '../../../core/layers/drawing';
import { definitionOf } from '../../../core/layers/kinds';
import { relink, type Relinked } from '../../../core/layers/links/neighbours';
import { layerLinks } from '../../../core/world/layers';
import { fillGradient, gradientTexture } from '../../layer/gradient';
import { WHOLE, type DrawingKind, type LightDrawn } from '../drawing';
import { linesMesh, pairAttribute } from '../segments/lines';
import { elementUniforms } from '../uniforms';

/** Lists the pairs of a frame; the buffers grow when they must. */
function fill(geometry: THREE.InstancedBufferGeometry, { count, pairs, marks }: Relinked): void {
  const room = geometry.getAttribute('aPair') as THREE.InstancedBufferAttribute | undefined;
  if (!room || room.count < count) {
    const most = Math.max(256, Math.ceil(count * 1.3));
    geometry.deleteAttribute('aPair').deleteAttribute('aMark');
    geometry.setAttribute('aPair', pairAttribute(new Uint32Array(most * 2)).setUsage(THREE.DynamicDrawUsage));
    const mark = new THREE.InstancedBufferAttribute(new Float32Array(most * 3), 3);
    geometry.setAttribute('aMark', mark.setUsage(THREE.DynamicDrawUsage));
  }
  for (const [name, values] of [
    ['aPair', pairs],
    ['aMark', marks],
  ] as const) {
    const attribute = geometry.getAttribute(name) as THREE.InstancedBufferAttribute;
    attribute.array.set(values);
    attribute.clearUpdateRanges();
    attribute.addUpdateRange(0, values.length);
    attribute.needsUpdate = true;
  }
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
      draw({ offset }, _radius, { target }) {
        own.uTileOffset.value = offset;
        gpu.stage.draw(gpu.renderer, mesh, target);
      },
      dispose() {
        colours.dispose();
        mesh.geometry.dispose();
        mesh.material.dispose();
      },
    };
  },
};
