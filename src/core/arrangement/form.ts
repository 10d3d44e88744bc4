import {
  choice,
  flag,
  heading,
  integer,
  layerRef,
  number,
  vectorFields,
  type Condition,
  type FieldsValue,
} from '../forms';

export const ARRANGEMENTS = {
  grid: 'Grid',
  ring: 'Ring',
  spiral: 'Spiral',
  line: 'Line along the travel',
  route: 'Along a route',
  sphere: 'On a ball',
  scatter: 'Scattered in a box',
  depth: 'Spread evenly in depth',
};
export type Arrangement = keyof typeof ARRANGEMENTS;

const shape = heading('Arrangement');
const at = (...is: Arrangement[]): Condition => ({ field: 'arrangement', is });
const metres = { unit: 'm', min: 0, max: 10_000, comfort: 4, group: shape };
const rows = { min: 1, max: 400, comfort: 30, group: shape, when: at('grid') };

/** Where an arrangement stands in the world is for it to say, unless it lies along a route. */
export const OFF_ROUTE: Condition = at('grid', 'ring', 'spiral', 'line', 'sphere', 'scatter', 'depth');

/**
 * How things that are alike stand.
 * @param first the arrangement they have at first; @param one what one of them is called; @param all and several; @param many how many there are of them at first
 */
export function arrangementFields(first: Arrangement, one: string, all: string, many = 20) {
  const All = all.charAt(0).toUpperCase() + all.slice(1);
  return {
    arrangement: choice(first, ARRANGEMENTS, { label: 'Arranged', group: shape, hint: `How the ${all} stand.` }),
    countX: integer(8, { label: 'Aside', ...rows, hint: `${All} from left to right.` }),
    countY: integer(8, { label: 'Up', ...rows, hint: `${All} from bottom to top.` }),
    countZ: integer(3, { label: 'Along', ...rows, hint: `${All} along the travel.` }),
    count: integer(many, {
      label: All,
      min: 1,
      max: 200_000,
      comfort: 400,
      group: shape,
      when: at('ring', 'spiral', 'line', 'route', 'sphere', 'scatter', 'depth'),
      hint: `${All} in the finished piece, in one tile.`,
    }),
    ...vectorFields('step', 0.4, {
      labels: ['Step aside', 'Step up', 'Step along'],
      ...metres,
      when: at('grid'),
      hint: `Metres from one ${one} to the next.`,
    }),
    spacing: number(0.5, { label: 'Step', ...metres, when: at('line'), hint: `Metres from one ${one} to the next.` }),
    fill: flag(false, {
      label: 'Fills the tile',
      group: shape,
      when: at('line', 'scatter', 'depth'),
      hint: 'Spread over the whole tile, so that it goes on without an end.',
    }),
    radius: number(2, {
      label: 'Radius',
      ...metres,
      when: at('ring', 'spiral', 'route', 'sphere'),
      hint: 'Metres from the middle; along a route, from the route.',
    }),
    radiusEnd: number(0.3, {
      label: 'Ends at',
      ...metres,
      when: at('spiral'),
      hint: `Radius of the last ${one} in metres.`,
    }),
    winds: number(3, {
      label: 'Winds',
      unit: 'turns',
      min: -200,
      max: 200,
      comfort: 8,
      group: shape,
      when: at('spiral', 'route'),
      hint: `Turns from the first ${one} to the last; around a route whole turns per tile close.`,
    }),
    rise: number(0, {
      label: 'Rise',
      unit: 'm',
      min: -10_000,
      max: 10_000,
      comfort: 10,
      group: shape,
      when: at('spiral'),
      hint: `Metres along the travel from the first ${one} to the last.`,
    }),
    ...vectorFields('box', 4, {
      labels: ['Box width', 'Box height', 'Box depth'],
      ...metres,
      when: at('scatter', 'depth'),
      hint: 'Metres of the box they are spread in.',
    }),
    distance: number(0.3, {
      label: 'At least apart',
      ...metres,
      when: at('scatter'),
      hint: `No two ${all} are nearer than this; when no more fit, fewer come.`,
    }),
    clear: number(0, {
      label: 'Kept clear',
      ...metres,
      when: at('depth'),
      hint: 'Metres around the middle in which none stands, for a camera that goes through.',
    }),
    follow: layerRef({
      label: 'Follows',
      group: shape,
      when: at('route'),
      hint: 'The tunnel whose route they stand along.',
    }),
    align: flag(true, {
      label: 'Aligned',
      group: shape,
      when: at('ring', 'spiral', 'route', 'sphere'),
      hint: 'Each turned with the arrangement.',
    }),
  };
}

/** What is added from each of those that are arranged to the next. */
export function successionFields(one: string) {
  const group = heading(`From each ${one} to the next`);
  const each = `each ${one}`;
  return {
    ...vectorFields('turn', 0, {
      labels: ['Turn, cross axis', 'Turn, upright', 'Turn, travel axis'],
      unit: 'turns',
      min: -10,
      max: 10,
      comfort: 0.25,
      decimals: 3,
      group,
      hint: `Turns ${each} makes more than the one before, about its own axis.`,
    }),
    ...vectorFields('move', 0, {
      labels: ['Shift aside', 'Shift up', 'Shift along'],
      unit: 'm',
      min: -1000,
      max: 1000,
      comfort: 1,
      group,
      hint: `Metres ${each} stands farther than the one before.`,
    }),
    grow: number(1, {
      label: 'Last one',
      unit: '× size',
      min: 0.01,
      max: 100,
      comfort: 4,
      decimals: 2,
      group,
      hint: `Size of the last ${one} as a multiple of the first.`,
    }),
  };
}

/** What arranges things, as a layer has it. */
export type Arranged = FieldsValue<ReturnType<typeof arrangementFields>> &
  FieldsValue<ReturnType<typeof successionFields>> & { seed: number };
