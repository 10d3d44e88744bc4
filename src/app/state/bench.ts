import { create } from 'zustand';
import { excessOf } from '../../core/world/budget';
import { setAt } from '../../core/piece/paths';
import type { View } from '../../core/flight/routes/view';
import { PICTURE, type Channel } from '../../core/look/channels';
import type { Alone } from '../../core/piece/alone';
import type { Piece } from '../../core/piece/schema';
import { Trouble } from '../../core/trouble';
import type { LiveStatus } from '../../engine/protocol';

import type { LapState } from './lapFiller';
import { say, unsay } from './notices';
import { beginGesture, change, endGesture, redo, undo, type History } from './history';

/** What the band of the step Fly shows. */
export type FlyBandName = 'lap' | 'map' | 'comfort';
export type LookBandName = 'lights' | 'lap' | 'tones' | 'bands' | 'flashes';

/** What the picture is compared with: the piece before the last change, as it was opened, or in a version that was kept; or without some or all effects. */
export type ComparedTo =
  { with: 'before' | 'opened' | 'plain' } | { with: 'version'; id: string } | { with: 'without'; effect: string };

export const STEPS = ['build', 'fly', 'look', 'seam', 'export'] as const;
export type Step = (typeof STEPS)[number];

export interface Bench {
  history: History<Piece> | null;
  step: Step;
  playing: boolean;
  speed: number;
  acrossSeam: boolean;
  working: boolean;
  /** what is shown alone */
  alone: Alone | null;
  /** what of the frame is shown in place of the picture */
  channel: Channel;
  /** what the picture is compared with; null for nothing */
  compared: ComparedTo | null;
  /** id of the open card */
  open: string | null;
  /** id of the open treatment of the open layer */
  openTreatment: string | null;
  flyBand: FlyBandName;
  lookBand: LookBandName;
  /** the view that is being flown by hand, instead of the piece's own flight */
  byHand: View | null;
  /** the view of an observer, who sees the camera and its route */
  observer: View | null;
  /** id of the chosen point of the circuit or station */
  chosenPoint: string | null;
  /** path of the animated value shown on the track and in the band */
  selected: readonly (string | number)[] | null;
  status: LiveStatus | null;
  /** width of the picture on the page, device pixels */
  pictureWidth: number;
  /** passes of the frames of the lap that are to be there, finished; null when none are */
  finishing: number | null;
  lap: LapState | null;
  trouble: Trouble | null;
  saved: 'saved' | 'saving' | 'failed';
  /** whether the kept files are shown */
  files: boolean;
  /** whether this tab may save the piece, or another one has it */
  claim: 'mine' | 'elsewhere' | 'taken';
}

export const useBench = create<Bench>(() => ({
  history: null,
  step: 'build',
  playing: true,
  speed: 1,
  acrossSeam: false,
  working: true,
  alone: null,
  channel: PICTURE,
  compared: null,
  open: null,
  openTreatment: null,
  flyBand: 'lap',
  lookBand: 'lights',
  byHand: null,
  observer: null,
  chosenPoint: null,
  selected: null,
  status: null,
  pictureWidth: 0,
  finishing: null,
  lap: null,
  trouble: null,
  saved: 'saved',
  files: false,
  claim: 'mine',
}));

/** The edited piece, or the one before when the edit asks for more than can be had: that is said, with what to do. */
function affordable(before: Piece, edited: Piece): Piece {
  if (
    edited === before ||
    (edited.layers === before.layers && edited.lap === before.lap && edited.tile === before.tile)
  )
    return edited;
  const [excess] = excessOf(edited);
  if (!excess) {
    unsay(BUDGET);
    return edited;
  }
  // what is too much already may still be made less
  if (excessOf(before).length > 0) return edited;
  say(`${excess.says} The value stays as it was.`, { id: BUDGET });
  return before;
}
const BUDGET = 'budget';

const setHistory = (edit: (history: History<Piece>) => History<Piece>): void =>
  useBench.setState(({ history }) => (history ? { history: edit(history) } : {}));

/** What the interface does to the open piece. */
export const bench = {
  load(history: History<Piece>): void {
    useBench.setState({
      history,
      alone: null,
      channel: PICTURE,
      compared: null,
      open: history.present.layers[0]?.id ?? null,
      selected: null,
      byHand: null,
      observer: null,
      chosenPoint: null,
      playing: true,
      acrossSeam: false,
      finishing: null,
    });
  },
  close: (): void => useBench.setState({ history: null, status: null, trouble: null }),
  update: (edit: (piece: Piece) => Piece): void =>
    setHistory((history) => change(history, affordable(history.present, edit(history.present)))),
  set: (path: readonly (string | number)[], value: unknown): void =>
    setHistory((history) => change(history, affordable(history.present, setAt(history.present, path, value)))),
  /** The piece is the same, but what it names is here now: it is looked at anew. No step. */
  refresh: (): void => setHistory((history) => ({ ...history, present: { ...history.present } })),
  beginGesture: (): void => setHistory(beginGesture),
  endGesture: (): void => setHistory(endGesture),
  undo: (): void => setHistory(undo),
  redo: (): void => setHistory(redo),
  patch: (state: Partial<Bench>): void => useBench.setState(state),
};

/** The open piece. Only for components inside the bench, which is shown when there is one. */
export function usePiece(): Piece {
  const piece = useBench((state) => state.history?.present);
  if (!piece) throw new Trouble('impossible', 'no piece is open');
  return piece;
}
