import { lightName, lightOf } from '../../../../core/look/lights/kinds';
import type { Piece } from '../../../../core/piece/schema';
import { add, rotate, scale, subtract, type Vec3 } from '../../../../core/space/vector';
import { cameraPose } from '../../../../core/world/camera';
import { standingOf } from '../../../../core/world/lights';
import { token } from '../../../parts/Canvas';
import type { Dots } from '../../build/map/drawMap';
import { colourOf } from './lightColour';
import { spotOf, type Half, type TableMark, type TableView } from './tableView';

const HALVES: readonly Half[] = ['plan', 'front'];
const WORDS: Record<Half, string> = { plan: 'from above', front: 'from the camera' };

/** The elements of the world, faint, so that the lights stand about something. */
function drawThings(c: CanvasRenderingContext2D, view: TableView, half: Half, dots: readonly Dots[]): void {
  const most = (1.6 * view.rim) / view.perMetre;
  for (const { x, y, along, colour } of dots)
    for (let i = 0; i < x.length; i++) {
      const at: Vec3 = [x[i], y[i], -along[i]];
      if (Math.hypot(...subtract(at, view.frame.middle)) > most) continue;
      const [px, py] = spotOf(view, half, { place: at });
      c.fillStyle = colour[i];
      c.fillRect(px - 0.8, py - 0.8, 1.6, 1.6);
    }
}

function drawCamera(c: CanvasRenderingContext2D, view: TableView, piece: Piece, phase: number): void {
  const { position, quaternion, focalMm, sensorMm, orthoWidth } = cameraPose(piece, phase);
  const [x, y] = spotOf(view, 'plan', { place: position });
  c.strokeStyle = c.fillStyle = token('time');
  c.globalAlpha = 0.5;
  for (const side of [-1, 1]) {
    const way: Vec3 = orthoWidth === null ? [(side * sensorMm) / focalMm / 2, 0, -1] : [0, 0, -1];
    const start = orthoWidth === null ? position : add(position, rotate(quaternion, [(side * orthoWidth) / 2, 0, 0]));
    const end = add(start, scale(rotate(quaternion, way), view.frame.away));
    c.beginPath();
    c.moveTo(...spotOf(view, 'plan', { place: start }));
    c.lineTo(...spotOf(view, 'plan', { place: end }));
    c.stroke();
  }
  c.globalAlpha = 1;
  c.beginPath();
  c.arc(x, y, 4, 0, 2 * Math.PI);
  c.fill();
}

function line(c: CanvasRenderingContext2D, view: TableView, half: Half, a: Vec3, b: Vec3): void {
  c.beginPath();
  c.moveTo(...spotOf(view, half, { place: a }));
  c.lineTo(...spotOf(view, half, { place: b }));
  c.stroke();
}

/** What a light is, a cone or a box's edges, with the beam before it. */
function drawShape(
  c: CanvasRenderingContext2D,
  view: TableView,
  half: Half,
  piece: Piece,
  mark: TableMark,
  phase: number,
): void {
  const { light, place, goal } = mark;
  if (!place || !goal) return;
  const { rotation } = standingOf(piece, light, phase);
  const way = subtract(goal, place);
  c.globalAlpha = 0.7;
  c.lineWidth = 1;
  c.setLineDash([2, 3]);
  line(c, view, half, place, goal);
  c.setLineDash([]);
  const figure = lightOf(light.kind).figure?.(light, phase, Math.hypot(...way)) ?? [];
  for (const own of figure) {
    const shown = own.map((p) => add(place, rotate(rotation, p)));
    for (let i = 1; i < shown.length; i++) line(c, view, half, shown[i - 1], shown[i]);
  }
  c.globalAlpha = 1;
}

/** The table: rim, subject, camera and what stands there, then every light. */
export function drawTable(
  c: CanvasRenderingContext2D,
  [width, height]: readonly [number, number],
  view: TableView,
  piece: Piece,
  phase: number,
  marks: readonly TableMark[],
  dots: readonly Dots[],
  chosen: string | null,
): void {
  c.clearRect(0, 0, width, height);
  c.font = `10px ${token('numbers')}`;
  for (const half of HALVES) {
    const [cx, cy] = view.middle[half];
    c.save();
    c.beginPath();
    c.rect(half === 'plan' ? 0 : view.split, 0, width / 2, height);
    c.clip();
    c.strokeStyle = token('line');
    c.lineWidth = 1;
    for (const share of [1 / 3, 2 / 3, 1]) {
      c.beginPath();
      c.arc(cx, cy, view.rim * share, 0, 2 * Math.PI);
      c.stroke();
    }
    c.beginPath();
    c.moveTo(cx - view.rim, cy);
    c.lineTo(cx + view.rim, cy);
    c.stroke();
    drawThings(c, view, half, dots);
    c.fillStyle = token('faint');
    c.fillText(WORDS[half], (half === 'plan' ? 0 : view.split) + 8, 12);
    c.fillText(`${(view.rim / view.perMetre).toFixed(1)} m`, cx + view.rim * 0.71 + 4, cy + view.rim * 0.71 + 8);
    if (half === 'plan') drawCamera(c, view, piece, phase);
    for (const mark of marks) {
      const { light } = mark;
      const own = light.id === chosen;
      const colour = colourOf(light, phase);
      const [x, y] = spotOf(view, half, mark);
      c.strokeStyle = colour;
      c.fillStyle = colour;
      if (mark.place) drawShape(c, view, half, piece, mark, phase);
      else {
        // what has no place shines in from the rim
        c.globalAlpha = 0.6;
        c.beginPath();
        c.moveTo(x, y);
        c.lineTo(x + (cx - x) * 0.35, y + (cy - y) * 0.35);
        c.stroke();
        c.globalAlpha = 1;
      }
      c.beginPath();
      c.arc(x, y, own ? 6 : 4.5, 0, 2 * Math.PI);
      c.fill();
      if (own) {
        c.strokeStyle = token('time');
        c.lineWidth = 1.5;
        c.beginPath();
        c.arc(x, y, 9, 0, 2 * Math.PI);
        c.stroke();
        if (mark.goal) {
          const [gx, gy] = spotOf(view, half, { place: mark.goal });
          c.strokeRect(gx - 3.5, gy - 3.5, 7, 7);
        }
      }
      c.fillStyle = token(own ? 'text' : 'muted');
      c.fillText(lightName(light), x + 10, y + 3);
    }
    c.restore();
  }
  c.strokeStyle = token('line');
  c.beginPath();
  c.moveTo(view.split, 6);
  c.lineTo(view.split, height - 6);
  c.stroke();
}
