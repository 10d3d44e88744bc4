import { arrangementFields, OFF_ROUTE, successionFields } from '../../arrangement';
import { placement } from '../../elements/place/form';
import {
  animated,
  choice,
  file,
  form,
  grouped,
  heading,
  integer,
  number,
  shownIf,
  stretch,
  tag,
  without,
  type ValueOf,
} from '../../forms';
import { stockFile } from '../../kept';
import { linesField } from '../../lines/lines';
import { matterFields } from '../../matter/kinds';
import { modelFields } from '../../solids/exchange';
import { solidWords } from '../../solids/solids';
import { layerBase, layerSeed, spriteFields } from '../base';
import { gradientField, placeByField, spreadField } from '../tint';

const moves = heading('Motion');
const own = heading('Figure');
const asBodies = { field: 'drawn', is: ['bodies'] };
const asPoints = { field: 'drawn', is: ['points'] };
const asLight = { field: 'drawn', is: ['points', 'lines'] };

const ofModel = modelFields([asBodies, { field: 'bone', is: ['model'] }]);
const PLACES = { joint: 'By joint', figure: 'By figure', chance: 'By chance', height: 'By height' };

export const FigureForm = form({
  ...layerBase,
  kind: tag('figure'),
  motion: file('motion', stockFile('Walking'), {
    label: 'Motion',
    given: true,
    group: moves,
    hint: 'A motion of your own (.bvh), or one of those that ship; your own are kept with the piece.',
  }),
  stretch: stretch({
    label: 'Stretch',
    group: moves,
    hint: 'Which frames of the motion are gone through over and over: those whose ends look alike and go on alike close best.',
  }),
  blend: integer(10, {
    label: 'Blended',
    unit: 'frames',
    min: 0,
    max: 1000,
    comfort: 60,
    group: moves,
    hint: 'Frames of the motion before and after the seam over which what its ends differ by is made good.',
  }),
  cycles: integer(0, {
    label: 'Times per lap',
    perLap: true,
    min: 0,
    max: 200,
    comfort: 16,
    group: moves,
    hint: 'How often it is gone through in a lap. 0: as often as comes nearest to its own pace, or where it goes ahead to feet that do not slide.',
  }),
  travel: choice(
    'sway',
    { sway: 'Taken out', held: 'Held by its root', tiles: 'Ahead by whole tiles' },
    {
      label: 'Its way',
      group: moves,
      hint: 'Taken out, it goes on the spot and sways as it did. Held, its root does not even sway. By whole tiles it goes ahead, and one in the next tile takes its place.',
    },
  ),
  tiles: integer(1, {
    label: 'Tiles per lap',
    perLap: true,
    min: -50,
    max: 50,
    comfort: 4,
    group: moves,
    when: { field: 'travel', is: ['tiles'] },
    hint: 'Tiles it goes ahead in a lap; less than 0 it turns round and comes back.',
  }),
  start: number(0, {
    label: 'Starts at',
    unit: 'of a stretch',
    min: 0,
    max: 1,
    group: moves,
    hint: 'How far into its stretch it is at the start of the lap.',
  }),
  late: number(0, {
    label: 'Each behind',
    unit: 'of a stretch',
    min: -2,
    max: 2,
    comfort: 0.5,
    decimals: 3,
    group: moves,
    hint: 'How much each figure is behind the one before it.',
  }),
  odd: number(0, {
    label: 'Out of step',
    unit: 'of a stretch',
    min: 0,
    max: 1,
    group: moves,
    hint: 'How much each figure is behind by chance.',
  }),
  tall: number(1.76, {
    label: 'Height',
    unit: 'm',
    min: 0.01,
    max: 1000,
    comfort: 4,
    group: own,
    hint: 'Metres from its lowest joint to its highest as it stands at rest.',
  }),
  drawn: choice(
    'bodies',
    { bodies: 'Bodies', points: 'Particles', lines: 'Lines of light' },
    {
      label: 'Drawn as',
      kept: true,
      group: own,
      hint: 'A body for each bone, particles on and around them, or a line of light along each. For a net, add Link with lines and name this layer.',
    },
  ),
  bone: choice(
    'limb',
    { limb: 'Limbs', ...solidWords },
    { label: 'Body', group: own, when: asBodies, hint: 'What a bone is.' },
  ),
  model: grouped(ofModel.model, own),
  modelUp: grouped(ofModel.up, own),
  girth: number(1, {
    label: 'Girth',
    unit: '×',
    min: 0.05,
    max: 10,
    comfort: 2,
    group: own,
    when: { field: 'drawn', is: ['bodies', 'points'] },
    hint: 'How thick its bones are, as a multiple of what suits them.',
  }),
  points: integer(6000, {
    label: 'Particles',
    min: 1,
    max: 1_000_000,
    comfort: 40_000,
    group: own,
    when: asPoints,
    hint: 'Particles of each figure in the finished piece.',
  }),
  around: number(0.01, {
    label: 'Around',
    unit: 'm',
    min: 0,
    max: 100,
    comfort: 0.3,
    group: own,
    when: asPoints,
    hint: 'How far from its bones particles get; at 0 they lie on them.',
  }),
  size: number(0.003, {
    label: 'Size',
    unit: 'mm',
    min: 0.00005,
    max: 10,
    comfort: 0.02,
    display: 1000,
    decimals: 1,
    group: own,
    when: asPoints,
    hint: 'Radius of a particle.',
  }),
  width: number(0.004, {
    label: 'Thickness',
    unit: 'mm',
    min: 0.00005,
    max: 10,
    comfort: 0.05,
    display: 1000,
    decimals: 1,
    group: own,
    when: { field: 'drawn', is: ['lines'] },
    hint: 'Of a line.',
  }),
  ...spriteFields(own, [asPoints]),
  softness: number(0.4, {
    label: 'Softness',
    min: 0,
    max: 1,
    group: own,
    when: asPoints,
    hint: '0 is a disc with a clear edge, 1 fades from its centre.',
  }),
  light: animated(1, {
    label: 'Light',
    min: 0,
    max: 1000,
    comfort: 4,
    group: own,
    when: asLight,
    hint: 'How bright it is.',
  }),
  ...arrangementFields('line', 'figure', 'figures', 1),
  ...successionFields('figure'),
  gradient: gradientField(['#3f4a52', '#b9c0c4', '#f2efe6']),
  placeBy: placeByField('joint', PLACES, 'a bone'),
  spread: spreadField(),
  ...shownIf({ ...matterFields(), lines: linesField() }, asBodies),
  once: placement.once,
  ...shownIf(without(placement, 'once'), OFF_ROUTE),
  ...layerSeed,
});
export type FigureLayer = ValueOf<typeof FigureForm>;
