import { tunnelRoute } from '../layers/tunnel/tunnel';
import type { Piece } from '../piece/schema';
import type { RouteShape } from '../layers/definition';
import { pathFromSpec } from '../space/path';
import { add, fromAxis, fromColumns, multiply, rotate, scale, type Quaternion, type Vec3 } from '../space/vector';
import { evaluateAnimated } from '../time/animated';
import { lapSeconds } from '../time/lap';
import { shakeAt } from './shake';

export interface CameraPose {
  position: Vec3;
  /** turns camera axes (x right, y up, looking along −z) into the world */
  quaternion: Quaternion;
  focalMm: number;
  sensorMm: number;
  /** metres */
  focusDistance: number;
  fNumber: number;
}

const DEGREE = Math.PI / 180;

/** The route shape of a tunnel layer by id; straight for null, for other kinds and for missing layers. */
export function routeOfLayer(piece: Piece, layerId: string | null): RouteShape {
  const layer = piece.layers.find((candidate) => candidate.id === layerId);
  return layer?.kind === 'tunnel' ? tunnelRoute(layer, piece.tile) : { radius: 0, turnsPerMetre: 0 };
}

/** The shape of the line the camera travels. */
export const flightRoute = (piece: Piece): RouteShape =>
  piece.flight.route === 'along' ? routeOfLayer(piece, piece.flight.follow) : { radius: 0, turnsPerMetre: 0 };

/**
 * Where the camera is and what its lens does at a phase, which is not wrapped: the second lap goes on ahead.
 * Travel is uniform by arc length, as a helix advances in proportion to its length.
 */
export function cameraPose(piece: Piece, phase: number): CameraPose {
  const { flight } = piece;
  const route = flightRoute(piece);
  const path = pathFromSpec({
    kind: 'helix',
    radius: route.radius,
    turns: route.turnsPerMetre * piece.tile,
    advance: piece.tile,
  });
  const s = (flight.start / piece.tile + flight.tilesPerLap * phase) * path.length;
  const frame = path.frameAt(s);
  const base = fromColumns(frame.right, frame.up, scale(frame.tangent, -1));
  const shake = shakeAt(
    {
      name: flight.shake,
      scale: evaluateAnimated(flight.shakeScale, phase),
      speed: flight.shakeSpeed,
      seed: flight.shakeSeed,
      seconds: lapSeconds(piece.lap.frames, piece.lap.rate),
    },
    phase,
  );
  const yaw = fromAxis([0, 1, 0], -evaluateAnimated(flight.yaw, phase) * DEGREE + shake.rotation[1]);
  const pitch = fromAxis([1, 0, 0], evaluateAnimated(flight.pitch, phase) * DEGREE + shake.rotation[0]);
  const roll = fromAxis([0, 0, 1], -evaluateAnimated(flight.roll, phase) * 2 * Math.PI + shake.rotation[2]);
  const offset: Vec3 = [
    evaluateAnimated(flight.aside, phase) + shake.position[0],
    evaluateAnimated(flight.above, phase) + shake.position[1],
    shake.position[2],
  ];
  return {
    position: add(path.pointAt(s), rotate(base, offset)),
    quaternion: multiply(base, multiply(yaw, multiply(pitch, roll))),
    focalMm: evaluateAnimated(flight.focalMm, phase),
    sensorMm: flight.sensorMm,
    focusDistance: evaluateAnimated(flight.focusM, phase),
    fNumber: evaluateAnimated(flight.fNumber, phase),
  };
}
