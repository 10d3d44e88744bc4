import { stockFile } from '../../kept';
import { choice, file, flag, form, heading, integer, number, tag, text, type ValueOf } from '../../forms';
import { linesField } from '../../lines/lines';
import { matterFields } from '../../matter/kinds';
import type { OnFrames } from '../../time/exposure';
import { layerBase, layerSeed } from '../base';
import { gradientField, placeByField, spreadField } from '../tint';
import { edgeFields } from './edge';
import { numberFields } from './number';
import { inWorld, standingFields } from './standing';
import { shows, words } from './words';

const body = heading('Depth');
const letters = shows('words', 'number');
const share = { unit: '× size', group: words };

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
    given: true,
    group: words,
    most: 2000,
    lines: true,
    when: shows('words'),
    hint: 'What it says; Enter begins another line.',
  }),
  mark: file('mark', null, {
    label: 'Mark',
    given: true,
    group: words,
    when: shows('mark'),
    hint: 'An SVG drawing with filled shapes: each is an element.',
  }),
  ...numberFields,
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
    when: inWorld,
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
      label: 'Bent along',
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
  ...edgeFields,
  gradient: gradientField(['#e8e2d4', '#f6f2e8']),
  placeBy: placeByField('order', PLACES, 'a letter'),
  spread: spreadField(),
  ...matterFields(true, 'layer'),
  lines: linesField(),
  ...standingFields,
  ...layerSeed,
});
export type TitleLayer = ValueOf<typeof TitleForm> & OnFrames;
