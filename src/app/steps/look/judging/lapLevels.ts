import { create } from 'zustand';
import type { LapLevels } from '../../../../core/judging/lap';
import { flashRepair, type FlashRepair } from '../../../../core/judging/repair';
import type { Piece } from '../../../../core/piece/schema';
import { troubleWords } from '../../../../core/trouble';
import { proxy } from '../../../../engine/client';
import { say } from '../../../state/notices';
import { overtaken, player } from '../../../state/player';
import { sizeOf } from './ofFrame';

interface LapJudged {
  /** what was measured, and of which piece */
  found: { levels: LapLevels; of: Piece } | null;
  /** share of the lap measured, or null when nothing runs */
  progress: number | null;
  /** what mends it, and which piece; null while it is looked for, or not yet */
  repair: { found: FlashRepair | null; of: Piece } | null;
  /** how many pieces were measured to find it; null when it is not looked for */
  tries: number | null;
}

export const useLapLevels = create<LapJudged>(() => ({ found: null, progress: null, repair: null, tries: null }));

/** Width the frames are measured at: flashes are judged by parts of the picture larger than its pixels. */
const WIDTH = 160;

const measured = (piece: Piece): Promise<LapLevels> =>
  player.measure('levels', (engine) =>
    engine.levels(
      { piece, ...sizeOf(piece, WIDTH), passes: 1 },
      proxy((progress: number) => useLapLevels.setState({ progress })),
    ),
  );

async function saying(what: string, work: () => Promise<void>): Promise<void> {
  useLapLevels.setState({ progress: 0 });
  try {
    await work();
  } catch (error) {
    if (!overtaken(error)) say(`${what}: ${troubleWords(error)}`);
  } finally {
    useLapLevels.setState({ progress: null, tries: null });
  }
}

/** Draws the whole lap small and measures how bright it is and how it flashes. */
export const judgeLap = (piece: Piece): Promise<void> =>
  saying('The lap could not be measured', async () => {
    useLapLevels.setState({ repair: null });
    useLapLevels.setState({ found: { levels: await measured(piece), of: piece } });
  });

/** Looks for one change that keeps a lap from flashing too much. */
export const findRepair = (piece: Piece): Promise<void> =>
  saying('The lap could not be measured', async () => {
    let tries = 0;
    const found = await flashRepair(piece, async (other) => {
      useLapLevels.setState({ tries: ++tries });
      return (await measured(other)).flashes;
    });
    useLapLevels.setState({ repair: { found, of: piece } });
  });

export const stopJudging = (): void => player.stopMeasuring('levels');
