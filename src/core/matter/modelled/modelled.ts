import { animated, form, tag, type ValueOf } from '../../forms';
import { evaluateAnimated } from '../../time/animated';
import { MATTER_HEADING as group, shinesField, type MatterDefinition } from '../definition';

const ModelledForm = form({
  kind: tag('modelled'),
  tint: animated(0, {
    label: 'Tint',
    min: 0,
    max: 1,
    group,
    hint: 'How far the layer’s gradient tints the model’s own colours.',
  }),
  roughBy: animated(1, {
    label: 'Roughness',
    unit: '× its own',
    min: 0,
    max: 4,
    comfort: 2,
    group,
    hint: 'Its own roughness, polished or dulled. 1: as it is.',
  }),
  litBy: animated(1, {
    label: 'Own light',
    unit: '× its own',
    min: 0,
    max: 1000,
    comfort: 4,
    group,
    hint: 'The light that its lamps and signs give off. 1: as it is.',
  }),
  glowing: shinesField(0, 'Light of its own besides, in its colour.'),
});
export type Modelled = ValueOf<typeof ModelledForm>;

export const modelled: MatterDefinition<Modelled> = {
  kind: 'modelled',
  label: 'As modelled',
  describe: 'The colours, pictures, roughness and lamps that a model has from its file; of what is no model, plain.',
  form: ModelledForm,
  values: (matter, phase) => [
    0,
    1,
    evaluateAnimated(matter.glowing, phase),
    evaluateAnimated(matter.tint, phase),
    evaluateAnimated(matter.roughBy, phase),
    evaluateAnimated(matter.litBy, phase),
  ],
};
