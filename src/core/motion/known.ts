import type { FileRef } from '../kept';
import { memo } from '../memo';
import { bestStretch, differencesOf, type Differences, type Stretch } from './differences';
import { MOTIONS, type Motion } from './motion';
import { STAND_IN } from './standIn';

const unlike = memo<Differences>(6);
const best = memo<Stretch>(40);

/** A motion; where it is not here a figure that stands still. */
export const motionAt = (motion: FileRef | null): Motion => MOTIONS.at(motion) ?? STAND_IN;

/** What a motion is known by: by something else once it is here. */
export const motionKey = (motion: FileRef | null): string => (MOTIONS.at(motion) ? (motion?.hash ?? '') : 'none');

/** How unlike its frames are, worked out once. */
export const differencesIn = (motion: FileRef | null): Differences =>
  unlike(motionKey(motion), () => differencesOf(motionAt(motion)));

/** The stretch of it that closes best, worked out once. */
export const bestIn = (motion: FileRef | null): Stretch =>
  best(motionKey(motion), () => bestStretch(motionAt(motion), differencesIn(motion)));
