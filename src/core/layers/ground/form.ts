import { choice, form, heading, integer, number, tag, type ValueOf } from '../../forms';
import { layerBase, layerSeed } from '../base';
import { linesField } from '../../lines/lines';
import { matterFields } from '../../matter/kinds';
import { CELLS, gradientField, patchField, placeByField, spreadField } from '../tint';

const PLACES = { height: 'By height', slope: 'By slope', noise: 'By noise', ...CELLS };

const shape = heading('Shape');
const hills = heading('Relief');
const waves = heading('Ripples');
const land = { field: 'surface', is: ['land'] };
const water = { field: 'surface', is: ['water'] };

export const GroundForm = form({
  ...layerBase,
  kind: tag('ground'),
  surface: choice(
    'land',
    { land: 'Land', water: 'Still water' },
    { label: 'Surface', group: shape, hint: 'Hills, or a flat sheet of water.' },
  ),
  width: number(40, {
    label: 'Width',
    drags: 'size',
    unit: 'm',
    min: 0.1,
    max: 10_000,
    comfort: 100,
    group: shape,
    hint: 'Full width in metres.',
  }),
  above: number(-1.2, {
    label: 'Level',
    drags: 'above',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 5,
    group: shape,
    hint: 'Metres above the route; negative is below.',
  }),
  aside: number(0, {
    label: 'Aside',
    drags: 'aside',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 10,
    group: shape,
    hint: 'Metres to the right of the route.',
  }),
  mirrors: choice(
    'sky',
    { sky: 'The sky alone', all: 'All that is near it' },
    {
      label: 'Mirrors',
      group: shape,
      hint: 'Bodies, land, walls and light are mirrored where it is flat: water, or land without hills; glass and stars are not. Every picture is then drawn twice.',
    },
  ),
  rows: integer(96, {
    when: land,
    label: 'Detail',
    unit: 'rows per tile',
    min: 2,
    max: 1000,
    comfort: 240,
    group: shape,
    hint: 'Rows of the mesh in one tile; columns as close.',
  }),
  relief: number(0.8, {
    label: 'Height',
    unit: 'm',
    min: 0,
    max: 1000,
    comfort: 5,
    decimals: 2,
    group: hills,
    when: land,
    hint: 'Metres of the highest hills.',
  }),
  feature: number(5, {
    label: 'Hill size',
    unit: 'm',
    min: 0.1,
    max: 1000,
    comfort: 20,
    group: hills,
    when: land,
    hint: 'Metres across the largest hills; fitted so that they tile.',
  }),
  octaves: integer(4, {
    label: 'Octaves',
    min: 1,
    max: 6,
    comfort: 6,
    group: hills,
    when: land,
    hint: 'Hills on hills: more is rougher.',
  }),
  form: choice(
    'round',
    { round: 'Round hills', ridged: 'Sharp ridges', cobbles: 'Cobbles', columns: 'Columns of stone' },
    { label: 'Form', group: hills, when: land, hint: 'What the relief is made of.' },
  ),
  valley: number(1.2, {
    label: 'Valley',
    unit: 'm',
    min: 0,
    max: 1000,
    comfort: 8,
    group: hills,
    when: land,
    hint: 'Metres to either side of the route that stay low.',
  }),
  ripple: number(0.12, {
    label: 'Ripples',
    min: 0,
    max: 1,
    group: waves,
    when: water,
    hint: '0: a mirror. 1: broken water.',
  }),
  rippleSize: number(0.7, {
    label: 'Ripple size',
    unit: 'm',
    min: 0.02,
    max: 100,
    comfort: 4,
    group: waves,
    when: water,
    hint: 'Metres from crest to crest; fitted so that it tiles.',
  }),
  rippleCycles: integer(4, {
    label: 'Evolves',
    perLap: true,
    unit: 'cycles per lap',
    min: 1,
    max: 64,
    comfort: 12,
    group: waves,
    when: water,
    hint: 'Whole cycles of the slowest ripple in a lap.',
  }),
  gradient: gradientField(['#0b0f12', '#27323a', '#6b7f86']),
  placeBy: placeByField('height', PLACES, 'a place', [land]),
  spread: spreadField(),
  placeScale: patchField(3),
  ...matterFields(true, 'world'),
  lines: linesField('surface'),
  ...layerSeed,
});
export type GroundLayer = ValueOf<typeof GroundForm>;
