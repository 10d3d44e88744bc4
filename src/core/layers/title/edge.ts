import { choice, heading, number, type FieldsValue } from '../../forms';

const edges = heading('Edge');

/** The edge that a title is cut off at. */
export const edgeFields = {
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
};
export type Edged = FieldsValue<typeof edgeFields>;

/** Below all that is cut off. */
const UNCUT = -1e9;

/** The way out from an edge, in the title's own plane. @param slope radians that base lines rise */
export function wayOut({ edge }: Edged, slope: number): [number, number] {
  if (edge === 'left') return [1, 0];
  if (edge === 'right') return [-1, 0];
  if (edge === 'base') return [-Math.sin(slope), Math.cos(slope)];
  return [0, edge === 'above' ? -1 : 1];
}

/** How far along the way out of it an edge is from the title's middle, in ems, for something with its base line at `base`. */
export function edgeAlong({ edge, edgeAt }: Edged, base: number): number {
  if (edge === 'none') return UNCUT;
  if (edge === 'base') return base + edgeAt;
  // a height counts upwards, a place to the right
  return edge === 'above' || edge === 'right' ? -edgeAt : edgeAt;
}
