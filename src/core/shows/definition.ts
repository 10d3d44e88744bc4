import type { ClipFrame } from '../clips';
import type { Form } from '../forms';
import type { FileKind } from '../kept';

/** A lap in frames, and how long it lasts. */
export interface LapLength {
  frames: number;
  seconds: number;
}

/** Something a user may take up for what is shown: what it is called, and what it changes. */
export interface Offer<S> {
  about: string;
  words: string;
  /** it is so already */
  now: boolean;
  /** it is the one that is proposed */
  best: boolean;
  change: Partial<S>;
}

/** What the core knows about one kind of thing that panels show. */
export interface ShowsDefinition<S extends object> {
  kind: string;
  label: string;
  describe: string;
  form: Form<S>;
  /** the kind of its file */
  takes: FileKind;
  /** pixels of its picture; null while its file has not been taken in */
  sizeOf(shown: S): { width: number; height: number } | null;
  /** it shows another picture from frame to frame */
  steps: boolean;
  /**
   * What it shows on a frame of the lap.
   * @param panel its turn among those that show it, 0..1, and what its chance hangs on
   */
  shownAt(shown: S, panel: { order: number; key: number; seed: number }, frame: number, lap: LapLength): ClipFrame;
  /** as it is best, once its file is known */
  fitted?(shown: S): S;
  /** how its own end meets its start; null where nobody has looked */
  ownSeam?(shown: S): {
    ok: boolean;
    gap: number;
    /** after its name */
    says: string;
    mended: { says: string; value: S } | null;
  } | null;
  /** what may be chosen for it, the best first */
  offers?(shown: S, lapSeconds: number): Offer<S>[];
  /** how it plays, in a few words */
  summary(shown: S, lapSeconds: number): string;
}
