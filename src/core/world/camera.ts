import type { CameraView } from '../elements/world';
import { raisedBy, type Fisheye } from '../lens/fisheye';
import { facing } from '../space/frame';
import type { Piece } from '../piece/schema';
import {
  add,
  dot,
  fromAxis,
  length,
  multiply,
  rotate,
  scale,
  subtract,
  type Quaternion,
  type Vec3,
} from '../space/vector';
import { evaluateAnimated } from '../time/animated';
import { preparedFlight, uprightAt, type Prepared } from './flight';
import { elementIn } from './elements';
import { sceneOf, type Means, type Scene } from './scene';
import type { Place } from '../flight/routes/definition';
import type { Flight } from '../flight/form';

export interface CameraPose {
  position: Vec3;
  /** turns camera axes (x right, y up, looking along −z) into the world */
  quaternion: Quaternion;
  /** millimetres; without perspective it only sets the depth of field */
  focalMm: number;
  sensorMm: number;
  /** metres of the world across the picture when the view has no perspective; null when it has */
  orthoWidth: number | null;
  /** what is seen in place of what the focal length gives; its middle is raised from where the quaternion looks; null with another lens */
  fisheye: Fisheye | null;
  /** metres along the line of sight */
  focusDistance: number;
  fNumber: number;
}

const DEGREE = Math.PI / 180;
/** Elevation of an isometric view: the angle whose tangent is the sine of 30°. */
export const ISOMETRIC = Math.atan(Math.sin(30 * DEGREE) / Math.cos(45 * DEGREE));
/** Nearest distance in metres anything can be focused on or held at. */
const NEAREST = 0.05;
const HOLD_STEPS = 24;

/** Where the camera faces before it is turned by hand. */
function aimed(flight: Flight, { aimPoint, track }: Prepared, place: Place, from: Vec3, phase: number): Quaternion {
  if (flight.lens === 'isometric') {
    const heading = fromAxis([0, 1, 0], (Number(flight.corner) * 90 + 45) * DEGREE);
    return multiply(heading, fromAxis([1, 0, 0], -ISOMETRIC));
  }
  const up = uprightAt(place, flight.horizon);
  const own = place.own ?? ([0, 0, 0, 1] as Quaternion);
  if (flight.aim === 'own') return own;
  if (flight.aim === 'target') {
    const to = subtract(aimPoint(phase), from);
    return length(to) > 1e-6 ? facing(to, flight.horizon === 'level' ? [0, 1, 0] : up) : own;
  }
  if (flight.lookAhead > 0 && track.length > 0) {
    const to = subtract(track.at(phase + flight.lookAhead / track.length).position, place.position);
    if (length(to) > 1e-6) return facing(to, flight.horizon === 'level' ? [0, 1, 0] : up);
  }
  return dot(place.tangent, place.tangent) > 0 ? facing(place.tangent, up) : own;
}

/**
 * Where the camera is and what its lens does at a phase, which is not wrapped: the second lap goes on ahead. A pure
 * function of the piece; what it needs of layers is their own motion, never the camera's.
 */
export function cameraPose(piece: Piece, phase: number): CameraPose {
  const { flight } = piece;
  const prepared = flightOf(piece);
  const place = prepared.track.at(phase);
  const tangentBase =
    dot(place.tangent, place.tangent) > 0
      ? facing(place.tangent, uprightAt(place, flight.horizon))
      : (place.own ?? ([0, 0, 0, 1] as Quaternion));
  const at = (value: Flight['aside']): number => evaluateAnimated(value, phase);
  let position = add(place.position, rotate(tangentBase, [at(flight.aside), at(flight.above), 0]));
  const perspective = flight.lens === 'perspective';
  let focalMm = at(flight.focalMm);
  const holds = perspective && flight.hold !== 'none';
  const subject = holds ? prepared.sight(flight.holdAt, phase).position : position;
  const centred = (): Vec3 | undefined => (flight.aim === 'target' ? prepared.aimPoint(phase) : place.faces);
  const middle = flight.lens === 'isometric' ? centred() : undefined;
  if (middle) {
    // its direction is fixed, so it is the place that keeps what is aimed at in the middle
    const forward = rotate(aimed(flight, prepared, place, position, phase), [0, 0, -1]);
    position = subtract(middle, scale(forward, length(subtract(middle, position))));
  }
  // the line of sight before the hand moves it
  const turned = rotate(
    multiply(fromAxis([0, 1, 0], -at(flight.yaw) * DEGREE), fromAxis([1, 0, 0], at(flight.pitch) * DEGREE)),
    [0, 0, -1],
  );
  if (holds && flight.hold === 'camera') {
    const away = subtract(position, subject);
    const wanted = (flight.holdWidth * focalMm) / flight.sensorMm;
    // where it faces depends on where it is: a few steps find the place at which the depth is as wanted
    let far = 1;
    for (let step = 0; step < HOLD_STEPS && length(away) > 1e-6; step++) {
      const forward = rotate(aimed(flight, prepared, place, position, phase), turned);
      const depth = Math.max(NEAREST, dot(subtract(subject, position), forward));
      far *= Math.min(10, Math.max(0.1, wanted / depth));
      position = add(subject, scale(away, far));
    }
  }
  const base = aimed(flight, prepared, place, position, phase);
  const hand = prepared.hand(phase);
  const much = at(flight.handScale);
  const yaw = fromAxis([0, 1, 0], -at(flight.yaw) * DEGREE + hand.rotation[1] * much);
  const pitch = fromAxis([1, 0, 0], at(flight.pitch) * DEGREE + hand.rotation[0] * much);
  const lean = at(flight.roll) * 2 * Math.PI + prepared.bank(phase);
  const roll = fromAxis([0, 0, 1], -lean + hand.rotation[2] * much);
  const quaternion = multiply(base, multiply(yaw, multiply(pitch, roll)));
  const forward = rotate(quaternion, [0, 0, -1]);
  const depthOf = (point: Vec3): number => Math.max(NEAREST, dot(subtract(point, position), forward));
  // what is held is measured before the hand moves the camera, so that the hand stays a hand
  if (holds && flight.hold === 'lens') focalMm = Math.max(1, (flight.sensorMm * depthOf(subject)) / flight.holdWidth);
  const focusDistance = focusAt(flight, prepared, phase, depthOf);
  return {
    position: add(position, rotate(base, scale(hand.position, much))),
    quaternion,
    focalMm,
    sensorMm: flight.sensorMm,
    orthoWidth: perspective || flight.lens === 'fisheye' ? null : at(flight.widthM),
    fisheye: flight.lens === 'fisheye' ? { angle: flight.circleDeg * DEGREE, raised: flight.raisedDeg * DEGREE } : null,
    focusDistance,
    fNumber: at(flight.fNumber),
  };
}

/** The sharp distance in metres; between two marks it is pulled evenly in its reciprocal, as a focus ring turns. */
function focusAt(flight: Flight, prepared: Prepared, phase: number, depthOf: (point: Vec3) => number): number {
  const mark = (on: 'distance' | 'target' | 'aim', metres: Flight['focusM'], target: Flight['focusAt']): number => {
    // without a target the camera aims at nothing in particular
    if (on === 'distance' || (on === 'aim' && flight.aim !== 'target'))
      return Math.max(NEAREST, evaluateAnimated(metres, phase));
    return depthOf(on === 'target' ? prepared.sight(target, phase).position : prepared.aimPoint(phase));
  };
  const first = mark(flight.focusOn, flight.focusM, flight.focusAt);
  if (flight.pullTo === 'none') return first;
  const second = mark(flight.pullTo, flight.pullM, flight.pullAt);
  const pull = Math.min(1, Math.max(0, evaluateAnimated(flight.pull, phase)));
  return 1 / ((1 - pull) / first + pull / second);
}

/** Turns the axes of the picture into the world: those of the camera, but for a fisheye whose middle is raised. */
export const pictureTurn = ({ quaternion, fisheye }: CameraPose): Quaternion =>
  fisheye ? raisedBy(quaternion, fisheye) : quaternion;

/** Metres that the width of the picture spans at a depth; of a fisheye's circle that of what is ahead, as by a lens of 90°. */
export const acrossAt = ({ orthoWidth, fisheye, sensorMm, focalMm }: CameraPose, depth: number): number =>
  orthoWidth ?? (fisheye ? 2 * depth : (depth * sensorMm) / focalMm);

function viewOf(piece: Piece, phase: number): CameraView {
  const { position, quaternion, focusDistance, focalMm, sensorMm, orthoWidth } = cameraPose(piece, phase);
  const { width, height } = piece.frame;
  const short = Math.min(width, height);
  const wide = (distance: number): number => orthoWidth ?? (distance * sensorMm) / focalMm;
  return {
    position,
    rotation: quaternion,
    near: piece.look.nearFade + NEAREST,
    focus: focusDistance,
    span: (distance) => (wide(distance) * short) / width,
    half: [width / short / 2, height / short / 2],
  };
}

const MEANS: Means = { viewOf, elementIn };

/** The prepared flight of a piece. */
export const flightOf = (piece: Piece): Prepared => preparedFlight(piece, MEANS);

/** A piece with all that is worked out once for it. */
export const sceneOfPiece = (piece: Piece): Scene => sceneOf(piece, MEANS);
