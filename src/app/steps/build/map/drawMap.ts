import { worldOf } from '../../../../core/world/layers';
import { standsOnce } from '../../../../core/world/route';
import { cameraPose, type CameraPose, flightOf, pictureTurn } from '../../../../core/world/camera';
import { carriedBy } from '../../../../core/world/flight';
import { layerBatch } from '../../../../core/world/batch';
import { definitionOf } from '../../../../core/layers/kinds';
import { depthLimitsMm, fieldOfViewDeg } from '../../../../core/lens/optics';
import { linearToHex } from '../../../../core/colour/colour';
import type { Layer, Piece } from '../../../../core/piece/schema';
import { rotate } from '../../../../core/space/vector';
import { token } from '../../../parts/Canvas';
import { boxOf, gripsOf, scaleHandle, standing, turnHandle } from './handles';
import { routeMarks } from './routeHandles';
import { LANES, routePlaces, type Lane, type MapView } from './view';

/** Elements of each layer that the map shows in one tile. */
const FEW = 260;

export interface Dots {
  x: Float32Array;
  y: Float32Array;
  along: Float32Array;
  colour: string[];
  ringEvery: number;
  once: boolean;
}

/** What the map shows of every layer. */
export function dotsOf(whole: Piece, phase: number): Dots[] {
  const piece = standing(whole, phase);
  return piece.layers
    .filter((layer) => !layer.hidden)
    .map((layer) => {
      const definition = definitionOf(layer.kind);
      const context = worldOf(piece);
      const share = Math.min(1, FEW / definition.elementCount(layer, 1, context));
      const batch = layerBatch(piece, layer.id, 0.5, share);
      const pick = (k: number, sign: number): Float32Array =>
        Float32Array.from({ length: batch.count }, (_, i) => sign * batch.position[i * 3 + k]);
      const colour = Array.from({ length: batch.count }, (_, i) =>
        linearToHex([0, 1, 2].map((k) => 0.03 + batch.color[i * 3 + k]) as [number, number, number]),
      );
      return {
        x: pick(0, 1),
        y: pick(1, 1),
        along: pick(2, -1),
        colour,
        ringEvery: definition.rowOf?.(layer) ?? 0,
        once: standsOnce(piece, layer),
      };
    });
}

/** The points of a circuit, the stations and the targets, in both lanes. */
export function drawMarks(
  c: CanvasRenderingContext2D,
  view: MapView,
  piece: Piece,
  chosenLayer: string | null,
  chosen: string | null,
): void {
  // targets are often in one place: what they are for is written one below the other
  let targets = 0;
  for (const { id, words, at, target } of routeMarks(piece, chosenLayer)) {
    if (target) targets++;
    for (const lane of LANES) {
      const [x, y] = [view.x(-at[2], lane), view.y(at[lane === 'plan' ? 0 : 1], lane)];
      c.fillStyle = id === chosen ? token('time') : token('ground');
      c.strokeStyle = id === chosen || target ? token('time') : token('text');
      c.lineWidth = 1.4;
      c.beginPath();
      if (target) {
        c.moveTo(x - 6, y);
        c.lineTo(x + 6, y);
        c.moveTo(x, y - 6);
        c.lineTo(x, y + 6);
      } else {
        c.arc(x, y, 4.5, 0, 2 * Math.PI);
        c.fill();
      }
      c.stroke();
      if (lane === 'plan') {
        c.fillStyle = token(target ? 'time' : 'muted');
        c.font = `10px ${token('numbers')}`;
        c.fillText(words, x + 7, y + (target ? 2 + 11 * targets : -5));
      }
    }
  }
}

/** The outline of a layer in both lanes, with its handles when it is chosen. */
export function drawBox(
  c: CanvasRenderingContext2D,
  view: MapView,
  piece: Piece,
  layer: Layer,
  phase: number,
  chosen: boolean,
): void {
  const grips = gripsOf(layer);
  if (grips.length === 0) return;
  for (const lane of LANES) {
    const box = boxOf(piece, layer, lane, view, phase);
    c.strokeStyle = token(chosen ? 'time' : 'line-strong');
    c.lineWidth = 1;
    c.strokeRect(box.left, box.top, box.right - box.left, box.bottom - box.top);
    if (!chosen) continue;
    c.fillStyle = token('time');
    if (grips.includes('scale')) c.fillRect(scaleHandle(box)[0] - 3, scaleHandle(box)[1] - 3, 6, 6);
    if (!grips.includes('turn')) continue;
    const [x, y] = turnHandle(box);
    c.beginPath();
    c.moveTo(x, box.top);
    c.lineTo(x, y);
    c.stroke();
    c.beginPath();
    c.arc(x, y, 3.5, 0, 2 * Math.PI);
    c.fill();
  }
}

function clipTo(c: CanvasRenderingContext2D, view: MapView, lane: Lane): void {
  const { left, right, top, bottom } = view.lanes[lane];
  c.beginPath();
  c.rect(left - 40, top, right - left + 80, bottom - top);
  c.clip();
}

/** Everything that stands on the map by itself. */
export function drawMap(
  c: CanvasRenderingContext2D,
  view: MapView,
  [width, height]: readonly [number, number],
  piece: Piece,
  phase: number,
  dots: readonly Dots[],
): void {
  c.clearRect(0, 0, width, height);
  const { tile } = piece;
  const { travel, track } = flightOf(piece);
  // the lap begins within the first tile of the map; the camera's second and third tile are its own repetitions
  const base = travel.advance === 0 ? 0 : Math.floor(-track.at(0).position[2] / tile) * tile;
  const pose = cameraPose(piece, phase);
  for (const lane of LANES) {
    drawTiles(c, view, lane, tile);
    c.save();
    clipTo(c, view, lane);
    drawDots(c, view, lane, tile, dots);
    drawRoute(c, view, lane, piece, base);
    drawCamera(c, view, lane, piece, pose, base);
    c.restore();
  }
}

const tilesShown = ({ start, span }: MapView, tile: number): number => Math.max(1, Math.ceil((start + span) / tile));

function drawTiles(c: CanvasRenderingContext2D, view: MapView, lane: Lane, tile: number): void {
  const { start, span } = view;
  const { top, bottom } = view.lanes[lane];
  const first = view.lanes.plan.top === view.lanes.side.top || lane === 'plan';
  c.font = `11px ${token('numbers')}`;
  c.setLineDash([1, 4]);
  for (let t = 0; t <= tilesShown(view, tile) && t * tile <= start + span + 1e-6; t++) {
    const x = view.x(t * tile, lane);
    c.strokeStyle = token('line-strong');
    c.beginPath();
    c.moveTo(x, top);
    c.lineTo(x, bottom);
    c.stroke();
    c.fillStyle = token('faint');
    if (first && t < tilesShown(view, tile)) c.fillText(`${Number((t * tile).toFixed(1))} m`, x + 4, top - 3);
  }
  c.setLineDash([]);
}

/** Two of some places that are as far apart as any, or nearly: the farthest from the first, and the farthest from that. */
function endsOf(along: Float32Array, off: Float32Array, from: number, to: number): [number, number] {
  const farthest = (k: number): number => {
    let best = k;
    let most = -1;
    for (let j = from; j < to; j++) {
      const apart = Math.hypot(along[j] - along[k], off[j] - off[k]);
      if (apart > most) [most, best] = [apart, j];
    }
    return best;
  };
  const a = farthest(from);
  return [a, farthest(a)];
}

function drawDots(c: CanvasRenderingContext2D, view: MapView, lane: Lane, tile: number, dots: readonly Dots[]): void {
  for (const { x: aside, y: above, along, colour, ringEvery, once } of dots)
    for (let t = 0; t < (once ? 1 : tilesShown(view, tile)); t++) {
      c.globalAlpha = t === 0 ? 0.95 : 0.45;
      const off = lane === 'plan' ? aside : above;
      if (ringEvery > 0)
        for (let i = 0; i + ringEvery <= off.length - ringEvery; i += ringEvery) {
          // edge on, an outline is the stretch between its two ends
          const [a, b] = endsOf(along, off, i, i + ringEvery);
          c.strokeStyle = colour[i];
          c.lineWidth = 1;
          c.beginPath();
          c.moveTo(view.x(along[a] + t * tile, lane), view.y(off[a], lane));
          c.lineTo(view.x(along[b] + t * tile, lane), view.y(off[b], lane));
          c.stroke();
        }
      else
        for (let i = 0; i < off.length; i++) {
          c.fillStyle = colour[i];
          c.fillRect(view.x(along[i] + t * tile, lane) - 0.8, view.y(off[i], lane) - 0.8, 1.6, 1.6);
        }
    }
  c.globalAlpha = 1;
}

/** The route; what travels on is drawn as often as the map shows it. */
function drawRoute(c: CanvasRenderingContext2D, view: MapView, lane: Lane, piece: Piece, base: number): void {
  const { travel } = flightOf(piece);
  const places = routePlaces(piece);
  const { tile } = piece;
  const laps = travel.advance === 0 ? 1 : Math.ceil(((tilesShown(view, tile) + 1) * tile) / Math.abs(travel.advance));
  c.strokeStyle = token('faint');
  c.lineWidth = 1.2;
  for (let lap = 0; lap < laps; lap++) {
    c.beginPath();
    places.forEach((place, i) => {
      const p = carriedBy(travel, lap * Math.sign(travel.advance || 1), place);
      const at: [number, number] = [view.x(-p[2] - base, lane), view.y(p[lane === 'plan' ? 0 : 1], lane)];
      if (i === 0) c.moveTo(...at);
      else c.lineTo(...at);
    });
    c.stroke();
  }
}

function drawCamera(
  c: CanvasRenderingContext2D,
  view: MapView,
  lane: Lane,
  piece: Piece,
  pose: CameraPose,
  base: number,
): void {
  const { across, perMetre, span } = view;
  const index = lane === 'plan' ? 0 : 1;
  // the lap begins a little before the first tile when the hand leans back
  const lean = 0.1 * piece.tile;
  const ahead = -pose.position[2] - base;
  const along = flightOf(piece).travel.advance === 0 ? ahead : ((((ahead + lean) % span) + span) % span) - lean;
  const at = [view.x(along, lane), view.y(pose.position[index], lane)];
  // seen from above a raised fisheye still faces where the camera does
  const forward = rotate(lane === 'plan' ? pose.quaternion : pictureTurn(pose), [0, 0, -1]);
  const angle = Math.atan2(-forward[index] * across, -forward[2] * perMetre);
  const aspect = index === 0 ? 1 : piece.frame.height / piece.frame.width;
  const half = pose.fisheye
    ? pose.fisheye.angle / 2
    : pose.orthoWidth === null
      ? Math.atan(
          Math.tan((fieldOfViewDeg(pose.focalMm, pose.sensorMm) * Math.PI) / 360) * aspect * (across / perMetre),
        )
      : 0;
  // without perspective the field is a band as wide as the picture
  const band = pose.orthoWidth === null ? 0 : (pose.orthoWidth * aspect * across) / 2;
  const { near, far } = depthLimitsMm(pose.focalMm, pose.fNumber, pose.focusDistance * 1000);
  const reach = Math.min(piece.look.reach, piece.tile) * perMetre;
  const wedge = (from: number, to: number): void => {
    c.beginPath();
    // a circle's is round
    const steps = pose.fisheye ? 24 : 1;
    const sides = Array.from({ length: steps + 1 }, (_, i) => (2 * i) / steps - 1);
    for (const [far, side] of [
      ...sides.map((side): [number, number] => [to, side]),
      ...sides.reverse().map((side): [number, number] => [from, side]),
    ]) {
      const turn = angle + side * half;
      c.lineTo(
        at[0] + far * Math.cos(turn) - side * band * Math.sin(angle),
        at[1] + far * Math.sin(turn) + side * band * Math.cos(angle),
      );
    }
    c.closePath();
  };
  c.fillStyle = token('time');
  c.globalAlpha = 0.1;
  wedge(0, reach);
  c.fill();
  c.globalAlpha = 0.3;
  wedge(Math.min(reach, (near / 1000) * perMetre), Math.min(reach, (far / 1000) * perMetre));
  c.fill();
  c.globalAlpha = 1;
  c.beginPath();
  c.arc(at[0], at[1], 4, 0, 2 * Math.PI);
  c.fill();
}
