import type { Piece } from '../../core/piece/schema';
import type { LapRequest } from '../protocol';
import { stillFrame, type FrameRequest } from '../frame/request';
import { cameraFinding } from '../../core/seam/camera';
import { sceneSymmetry } from '../../core/seam/symmetry';
import { guiltyLayer, type Guilty } from './guilty';
import { compareFrames, judge, residualIn, type PictureReport } from './pictureReport';

/**
 * Draws the whole lap small, without grain and dither, and compares neighbouring frames all the way round, as a viewer
 * of the finished clip sees them: after frame F−1 comes frame 0 again.
 * @param draw the finished picture of a piece as floats
 * @param proceed called with the share done; return false to stop
 * @returns null when stopped
 */
export async function measureSeam(
  draw: (piece: Piece, frame: FrameRequest) => Promise<Float32Array>,
  request: LapRequest,
  proceed: (share: number) => Promise<boolean>,
): Promise<PictureReport | null> {
  const { piece, width, height } = request;
  const { frames } = piece.lap;
  const picture = (frameIndex: number, of = piece): Promise<Float32Array> =>
    draw(of, { ...stillFrame({ ...request, frameIndex, texture: false }), elementMotion: false });
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
  const report = judge(step, residual, joinBlock, width, height);
  if (report.verdict !== 'jumps') return report;
  const worse = residual[frames - 1] > residual[0] ? frames - 1 : 0;
  const without = async (hidden: readonly string[]): Promise<number | null> => {
    const layers = piece.layers.map((layer) => (hidden.includes(layer.id) ? { ...layer, hidden: true } : layer));
    const of = { ...piece, layers };
    // the step over the join is that of the lap's last frame
    const middle = report.excess.of === 'block' ? worse : frames - 1;
    const [a, b, c] = [(middle + frames - 1) % frames, middle, (middle + 1) % frames];
    const seen = [await picture(a, of), await picture(b, of), await picture(c, of)] as const;
    if (!(await proceed(1))) return null;
    return report.excess.of === 'block'
      ? residualIn(joinBlock, ...seen, width, height)
      : compareFrames(...seen, width, height).step;
  };
  return { ...report, guilty: await blamed(piece, report, without) };
}

/** What makes most of a jump: the camera, which moves everything, or a layer. */
async function blamed(
  piece: Piece,
  { excess }: PictureReport,
  without: (hidden: readonly string[]) => Promise<number | null>,
): Promise<Guilty | null> {
  if (!cameraFinding(piece, sceneSymmetry(piece)).ok) return { layerId: null, share: 1 };
  const seen = piece.layers.filter(({ hidden }) => !hidden).map(({ id }) => id);
  return guiltyLayer(seen, excess.join, excess.usual, without);
}
