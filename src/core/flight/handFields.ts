import type { Flight } from './form';
import { HAND_AXES, type HandAxis, type HandSwings } from './hand';

/** The fields of a flight that hold each swing; its rate is in the same name with Hz. */
const FIELD = {
  aside: 'handAside',
  up: 'handUp',
  along: 'handAlong',
  pitch: 'handPitch',
  yaw: 'handYaw',
  roll: 'handRoll',
} as const satisfies Record<HandAxis, keyof Flight>;

/** The six swings of a flight's hand. */
export const handOf = (flight: Flight): HandSwings =>
  Object.fromEntries(
    HAND_AXES.map((axis) => [axis, { amount: flight[FIELD[axis]], hz: flight[`${FIELD[axis]}Hz`] }]),
  ) as HandSwings;

/** The fields of a flight that hold six swings. */
export const handFields = (swings: HandSwings): Partial<Flight> =>
  Object.fromEntries(
    HAND_AXES.flatMap((axis) => [
      [FIELD[axis], swings[axis].amount],
      [`${FIELD[axis]}Hz`, swings[axis].hz],
    ]),
  ) as Partial<Flight>;
