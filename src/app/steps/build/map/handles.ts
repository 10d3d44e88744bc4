import { layerExtent } from '../../../../core/layers/context';
import type { Layer, Piece } from '../../../../core/piece/schema';
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

type Fields = Record<string, number>;
const numbers = (layer: Layer): Fields => layer as unknown as Fields;
const has = (layer: Layer, name: string): boolean => typeof numbers(layer)[name] === 'number';
const round = (v: number, step = 0.001): number => Math.round(v / step) * step;

/** Fields that hold a layer's size, when it has no scale. */
const SIZES = ['width', 'height', 'depth', 'radius'] as const;

/** A sky and what stands along a route have no place of their own. */
const placeless = (layer: Layer): boolean =>
  (layer.kind === 'backdrop' && layer.form === 'dome') ||
  (layer.kind === 'copies' && layer.arrangement === 'route') ||
  (layer.kind === 'stream' && layer.travels) ||
  layer.kind === 'tunnel';

/** Whether a layer stands at a place along the travel, rather than filling the tile. */
const standsAhead = (layer: Layer): boolean =>
  has(layer, 'ahead') && !(layer.kind === 'field' && !['ball', 'shell', 'disc'].includes(layer.shape));

/** What can be done to a layer on the map. */
export function gripsOf(layer: Layer): Grip[] {
  if (placeless(layer)) return [];
  const sized = has(layer, 'scale') || SIZES.some((name) => has(layer, name));
  return [
    ...(has(layer, 'aside') ? ['move' as const] : []),
    ...(sized ? ['scale' as const] : []),
    ...(has(layer, 'heading') ? ['turn' as const] : []),
  ];
}

export function boxOf(piece: Piece, layer: Layer, lane: Lane, view: MapView): Box {
  const { centre, halfWidth, halfHeight, from, to, bend } = layerExtent(piece, layer);
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
): { id: string; lane: Lane; grip: Grip } | null {
  const lane = view.laneAt(x, y);
  const near = ([px, py]: [number, number]): boolean => Math.hypot(px - x, py - y) < GRIP_PX;
  const own = piece.layers.find(({ id, hidden }) => id === chosen && !hidden);
  if (own) {
    const box = boxOf(piece, own, lane, view);
    const grips = gripsOf(own);
    if (grips.includes('scale') && near(scaleHandle(box))) return { id: own.id, lane, grip: 'scale' };
    if (grips.includes('turn') && near(turnHandle(box))) return { id: own.id, lane, grip: 'turn' };
  }
  const under = piece.layers
    .filter((layer) => !layer.hidden && gripsOf(layer).includes('move'))
    .map((layer) => ({ layer, box: boxOf(piece, layer, lane, view) }))
    .filter(({ box }) => x >= box.left - 3 && x <= box.right + 3 && y >= box.top - 3 && y <= box.bottom + 3)
    .sort((a, b) => area(a.box) - area(b.box));
  const found = under.find(({ layer }) => layer.id === chosen) ?? under.at(0);
  return found ? { id: found.layer.id, lane, grip: 'move' } : null;
}

const area = (box: Box): number => (box.right - box.left) * (box.bottom - box.top);

/**
 * The fields of a layer after dragging from one place of the map to another.
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
): Fields {
  const now = numbers(layer);
  const box = boxOf(piece, layer, lane, view);
  const [cx, cy] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  if (grip === 'move') {
    const out: Fields = {};
    if (standsAhead(layer)) out.ahead = round(now.ahead + (to[0] - from[0]) / view.perMetre);
    const side = lane === 'plan' ? 'aside' : 'above';
    if (has(layer, side)) out[side] = round(now[side] - (to[1] - from[1]) / view.across);
    return out;
  }
  if (grip === 'scale') {
    const reach = (p: readonly [number, number]): number => Math.max(2, Math.hypot(p[0] - cx, p[1] - cy));
    const factor = Math.min(20, Math.max(0.05, reach(to) / reach(from)));
    if (has(layer, 'scale')) return { scale: Math.max(0.001, round(now.scale * factor)) };
    return Object.fromEntries(
      SIZES.filter((name) => has(layer, name)).map((name) => [name, Math.max(0.01, round(now[name] * factor))]),
    );
  }
  const angle = (p: readonly [number, number]): number =>
    (Math.atan2((p[1] - cy) / view.across, (p[0] - cx) / view.perMetre) * 180) / Math.PI;
  const turned = angle(to) - angle(from);
  return lane === 'plan' ? { heading: round(now.heading + turned, 0.1) } : { pitch: round(now.pitch - turned, 0.1) };
}
