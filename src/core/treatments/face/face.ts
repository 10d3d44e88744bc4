import { animated, choice, form, heading, number, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import type { TreatmentDefinition } from '../definition';
import { faceKernel, type FaceValues } from './face.gen';

const group = heading('Face');
const point = { unit: 'm', min: -10_000, max: 10_000, comfort: 10, group, when: { field: 'to', is: ['point'] } };

const FaceForm = form({
  ...treatmentBase,
  kind: tag('face'),
  amount: animated(1, {
    label: 'Amount',
    min: 0,
    max: 1,
    decimals: 2,
    group,
    hint: '0: as they stand. 1: turned wholly.',
  }),
  to: choice(
    'camera',
    { camera: 'The camera', point: 'A point' },
    { label: 'Look at', group, hint: 'What they turn to.' },
  ),
  aside: number(0, { label: 'Aside', ...point, hint: 'Metres to the right of the route.' }),
  above: number(0, { label: 'Above', ...point, hint: 'Metres above the route.' }),
  ahead: number(4, { label: 'Ahead', ...point, hint: 'Metres from the start of the tile.' }),
  ...treatmentReach,
});
export type Face = ValueOf<typeof FaceForm>;

export const face: TreatmentDefinition<Face, FaceValues> = {
  kind: 'face',
  label: 'Look at',
  describe: 'Turned to the camera or to a point',
  sort: 'element',
  form: FaceForm,
  kernel: faceKernel,
  values: (t, context, phase) => ({
    amount: evaluateAnimated(t.amount, phase),
    to: t.to === 'camera' ? 0 : 1,
    view: context.world.cameraView(phase).rotation,
    point: [t.aside, t.above, -t.ahead],
  }),
  widen: (_, extent) => ({ ...extent, tilted: 1 }),
  summary: (t) => (t.to === 'camera' ? 'the camera' : 'a point'),
};
