import type { StateReport } from '../../../core/seam/report';
import { create } from 'zustand';
import type { Piece } from '../../../core/piece/schema';
import { troubleWords } from '../../../core/trouble';
import { proxy } from '../../../engine/client';
import type { PictureReport } from '../../../engine/protocol';
import { seamSize, type Quality } from '../../../engine/seam/quality';
import { say } from '../../state/notices';
import { overtaken, player, type Measurement } from '../../state/player';

/** How far a check of the pictures has come. */
interface Running {
  share: number;
  /** seconds it still takes about; null before that can be said */
  left: number | null;
}

interface SeamState {
  state: StateReport | null;
  /** the piece the state report is of */
  of: Piece | null;
  /** what was found last, and of which piece */
  pictures: { report: PictureReport; of: Piece; quality: Quality } | null;
  /** what goes on; it does so whatever step is shown, and while the piece is changed */
  running: Partial<Record<Quality, Running>>;
  /** why the state report could not be made */
  failed: string | null;
}

export const useSeam = create<SeamState>(() => ({
  state: null,
  of: null,
  pictures: null,
  running: {},
  failed: null,
}));

/** Compares both sides of the seam in numbers. */
export async function checkState(piece: Piece): Promise<void> {
  try {
    const state = await player.measure('state', (engine) => engine.stateReport(piece));
    useSeam.setState({ state, of: piece, failed: null });
  } catch (error) {
    if (!overtaken(error)) useSeam.setState({ failed: troubleWords(error) });
  }
}

const LANE: Record<Quality, Measurement> = { small: 'pictures', final: 'finalPictures' };

const tell = (quality: Quality, now: Running | undefined): void =>
  useSeam.setState(({ running }) => {
    const { [quality]: _, ...others } = running;
    return { running: now ? { ...others, [quality]: now } : others };
  });

/** Draws the whole lap and compares neighbouring frames. */
export async function checkPictures(piece: Piece, quality: Quality = 'small'): Promise<void> {
  const since = Date.now();
  tell(quality, { share: 0, left: null });
  try {
    const report = await player.measure(LANE[quality], (engine) =>
      engine.seamPictures(
        { piece, ...seamSize(piece, quality) },
        proxy((share: number) => {
          const seconds = (Date.now() - since) / 1000;
          tell(quality, { share, left: share > 0.02 ? seconds * (1 / share - 1) : null });
        }),
      ),
    );
    useSeam.setState({ pictures: { report, of: piece, quality } });
    if (quality === 'final')
      say(`${piece.name}, checked at final quality: ${report.ok ? 'it closes' : 'the join shows'}`);
  } catch (error) {
    if (!overtaken(error)) say(`The frames could not be compared: ${troubleWords(error)}`);
  } finally {
    tell(quality, undefined);
  }
}

export const stopPictures = (quality: Quality): void => player.stopMeasuring(LANE[quality]);
