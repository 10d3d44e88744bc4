import type { LapRequest } from '../protocol';
import { stillFrame, type FrameRequest } from '../frame/request';
import { compareFrames, judge, type PictureReport } from './pictureReport';

/**
 * Draws the whole lap small, without grain and dither, and compares neighbouring frames all the way round, as a viewer
 * of the finished clip sees them: after frame F−1 comes frame 0 again.
 * @param draw the finished picture as floats
 * @param proceed called with the share done; return false to stop
 * @returns null when stopped
 */
export async function measureSeam(
  draw: (frame: FrameRequest) => Promise<Float32Array>,
  request: LapRequest,
  proceed: (share: number) => Promise<boolean>,
): Promise<PictureReport | null> {
  const { piece, width, height } = request;
  const { frames } = piece.lap;
  const picture = (frameIndex: number): Promise<Float32Array> =>
    draw({ ...stillFrame({ ...request, frameIndex, texture: false }), elementMotion: false });
  const step: number[] = [];
  const residual: number[] = [];
  let joinBlock = 0;
  let before = await picture(frames - 1);
  let here = await picture(0);
  for (let i = 0; i < frames; i++) {
    const after = await picture((i + 1) % frames);
    const compared = compareFrames(before, here, after, width, height);
    step.push(compared.step);
    residual.push(compared.residual);
    if (i === 0) joinBlock = compared.block;
    if (i === frames - 1 && compared.residual > residual[0]) joinBlock = compared.block;
    before = here;
    here = after;
    if (!(await proceed((i + 1) / frames))) return null;
  }
  return judge(step, residual, joinBlock, width, height);
}
