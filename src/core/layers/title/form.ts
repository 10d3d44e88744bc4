import { stockFile } from '../../kept';
import { placement } from '../../elements/place/form';
import {
  animated,
  choice,
  file,
  flag,
  form,
  heading,
  shownIf,
  integer,
  number,
  tag,
  text,
  without,
  type Condition,
  type ValueOf,
} from '../../forms';
import { matterField } from '../../matter/kinds';
import type { OnFrames } from '../../time/exposure';
import { layerBase, layerSeed } from '../base';
import { gradientField, placeByField, spreadField } from '../tint';

const words = heading('Words');
const body = heading('Depth');
const edges = heading('Edge');
const place = placement.once.control?.group ?? heading('Place');
const inWorld: Condition = { field: 'stands', is: ['world'] };
const inFrame: Condition = { field: 'stands', is: ['frame'] };
const shows = (...is: string[]): Condition => ({ field: 'shows', is });
const letters = shows('words', 'number');
const written = (...is: string[]): Condition[] => [shows('number'), { field: 'format', is }];
const share = { unit: '× size', group: words };

/** Where a title keeps to, by how far it is to the right and up. */
export const ANCHOR = {
  'top left': [-1, 1],
  top: [0, 1],
  'top right': [1, 1],
  left: [-1, 0],
  middle: [0, 0],
  right: [1, 0],
  'bottom left': [-1, -1],
  bottom: [0, -1],
  'bottom right': [1, -1],
} as const;
const ANCHORS = {
  'top left': 'Top left',
  top: 'Top',
  'top right': 'Top right',
  left: 'Left',
  middle: 'The middle',
  right: 'Right',
  'bottom left': 'Bottom left',
  bottom: 'Bottom',
  'bottom right': 'Bottom right',
} as const satisfies Record<keyof typeof ANCHOR, string>;

const PLACES = {
  order: 'By order',
  chance: 'By chance',
  across: 'From left to right',
  height: 'By height',
};

export const TitleForm = form({
  ...layerBase,
  kind: tag('title'),
  shows: choice(
    'words',
    { words: 'Words', number: 'A number that counts', mark: 'A mark' },
    { label: 'Shows', kept: true, group: words, hint: 'Words, a value as a number, or the shapes of an SVG drawing.' },
  ),
  text: text('MARROW QUAY', {
    label: 'Text',
    group: words,
    most: 2000,
    lines: true,
    when: shows('words'),
    hint: 'What it says; Enter begins another line.',
  }),
  mark: file('mark', null, {
    label: 'Mark',
    group: words,
    when: shows('mark'),
    hint: 'An SVG drawing with filled shapes: each is an element.',
  }),
  value: animated(
    {
      law: 'keyed',
      keys: [
        { id: 'k0', at: 0, value: 10, ease: 'linear' },
        { id: 'k1', at: 0.96, value: 0, ease: 'hold' },
      ],
    },
    {
      label: 'Value',
      group: words,
      min: 0,
      max: 1_000_000,
      comfort: 100,
      decimals: 2,
      when: shows('number'),
      hint: 'What is counted: a number, seconds, or beats from 0. It changes on whole frames.',
    },
  ),
  format: choice(
    'plain',
    { plain: 'Number', clock: 'Minutes and seconds', frames: 'Minutes, seconds, frames', beats: 'Bars and beats' },
    { label: 'Written as', kept: true, group: words, when: shows('number'), hint: 'How the value is written.' },
  ),
  digits: integer(2, {
    label: 'Digits',
    kept: true,
    group: words,
    min: 1,
    max: 9,
    when: shows('number'),
    hint: 'Digits of the first part; there are always as many.',
  }),
  decimals: integer(0, {
    label: 'Decimals',
    kept: true,
    group: words,
    min: 0,
    max: 6,
    when: written('plain'),
    hint: 'Digits behind the point.',
  }),
  before: text('', {
    label: 'In front',
    group: words,
    most: 80,
    when: shows('number'),
    hint: 'Words in front of the number.',
  }),
  after: text('', {
    label: 'Behind',
    group: words,
    most: 80,
    when: shows('number'),
    hint: 'Words behind it, such as %.',
  }),
  font: file('font', stockFile('Anton'), {
    label: 'Font',
    group: words,
    when: letters,
    hint: 'Its letters; your own are kept with the piece.',
  }),
  elements: choice(
    'letters',
    { letters: 'Letters', words: 'Words', lines: 'Lines' },
    {
      label: 'Moves by',
      kept: true,
      group: words,
      when: shows('words'),
      hint: 'What treatments move as one, in reading order.',
    },
  ),
  apart: flag(true, {
    label: 'Shapes apart',
    group: words,
    when: shows('mark'),
    hint: 'Every path of the drawing is an element of its own.',
  }),
  size: number(0.6, {
    label: 'Size',
    unit: 'm',
    min: 0.001,
    max: 1000,
    comfort: 3,
    group: words,
    drags: 'scale',
    hint: 'Metres of the em, about one line; height of a mark.',
  }),
  tracking: number(0.02, {
    label: 'Spacing',
    min: -0.5,
    max: 5,
    comfort: 0.5,
    decimals: 3,
    ...share,
    when: letters,
    hint: 'Added between letters, as a share of the size; with 0 letters may join.',
  }),
  leading: number(1.15, {
    label: 'Leading',
    min: 0.2,
    max: 10,
    comfort: 2,
    decimals: 2,
    ...share,
    when: shows('words'),
    hint: 'From one base line to the next.',
  }),
  align: choice(
    'centre',
    { left: 'Left', centre: 'Centre', right: 'Right' },
    { label: 'Aligned', group: words, when: shows('words'), hint: 'Where lines of other lengths begin.' },
  ),
  bend: number(0, {
    label: 'Bent by',
    unit: '°',
    min: -360,
    max: 360,
    comfort: 180,
    decimals: 1,
    group: words,
    when: letters,
    hint: 'Degrees of a circle that the widest line runs along; negative, its middle is lowest.',
  }),
  around: choice(
    'plane',
    { plane: 'In its own plane', drum: 'Around an upright drum' },
    {
      label: 'Bent',
      group: words,
      when: letters,
      hint: 'Along a circle it stands on, or around a drum that letters face out from.',
    },
  ),
  rise: number(0, {
    label: 'Turned',
    unit: '°',
    min: -180,
    max: 180,
    comfort: 45,
    decimals: 1,
    group: words,
    when: letters,
    hint: 'Degrees that base lines rise.',
  }),
  depth: number(0.12, {
    label: 'Depth',
    unit: '× size',
    min: 0,
    max: 10,
    comfort: 0.6,
    decimals: 3,
    group: body,
    hint: 'From front to back, as a share of the size; 0 is flat.',
  }),
  bevel: number(0.012, {
    label: 'Bevel',
    unit: '× size',
    min: 0,
    max: 0.5,
    comfort: 0.06,
    decimals: 3,
    group: body,
    hint: 'How far edges are taken off, inwards; narrower where strokes are thin.',
  }),
  round: integer(2, {
    label: 'Bevel steps',
    min: 1,
    max: 8,
    group: body,
    hint: '1: a straight bevel. More: a round one.',
  }),
  edge: choice(
    'none',
    {
      none: 'Nowhere',
      base: 'Below its base line',
      below: 'Below a height',
      above: 'Above a height',
      left: 'Left of a place',
      right: 'Right of a place',
    },
    {
      label: 'Cut off',
      group: edges,
      hint: 'Letters are seen on one side of an edge only, which stays where it is: what moves out from behind it is cut there.',
    },
  ),
  edgeAt: number(0, {
    label: 'Edge at',
    unit: '× size',
    min: -100,
    max: 100,
    comfort: 3,
    decimals: 2,
    group: edges,
    when: { field: 'edge', is: ['base', 'below', 'above', 'left', 'right'] },
    hint: 'From the base line, or from the middle of the title.',
  }),
  gradient: gradientField(['#e8e2d4', '#f6f2e8']),
  placeBy: placeByField('order', PLACES, 'a letter'),
  spread: spreadField(),
  matter: matterField(),
  stands: choice(
    'world',
    { world: 'In the world', frame: 'In the frame' },
    {
      label: 'Stands',
      kept: true,
      group: place,
      hint: 'Somewhere in the world, or always at the same place of the picture.',
    },
  ),
  anchor: choice('bottom', ANCHORS, {
    label: 'Keeps to',
    kept: true,
    group: place,
    when: inFrame,
    hint: 'Where in the frame it is.',
  }),
  margin: number(0.1, {
    label: 'Margin',
    unit: '× frame',
    min: 0,
    max: 0.5,
    decimals: 3,
    kept: true,
    group: place,
    when: inFrame,
    hint: 'Left free at the borders, as a share of the shorter side; the line in the picture shows it.',
  }),
  high: number(0.12, {
    label: 'Size there',
    unit: '× frame',
    min: 0.001,
    max: 4,
    comfort: 0.5,
    decimals: 3,
    group: place,
    when: inFrame,
    hint: 'The em, about one line, as a share of the shorter side of the frame.',
  }),
  depthOf: choice(
    'over',
    { over: 'Before everything', focus: 'At the sharp distance', distance: 'At a distance' },
    {
      label: 'Depth there',
      kept: true,
      group: place,
      when: inFrame,
      hint: 'Before everything it is always sharp and whole; else the lens sees it like all that is as far away.',
    },
  ),
  distance: number(2, {
    label: 'Distance',
    unit: 'm',
    min: 0.05,
    max: 1000,
    comfort: 10,
    group: place,
    when: [inFrame, { field: 'depthOf', is: ['distance'] }],
    hint: 'Metres before the camera.',
  }),
  ...shownIf(without(placement, 'once'), inWorld),
  once: flag(true, {
    label: 'Stands once',
    group: place,
    when: inWorld,
    hint: 'Once in the world instead of once in every tile; closes when the camera stays.',
  }),
  ...layerSeed,
});
export type TitleLayer = ValueOf<typeof TitleForm> & OnFrames;
