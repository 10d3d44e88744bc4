import { stillAt } from '../../../../core/elements/place/form';
import { layerExtent } from '../../../../core/world/layers';
import { isShown, valueAt } from '../../../../core/forms';
import type { Drag } from '../../../../core/forms/field';
import { definitionOf } from '../../../../core/layers/kinds';
import type { Layer, Piece } from '../../../../core/piece/schema';
import { evaluateAnimated, type Animated } from '../../../../core/time/animated';
import { broughtTo } from '../../../parts/keys';
import type { Lane, MapView } from './view';

/** Radius in which a handle of the map is grasped, pixels. */
export const GRIP_PX = 12;

/** What is done to a layer by dragging on the map. */
export type Grip = 'move' | 'scale' | 'turn';

/** A layer's outline in a lane, in pixels. */
export interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** What dragging changes, by field. */
type Fields = Record<string, Animated>;
const round = (v: number, step = 0.001): number => Math.round(v / step) * step;

/** Values of a layer that dragging changes, by what does it; only those in use. */
function draggedFields(layer: Layer): { name: string; drags: Drag; value: Animated }[] {
  return Object.entries(definitionOf(layer.kind).form.fields).flatMap(([name, { control }]) =>
    control?.drags && isShown(control, layer)
      ? [{ name, drags: control.drags, value: valueAt(layer, name) as Animated }]
      : [],
  );
}

/** What can be done to a layer on the map. */
export function gripsOf(layer: Layer): Grip[] {
  const can = new Set(draggedFields(layer).map(({ drags }) => drags));
  return [
    ...(can.has('aside') ? ['move' as const] : []),
    ...(can.has('scale') || can.has('size') ? ['scale' as const] : []),
    ...(can.has('heading') ? ['turn' as const] : []),
  ];
}

/** A layer that stands still where it is at a phase; itself where it is not carried about. */
function stoodStill(layer: Layer, tile: number, phase: number): Layer {
  const placement = definitionOf(layer.kind).placed?.(layer, tile) as object | undefined;
  if (!placement) return layer;
  // it may say more of where it is than its fields do
  return stillAt(placement === layer ? layer : { ...layer, ...placement }, phase);
}

/** A piece whose layers stand still where they are at a phase; itself where none is carried about. */
export function standing(piece: Piece, phase: number): Piece {
  const layers = piece.layers.map((layer) => stoodStill(layer, piece.tile, phase));
  return layers.every((layer, i) => layer === piece.layers[i]) ? piece : { ...piece, layers };
}

/** Where a layer is at a phase. */
export function boxOf(piece: Piece, layer: Layer, lane: Lane, view: MapView, phase: number): Box {
  const still = stoodStill(layer, piece.tile, phase);
  const { centre, halfWidth, halfHeight, from, to, bend } = layerExtent(piece, still);
  const [middle, half] = lane === 'plan' ? [centre[0], halfWidth + bend] : [centre[1], halfHeight + bend];
  return {
    left: view.x(from, lane),
    right: view.x(to, lane),
    top: view.y(middle + half, lane),
    bottom: view.y(middle - half, lane),
  };
}

/** Where the handles of a box are: the corner that scales, and the knob above it that turns. */
export const scaleHandle = (box: Box): [number, number] => [box.right, box.bottom];
export const turnHandle = (box: Box): [number, number] => [(box.left + box.right) / 2, box.top - 9];

/** What is under a pointer: a handle of the chosen layer, or the smallest layer there. */
export function hit(
  piece: Piece,
  view: MapView,
  chosen: string | null,
  x: number,
  y: number,
  phase: number,
): { id: string; lane: Lane; grip: Grip } | null {
  const lane = view.laneAt(x, y);
  const near = ([px, py]: [number, number]): boolean => Math.hypot(px - x, py - y) < GRIP_PX;
  const own = piece.layers.find(({ id, hidden }) => id === chosen && !hidden);
  if (own) {
    const box = boxOf(piece, own, lane, view, phase);
    const grips = gripsOf(own);
    if (grips.includes('scale') && near(scaleHandle(box))) return { id: own.id, lane, grip: 'scale' };
    if (grips.includes('turn') && near(turnHandle(box))) return { id: own.id, lane, grip: 'turn' };
  }
  const under = piece.layers
    .filter((layer) => !layer.hidden && gripsOf(layer).includes('move'))
    .map((layer) => ({ layer, box: boxOf(piece, layer, lane, view, phase) }))
    .filter(({ box }) => x >= box.left - 3 && x <= box.right + 3 && y >= box.top - 3 && y <= box.bottom + 3)
    .sort((a, b) => area(a.box) - area(b.box));
  const found = under.find(({ layer }) => layer.id === chosen) ?? under.at(0);
  return found ? { id: found.layer.id, lane, grip: 'move' } : null;
}

const area = (box: Box): number => (box.right - box.left) * (box.bottom - box.top);

/**
 * The fields of a layer after dragging from one place of the map to another, at a phase of the lap.
 * @returns only what changes
 */
export function dragged(
  piece: Piece,
  layer: Layer,
  lane: Lane,
  grip: Grip,
  view: MapView,
  from: readonly [number, number],
  to: readonly [number, number],
  phase: number,
): Fields {
  const fields = draggedFields(layer);
  const changed = (of: Drag, change: (value: number) => number): Fields =>
    Object.fromEntries(
      fields.flatMap(({ name, drags, value }) =>
        drags === of ? [[name, broughtTo(value, phase, change(evaluateAnimated(value, phase)))]] : [],
      ),
    );
  const box = boxOf(piece, layer, lane, view, phase);
  const [cx, cy] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  if (grip === 'move')
    return {
      ...changed('ahead', (v) => round(v + (to[0] - from[0]) / view.perMetre)),
      ...changed(lane === 'plan' ? 'aside' : 'above', (v) => round(v - (to[1] - from[1]) / view.across)),
    };
  if (grip === 'scale') {
    const reach = (p: readonly [number, number]): number => Math.max(2, Math.hypot(p[0] - cx, p[1] - cy));
    const factor = Math.min(20, Math.max(0.05, reach(to) / reach(from)));
    return {
      ...changed('scale', (v) => Math.max(0.001, round(v * factor))),
      ...changed('size', (v) => Math.max(0.01, round(v * factor))),
    };
  }
  const angle = (p: readonly [number, number]): number =>
    (Math.atan2((p[1] - cy) / view.across, (p[0] - cx) / view.perMetre) * 180) / Math.PI;
  const turned = angle(to) - angle(from);
  return lane === 'plan'
    ? changed('heading', (v) => round(v + turned, 0.1))
    : changed('pitch', (v) => round(v - turned, 0.1));
}
