import type { AnimatedGradient } from '../colour/animated';
import { newLayer } from '../layers/kinds';
import { ramp } from '../forms';
import { newLight } from '../look/lights/kinds';
import { PieceSchema, type Piece } from '../piece/schema';
import { newMatter, type Matter } from '../matter/kinds';
import type { Pattern } from '../matter/pattern/kinds';

/** What is shown of matter before it is chosen. */
export interface Sampled {
  matter: Matter;
  pattern: Pattern;
  /** of the layer it is for */
  gradient: AnimatedGradient;
}

/** A ball of some matter in a small studio, as a piece with a square frame. */
export function samplePiece({ matter, pattern, gradient }: Sampled): Piece {
  const ball = {
    ...newLayer('copies', 'ball', 'Ball'),
    ...{
      arrangement: 'line',
      count: 1,
      source: 'sphere',
      size: 1,
      variation: 0,
      once: true,
      ahead: 3,
      heading: 25,
      pitch: 12,
    },
    ...{ gradient, placeBy: 'order', matter },
    // a ball stands for all that a pattern may lie on
    pattern: pattern.kind === 'bare' ? pattern : { ...pattern, lies: 'body', vary: false },
  };
  // something to be seen through what is seen through
  const behind = {
    ...newLayer('copies', 'bars', 'Bars'),
    ...{ arrangement: 'grid', countX: 9, countY: 9, countZ: 1, stepX: 0.45, stepY: 0.45, source: 'box', size: 0.25 },
    ...{ variation: 0, once: true, ahead: 6, gradient: ramp('#5c6f7c'), matter: newMatter('emission') },
  };
  return PieceSchema.parse({
    id: 'sample',
    name: 'Sample',
    lap: { frames: 100, rate: { num: 25, den: 1 } },
    frame: { width: 512, height: 512 },
    tile: 100,
    layers: matter.kind === 'glass' ? [ball, behind] : [ball],
    flight: { route: { kind: 'keys' }, focalMm: 94, fNumber: 64, focusM: 3 },
    look: {
      ...{ background: '#181d22', backgroundEdge: '#0e1216', fogDistance: 10_000 },
      lights: [
        newLight('panorama', 'around', { of: 'studio', strength: 0.55 }),
        newLight('softBox', 'key', { aside: -1.6, above: 1.8, ahead: 1.6, strength: 3.2, wide: 1.4, high: 1 }),
      ],
    },
  });
}
