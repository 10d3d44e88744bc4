import { TRACK_NODES, type Track } from '../space/track';
import type { Extent } from './extent';

/** The route a layer's local space is wrapped around: a helix about −z, straight when radius is 0, or a drawn track. */
export interface RouteShape {
  radius: number;
  turnsPerMetre: number;
  track: Track | null;
}

/** The route of what is carried along none. */
export const STRAIGHT: RouteShape = { radius: 0, turnsPerMetre: 0, track: null };

const NO_TRACK = new Float64Array(4);

/** A route as the kernels that include space/route.glsl take it. */
export const courseValues = ({
  radius,
  turnsPerMetre,
  track,
}: RouteShape): { course: [number, number, number, number]; track: Float64Array } => ({
  course: [radius, turnsPerMetre, track ? TRACK_NODES : 0, track?.gain ?? 0],
  track: track?.table ?? NO_TRACK,
});

/** The extent of what lies straight, carried along a route at most `across` metres from it. */
export function carriedAlong(extent: Extent, { radius, track }: RouteShape, across: number): Extent {
  if (!track) return { ...extent, bend: radius, carried: radius > 0 ? across : 0 };
  const { low, high } = track;
  return {
    ...extent,
    halfWidth: (high[0] - low[0]) / 2 + across,
    halfHeight: (high[1] - low[1]) / 2 + across,
    centre: [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2],
    from: -high[2] - across,
    to: -low[2] + across,
  };
}

/** Metres covered per metre of advance along a route whose rounds or tiles are `tile` metres of advance. */
export const paceOf = ({ radius, turnsPerMetre, track }: RouteShape, tile: number): number =>
  track ? track.path.length / tile : Math.hypot(1, 2 * Math.PI * radius * turnsPerMetre);

/** Whether a route comes back to where it began. */
export const closesOnItself = ({ track }: RouteShape): boolean => track?.gain === 0;
