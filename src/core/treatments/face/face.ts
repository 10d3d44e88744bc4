import { z } from 'zod';
import { animated, choice, number } from '../../piece/fields';
import { evaluateAnimated } from '../../time/animated';
import { treatmentBase, treatmentReach } from '../base';
import type { TreatmentDefinition } from '../definition';
import { faceRun, signatures, sources } from './face.gen';

const group = 'Face';
const point = { unit: 'm', min: -10_000, max: 10_000, comfort: 10, group, when: { field: 'to', is: ['point'] } };

const FaceSchema = z.looseObject({
  ...treatmentBase,
  kind: z.literal('face'),
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
export type Face = z.infer<typeof FaceSchema>;

export const face: TreatmentDefinition<Face> = {
  kind: 'face',
  label: 'Look at',
  describe: 'Turned to the camera or to a point',
  sort: 'element',
  schema: FaceSchema,
  kernel: { entry: 'faceElement', sources, signature: signatures.faceElement, run: faceRun },
  values: (t, context, phase) => ({
    amount: evaluateAnimated(t.amount, phase),
    to: t.to === 'camera' ? 0 : 1,
    view: context.world.cameraTurn(phase),
    point: [t.aside, t.above, -t.ahead],
  }),
  widen: (_, extent) => ({ ...extent, tilted: 1 }),
  summary: (t) => (t.to === 'camera' ? 'the camera' : 'a point'),
};
