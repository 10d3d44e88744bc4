import { placement, standAt } from '../../elements/place/form';
import { placementTurn } from '../../elements/place/place';
import type { World } from '../../elements/world';
import { choice, flag, heading, number, shownIf, without, type Condition, type FieldsValue } from '../../forms';
import { add, rotate, type Quaternion, type Vec3 } from '../../space/vector';
import type { Riding } from '../drawing';

const place = placement.once.control?.group ?? heading('Place');
export const inWorld: Condition = { field: 'stands', is: ['world'] };
const inFrame: Condition = { field: 'stands', is: ['frame'] };

/** Where a title keeps to, by how far it is to the right and up. */
const ANCHOR = {
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

/** Where a title stands: in the world, or in the frame. */
export const standingFields = {
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
};
type Stands = FieldsValue<typeof standingFields>;

/** Where the middle of a title is, how the whole is turned, and metres that its em is. */
export interface Standing {
  at: Vec3;
  turn: Quaternion;
  em: number;
}

/**
 * In the world as it is placed; in the frame as the camera is at a phase.
 * @param half half its width and height in ems
 */
export function standingOf(
  title: Stands & { size: number },
  half: readonly number[],
  world: World,
  phase: number,
): Standing {
  if (title.stands === 'world') {
    const stand = standAt(title, phase);
    return { at: [stand.aside, stand.above, -stand.ahead], turn: placementTurn(stand), em: title.size * stand.scale };
  }
  const { position, rotation, near, focus, span, half: frame } = world.cameraView(phase);
  const distance = { over: near, focus, distance: title.distance }[title.depthOf];
  const side = span(distance);
  const em = title.high * side;
  const [x, y] = ANCHOR[title.anchor].map((to, k) => to * ((frame[k] - title.margin) * side - half[k] * em));
  return { at: add(position, rotate(rotation, [x, y, -distance])), turn: rotation, em };
}

/** How it hangs on the camera. */
export const ridingOf = ({ stands, depthOf }: Stands): Riding | null =>
  stands === 'world' ? null : depthOf === 'over' ? 'over' : 'lens';
