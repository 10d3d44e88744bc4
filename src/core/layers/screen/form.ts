import { arrangementFields, OFF_ROUTE, successionFields, type Arranged } from '../../arrangement';
import { placement, type Placement } from '../../elements/place/form';
import {
  animated,
  choice,
  colour,
  flag,
  form,
  heading,
  integer,
  number,
  shownIf,
  shownList,
  tag,
  without,
  type Condition,
  type ValueOf,
} from '../../forms';
import { linesField } from '../../lines/lines';
import { matterFields } from '../../matter/kinds';
import { solidsWith, solidWords } from '../../solids/solids';
import type { OnFrames } from '../../time/exposure';
import { layerBase, layerSeed } from '../base';
import { gradientField, placeByField, spreadField } from '../tint';
import { cropFields } from './crop';
import { SHOWS, showsOf, type Shown } from '../../shows/kinds';

const shown = heading('Shows', -2);
const panel = heading('Panel', -1);
const light = heading('Light');
const dots = heading('Dots');
const loading = heading('Loading');
const lines = heading('Lines');
const high = { unit: '× height', min: 0, decimals: 3 };

const stands = (...is: string[]): Condition => ({ field: 'stands', is });
const onFaces = (uses: Parameters<typeof solidsWith>[0]): Condition[] => [
  stands('faces'),
  { field: 'solid', is: solidsWith(uses) },
];
const doubled: Condition[] = [stands('flat', 'curved'), { field: 'second', is: [true] }];
const dotted: Condition = { field: 'dots', is: ['round', 'square'] };
const loads: Condition = { field: 'loads', is: ['rows', 'chance', 'middle'] };

const PLACES = { order: 'By order', chance: 'By chance', height: 'By height' };
/** The solids that have faces to show something on. */
const { plane: _plane, outline: _outline, model: _model, ...faces } = solidWords;

export const ScreenForm = form({
  ...layerBase,
  kind: tag('screen'),
  shows: shownList(SHOWS, 24, (one) => showsOf((one as Shown).kind).label.toLowerCase(), {
    label: 'Shows',
    group: shown,
    hint: 'Pictures and clips, dealt out over the panels.',
  }),
  dealt: choice(
    'order',
    { order: 'In order, over and over', chance: 'By chance', weight: 'By weight' },
    { label: 'Dealt out', group: shown, hint: 'Which panel shows which of them.' },
  ),
  stands: choice(
    'flat',
    { flat: 'Flat panels', curved: 'Curved panels', faces: 'Faces of a body' },
    { label: 'Stands on', group: panel, hint: 'What carries the picture.' },
  ),
  solid: choice('box', faces, {
    label: 'Body',
    group: panel,
    when: stands('faces'),
    hint: 'What has it on its faces.',
  }),
  sides: integer(6, {
    label: 'Sides',
    min: 3,
    max: 64,
    comfort: 12,
    group: panel,
    when: onFaces('sides'),
    hint: 'Corners of the prism or frame.',
  }),
  bevel: number(0.02, {
    label: 'Bevel',
    ...high,
    max: 0.5,
    group: panel,
    when: onFaces('bevel'),
    hint: 'Radius of its rounded edges.',
  }),
  thickness: number(0.18, {
    label: 'Thickness',
    ...high,
    min: 0.005,
    max: 0.5,
    group: panel,
    when: onFaces('thickness'),
    hint: 'Of the ring or the bars of a frame.',
  }),
  deep: number(1, {
    label: 'Depth',
    ...high,
    min: 0.001,
    max: 1000,
    comfort: 2,
    group: panel,
    when: stands('faces'),
    hint: 'From front to back, as a multiple of the height.',
  }),
  caps: flag(true, {
    label: 'Caps too',
    group: panel,
    when: stands('faces'),
    hint: 'Off: what looks up and down is dark.',
  }),
  size: number(1, {
    label: 'Height',
    unit: 'm',
    min: 0.001,
    max: 1000,
    comfort: 4,
    group: panel,
    hint: 'Metres from its lower to its upper edge.',
  }),
  shape: choice(
    'own',
    { own: 'As the picture has it', set: 'A stated width' },
    { label: 'Proportions', group: panel, hint: 'Where its width comes from.' },
  ),
  wide: number(1.778, {
    label: 'Width',
    ...high,
    min: 0.01,
    max: 100,
    comfort: 3,
    group: panel,
    when: { field: 'shape', is: ['set'] },
    hint: 'Width as a multiple of the height.',
  }),
  curve: number(60, {
    label: 'Bent by',
    unit: '°',
    min: -350,
    max: 350,
    comfort: 180,
    decimals: 1,
    group: panel,
    when: stands('curved'),
    hint: 'Degrees of a circle; above 0 its sides come towards you, below 0 its middle does.',
  }),
  facing: choice(
    'along',
    { along: 'Along the axis', in: 'The middle', out: 'Away from it' },
    {
      label: 'Faces',
      group: panel,
      when: [
        { field: 'arrangement', is: ['ring', 'spiral', 'route', 'sphere'] },
        { field: 'align', is: [true] },
      ],
      hint: 'Where panels look that stand around something.',
    },
  ),
  variation: number(0, {
    label: 'Size variation',
    min: 0,
    max: 3,
    comfort: 1,
    group: panel,
    hint: '0: alike. 1: half to twice.',
  }),
  second: flag(false, {
    label: 'Second plane',
    group: panel,
    when: stands('flat', 'curved'),
    hint: 'Another plane behind shows the same, its dots between those in front.',
  }),
  behind: number(0.05, {
    label: 'Behind by',
    ...high,
    min: 0.001,
    max: 10,
    comfort: 0.2,
    group: panel,
    when: doubled,
    hint: 'How far behind the first it stands.',
  }),
  behindLight: number(0.45, {
    label: 'Light of it',
    unit: '×',
    min: 0,
    max: 10,
    comfort: 1,
    decimals: 2,
    group: panel,
    when: doubled,
    hint: 'Brightness of the second plane against the first.',
  }),
  back: choice(
    'dark',
    { dark: 'Dark', same: 'The picture, seen through', none: 'Nothing' },
    { label: 'Its back', group: panel, when: stands('flat', 'curved'), hint: 'What is seen from behind.' },
  ),
  edge: number(0.012, {
    label: 'Edge',
    ...high,
    max: 0.45,
    comfort: 0.08,
    group: panel,
    hint: 'Width of a frame around the picture.',
  }),
  edgeColour: colour('#14171a', { label: 'Edge colour', group: panel, hint: 'Of the frame, the back and dark gaps.' }),
  edgeLight: animated(0, {
    label: 'Edge light',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 4,
    decimals: 2,
    group: panel,
    hint: 'How much of its colour the frame gives off by itself.',
  }),
  ...cropFields,
  emission: animated(2, {
    label: 'Gives off',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 4,
    decimals: 2,
    group: light,
    hint: 'How bright its picture shines; 1 is white as white is.',
  }),
  surface: number(0.12, {
    label: 'Gives back',
    unit: '×',
    min: 0,
    max: 1,
    decimals: 2,
    group: light,
    hint: 'How much of the lights that fall on it: 0 a glowing screen, 1 a printed board.',
  }),
  lights: flag(false, {
    label: 'Lights what is near',
    group: light,
    hint: 'Each panel is a soft box of the mean colour of what it shows: the first six of the layer, from their fronts.',
  }),
  opacity: animated(1, {
    label: 'There',
    min: 0,
    max: 1,
    decimals: 2,
    group: light,
    hint: '1 hides what is behind it, 0 is not there.',
  }),
  dots: choice(
    'none',
    { none: 'None', round: 'Round', square: 'Square' },
    { label: 'Dots', group: dots, hint: 'The picture in lamps of one colour each.' },
  ),
  dotRows: integer(48, {
    label: 'Rows',
    min: 1,
    max: 4000,
    comfort: 120,
    group: dots,
    when: dotted,
    hint: 'Dots from the lower to the upper edge; as far apart across.',
  }),
  dotGap: number(0.3, {
    label: 'Gap',
    unit: '× pitch',
    min: 0,
    max: 0.98,
    decimals: 2,
    group: dots,
    when: dotted,
    hint: 'What is free between two dots.',
  }),
  between: choice(
    'dark',
    { dark: 'Dark', open: 'Nothing' },
    {
      label: 'Between them',
      group: dots,
      when: dotted,
      hint: 'Nothing: what is behind is seen, the second plane too.',
    },
  ),
  loads: choice(
    'none',
    { none: 'At once', rows: 'Row by row', chance: 'By chance', middle: 'From the middle' },
    { label: 'Loads', group: loading, hint: 'In which order the blocks of the picture come.' },
  ),
  loaded: animated(1, {
    label: 'Loaded',
    min: 0,
    max: 1,
    decimals: 3,
    group: loading,
    when: loads,
    hint: 'The share of its blocks that is there: give it keys.',
  }),
  blockRows: integer(9, {
    label: 'Blocks',
    min: 1,
    max: 400,
    comfort: 30,
    group: loading,
    when: loads,
    hint: 'Blocks from the lower to the upper edge.',
  }),
  loadSpread: number(0.5, {
    label: 'One after another',
    min: 0,
    max: 1,
    decimals: 2,
    group: loading,
    when: loads,
    hint: '0: all panels load together. 1: the next begins when the one before is done.',
  }),
  before: choice(
    'coarse',
    { coarse: 'Its mean colour', dark: 'Dark', none: 'Nothing' },
    { label: 'Before that', group: loading, when: loads, hint: 'What a block is until it is loaded.' },
  ),
  lineRows: integer(0, {
    label: 'Lines',
    min: 0,
    max: 2000,
    comfort: 120,
    group: lines,
    hint: 'Dark lines across the picture from its upper to its lower edge; 0 for none.',
  }),
  lineDark: number(0.35, {
    label: 'Darkness',
    min: 0,
    max: 1,
    decimals: 2,
    group: lines,
    hint: 'How much light they take away.',
  }),
  lineRun: integer(0, {
    label: 'Run down',
    perLap: true,
    unit: 'lines a lap',
    min: -10_000,
    max: 10_000,
    comfort: 24,
    group: lines,
    hint: 'Whole lines that they move down over a lap.',
  }),
  ...arrangementFields('grid', 'panel', 'panels'),
  ...successionFields('panel'),
  gradient: gradientField(['#ffffff']),
  placeBy: placeByField('order', PLACES, 'a panel'),
  spread: spreadField(),
  ...matterFields(),
  lines: linesField(),
  once: placement.once,
  ...shownIf(without(placement, 'once'), OFF_ROUTE),
  ...layerSeed,
});
export type ScreenLayer = ValueOf<typeof ScreenForm> & Arranged & Placement & OnFrames;
