import { channelAsks, type Asked } from '../../core/look/channels';
import { actingEffects, asksOf, drawnPhase, earlierPictures, type EarlierPicture } from '../../core/look/effects/kinds';
import type { Moment } from '../../core/look/effects/reach';
import type { Piece } from '../../core/piece/schema';
import { frameOfLap } from '../../core/time/stretch';
import { withShutter } from '../../core/world/exposed';
import type { FrameRequest } from './request';

// What a request of a frame asks for: moments, and what is worked out besides light.

export const ANYTHING: Asked = { of: 'anything' };

/** The moment of the lap that a request is for. */
export const momentOf = ({ lap: { frames } }: Piece, { phase, frameIndex }: FrameRequest): Moment => ({
  phase,
  frame: frameOfLap(frameIndex, frames),
  frames,
});

/** A request at the moment at which it is drawn: what is noise goes on with its frames. */
export const atMoment = ({ look, lap }: Piece, request: FrameRequest): FrameRequest => ({
  ...request,
  phase: drawnPhase(look.effects, request.phase, lap.frames),
});

/** Whether effects are drawn. */
const isPicture = ({ channel: { of } }: FrameRequest): boolean => of === 'picture' || of === 'range';

/** The light of other moments that a frame is drawn with: how it is joined, and what is drawn. */
export function earlierOf(
  piece: Piece,
  request: FrameRequest,
): (Pick<EarlierPicture, 'id' | 'joins' | 'gain'> & { piece: Piece; request: FrameRequest })[] {
  if (!isPicture(request)) return [];
  return earlierPictures(piece.look.effects, momentOf(piece, request)).map(({ phase, open, among, ...joined }) => ({
    ...joined,
    piece: withShutter(piece, open),
    // together they are seen as often as the frame's own
    request: { ...request, phase, passes: 2 ** Math.ceil(Math.log2(Math.max(1, request.passes / among))) },
  }));
}

/** What is asked of a frame besides its light. @param request at the moment at which it is drawn */
export function askedOf(piece: Piece, request: FrameRequest): Asked[] {
  const own = channelAsks(request.channel);
  const acting = isPicture(request) ? actingEffects(piece.look.effects, momentOf(piece, request)) : [];
  return [
    ...acting.flatMap((effect) => asksOf(effect, request.phase)),
    ...(own ? [own] : []),
    ...request.also.flatMap((channel) => channelAsks(channel) ?? []),
    ...(request.clear ? [ANYTHING] : []),
  ];
}
