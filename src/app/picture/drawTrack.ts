import { token } from '../parts/Canvas';
import { pointAt, trackLength, trackPath, type Track } from './track';

/** What the track shows beside the bead; phases and shares of the lap. */
export interface TrackMarks {
  phase: number;
  shutter: number;
  /** how much of a frame is refined, 0..1 of its own share of the lap */
  refined: number;
  frames: number;
  finished: readonly { from: number; length: number }[];
  /** whole beats of the lap, or none */
  beats: number;
  keys: readonly number[];
  /** in which what is open is there, and in which it shows another body */
  stretches: readonly { from: number; length: number }[];
  exchanges: readonly { from: number; length: number }[];
}

/** Half of the gap in the line that marks the seam, as a share of the lap. */
const GAP = 0.0026;
/** More beats than these could not be told apart. */
const MOST_BEATS = 200;

/** Draws the line of the lap and what is marked on it: stretches, exchanges, finished frames, what has gone by, refinement, shutter, beats, keys, the seam. */
export function drawTrack(context: CanvasRenderingContext2D, track: Track, marks: TrackMarks): void {
  const line = new Path2D(trackPath(track));
  const length = trackLength(track);
  const { phase, shutter, frames } = marks;

  const stroke = (from: number, share: number, width: number, colour: string, opacity = 1): void => {
    if (share <= 0) return;
    context.setLineDash([share * length, 2 * length]);
    context.lineDashOffset = -from * length;
    context.lineWidth = width;
    context.strokeStyle = token(colour);
    context.globalAlpha = opacity;
    context.stroke(line);
  };
  const dot = (at: number, radius: number): Path2D => {
    const { x, y } = pointAt(track, at);
    const path = new Path2D();
    path.arc(x, y, radius, 0, 2 * Math.PI);
    return path;
  };

  stroke(GAP, 1 - 2 * GAP, 5, 'track');
  for (const { from, length: share } of marks.stretches) stroke(from, share, 9, 'text', 0.3);
  for (const { from, length: share } of marks.exchanges) stroke(from, share, 9, 'mark', 0.5);
  for (const { from, length: share } of marks.finished) stroke(from, share, 5, 'text', 0.5);
  stroke(GAP, phase - GAP, 2, 'time');
  stroke(phase, marks.refined / frames, 5, 'mark');
  stroke(Math.max(GAP, phase - shutter / 2), shutter, 5, 'time', 0.55);

  context.setLineDash([]);
  context.globalAlpha = 1;
  context.fillStyle = token('muted');
  for (let beat = 1; beat < Math.min(marks.beats, MOST_BEATS); beat++)
    context.fill(dot(beat / marks.beats, beat % 4 === 0 ? 1.9 : 1.1));
  context.lineWidth = 1.6;
  context.strokeStyle = token('text');
  context.fillStyle = token('ground');
  for (const at of marks.keys) {
    const key = dot(at, 4);
    context.fill(key);
    context.stroke(key);
  }
  const seam = pointAt(track, 0);
  context.stroke(new Path2D(`M${seam.x - 5} ${seam.y - 5}v11M${seam.x + 5} ${seam.y - 5}v11`));
}
