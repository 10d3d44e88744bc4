import { lightOf, type Light } from '../../../../core/look/lights/kinds';
import type { Piece } from '../../../../core/piece/schema';
import { add, dot, rotate, scale, subtract, type Vec3 } from '../../../../core/space/vector';
import {
  lightAimedAt,
  lightFromDirection,
  lightMovedTo,
  tableFrame,
  type TableFrame,
} from '../../../../core/world/lightMoves';
import { isAiming, lightRows, lightSlots } from '../../../../core/world/lights';

/** The two halves of the table: from above with the camera at the lower edge, and as the camera sees it. */
export type Half = 'plan' | 'front';

/** How the table lies in its band: pixels of the middle of each half, and a metre. */
export interface TableView {
  frame: TableFrame;
  middle: Record<Half, [number, number]>;
  /** radius of the rim, on which lights without a place stand */
  rim: number;
  perMetre: number;
  split: number;
}

/** A light as it lies on the table. */
export interface TableMark {
  light: Light;
  /** by how many metres the repetition of it that is shown is moved from the light of the first tile */
  shift: Vec3;
  /** in the world; of what has no place null, and the way it comes from */
  place: Vec3 | null;
  from: Vec3 | null;
  /** where its beam is drawn to */
  goal: Vec3 | null;
}

/** Metres between a lamp and the handle of its beam where that meets nothing. */
const BEAM = 0.4;

/** Every light that lies somewhere: what is around everywhere does not. */
export function tableMarks(piece: Piece, phase: number): TableMark[] {
  const rows = lightRows(piece, phase);
  const frame = tableFrame(piece, phase);
  return lightSlots(piece).flatMap(({ light, shown, repetition }, row): TableMark[] => {
    // what a panel is, is moved with that
    if (repetition > 0 || shown) return [];
    const { place = null, from, rotation } = rows[row];
    if (!place) return 'behind' in light ? [{ light, shift: [0, 0, 0], place: null, from, goal: null }] : [];
    const first = lightOf(light.kind).placed ? place : null;
    const shift = first ? shiftOf(piece, light, phase, place) : ([0, 0, 0] as Vec3);
    const metres = Math.max(BEAM, 0.6 * Math.hypot(...subtract(frame.middle, place)));
    const goal = isAiming(light) ? add(place, scale(rotate(rotation, [0, 0, -1]), metres)) : null;
    return [{ light, shift, place, from: null, goal }];
  });
}

/** By how much the nearest repetition of a light is moved along the travel. */
function shiftOf(piece: Piece, light: Light, phase: number, place: Vec3): Vec3 {
  const moved = lightMovedTo(piece, light, phase, place);
  if (!('ahead' in light) || !('ahead' in moved)) return [0, 0, 0];
  const tiles = Math.round((Number(moved.ahead) - Number(light.ahead)) / piece.tile);
  return Number.isFinite(tiles) ? [0, 0, -tiles * piece.tile] : [0, 0, 0];
}

/** The table of a piece at a phase, in a band so large. */
export function tableView(piece: Piece, phase: number, width: number, height: number): TableView {
  const frame = tableFrame(piece, phase);
  const far = tableMarks(piece, phase)
    .flatMap(({ place }) => (place ? [Math.hypot(...subtract(place, frame.middle))] : []))
    .filter((metres) => metres < 4 * frame.away + 4);
  const most = Math.max(1.15 * frame.away, 1.3 * Math.max(0, ...far), 1);
  const half = width / 2;
  const rim = Math.max(20, Math.min(half / 2 - 24, height / 2 - 16));
  return {
    frame,
    middle: { plan: [half / 2, height / 2], front: [half + half / 2, height / 2] },
    rim,
    perMetre: rim / most,
    split: half,
  };
}

/** A way, or a place from the table's middle, in the table's own axes: to the right, up, and towards the camera. */
const inFrame = ({ right, towards }: TableFrame, v: Vec3): Vec3 => [dot(v, right), v[1], dot(v, towards)];
const outOfFrame = ({ right, towards }: TableFrame, [x, y, z]: Vec3): Vec3 =>
  add(add(scale(right, x), scale(towards, z)), [0, y, 0]);

/** Where a place of the world, or a way that something comes from, is drawn. */
export function spotOf(
  view: TableView,
  half: Half,
  { place, from }: { place: Vec3 | null; from?: Vec3 | null },
): [number, number] {
  const [cx, cy] = view.middle[half];
  const by = place ? view.perMetre : view.rim;
  const [x, y, z] = inFrame(view.frame, place ? subtract(place, view.frame.middle) : (from ?? [0, 0, 0]));
  return [cx + x * by, half === 'plan' ? cy + z * by : cy - y * by];
}

/** What is under a pointer: a light, or the end of its beam. */
export interface TableHit {
  id: string;
  half: Half;
  grip: 'lamp' | 'beam';
}

const GRIP_PX = 13;

export function hitTable(
  view: TableView,
  marks: readonly TableMark[],
  chosen: string | null,
  x: number,
  y: number,
): TableHit | null {
  const half: Half = x < view.split ? 'plan' : 'front';
  const far = (at: [number, number]): number => Math.hypot(at[0] - x, at[1] - y);
  const found = marks.flatMap((mark) => {
    const lamp = far(spotOf(view, half, mark));
    const beam = mark.goal && mark.light.id === chosen ? far(spotOf(view, half, { place: mark.goal })) : Infinity;
    const own = mark.light.id === chosen ? 0.5 : 0;
    return [
      { id: mark.light.id, half, grip: 'lamp' as const, far: lamp - own },
      { id: mark.light.id, half, grip: 'beam' as const, far: beam },
    ];
  });
  const nearest = found.sort((a, b) => a.far - b.far).at(0);
  return nearest && nearest.far < GRIP_PX ? { id: nearest.id, half, grip: nearest.grip } : null;
}

/** A way that is drawn at a place of a half of the rim: what is not seen there of it stays on its side. */
function wayAt(view: TableView, half: Half, before: Vec3, [px, py]: readonly [number, number]): Vec3 {
  const [cx, cy] = view.middle[half];
  let [a, b] = [(px - cx) / view.rim, (half === 'plan' ? py - cy : cy - py) / view.rim];
  const far = Math.hypot(a, b);
  if (far > 1) [a, b] = [a / far, b / far];
  const rest = Math.sqrt(Math.max(0, 1 - a * a - b * b));
  const own = inFrame(view.frame, before);
  const side = own[half === 'plan' ? 1 : 2] < 0 ? -1 : 1;
  return outOfFrame(view.frame, half === 'plan' ? [a, side * rest, b] : [a, b, side * rest]);
}

/** A light after its lamp, or the end of its beam, was dragged by so many pixels in a half of the table. */
export function draggedLight(
  piece: Piece,
  phase: number,
  view: TableView,
  mark: TableMark,
  { half, grip }: TableHit,
  from: readonly [number, number],
  to: readonly [number, number],
): Light {
  const { light, place, shift } = mark;
  if (!place) return lightFromDirection(piece, light, phase, wayAt(view, half, mark.from ?? [0, 1, 0], to));
  const [dx, dy] = [(to[0] - from[0]) / view.perMetre, (to[1] - from[1]) / view.perMetre];
  const by = outOfFrame(view.frame, half === 'plan' ? [dx, 0, dy] : [dx, -dy, 0]);
  if (grip === 'beam' && mark.goal) return lightAimedAt(piece, light, phase, subtract(add(mark.goal, by), shift));
  return lightMovedTo(piece, light, phase, subtract(add(place, by), shift));
}
