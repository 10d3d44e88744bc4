import { animated, colour, form, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import type { Asked } from '../../channels';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const FogForm = form({
  ...effectBase,
  kind: tag('fog'),
  colour: colour('#5b6b80', { label: 'Colour', hint: 'What is far away fades to.' }),
  strength: animated(1, {
    label: 'As bright as',
    unit: '×',
    min: 0,
    max: 100,
    comfort: 2,
    hint: 'Times the colour: fog that is lit.',
  }),
  begins: animated(0, {
    label: 'Begins at',
    unit: 'm',
    min: 0,
    max: 10_000,
    comfort: 30,
    hint: 'Depth up to which there is none.',
  }),
  distance: animated(20, {
    label: 'Takes',
    unit: 'm',
    min: 0.01,
    max: 10_000,
    comfort: 60,
    hint: 'Metres farther at which 63 % has faded; let it swing, and the fog comes and goes.',
  }),
  ...effectReach(),
});
export type Fog = ValueOf<typeof FogForm>;

/** The fog that it asks a frame for. */
export const fogAsks = ({ begins, distance }: Fog, phase: number): Asked => ({
  of: 'fog',
  from: evaluateAnimated(begins, phase),
  distance: evaluateAnimated(distance, phase),
});

export const fog: EffectDefinition<Fog> = {
  kind: 'fog',
  label: 'Depth fog',
  family: 'light',
  describe:
    'What is far away fades to a colour, by the depth of the finished picture; light that is added fades with what is behind it.',
  form: FogForm,
  space: 'scene',
  asks: fogAsks,
  summary: ({ begins, distance }, phase) =>
    `from ${evaluateAnimated(begins, phase).toFixed(1)} m, over ${evaluateAnimated(distance, phase).toFixed(1)} m`,
};
