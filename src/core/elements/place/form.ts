import { flag, heading, number } from '../../forms';

const place = heading('Place', 2);
const metres = { unit: 'm', min: -10_000, max: 10_000, comfort: 10, group: place };
const degrees = { unit: '°', min: -3600, max: 3600, comfort: 180, decimals: 1, group: place };

/** Where a layer stands that does not fill its tile by itself. */
export const placement = {
  once: flag(false, {
    label: 'Stands once',
    group: place,
    hint: 'Once in the world instead of once in every tile; closes when the camera stays.',
  }),
  aside: number(0, { label: 'Aside', ...metres, drags: 'aside', hint: 'Metres to the right of the route.' }),
  above: number(0, { label: 'Above', ...metres, drags: 'above', hint: 'Metres above the route.' }),
  ahead: number(4, {
    label: 'Ahead',
    ...metres,
    drags: 'ahead',
    hint: 'Metres from the start of the tile to its middle.',
  }),
  scale: number(1, {
    label: 'Scale',
    drags: 'scale',
    unit: '×',
    min: 0.001,
    max: 1000,
    comfort: 3,
    group: place,
    hint: 'Everything in it larger or smaller.',
  }),
  heading: number(0, {
    label: 'Heading',
    ...degrees,
    drags: 'heading',
    hint: 'Degrees to the right about its upright axis.',
  }),
  pitch: number(0, { label: 'Pitch', ...degrees, drags: 'pitch', hint: 'Degrees its front is raised.' }),
  bank: number(0, { label: 'Bank', ...degrees, hint: 'Degrees about the travel, clockwise.' }),
};

export interface Placement {
  once: boolean;
  aside: number;
  above: number;
  ahead: number;
  scale: number;
  heading: number;
  pitch: number;
  bank: number;
}

/** At the middle of the tile's start, as it is. */
export const UNPLACED: Placement = {
  once: false,
  aside: 0,
  above: 0,
  ahead: 0,
  scale: 1,
  heading: 0,
  pitch: 0,
  bank: 0,
};
