import {
  animated,
  choice,
  flag,
  form,
  gradient,
  heading,
  integer,
  number,
  shownPart,
  type Condition,
  type ValueOf,
} from '../forms';
import { evaluateAnimated } from '../time/animated';

const group = heading('Drawn lines', 1);
const drawn: Condition = { field: 'drawn', is: ['edges', 'wire'] };
const edges: Condition = { field: 'drawn', is: ['edges'] };

const linesForm = (strokes: { unit: string; comfort: number }) =>
  form({
    drawn: choice(
      'none',
      { none: 'Nothing', edges: 'Its edges', wire: 'Every edge' },
      {
        label: 'Draws',
        group,
        hint: 'Lines along what it is made of: contours, creases and borders, or all the edges of its mesh.',
      },
    ),
    over: choice(
      'shaded',
      { shaded: 'As it is', flat: 'One flat colour', nothing: 'Nothing: lines alone' },
      {
        label: 'Over',
        group,
        when: drawn,
        hint: 'What the lines are drawn on: the body as it is lit, its colour without light, or the background, with what is behind the body still hidden.',
      },
    ),
    contours: flag(true, {
      label: 'Contours',
      group,
      when: edges,
      hint: 'Where it turns away from the camera.',
    }),
    creases: flag(true, {
      label: 'Creases',
      group,
      when: edges,
      hint: 'Where its faces meet at an angle.',
    }),
    sharper: number(25, {
      label: 'Sharper than',
      unit: '°',
      min: 1,
      max: 179,
      decimals: 0,
      group,
      when: [edges, { field: 'creases', is: [true] }],
      hint: 'Creases that turn by less are left out.',
    }),
    borders: flag(true, {
      label: 'Borders',
      group,
      when: edges,
      hint: 'Where something open ends.',
    }),
    by: choice(
      'frame',
      { frame: 'Share of the frame', metres: 'Metres' },
      { label: 'Width as', group, when: drawn, hint: 'As wide at any distance, or as wide as something of that size.' },
    ),
    wide: animated(0.0025, {
      label: 'Width',
      unit: '× frame',
      min: 0,
      max: 0.2,
      comfort: 0.01,
      decimals: 4,
      group,
      when: [drawn, { field: 'by', is: ['frame'] }],
      hint: 'Share of the frame’s height.',
    }),
    metres: animated(0.01, {
      label: 'Width',
      unit: 'm',
      min: 0,
      max: 10,
      comfort: 0.1,
      decimals: 3,
      group,
      when: [drawn, { field: 'by', is: ['metres'] }],
      hint: 'Metres across.',
    }),
    taper: animated(0.3, {
      label: 'Swells',
      min: 0,
      max: 1,
      group,
      when: drawn,
      hint: 'How much thinner and thicker it is along its way, as drawn by hand: 1 from nothing to twice.',
    }),
    waver: animated(0, {
      label: 'Wavers',
      unit: '× width',
      min: 0,
      max: 40,
      comfort: 6,
      group,
      when: drawn,
      hint: 'How far it wanders aside, in its own widths.',
    }),
    strokes: number(0.5, {
      label: 'Strokes',
      ...strokes,
      min: 0.01,
      max: 100,
      group,
      when: drawn,
      hint: 'About how far it is from swell to swell.',
    }),
    cycles: integer(0, {
      label: 'Redrawn',
      perLap: true,
      unit: 'cycles per lap',
      min: 0,
      max: 64,
      comfort: 8,
      group,
      when: drawn,
      hint: 'Most whole cycles in which swells and wavers move; 0 stands still.',
    }),
    inks: gradient(['#e8edf0'], {
      label: 'Ink',
      group,
      when: drawn,
      hint: 'Colours from the nearest line to those as far away as the next value.',
    }),
    fades: number(20, {
      label: 'Ink over',
      unit: 'm',
      min: 0.1,
      max: 10_000,
      comfort: 60,
      group,
      when: drawn,
      hint: 'Metres from the camera over which the ink goes from its first colour to its last.',
    }),
    shines: animated(1, {
      label: 'Shines',
      unit: '×',
      min: 0,
      max: 1000,
      comfort: 8,
      group,
      when: drawn,
      hint: 'How bright its ink is; no light falls on it.',
    }),
    hidden: animated(0, {
      label: 'Hidden lines',
      min: 0,
      max: 1,
      group,
      when: drawn,
      hint: 'How strongly lines behind something are still seen: 0 not at all.',
    }),
  });
const OF_BODIES = linesForm({ unit: '× body', comfort: 4 });
const OF_SURFACES = linesForm({ unit: 'm', comfort: 12 });
export type Lines = ValueOf<typeof OF_BODIES>;

/** Whether there are any. */
export const drawsLines = (lines: Lines | undefined): lines is Lines => lines !== undefined && lines.drawn !== 'none';

/** Lines drawn along what a layer is made of: a field of it. @param of bodies, whose strokes grow with them, or a surface */
export const linesField = (of: 'bodies' | 'surface' = 'bodies') =>
  shownPart(
    of === 'bodies' ? OF_BODIES : OF_SURFACES,
    {},
    { label: 'Drawn lines', group, hint: 'Lines along its contours, creases and borders.' },
  );

/** Numbers that the program of lines reads: see engine/drawings/bodies/lines.vert.glsl. */
export function lineValues(lines: Lines, phase: number): number[] {
  const at = (value: Lines['wide']): number => evaluateAnimated(value, phase);
  const all = lines.drawn === 'wire';
  return [
    ...[lines.by === 'frame' ? at(lines.wide) : at(lines.metres), lines.by === 'frame' ? 0 : 1],
    ...[at(lines.taper), at(lines.waver)],
    ...[1 / lines.strokes, Math.max(1, lines.cycles), lines.cycles > 0 ? phase - Math.floor(phase) : 0, lines.fades],
    // a crease is drawn whose fold is below the cosine; nothing is below -2
    ...[all || lines.contours ? 1 : 0, all ? 2 : lines.creases ? Math.cos((lines.sharper * Math.PI) / 180) : -2],
    ...[all || lines.borders ? 1 : 0, at(lines.shines)],
  ];
}
