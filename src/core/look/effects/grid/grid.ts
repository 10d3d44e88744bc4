import { animated, choice, form, number, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import { effectBase, type EffectDefinition } from '../definition';
import { effectReach } from '../reach';

const SHAPES = { round: 'Round', square: 'Square' };

const GridForm = form({
  ...effectBase,
  kind: tag('grid'),
  cell: animated(0.015, {
    label: 'Cell',
    unit: '% of height',
    min: 0.002,
    max: 0.5,
    comfort: 0.06,
    display: 100,
    decimals: 2,
    hint: 'From one cell to the next, as a share of the shorter side.',
  }),
  shape: choice('round', SHAPES, { label: 'Shape', hint: 'What a cell looks like.' }),
  gap: number(0.25, {
    label: 'Gap',
    unit: '% of a cell',
    min: 0,
    max: 0.9,
    display: 100,
    decimals: 0,
    hint: 'Dark between cells. They shine the more, so that the picture stays as bright, as far as white.',
  }),
  ...effectReach(),
});
export type Grid = ValueOf<typeof GridForm>;

/** The share of a cell that shines. */
export const litShare = ({ shape, gap }: Pick<Grid, 'shape' | 'gap'>): number =>
  (1 - gap) ** 2 * (shape === 'round' ? Math.PI / 4 : 1);

export const grid: EffectDefinition<Grid> = {
  kind: 'grid',
  label: 'Pixel grid',
  family: 'screen',
  describe: 'The picture in cells of light, as a wall of lamps shows it.',
  form: GridForm,
  space: 'display',
  summary: ({ cell, shape }, phase) =>
    `${SHAPES[shape].toLowerCase()} · ${Math.round(1 / evaluateAnimated(cell, phase))} rows`,
};
