import { facing } from '../space/frame';
import { add, fromAxis, length, multiply, rotate, scale, subtract, type Quaternion, type Vec3 } from '../space/vector';
import { evaluateAnimated } from '../time/animated';
import type { Piece } from '../piece/schema';
import type { LightRecord, Sees, Standing } from '../look/lights/definition';
import { stretchOf } from '../look/lights/definition';
import { lightOf, newLight, type Light } from '../look/lights/kinds';
import { facingFactor } from '../look/lights/softBox/factor';
import { gradientOf } from '../colour/animated';
import { gradientAt, linearToHex } from '../colour/colour';
import type { PanelLamp } from '../layers/definition';
import { definitionOf } from '../layers/kinds';
import { layerElements, worldOf } from './layers';
import type { Aiming, Hanging } from '../look/lights/standing';
import { levelIn } from '../look/stretch';
import { cameraPose, flightOf, sceneOfPiece } from './camera';
import { sightTarget } from './sight';

/** Rows of the table of lights: a light that stands in every tile takes several. */
export const MOST_ROWS = 24;
/** Repetitions of one light that shine at a time. */
const MOST_REPEATED = 7;
const DEGREE = Math.PI / 180;
const UPRIGHT: Quaternion = [0, 0, 0, 1];
/** The world's middle, as the world is turned. */
export const MIDDLE: Standing = { place: [0, 0, 0], rotation: UPRIGHT };

/** One row of the table: a light, and which of its repetitions about the camera, counted from the nearest. */
export interface LightSlot {
  light: Light;
  /** it is an element of a layer, and shines in the mean colour of what that shows */
  shown: { layerId: string; lamp: PanelLamp } | null;
  /** repetitions there are of it */
  of: number;
  repetition: number;
}

/** A light at a moment, as the table has it. */
export interface LightRow extends LightRecord {
  /** turns its own axes into the world's */
  rotation: Quaternion;
  /** how far its shadow counts, 0 to 1 */
  shade: number;
}

export const isHanging = (light: object): light is Hanging => 'hangs' in light && 'layer' in light;
export const isAiming = (light: object): light is Aiming => 'aims' in light;

/** Metres to either side within which a light that stands in every tile shines on what is seen. */
function spanOf(piece: Piece, of: number): number {
  return Math.min(piece.look.reach, ((of - 1) / 2) * piece.tile);
}

/** Whether a light stands in every tile: what hangs on the camera goes with that, and a world that is not travelled is there once. */
const repeats = (piece: Piece, light: Light): boolean =>
  isHanging(light) && light.hangs !== 'camera' && flightOf(piece).travel.advance !== 0;

const slotsKnown = new WeakMap<Piece, readonly LightSlot[]>();

/** The rows of the table that the lights of a piece take, which are the same at every phase. */
export function lightSlots(piece: Piece): readonly LightSlot[] {
  let known = slotsKnown.get(piece);
  if (!known) slotsKnown.set(piece, (known = slotsOf(piece)));
  return known;
}

/** A little before an element's own front, in metres, so that it does not light that. */
const BEFORE = 0.01;

type Shining = Pick<LightSlot, 'light' | 'shown'>;

/** The lights that elements of layers are: of their size and colour, where they are. */
const panelLights = (piece: Piece): Shining[] =>
  piece.layers.flatMap((layer): Shining[] => {
    const definition = definitionOf(layer.kind);
    const lamps = layer.hidden ? [] : (definition.lamps?.(layer, worldOf(piece)) ?? []);
    if (lamps.length === 0) return [];
    const { size, place } = layerElements(piece, layer.id, 0);
    const gradient = gradientOf(definition.gradient(layer), 0);
    return lamps.map((lamp) => {
      const [wide, high] = [lamp.wide * size[lamp.element], lamp.high * size[lamp.element]];
      const light = {
        ...newLight('softBox', `${layer.id} ${lamp.element}`, { soft: 0, shadow: false, heading: 180, tilt: 0 }),
        ...{ hangs: 'element', layer: layer.id, element: lamp.element, aside: 0, above: 0, ahead: -BEFORE },
        ...{ name: layer.name, colour: linearToHex(gradientAt(gradient, place[lamp.element])) },
        // as bright as the panel is, whatever its size
        ...{ wide, high, strength: facingFactor(wide, high, 1), dimmer: lamp.gives },
        reach: Math.max(4, 8 * Math.max(wide, high)),
      } as Light;
      return { light, shown: { layerId: layer.id, lamp } };
    });
  });

function slotsOf(piece: Piece): LightSlot[] {
  const own = piece.look.lights.filter(({ off }) => !off).map((light): Shining => ({ light, shown: null }));
  const all = [...own, ...panelLights(piece).slice(0, MOST_ROWS - own.length)];
  const lights = all.map(({ light }) => light);
  const repeated = lights.filter((light) => repeats(piece, light)).length;
  const room = Math.floor((MOST_ROWS - (lights.length - repeated)) / Math.max(1, repeated));
  const wanted = 2 * Math.ceil(piece.look.reach / piece.tile) + 1;
  const most = Math.max(1, Math.min(room, wanted, MOST_REPEATED));
  return all.flatMap(({ light, shown }) => {
    const of = repeats(piece, light) ? most : 1;
    return Array.from({ length: of }, (_, repetition) => ({ light, shown, of, repetition }));
  });
}

function cameraStanding(piece: Piece, phase: number): Standing {
  const { position, quaternion } = cameraPose(piece, phase);
  return { place: position, rotation: quaternion };
}

/** Where a light stands at a phase, which is not wrapped, in the tile the lap begins in. */
export function standingOf(piece: Piece, light: Light, phase: number): Standing {
  if (!isHanging(light)) return 'hangs' in light && light.hangs === 'camera' ? cameraStanding(piece, phase) : MIDDLE;
  const base = baseOf(piece, light, phase);
  const at = (value: Hanging['aside']): number => evaluateAnimated(value, phase);
  const place = add(base.place, rotate(base.rotation, [at(light.aside), at(light.above), -at(light.ahead)]));
  return {
    place,
    rotation: isAiming(light) ? aimed(piece, light, { place, rotation: base.rotation }, phase) : base.rotation,
  };
}

/** What a light hangs on. */
export function baseOf(piece: Piece, light: Hanging, phase: number): Standing {
  if (light.hangs === 'camera') return cameraStanding(piece, phase);
  if (light.hangs === 'world') return MIDDLE;
  const { layer, element } = light;
  const on = { on: light.hangs, layer, element, aside: 0, above: 0, ahead: 0 };
  const { position, rotation } = sightTarget(sceneOfPiece(piece), on, phase);
  return { place: position, rotation };
}

function aimed(piece: Piece, light: Hanging & Aiming, { place, rotation }: Standing, phase: number): Quaternion {
  if (light.aims === 'turned') {
    const aside = fromAxis([0, 1, 0], -evaluateAnimated(light.heading, phase) * DEGREE);
    const up = fromAxis([1, 0, 0], evaluateAnimated(light.tilt, phase) * DEGREE);
    return multiply(rotation, multiply(aside, up));
  }
  // what is on the camera aims at what goes along with that, what stands in a tile at what is in the same
  const goal =
    light.hangs === 'camera'
      ? flightOf(piece).sight(light.aimAt, phase).position
      : sightTarget(sceneOfPiece(piece), light.aimAt, phase).position;
  const to = subtract(goal, place);
  if (length(to) < 1e-6) return rotation;
  return facing(to, [0, 1, 0]);
}

const smooth = (t: number): number => {
  const x = Math.min(1, Math.max(0, t));
  return x * x * (3 - 2 * x);
};

/**
 * The rows of the table of lights.
 * @param phase not wrapped
 * @param frame of the lap, not rounded: on which a light that shines for a stretch is on or not
 */
export function lightRows(piece: Piece, phase: number, frame = phase * piece.lap.frames): LightRow[] {
  const slots = lightSlots(piece);
  const master = evaluateAnimated(piece.look.rig, phase);
  const known = new Map<Light, { stands: Standing; record: LightRecord; level: number }>();
  const here = slots.some(({ of }) => of > 1) ? -cameraPose(piece, phase).position[2] : 0;
  return slots.map(({ light, of, repetition }): LightRow => {
    let own = known.get(light);
    if (!own) {
      const stands = standingOf(piece, light, phase);
      const definition = lightOf(light.kind);
      // what is around has a master besides, which the engine multiplies by
      const level = levelIn(stretchOf(light), frame, piece.lap.frames) * (definition.around ? 1 : master);
      known.set(light, (own = { stands, record: definition.at(light, phase, stands), level }));
    }
    const { stands, record, level } = own;
    const { rotation } = stands;
    if (of === 1) return { ...record, rotation, shade: 1, colour: scale(record.colour, level) };
    const from = record.place ?? stands.place;
    const { offset, seen, shade } = repeatedAt(piece, -from[2] - here, of, repetition);
    const place: Vec3 = [from[0], from[1], from[2] - offset];
    return { ...record, rotation, place, shade, colour: scale(record.colour, level * seen) };
  });
}

/** Repetitions of one light that cast shadows: the nearest, the next ahead and the next behind. */
export const SHADED = 3;

/**
 * A repetition of a light: metres along the travel that it is moved by, how much of it is seen, which fades far away, and how far its
 * shadow counts, which is gone where it is no longer among those that cast one.
 * @param ahead metres that the light of the first tile is ahead of the camera
 */
function repeatedAt(
  piece: Piece,
  ahead: number,
  of: number,
  repetition: number,
): { offset: number; seen: number; shade: number } {
  const { tile } = piece;
  const nearest = -Math.round(ahead / tile);
  // the nearest, the next ahead, the next behind …, each row keeping to one side
  const side = repetition % 2 === 1 ? (repetition + 1) / 2 : -repetition / 2;
  const offset = (nearest + side) * tile;
  const span = spanOf(piece, of);
  const away = Math.abs(ahead + offset);
  const seen = span === 0 ? 1 : 1 - smooth((away / span - 0.7) / 0.3);
  return { offset, seen, shade: 1 - smooth((away / tile - 0.9) / 0.6) };
}

/** How a row of the table is looked from for its shadow; null where it casts none. */
export const seesOf = ({ light, repetition }: LightSlot, phase: number): Sees | null =>
  repetition < SHADED ? (lightOf(light.kind).sees?.(light, phase) ?? null) : null;
