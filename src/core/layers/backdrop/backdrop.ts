import { z } from 'zod';
import { animated, choice, gradient, integer, number } from '../../piece/fields';
import { evaluateAnimated } from '../../time/animated';
import { layerBase, layerSeed, matterFields, matterOf, placement } from '../base';
import type { Drawing, LayerDefinition } from '../definition';
import { placedExtent } from '../place/place';
import { backdropRun, signatures, sources } from './backdrop.gen';
import { sweep } from './sweep';

const shape = 'Backdrop';
const sky = 'Sky';
const stars = 'Stars';
const dome = { field: 'form', is: ['dome'] };
const studio = { field: 'form', is: ['sweep'] };

const BackdropSchema = z.looseObject({
  ...layerBase,
  kind: z.literal('backdrop'),
  form: choice(
    'dome',
    { dome: 'Sky dome', sweep: 'Studio sweep' },
    { label: 'Form', group: shape, hint: 'A sky at any distance, or a floor that bends up into a wall.' },
  ),
  gradient: gradient(['#05070c', '#0d1420', '#31506b', '#d98f5a', '#31506b', '#0d1420', '#070b14'], {
    label: 'Gradient',
    group: sky,
    hint: 'Of a dome, from straight below to straight above: its middle is the horizon. Of a sweep, its colour is the middle.',
  }),
  light: animated(0.6, {
    label: 'Light',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 2,
    group: sky,
    when: dome,
    hint: 'Brightness of the sky.',
  }),
  tight: number(2.5, {
    label: 'To the horizon',
    min: 0.2,
    max: 20,
    comfort: 8,
    group: sky,
    when: dome,
    hint: 'How closely the colours are gathered about the horizon.',
  }),
  clouds: number(0.25, {
    label: 'Bands',
    min: 0,
    max: 1,
    group: sky,
    when: dome,
    hint: 'Long clouds that break up the colours.',
  }),
  cloudCycles: integer(1, {
    label: 'Bands move',
    unit: 'cycles per lap',
    min: 1,
    max: 16,
    comfort: 4,
    group: sky,
    when: dome,
    hint: 'Whole cycles in a lap.',
  }),
  stars: number(0.3, { label: 'Stars', min: 0, max: 1, group: stars, when: dome, hint: 'How many.' }),
  starLight: number(1, {
    label: 'Star light',
    unit: '×',
    min: 0,
    max: 100,
    comfort: 4,
    group: stars,
    when: dome,
    hint: 'Brightness of the stars.',
  }),
  twinkle: integer(6, {
    label: 'Twinkle',
    unit: 'per lap',
    min: 0,
    max: 256,
    comfort: 20,
    group: stars,
    when: dome,
    hint: 'Whole times a lap that a star brightens, at most; 0 for never.',
  }),
  size: number(12, {
    label: 'Width',
    unit: 'm',
    min: 0.1,
    max: 1000,
    comfort: 40,
    group: shape,
    when: studio,
    hint: 'Metres wide.',
  }),
  curve: number(0.2, {
    label: 'Bend',
    unit: '× width',
    min: 0.01,
    max: 0.45,
    group: shape,
    when: studio,
    hint: 'Radius of the bend between floor and wall.',
  }),
  ...(Object.fromEntries(
    Object.entries({ ...matterFields, ...placement }).map(([name, field]) => [
      name,
      field.meta({ ...field.meta(), and: studio } as never),
    ]),
  ) as unknown as typeof matterFields & typeof placement),
  ...layerSeed,
});
export type BackdropLayer = z.infer<typeof BackdropSchema>;

export const backdrop: LayerDefinition<BackdropLayer> = {
  kind: 'backdrop',
  label: 'Backdrop',
  need: 'Surround',
  describe: 'A sky with stars, or a studio sweep',
  schema: BackdropSchema,
  bodies: () => true,
  placed: (layer) => layer,
  kernel: { entry: 'backdropElement', sources, signature: signatures.backdropElement, run: backdropRun },
  elementCount: () => 1,
  counted: (layer) => ({ count: 1, noun: layer.form === 'dome' ? 'sky' : 'sweep' }),
  tiled: () => false,
  turnStep: () => 1,
  values: (layer) => ({ bodySize: layer.size }),
  drawings(layer): Drawing[] {
    if (layer.form === 'dome') return [{ as: 'dome' }];
    return [{ as: 'bodies', mesh: sweep(layer.curve), first: 0, count: 1, shown: null }];
  },
  structure: (layer) => [layer.form, layer.curve],
  look: (layer) => ({
    softness: 0,
    lineWidth: 0,
    largestRadius: 0,
    matter: matterOf(layer),
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
