import { arrangementFields, OFF_ROUTE, successionFields } from '../../arrangement';
import { placement } from '../../elements/place/form';
import { form, shownIf, tag, without, type ValueOf } from '../../forms';
import { sourceFields } from '../../solids/source';
import { layerBase, layerSeed } from '../base';
import { linesField } from '../../lines/lines';
import { matterFields } from '../../matter/kinds';
import { CELLS, gradientField, patchCyclesField, patchField, placeByField, spreadField } from '../tint';

const PLACES = { order: 'By order', chance: 'By chance', height: 'By height', noise: 'By noise', ...CELLS };

export const CopiesForm = form({
  ...layerBase,
  kind: tag('copies'),
  ...sourceFields,
  ...arrangementFields('grid', 'copy', 'copies'),
  ...successionFields('copy'),
  gradient: gradientField(['#3b4148', '#c9a35a', '#f4ead6']),
  placeBy: placeByField('chance', PLACES, 'a copy'),
  spread: spreadField(),
  placeScale: patchField(2),
  placeCycles: patchCyclesField(),
  ...matterFields(),
  lines: linesField(),
  once: placement.once,
  ...shownIf(without(placement, 'once'), OFF_ROUTE),
  ...layerSeed,
});
export type CopiesLayer = ValueOf<typeof CopiesForm>;
