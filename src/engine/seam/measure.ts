import type { Piece } from '../../core/piece/schema';
import type { LapRequest } from '../protocol';
import { stillFrame, type FrameRequest } from '../frame/request';
import { cameraFinding } from '../../core/seam/camera';
import { effectOf } from '../../core/look/effects/kinds';
import { sceneSymmetry } from '../../core/seam/symmetry';
import { samePoints } from './later';
import { guiltyPart, type Guilty, type Suspect } from './guilty';
import { apart, compareFrames, judge, residualIn, type Apart, type PictureReport } from './pictureReport';

/**
 * Draws the whole lap without grain and dither, and compares neighbouring frames all the way round, as a viewer of the finished clip
 * sees them: after frame F−1 comes frame 0 again. The first frame is drawn again at the end, and as it is a lap later.
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
  const picture = (frameIndex: number, of = piece, passes = request.passes, later = 0): Promise<Float32Array> =>
    draw(of, { ...stillFrame({ ...request, frameIndex, passes, later, texture: false }), elementMotion: passes > 1 });
  const step: number[] = [];
  const residuals: Float64Array[] = [];
  let before = await picture(frames - 1);
  let here = await picture(0);
  const first = here;
  for (let i = 0; i < frames; i++) {
    const after = await picture((i + 1) % frames);
    const compared = compareFrames(before, here, after, width, height);
    step.push(compared.step);
    residuals.push(compared.residual);
    before = here;
    here = after;
    if (!(await proceed((i + 1) / frames))) return null;
  }
  const lapLater = async (whole: Piece): Promise<Apart> => {
    const of = samePoints(whole);
    return apart(await picture(0, of, 1), await picture(0, of, 1, 1));
  };
  const later = await lapLater(piece);
  const report = judge({ step, residuals, width, height, later, twice: apart(first, here).most });
  if (report.verdict !== 'jumps' && report.verdict !== 'differs') return report;
  const { excess } = report;
  const [column, row, columns] = report.worstBlock;
  const block = row * columns + column;
  // the step over the join is that of the lap's last frame
  const last = excess.of === 'picture' || residuals[frames - 1][block] > residuals[0][block];
  const middle = last ? frames - 1 : 0;
  const without = async (hidden: readonly Suspect[]): Promise<number | null> => {
    const of = hidden.reduce((so, suspect) => lacking(so, suspect), piece);
    if (excess.of === 'later') {
      const { mean } = await lapLater(of);
      return (await proceed(1)) ? mean : null;
    }
    const [a, b, c] = [(middle + frames - 1) % frames, middle, (middle + 1) % frames];
    const seen = [await picture(a, of), await picture(b, of), await picture(c, of)] as const;
    if (!(await proceed(1))) return null;
    return excess.of === 'block'
      ? residualIn(block, ...seen, width, height)
      : compareFrames(...seen, width, height).step;
  };
  return { ...report, guilty: await blamed(piece, report, without) };
}

/** The piece without something of it. */
function lacking(piece: Piece, { part, id }: Suspect): Piece {
  const { layers, look } = piece;
  const gone = <T extends { id: string }>(list: readonly T[], how: Partial<T>): T[] =>
    list.map((one) => (one.id === id ? { ...one, ...how } : one));
  switch (part) {
    case 'layer':
      return { ...piece, layers: gone(layers, { hidden: true }) };
    case 'effect':
      return { ...piece, look: { ...look, effects: gone(look.effects, { off: true }) } };
    case 'light':
      return { ...piece, look: { ...look, lights: gone(look.lights, { off: true }) } };
  }
}

/** A layer that makes this much of a jump makes it: what lights it need not be looked at. */
const ALONE = 0.9;

/** What makes most of a jump: the camera, which moves everything, a layer, or where no one does that, a light or an effect. */
async function blamed(
  piece: Piece,
  { excess }: PictureReport,
  without: (hidden: readonly Suspect[]) => Promise<number | null>,
): Promise<Guilty | null> {
  if (!cameraFinding(piece, sceneSymmetry(piece)).ok) return { part: 'camera', id: null, share: 1 };
  const search = (suspects: readonly Suspect[]): Promise<Guilty | null> =>
    guiltyPart(suspects, excess.join, excess.usual, without);
  const layer = await search(
    piece.layers.filter(({ hidden }) => !hidden).map(({ id }) => ({ part: 'layer' as const, id })),
  );
  if (layer && layer.share >= ALONE) return layer;
  const { effects, lights } = piece.look;
  const over = await search([
    ...lights.filter(({ off }) => !off).map(({ id }) => ({ part: 'light' as const, id })),
    ...effects
      .filter(({ off, kind }) => !off && !effectOf(kind).always)
      .map(({ id }) => ({ part: 'effect' as const, id })),
  ]);
  return over && over.share > (layer?.share ?? 0) ? over : layer;
}
