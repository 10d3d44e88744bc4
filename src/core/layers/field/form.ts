import {
  animated,
  choice,
  form,
  grouped,
  heading,
  integer,
  layerRef,
  number,
  profile,
  tag,
  type ValueOf,
} from '../../forms';
import { modelFields } from '../../solids/exchange';
import { solidWords } from '../../solids/solids';
import { layerBase, layerSeed, spriteFields } from '../base';
import { CELLS, gradientField, patchCyclesField, patchField, placeByField, spreadField } from '../tint';

const SHAPES = {
  box: 'Box',
  ball: 'Ball',
  shell: 'Shell',
  disc: 'Disc',
  corridor: 'Ring around a corridor',
  strand: 'Strand along the route',
  grid: 'Grid',
  body: 'The surface of a body',
};
const PLACES = { random: 'By chance', position: 'By position', noise: 'By noise', ...CELLS, density: 'By density' };

const DENSITIES = {
  even: 'Even',
  clouds: 'In clouds',
  middles: 'In the middles of cells',
  walls: 'Along the walls of cells',
};

const shape = heading('Shape');
const density = heading('Density');
const motes = heading('Particles');

const chosen = { field: 'shape', is: ['box', 'ball', 'shell', 'disc', 'corridor', 'strand'] };
const uneven = { field: 'dense', is: ['clouds', 'middles', 'walls'] };

const { outline: _outline, ...bodies } = solidWords;
const ofModel = modelFields([
  { field: 'shape', is: ['body'] },
  { field: 'body', is: ['model'] },
]);

export const FieldForm = form({
  ...layerBase,
  kind: tag('field'),
  shape: choice('box', SHAPES, { label: 'Volume', hint: 'The body the particles fill.', group: shape }),
  body: choice('sphere', bodies, {
    label: 'Body',
    group: shape,
    when: { field: 'shape', is: ['body'] },
    hint: 'Particles lie all over its surface, as many for every part of it; its longest side is the width.',
  }),
  model: grouped(ofModel.model, shape),
  modelUp: grouped(ofModel.up, shape),
  width: number(8, {
    label: 'Width',
    drags: 'size',
    unit: 'm',
    min: 0.01,
    max: 1000,
    comfort: 20,
    hint: 'Full width in metres.',
    group: shape,
  }),
  height: number(6, {
    label: 'Height',
    drags: 'size',
    unit: 'm',
    min: 0.01,
    max: 1000,
    comfort: 20,
    hint: 'Full height in metres.',
    group: shape,
    when: { field: 'shape', is: Object.keys(SHAPES).filter((name) => name !== 'body') },
  }),
  depth: number(8, {
    label: 'Depth',
    drags: 'size',
    unit: 'm',
    min: 0.01,
    max: 1000,
    comfort: 20,
    group: shape,
    when: { field: 'shape', is: ['ball', 'shell', 'disc'] },
    hint: 'Full depth in metres along the travel.',
  }),
  hollow: number(0.25, {
    label: 'Hollow',
    min: 0,
    max: 0.99,
    group: shape,
    when: { field: 'shape', is: ['shell', 'disc', 'corridor'] },
    hint: 'Share of the radius that stays empty; in a corridor, the way kept clear for the camera.',
  }),
  ahead: number(4, {
    label: 'Ahead',
    drags: 'ahead',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 20,
    group: shape,
    when: { field: 'shape', is: ['ball', 'shell', 'disc', 'body'] },
    hint: 'Metres from the start of the tile to the centre of the volume.',
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
  above: number(0, {
    label: 'Above',
    drags: 'above',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 10,
    group: shape,
    hint: 'Metres above the route.',
  }),
  gridDepth: number(1, {
    label: 'Rows deep',
    unit: '× wide',
    min: 0.01,
    max: 100,
    comfort: 4,
    group: shape,
    when: { field: 'shape', is: ['grid'] },
    hint: 'Rows along the tile for each row across.',
  }),
  jitter: number(0.2, {
    label: 'Jitter',
    unit: 'of a row',
    min: 0,
    max: 1,
    group: shape,
    when: { field: 'shape', is: ['grid'] },
    hint: '0: exactly on the grid. 1: anywhere within its cell.',
  }),
  dense: choice('even', DENSITIES, {
    label: 'Density',
    group: density,
    when: chosen,
    hint: 'Where in the volume particles are many and where few.',
  }),
  denseScale: number(4, {
    label: 'Apart',
    unit: 'm',
    min: 0.05,
    max: 500,
    comfort: 10,
    group: density,
    when: [chosen, uneven],
    hint: 'Metres, about, from one cloud or cell to the next; fitted so that it tiles.',
  }),
  denseContrast: number(0.9, {
    label: 'Contrast',
    min: 0,
    max: 1,
    group: density,
    when: [chosen, uneven],
    hint: '0: even. 1: nothing at all between them.',
  }),
  follow: layerRef({ label: 'Follows', group: shape, hint: 'Wraps the volume around the route of a tunnel.' }),
  count: integer(6000, {
    label: 'Count',
    min: 1,
    max: 2_000_000,
    comfort: 200_000,
    group: motes,
    hint: 'Particles in one tile of the finished piece.',
  }),
  size: number(0.004, {
    label: 'Size',
    unit: 'mm',
    min: 0.00005,
    max: 5,
    comfort: 0.05,
    display: 1000,
    decimals: 1,
    group: motes,
    hint: 'Radius of the most common particle in millimetres.',
  }),
  variation: number(0.8, {
    label: 'Size variation',
    min: 0,
    max: 1,
    group: motes,
    when: { field: 'sizeBy', is: ['steep'] },
    hint: '0: all alike. 1: many tiny and a few twelve times larger.',
  }),
  sizeBy: choice(
    'steep',
    { steep: 'Many tiny, few large', profile: 'A curve of its own' },
    { label: 'Sizes', group: motes, hint: 'How sizes are shared out among the particles.' },
  ),
  sizeProfile: profile([0.2, 0.25, 0.3, 0.4, 0.6, 1, 2, 5], {
    label: 'Size curve',
    min: 0,
    max: 12,
    group: motes,
    when: { field: 'sizeBy', is: ['profile'] },
    hint: 'From the smallest draw to the largest, as multiples of the size.',
  }),
  ...spriteFields(motes),
  softness: number(0.5, {
    label: 'Softness',
    min: 0,
    max: 1,
    group: motes,
    hint: '0: a disc with a clear edge. 1: fades from its centre.',
  }),
  light: animated(2.4, {
    label: 'Light',
    unit: '×',
    min: 0,
    max: 10_000,
    comfort: 40,
    group: motes,
    hint: 'Brightness; 1 shows the gradient as it is on a particle that fills a pixel.',
  }),
  glint: number(0.9, {
    label: 'Glint',
    min: 0,
    max: 1,
    group: motes,
    hint: '0: all equally bright. 1: most faint, a few brilliant.',
  }),
  gradient: gradientField(['#0c4a5c', '#5fe3c0', '#fff1cf']),
  placeBy: placeByField('random', PLACES, 'a particle'),
  spread: spreadField(),
  placeScale: patchField(2),
  placeCycles: patchCyclesField(),
  ...layerSeed,
});
export type FieldLayer = ValueOf<typeof FieldForm>;
