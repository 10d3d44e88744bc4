import { placement } from '../../elements/place/form';
import {
  animated,
  choice,
  file,
  flag,
  form,
  heading,
  integer,
  number,
  tag,
  text,
  type Condition,
  type ValueOf,
} from '../../forms';
import { stockFile } from '../../kept';
import { linesField } from '../../lines/lines';
import { matterFields } from '../../matter/kinds';
import { layerBase, layerSeed, spriteFields } from '../base';
import { gradientField, placeByField, spreadField } from '../tint';
import { FIGURES, type FigureName } from './kinds/list';

const own = heading('Figure');
const reads = heading('Reads');
const goes = heading('On its way round');
const metres = { unit: 'm', min: 0.01, max: 1000, group: own };
const degrees = { unit: '°', min: -3600, max: 3600, comfort: 90, decimals: 1, group: reads };

const LABELS = Object.fromEntries(Object.entries(FIGURES).map(([name, { label }]) => [name, label])) as Record<
  FigureName,
  string
>;
const PLACES = { order: 'By order', chance: 'By chance', height: 'By height', across: 'From left to right' };
const made = (...is: FigureName[]): Condition => ({ field: 'figure', is });
const carries = (...is: string[]): Condition => ({ field: 'carries', is });
const anything = carries('lamps', 'particles', 'letters');

export const ImpossibleForm = form({
  ...layerBase,
  kind: tag('impossible'),
  figure: choice('threeBeams', LABELS, {
    label: 'Figure',
    kept: true,
    group: own,
    hint: 'What it is: each can be drawn, and none can be built.',
  }),
  width: number(2, {
    label: 'Width',
    ...metres,
    comfort: 6,
    hint: 'Metres of its longest level beam, or of all of it.',
  }),
  height: number(2, {
    label: 'Height',
    ...metres,
    comfort: 6,
    hint: 'Metres of its uprights. As high as it is wide, its faces are those of an isometric drawing.',
  }),
  thickness: number(0.32, {
    label: 'Thickness',
    ...metres,
    comfort: 1,
    when: made('threeBeams', 'square', 'crate', 'stairs', 'walkway'),
    hint: 'Metres across a beam, or from the top of a step to its underside.',
  }),
  steps: integer(2, {
    label: 'Steps',
    min: 1,
    max: 40,
    comfort: 8,
    group: own,
    when: made('stairs'),
    hint: 'Steps of its shortest flight; the others follow from that.',
  }),
  parts: choice(
    'whole',
    { whole: 'As one', blocks: 'Block by block' },
    {
      label: 'Moves',
      kept: true,
      group: own,
      hint: 'What treatments move: all of it, or each beam and each step by itself. As one, its faces have no joints.',
    },
  ),
  from: number(45, {
    label: 'From the side',
    ...degrees,
    hint: 'Degrees to the right of its front from where it reads; 45 is that of an isometric view.',
  }),
  over: number(35.264, {
    label: 'From above',
    ...degrees,
    min: -89,
    max: 89,
    decimals: 2,
    hint: 'Degrees above the level from where it reads; 35.26 is that of an isometric view.',
  }),
  distance: number(0, {
    label: 'Distance',
    unit: 'm',
    min: 0,
    max: 10_000,
    comfort: 30,
    group: reads,
    hint: 'Metres from its middle from where it reads through a lens with perspective; 0: from far off, for a lens without.',
  }),
  hold: animated(0, {
    label: 'Hold',
    min: 0,
    max: 1,
    group: reads,
    hint: 'How far it turns with the camera so that it goes on reading: 1 wherever that goes; 0 it stands, and whoever goes round it sees how it is made.',
  }),
  breaks: animated(0, {
    label: 'Break',
    ...degrees,
    hint: 'Degrees it is turned aside from where it reads; key it away from 0 and back, and it falls apart and closes.',
  }),
  tips: animated(0, { label: 'Tip', ...degrees, hint: 'Degrees its top is tipped towards the camera.' }),
  carries: choice(
    'none',
    { none: 'Nothing', lamps: 'Lamps', particles: 'Particles', letters: 'Letters' },
    { label: 'Goes round', kept: true, group: goes, hint: 'What goes round it, over and over, the way that is none.' },
  ),
  count: integer(1, {
    label: 'Count',
    min: 1,
    max: 20_000,
    comfort: 60,
    group: goes,
    when: anything,
    hint: 'How many; of letters how often the text is there.',
  }),
  rounds: number(1, {
    label: 'Rounds',
    perLap: true,
    unit: 'per lap',
    min: -64,
    max: 64,
    comfort: 4,
    decimals: 3,
    group: goes,
    when: anything,
    hint: 'How often each goes round in a lap. Of several that are alike each may take the place of the next.',
  }),
  start: number(0, {
    label: 'Starts at',
    unit: 'of a round',
    min: 0,
    max: 1,
    group: goes,
    when: anything,
    hint: 'How far round the first is at the start of the lap.',
  }),
  text: text('ALL DAY ALL NIGHT ', {
    label: 'Text',
    given: true,
    group: goes,
    most: 300,
    when: carries('letters'),
    hint: 'What it says; a space at its end keeps it off what follows.',
  }),
  font: file('font', stockFile('Anton'), {
    label: 'Font',
    group: goes,
    when: carries('letters'),
    hint: 'Its letters.',
  }),
  size: number(0.12, {
    label: 'Size',
    unit: 'm',
    min: 0.0005,
    max: 100,
    comfort: 0.6,
    decimals: 4,
    group: goes,
    when: anything,
    hint: 'Radius of a lamp or a particle; height of a line of letters.',
  }),
  strays: number(0.6, {
    label: 'Strays',
    unit: '× beam',
    min: 0,
    max: 10,
    comfort: 2,
    group: goes,
    when: carries('particles'),
    hint: 'How far particles are spread across the beam they go along.',
  }),
  glows: animated(12, {
    label: 'Light',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 40,
    group: goes,
    when: anything,
    hint: 'Brightness of what goes round.',
  }),
  softness: number(0.3, {
    label: 'Softness',
    min: 0,
    max: 1,
    group: goes,
    when: carries('lamps', 'particles'),
    hint: '0 a disc with a clear edge, 1 fades from its centre.',
  }),
  ...spriteFields(goes, [carries('lamps', 'particles')]),
  gradient: gradientField(['#e9c9a0', '#fff0d0']),
  placeBy: placeByField('order', PLACES, 'a block'),
  spread: spreadField(),
  tinted: number(1, {
    label: 'What goes round',
    min: 0,
    max: 1,
    group: heading('Colour'),
    when: anything,
    hint: 'Where on the gradient it is: 0 its first colour, 1 its last.',
  }),
  ...matterFields(false, 'layer', 'sides'),
  lines: linesField(),
  ...placement,
  once: flag(true, {
    label: 'Stands once',
    group: heading('Place', 2),
    hint: 'Once in the world instead of once in every tile; closes when the camera stays.',
  }),
  ...layerSeed,
});
export type ImpossibleLayer = ValueOf<typeof ImpossibleForm>;
