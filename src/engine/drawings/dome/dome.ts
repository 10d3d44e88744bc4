import type { DrawingOf } from '../../../core/layers/drawing';
import { definitionOf } from '../../../core/layers/kinds';
import type { LayerFrame } from '../../layer/frame';
import { WHOLE, type Behind, type DrawingKind } from '../drawing';

/** A sky around everything: drawn behind all else, and reflected. */
export const dome: DrawingKind<DrawingOf<'dome'>> = {
  as: 'dome',
  make(_drawing, { view }): Behind {
    let frame: LayerFrame | null = null;
    return {
      stage: 'behind',
      parts: WHOLE,
      update(now) {
        frame = now;
      },
      surround() {
        const sky = frame?.look.sky;
        if (!frame || !sky) return;
        const [, phase] = frame.phases;
        const light = definitionOf(frame.layer.kind).light(frame.layer, phase);
        // a sky that has gone dark is still there
        view.uSky.value.set(Math.max(light, 1e-6), sky.tight, sky.clouds, phase * sky.cloudCycles);
        view.uStars.value.set(sky.stars, sky.starLight, sky.twinkle, phase);
        view.uSkySeed.value = sky.seed;
        view.uSkyGradient.value = frame.colours;
      },
      dispose: () => undefined,
    };
  },
};
