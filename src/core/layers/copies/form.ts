import { placement } from '../../elements/place/form';
import {
  choice,
  flag,
  form,
  heading,
  integer,
  layerRef,
  number,
  tag,
  type ValueOf,
  shownIf,
  vectorFields,
  without,
} from '../../forms';
import { sourceFields } from '../../solids/source';
import { layerBase, layerSeed } from '../base';
import { matterField } from '../../matter/kinds';
import { gradientField, patchCyclesField, patchField, placeByField, spreadField } from '../tint';

const ARRANGEMENTS = {
  grid: 'Grid',
  ring: 'Ring',
  spiral: 'Spiral',
  line: 'Line along the travel',
  route: 'Along a route',
  sphere: 'On a ball',
  scatter: 'Scattered in a box',
};
const PLACES = { order: 'By order', chance: 'By chance', height: 'By height', noise: 'By noise' };

const shape = heading('Arrangement');
const perCopy = heading('From each copy to the next');
const at = (...is: string[]) => ({ field: 'arrangement', is });
const metres = { unit: 'm', min: 0, max: 10_000, comfort: 4, group: shape };
const many = { min: 1, max: 400, comfort: 30, group: shape, when: at('grid') };

export const CopiesForm = form({
  ...layerBase,
  kind: tag('copies'),
  ...sourceFields,
  arrangement: choice('grid', ARRANGEMENTS, { label: 'Arranged', group: shape, hint: 'How the copies stand.' }),
  countX: integer(8, { label: 'Aside', ...many, hint: 'Copies from left to right.' }),
  countY: integer(8, { label: 'Up', ...many, hint: 'Copies from bottom to top.' }),
  countZ: integer(3, { label: 'Along', ...many, hint: 'Copies along the travel.' }),
  count: integer(20, {
    label: 'Copies',
    min: 1,
    max: 200_000,
    comfort: 400,
    group: shape,
    when: at('ring', 'spiral', 'line', 'route', 'sphere', 'scatter'),
    hint: 'Copies in the finished piece, in one tile.',
  }),
  ...vectorFields('step', 0.4, {
    labels: ['Step aside', 'Step up', 'Step along'],
    ...metres,
    when: at('grid'),
    hint: 'Metres from one copy to the next.',
  }),
  spacing: number(0.5, { label: 'Step', ...metres, when: at('line'), hint: 'Metres from one copy to the next.' }),
  fill: flag(false, {
    label: 'Fills the tile',
    group: shape,
    when: at('line', 'scatter'),
    hint: 'Spread over the whole tile, so that it goes on without an end.',
  }),
  radius: number(2, {
    label: 'Radius',
    ...metres,
    when: at('ring', 'spiral', 'route', 'sphere'),
    hint: 'Metres from the middle; along a route, from the route.',
  }),
  radiusEnd: number(0.3, {
    label: 'Ends at',
    ...metres,
    when: at('spiral'),
    hint: 'Radius of the last copy in metres.',
  }),
  winds: number(3, {
    label: 'Winds',
    unit: 'turns',
    min: -200,
    max: 200,
    comfort: 8,
    group: shape,
    when: at('spiral', 'route'),
    hint: 'Turns from the first copy to the last; around a route whole turns per tile close.',
  }),
  rise: number(0, {
    label: 'Rise',
    unit: 'm',
    min: -10_000,
    max: 10_000,
    comfort: 10,
    group: shape,
    when: at('spiral'),
    hint: 'Metres along the travel from the first copy to the last.',
  }),
  ...vectorFields('box', 4, {
    labels: ['Box width', 'Box height', 'Box depth'],
    ...metres,
    when: at('scatter'),
    hint: 'Metres of the box they are scattered in.',
  }),
  distance: number(0.3, {
    label: 'At least apart',
    ...metres,
    when: at('scatter'),
    hint: 'No two copies are nearer than this; when no more fit, fewer come.',
  }),
  follow: layerRef({
    label: 'Follows',
    group: shape,
    when: at('route'),
    hint: 'The tunnel whose route they stand along.',
  }),
  align: flag(true, {
    label: 'Aligned',
    group: shape,
    when: at('ring', 'spiral', 'route', 'sphere'),
    hint: 'Each turned with the arrangement.',
  }),
  ...vectorFields('turn', 0, {
    labels: ['Turn, cross axis', 'Turn, upright', 'Turn, travel axis'],
    unit: 'turns',
    min: -10,
    max: 10,
    comfort: 0.25,
    decimals: 3,
    group: perCopy,
    hint: 'Turns each copy makes more than the one before, about its own axis.',
  }),
  ...vectorFields('move', 0, {
    labels: ['Shift aside', 'Shift up', 'Shift along'],
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 1,
    group: perCopy,
    hint: 'Metres each copy stands farther than the one before.',
  }),
  grow: number(1, {
    label: 'Last one',
    unit: '× size',
    min: 0.01,
    max: 100,
    comfort: 4,
    decimals: 2,
    group: perCopy,
    hint: 'Size of the last copy as a multiple of the first.',
  }),
  gradient: gradientField(['#3b4148', '#c9a35a', '#f4ead6']),
  placeBy: placeByField('chance', PLACES, 'a copy'),
  spread: spreadField(),
  placeScale: patchField(2),
  placeCycles: patchCyclesField(),
  matter: matterField(),
  once: placement.once,
  ...shownIf(without(placement, 'once'), at('grid', 'ring', 'spiral', 'line', 'sphere', 'scatter')),
  ...layerSeed,
});
export type CopiesLayer = ValueOf<typeof CopiesForm>;
