import { create } from 'zustand';

/** How two frames are shown in the picture's place. */
export type JoinView = 'overlay' | 'difference' | 'blink';
/** Which two. */
export type JoinPair = 'join' | 'usual' | 'later';

interface JoinState {
  /** null where the piece itself is shown */
  view: JoinView | null;
  pair: JoinPair;
  /** what differences are multiplied by */
  times: number;
}

/** How the join is looked at. */
export const useJoin = create<JoinState>(() => ({ view: null, pair: 'join', times: 8 }));

export const JOIN_VIEWS: Record<JoinView, string> = { overlay: 'Overlaid', difference: 'Difference', blink: 'Blink' };

export const JOIN_PAIRS: Record<JoinPair, string> = {
  join: 'Last and first frame',
  usual: 'First and second frame',
  later: 'First frame, and a lap later',
};

/** A frame of a lap, or the same so many laps later. */
interface Moment {
  frameIndex: number;
  later: number;
}

/** The two that are shown. */
export const momentsOf = (pair: JoinPair, frames: number): [Moment, Moment] => {
  const at = (frameIndex: number, later = 0): Moment => ({ frameIndex, later });
  return pair === 'join' ? [at(frames - 1), at(0)] : pair === 'usual' ? [at(0), at(1)] : [at(0), at(0, 1)];
};
