import type { StateReport } from '../../../core/seam/report';
import { create } from 'zustand';
import type { Piece } from '../../../core/piece/schema';
import { troubleWords } from '../../../core/trouble';
import { proxy } from '../../../engine/client';
import type { PictureReport } from '../../../engine/protocol';
import { say } from '../../state/notices';
import { overtaken, player } from '../../state/player';

interface SeamState {
  state: StateReport | null;
  /** the piece the state report is of */
  of: Piece | null;
  pictures: { report: PictureReport; of: Piece } | null;
  /** share of the lap compared, or null when nothing runs */
  progress: number | null;
  /** why the state report could not be made */
  failed: string | null;
}

export const useSeam = create<SeamState>(() => ({
  state: null,
  of: null,
  pictures: null,
  progress: null,
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

/** Width the pictures are compared at: enough to see a single mote pop. */
const WIDTH = 320;

/** Draws the whole lap small and compares neighbouring frames. */
export async function checkPictures(piece: Piece): Promise<void> {
  const height = Math.max(16, Math.round((WIDTH * piece.frame.height) / piece.frame.width));
  useSeam.setState({ progress: 0 });
  try {
    const report = await player.measure('pictures', (engine) =>
      engine.seamPictures(
        { piece, width: WIDTH, height, passes: 1 },
        proxy((share: number) => useSeam.setState({ progress: share })),
      ),
    );
    useSeam.setState({ pictures: { report, of: piece } });
  } catch (error) {
    if (!overtaken(error)) say(`The frames could not be compared: ${troubleWords(error)}`);
  } finally {
    useSeam.setState({ progress: null });
  }
}

export const stopPictures = (): void => player.stopMeasuring('pictures');
