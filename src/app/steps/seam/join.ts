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

/** The two frames of a lap, not wrapped. */
export const framesOf = (pair: JoinPair, frames: number): [number, number] =>
  pair === 'join' ? [frames - 1, 0] : pair === 'usual' ? [0, 1] : [0, frames];
