import { flashesIn, type FlashReport } from './flashes';
import { cellsOf, frameLevels, type FrameLevels } from './levels';

/** How bright a lap is, and how it flashes. */
export interface LapLevels {
  /** of each frame: average luma, mean linear light, and peak luma, 0..1: see levels.ts */
  average: number[];
  light: number[];
  peak: number[];
  flashes: FlashReport;
}

/**
 * @param draw a frame as encoded bytes, top row first
 * @param proceed called with the share that is done; false to stop
 * @returns null when stopped
 */
export async function lapLevels(
  draw: (frame: number) => Promise<Uint8Array>,
  { frames, rate, width, height }: { frames: number; rate: number; width: number; height: number },
  proceed: (share: number) => Promise<boolean>,
): Promise<LapLevels | null> {
  const levels: FrameLevels[] = [];
  for (let frame = 0; frame < frames; frame++) {
    levels.push(frameLevels(await draw(frame), width, height));
    if (!(await proceed((frame + 1) / frames))) return null;
  }
  return {
    average: levels.map(({ average }) => average),
    light: levels.map(({ light }) => light),
    peak: levels.map(({ peak }) => peak),
    flashes: flashesIn(levels, ...cellsOf(width, height), rate),
  };
}
