import type { Drawing } from '../drawing';
import { evaluateAnimated } from '../../time/animated';
import type { LayerDefinition } from '../definition';
import { placedExtent } from '../../elements/place/place';
import { backdropKernel, type BackdropValues } from './backdrop.gen';
import { sweep } from './sweep';
import { presets } from './presets';
import { BackdropForm, type BackdropLayer } from './form';

export const backdrop: LayerDefinition<BackdropLayer, BackdropValues> = {
  kind: 'backdrop',
  label: 'Backdrop',
  need: 'Surround',
  describe: 'A sky with stars, or a studio sweep',
  form: BackdropForm,
  presets,
  surrounds: true,
  solid: true,
  sketch: (layer) => ({ as: layer.form === 'dome' ? 'sky' : 'dots' }),
  bodies: () => true,
  placed: (layer) => layer,
  kernel: backdropKernel,
  elementCount: () => 1,
  counted: (layer) => ({ count: 1, noun: layer.form === 'dome' ? 'sky' : 'sweep' }),
  tiled: () => false,
  turnStep: () => 1,
  values: (layer) => ({ bodySize: layer.size }),
  drawings(layer): Drawing[] {
    if (layer.form === 'dome') return [{ as: 'dome' }];
    return [{ as: 'bodies', mesh: sweep(layer.curve), first: 0, count: 1 }];
  },
  structure: (layer) => [layer.form, layer.curve],
  look: (layer) => ({
    softness: 0,
    lineWidth: 0,
    matter: layer.matter,
    pattern: layer.pattern,
    sprite: 0,
    sky:
      layer.form === 'dome'
        ? {
            tight: layer.tight,
            clouds: layer.clouds,
            cloudCycles: layer.cloudCycles,
            stars: layer.stars,
            starLight: layer.starLight,
            twinkle: layer.twinkle,
            seed: layer.seed,
          }
        : null,
  }),
  gradient: (layer) => layer.gradient,
  light: (layer, phase) => (layer.form === 'dome' ? evaluateAnimated(layer.light, phase) : 1),
  extent: (layer) =>
    layer.form === 'dome'
      ? placedExtent({ ...layer, ahead: 0, aside: 0, above: 0 }, [0, 0, 0], 0)
      : placedExtent(layer, [layer.size / 2, layer.size / 2, layer.size / 2], layer.size * 0.9),
  closingSteps: () => ({}),
};
