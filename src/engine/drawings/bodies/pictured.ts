import * as THREE from 'three';
import { PANEL } from '../../../core/layers/definition';
import { PANEL_CHOICES, type PanelLook, type Pictured } from '../../../core/layers/drawing';
import { sizeAt } from '../../../core/pictures/raster';
import { isHere } from '../../../core/piece/here';
import { constants } from '../../gl/quad';
import type { Gpu } from '../../gl/gpu';
import type { LayerFrame } from '../../layer/frame';
import { PictureArray } from '../../screens/array';
import { fileKey, framesIn } from '../../screens/needed';
import { pixels, sizeOf } from '../../screens/pixels';
import type { Screens } from '../../screens/screens';
import { standIn } from '../../screens/standIn';

/** The numbers of what is chosen, for the program. */
export const panelConstants = Object.entries(PANEL_CHOICES)
  .map(([name, numbers]) => constants(name.toUpperCase(), numbers))
  .join('');

/** Numbers of PanelLook in fours, as panel.glsl reads them. */
const FOURS = 6;

function lookNumbers(p: PanelLook): number[] {
  return [
    ...[p.emission, p.surface, p.opacity, PANEL_CHOICES.back[p.back]],
    ...[...p.edgeColour, p.edgeLight],
    ...[p.edge, PANEL_CHOICES.dots[p.dots], p.dotRows, p.dotGap],
    ...[Number(p.open), Number(p.smooth), p.behindLight, p.lineRows],
    ...[p.lineDark, p.lineRun, PANEL_CHOICES.loads[p.loads], p.blockRows],
    ...[PANEL_CHOICES.before[p.before], ...p.run, 0],
  ];
}

/** Whether panels leave something free even where their pictures do not. */
const isOpen = (p: PanelLook, numbers: Float32Array): boolean =>
  p.opacity < 1 || p.open || p.back === 'none' || (p.loads !== 'none' && p.before === 'none') || outside(numbers);

/** Whether some part reaches over the border of its picture. */
function outside(numbers: Float32Array): boolean {
  for (let i = 0; i < numbers.length; i += PANEL.numbers)
    for (const [from, along] of [
      [numbers[i], numbers[i + 2]],
      [numbers[i + 1], numbers[i + 3]],
    ])
      if (Math.min(from, from + along) < -1e-5 || Math.max(from, from + along) > 1 + 1e-5) return true;
  return false;
}

/** A frame that no clip has. */
const STAND_IN = -1;

const table = (count: number): THREE.DataTexture => {
  const width = Math.min(1024, count * 2);
  const height = Math.max(1, Math.ceil((count * 2) / 1024));
  const texture = new THREE.DataTexture(
    new Float32Array(width * height * 4),
    width,
    height,
    THREE.RGBAFormat,
    THREE.FloatType,
  );
  texture.needsUpdate = true;
  return texture;
};

/** What a stretch of bodies shows on them: its frames on the graphics card, and which of them each body shows. */
export class PicturedBodies {
  private readonly array: PictureArray;
  private readonly panels: THREE.DataTexture;
  readonly uniforms;
  /** whether some of it may not be there where it stands */
  partly = false;

  constructor(
    gpu: Gpu,
    private readonly screens: Screens,
    private readonly pictured: Pictured,
    readonly first: number,
    readonly count: number,
  ) {
    this.array = new PictureArray(gpu.renderer);
    this.panels = table(count);
    this.uniforms = {
      uShown: { value: this.array.texture },
      uShownSize: { value: new THREE.Vector2(1, 1) },
      uPanels: { value: this.panels },
      uFirst: { value: first },
      uWide: { value: pictured.wide },
      uPanel: { value: Array.from({ length: FOURS }, () => new THREE.Vector4()) },
    };
  }

  /** Takes what a frame shows. */
  update({ layer, look }: LayerFrame): void {
    const numbers = this.screens.panelsOf(layer.id);
    if (!numbers || !look.panel) return;
    const values = lookNumbers(look.panel);
    this.uniforms.uPanel.value.forEach((four, i) => four.fromArray(values, i * 4));
    const layers = this.take(numbers);
    const texels = this.panels.image.data as Float32Array;
    for (let i = 0; i < this.count; i++) {
      const from = (this.first + i) * PANEL.numbers;
      const own = numbers.subarray(from, from + PANEL.numbers);
      const to = i * PANEL.numbers;
      texels.set(own, to);
      texels[to + PANEL.first] = layers.get(own[PANEL.first]) ?? 0;
      texels[to + PANEL.second] = layers.get(own[PANEL.second]) ?? texels[to + PANEL.first];
    }
    this.panels.needsUpdate = true;
    this.uniforms.uShownSize.value.set(...this.array.size);
    this.partly = this.array.seenThrough || isOpen(look.panel, numbers);
  }

  /** Puts what is in sight of its file on the card. @returns the layer of each frame */
  private take(numbers: Float32Array): Map<number, number> {
    const hash = this.pictured.file?.hash;
    const { frames: inSight, level } = this.screens.of(fileKey(this.pictured));
    const { width, height, frames: of } = sizeOf(this.pictured);
    const size = sizeAt(width, height, level);
    // out of sight: it stays as it is
    if (inSight.size === 0 && this.pictured.file && isHere(this.pictured.kind, this.pictured.file)) return new Map();
    const own = framesIn(numbers, this, () => true);
    // of what is not here the stand-in alone
    const frames = inSight.size === 0 ? new Set([STAND_IN]) : new Set([...own].filter((frame) => inSight.has(frame)));
    return this.array.take(frames, size, level, of, (frame) => {
      const raster = hash === undefined || frame === STAND_IN ? null : pixels.at(hash, frame, level);
      // a frame that is damaged may be of another size
      return raster?.width === size[0] && raster.height === size[1] ? raster : standIn(...size);
    });
  }

  dispose(): void {
    this.array.dispose();
    this.panels.dispose();
  }
}
