import { cameraPose, flightOf } from '../../../../core/world/camera';
import { keepView, flightAt, type KeptAs } from '../../../../core/world/keep';
import { viewOf, viewTurn, viewPlace, type View } from '../../../../core/flight/routes/view';
import type { Piece } from '../../../../core/piece/schema';
import { add, rotate } from '../../../../core/space/vector';
import { bench, useBench } from '../../../state/bench';
import { newId } from '../../../state/edit';

const present = (): { piece: Piece; phase: number } | null => {
  const { history, status } = useBench.getState();
  return history ? { piece: history.present, phase: status?.phase ?? 0 } : null;
};

/** Takes the camera into the hand, or gives it back. Nothing of the piece changes until a view is kept. */
export function flyByHand(): void {
  const now = present();
  if (!now) return;
  const { byHand } = useBench.getState();
  bench.patch(
    byHand
      ? { byHand: null }
      : { byHand: viewOf(cameraPose(unshaken(now.piece), now.phase)), observer: null, playing: false },
  );
}

const unshaken = (piece: Piece): Piece => ({ ...piece, flight: { ...piece.flight, handScale: 0 } });

/** A place from which the whole route is seen, and what the camera looks at now. */
function lookout(piece: Piece, phase: number): View {
  const { track } = flightOf(piece);
  const { position, quaternion, focusDistance } = cameraPose(piece, phase);
  const sharp = add(position, rotate(quaternion, [0, 0, -Math.min(focusDistance, piece.look.reach)]));
  const places = [...Array.from({ length: 24 }, (_, i) => track.at(i / 24).position), position, sharp];
  const low = [0, 1, 2].map((k) => Math.min(...places.map((p) => p[k])));
  const high = [0, 1, 2].map((k) => Math.max(...places.map((p) => p[k])));
  const middle = low.map((v, k) => (v + high[k]) / 2);
  const size = Math.max(3, ...low.map((v, k) => high[k] - v));
  return {
    aside: middle[0] + size * 0.85,
    above: middle[1] + size * 0.6,
    ahead: -middle[2] - size * 0.98,
    yaw: -41,
    pitch: -24,
    roll: 0,
  };
}

/** Steps out of the camera and looks at it from outside, or back in. */
export function observe(): void {
  const now = present();
  if (!now) return;
  const { observer } = useBench.getState();
  bench.patch(observer ? { observer: null } : { observer: lookout(now.piece, now.phase), byHand: null });
}

/** Keeps the view that is flown by hand, as one step that can be undone. Flying goes on, except for the whole lap. */
export function keep(as: KeptAs): void {
  const { byHand } = useBench.getState();
  const now = present();
  if (!now || !byHand) return;
  const pose = { ...cameraPose(now.piece, now.phase), position: viewPlace(byHand), quaternion: viewTurn(byHand) };
  bench.update((piece) => keepView(piece, as, pose, now.phase, newId(as)));
  if (as === 'whole') bench.patch({ byHand: null });
}

/** The piece as it is seen now: through its own camera, in the hand, or from the observer's place. */
export function seenPiece(piece: Piece, byHand: View | null, observer: View | null): Piece {
  if (byHand) return { ...piece, flight: { ...flightAt(piece.flight, byHand), handScale: 0 } };
  if (!observer) return piece;
  return {
    ...piece,
    flight: {
      ...flightAt(piece.flight, observer),
      handScale: 0,
      lens: 'perspective',
      focalMm: OBSERVER_MM,
      sensorMm: 36,
      fNumber: 22,
      focusOn: 'distance',
      focusM: 8,
      pullTo: 'none',
      breathing: false,
      squeeze: 1,
      shutterDeg: 0,
    },
    look: { ...piece.look, reach: piece.look.reach * 2 },
  };
}

/** Focal length of the observer's lens. */
export const OBSERVER_MM = 28;
