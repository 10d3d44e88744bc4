import * as THREE from 'three';
import { definitionOf } from '../../../core/layers/kinds';
import { frameAt } from '../../../core/time/lap';
import { worldOf } from '../../../core/world/layers';
import type { LayerFrame } from '../../layer/frame';

/** Elements in a row, as the textures of elements have them. */
const WIDTH = 1024;

/** Which elements show one of several bodies on the frame that is drawn: those whose number in a texture is the body's. */
export class ExchangedBodies {
  readonly uniforms;
  /** none shows it now */
  absent = false;
  private texture: THREE.DataTexture;
  private shown: Uint8Array | null = null;

  constructor(private readonly body: number) {
    this.texture = new THREE.DataTexture(new Uint8Array(WIDTH), WIDTH, 1, THREE.RedFormat, THREE.UnsignedByteType);
    this.uniforms = { uBodies: { value: this.texture }, uBody: { value: body } };
  }

  /** Takes what a frame shows. */
  update({ piece, layer, phases, shareOf }: LayerFrame): void {
    const frame = frameAt(phases[1], piece.lap.frames);
    const bodies = definitionOf(layer.kind).bodiesOn?.(layer, shareOf(layer), worldOf(piece), frame);
    if (!bodies) return;
    this.absent = !bodies.includes(this.body);
    if (this.shown && bodies.every((v, i) => v === this.shown?.[i]) && bodies.length === this.shown.length) return;
    this.shown = bodies;
    const rows = Math.max(1, Math.ceil(bodies.length / WIDTH));
    if (rows !== this.texture.image.height) {
      this.texture.dispose();
      const room = new Uint8Array(rows * WIDTH);
      this.texture = new THREE.DataTexture(room, WIDTH, rows, THREE.RedFormat, THREE.UnsignedByteType);
      this.uniforms.uBodies.value = this.texture;
    }
    (this.texture.image.data as Uint8Array).set(bodies);
    this.texture.needsUpdate = true;
  }

  dispose(): void {
    this.texture.dispose();
  }
}
