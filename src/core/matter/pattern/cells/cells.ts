import { choice, form, tag, type ValueOf } from '../../../forms';
import { drivingFields, lyingFields, noiseFields, PATTERN_HEADING, type PatternDefinition } from '../definition';
import { cellsBy } from '../pattern.gen';

const CellsForm = form({
  kind: tag('cells'),
  by: choice(
    'edges',
    { own: 'Fields', round: 'Pits', domes: 'Domes', edges: 'Cracks' },
    {
      label: 'Read as',
      group: PATTERN_HEADING,
      hint: 'Fields that are even each, pits about the middles of cells, domes there, or cracks where cells meet.',
    },
  ),
  ...lyingFields({ own: 0.35, metres: 0.8, view: 0.1, hint: 'About the distance from cell to cell' }),
  ...noiseFields,
  ...drivingFields(['#171a1e', '#5d6a70', '#e8e2d0'], { colour: 0.8, relief: 0 }),
});
export type Cells = ValueOf<typeof CellsForm>;

export const cells: PatternDefinition<Cells> = {
  kind: 'cells',
  label: 'Cells',
  describe: 'Space divided among points: fields, pits, domes or cracks that wander and come back.',
  form: CellsForm,
  choices: ({ by, cycles }) => [cellsBy[by], cycles, 0],
};
