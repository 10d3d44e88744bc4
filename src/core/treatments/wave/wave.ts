import { carriedFarther, middleOf } from '../../elements/extent';
import { AXES, AXIS_VECTOR } from '../../elements/axis';
import { animated, choice, form, heading, integer, number, tag, type ValueOf, largest } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import { type TreatmentDefinition } from '../definition';
import { waveKernel, type WaveValues } from './wave.gen';

const group = heading('Wave');

const WaveForm = form({
  ...treatmentBase,
  kind: tag('wave'),
  amount: animated(0.3, {
    label: 'Height',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 2,
    group,
    hint: 'Metres to either side.',
  }),
  swings: choice('up', AXES, { label: 'Swings', group, hint: 'The direction it moves in.' }),
  runs: choice(
    'along',
    { ...AXES, rings: 'In rings outwards' },
    { label: 'Runs', group, hint: 'The way the crests travel.' },
  ),
  wavelength: number(2, {
    label: 'Wavelength',
    unit: 'm',
    min: 0.05,
    max: 1000,
    comfort: 10,
    group,
    hint: 'Metres from crest to crest; along the travel it is fitted so that it tiles.',
  }),
  beats: integer(2, {
    label: 'Beats',
    perLap: true,
    unit: 'per lap',
    min: -256,
    max: 256,
    comfort: 8,
    group,
    hint: 'Crests that pass in a lap, whole; negative runs the other way, 0 stands.',
  }),
  ...treatmentReach,
});
export type Wave = ValueOf<typeof WaveForm>;

export const wave: TreatmentDefinition<Wave, WaveValues> = {
  kind: 'wave',
  label: 'Wave',
  describe: 'Crests running through space',
  sort: 'space',
  form: WaveForm,
  kernel: waveKernel,
  values(t, context, phase) {
    const { tile } = context.world;
    const fitted = t.runs === 'along' && context.tiled;
    return {
      amount: evaluateAnimated(t.amount, phase),
      direction: AXIS_VECTOR[t.swings],
      by: t.runs === 'rings' ? [0, 0, 0] : AXIS_VECTOR[t.runs],
      waves: fitted ? Math.max(1, Math.round(tile / t.wavelength)) / tile : 1 / t.wavelength,
      beats: t.beats,
      middle: fitted ? [0, 0, 0] : middleOf(context.extent),
      lap: phase,
    };
  },
  widen: (t, extent) => carriedFarther(extent, largest(t.amount)),
  summary: (t) => `${Number(largest(t.amount).toFixed(2))} m`,
};
