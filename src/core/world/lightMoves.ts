import { lightOf, type Light } from '../look/lights/kinds';
import type { Aiming, Hanging } from '../look/lights/standing';
import type { Piece } from '../piece/schema';
import { dot, inverse, length, normalize, rotate, scale, subtract, type Vec3 } from '../space/vector';
import { evaluateAnimated, raisedBy, type Animated } from '../time/animated';
import { cameraPose } from './camera';
import { baseOf, isAiming, isHanging, MIDDLE, standingOf } from './lights';

const DEGREE = Math.PI / 180;
/** Thousandths of a metre and tenths of a degree are kept. */
const round = (v: number, step: number): number => Math.round(v / step) * step + 0;

/** What a value must be so that it is a number at a phase; it is moved as a whole where it changes over the lap. */
const broughtTo = (value: Animated, phase: number, to: number, step: number): Animated => {
  const goal = round(to, step);
  return typeof value === 'number' ? goal : raisedBy(value, goal - evaluateAnimated(value, phase));
};

/** A light with a place, moved to one: metres in the world, at a phase, in the tile the lap begins in. */
export function lightMovedTo(piece: Piece, light: Light, phase: number, place: Vec3): Light {
  if (!isHanging(light)) return light;
  const base = baseOf(piece, light, phase);
  const [x, y, z] = rotate(inverse(base.rotation), subtract(place, base.place));
  const to = (value: Animated, at: number): Animated => broughtTo(value, phase, at, 0.001);
  const moved: Pick<Hanging, 'aside' | 'above' | 'ahead'> = {
    aside: to(light.aside, x),
    above: to(light.above, y),
    ahead: to(light.ahead, -z),
  };
  return { ...light, ...moved };
}

/** A light that shines one way, turned so that it shines at a place: metres in the world. One that aims at a point has that moved. */
export function lightAimedAt(piece: Piece, light: Light, phase: number, goal: Vec3): Light {
  if (!isHanging(light) || !isAiming(light)) return light;
  const aimed: Light & Hanging & Aiming = light;
  if (aimed.aims === 'target') {
    if (aimed.aimAt.on !== 'point') return light;
    const { aside, above, ahead } = aimed.aimAt;
    const to = (value: Animated, at: number): Animated => broughtTo(value, phase, at, 0.001);
    return {
      ...light,
      aimAt: { ...aimed.aimAt, aside: to(aside, goal[0]), above: to(above, goal[1]), ahead: to(ahead, -goal[2]) },
    };
  }
  const { place } = standingOf(piece, light, phase);
  const base = baseOf(piece, light, phase);
  const way = rotate(inverse(base.rotation), subtract(goal, place));
  if (length(way) < 1e-6) return light;
  const [x, y, z] = normalize(way);
  const level = Math.hypot(x, z);
  // straight up or down any heading is as good: it stays
  const heading = level < 1e-3 ? evaluateAnimated(aimed.heading, phase) : Math.atan2(x, -z) / DEGREE;
  const turned: Pick<Aiming, 'heading' | 'tilt'> = {
    heading: broughtTo(aimed.heading, phase, heading, 0.1),
    tilt: broughtTo(aimed.tilt, phase, Math.atan2(y, level) / DEGREE, 0.1),
  };
  return { ...light, ...turned };
}

/** A light without a place that comes from one direction, made to come from another: of the world, any length. */
export function lightFromDirection(piece: Piece, light: Light, phase: number, direction: Vec3): Light {
  if (!('behind' in light) || length(direction) < 1e-6) return light;
  const unit = normalize(direction);
  const turned = 'hangs' in light && light.hangs === 'camera';
  const [x, y, z] = turned ? rotate(inverse(cameraPose(piece, phase).quaternion), unit) : unit;
  const to = (value: Animated, at: number): Animated => broughtTo(value, phase, at, 0.001);
  return { ...light, aside: to(light.aside, x), above: to(light.above, y), behind: to(light.behind, z) };
}

/** A light of the world hung on the camera: where the lap begins it stands, and shines, as it did. */
export function hungOnCamera(piece: Piece, light: Light): Light {
  if (!('hangs' in light)) return light;
  const { place, rotation } = standingOf(piece, light, 0);
  const hung = { ...light, hangs: 'camera' } as Light;
  if (!isHanging(light)) return lightFromDirection(piece, hung, 0, lightOf(light.kind).at(light, 0, MIDDLE).from);
  const moved = lightMovedTo(piece, hung, 0, place);
  const goal = subtract(place, rotate(rotation, [0, 0, 1]));
  return isAiming(light) && light.aims === 'turned' ? lightAimedAt(piece, moved, 0, goal) : moved;
}

/** Where the camera's subject is, and its level axes: to the right, and towards the camera. The middle of a light table. */
export interface TableFrame {
  middle: Vec3;
  right: Vec3;
  towards: Vec3;
  /** metres from the camera to the middle, on the level */
  away: number;
}

/** The frame of the light table at a phase: about what the camera is focused on, as it looks at that. */
export function tableFrame(piece: Piece, phase: number): TableFrame {
  const { position, quaternion, focusDistance } = cameraPose(piece, phase);
  const forward = rotate(quaternion, [0, 0, -1]);
  const middle: Vec3 = [0, 1, 2].map((k) => position[k] + forward[k] * focusDistance) as Vec3;
  const level = Math.hypot(forward[0], forward[2]);
  // a camera that looks straight down still has a right
  const right = level > 1e-3 ? normalize([-forward[2], 0, forward[0]]) : normalize(rotate(quaternion, [1, 0, 0]));
  const towards: Vec3 = [right[2] * -1, 0, right[0]];
  const to = subtract(position, middle);
  return {
    middle,
    right,
    towards: dot(to, towards) < 0 ? scale(towards, -1) : towards,
    away: Math.abs(dot(to, towards)),
  };
}
