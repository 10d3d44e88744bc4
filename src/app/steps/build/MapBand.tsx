import { useCallback, useMemo } from 'react';
import { cameraPose, flightRoute } from '../../../core/flight/camera';
import { layerBatch } from '../../../core/layers/batch';
import { layerContext, layerExtent } from '../../../core/layers/context';
import { definitionOf } from '../../../core/layers/registry';
import { fieldOfViewDeg, depthLimitsMm } from '../../../core/lens/optics';
import { linearToHex } from '../../../core/look/colour';
import type { Piece } from '../../../core/piece/schema';
import { pathFromSpec } from '../../../core/space/path';
import { rotate } from '../../../core/space/vector';
import { BandHead } from '../../parts/BandHead';
import { Canvas, token } from '../../parts/Canvas';
import { useBench, usePiece } from '../../state/bench';
import styles from './Build.module.css';

/** Elements of each layer that the map shows in one tile. */
const FEW = 260;
const TILES = 3;

interface Dots {
  x: Float32Array;
  y: Float32Array;
  along: Float32Array;
  colour: string[];
  ringEvery: number;
  half: number;
}

function dotsOf(piece: Piece): Dots[] {
  return piece.layers
    .filter((layer) => !layer.hidden)
    .map((layer) => {
      const definition = definitionOf(layer.kind);
      const context = layerContext(piece);
      const share = Math.min(1, FEW / definition.elementCount(layer, 1, context));
      const batch = layerBatch(piece, layer.id, 0, share);
      const pick = (k: number, sign: number): Float32Array =>
        Float32Array.from({ length: batch.count }, (_, i) => sign * batch.position[i * 3 + k]);
      const colour = Array.from({ length: batch.count }, (_, i) =>
        linearToHex([0, 1, 2].map((k) => 0.03 + batch.color[i * 3 + k]) as [number, number, number]),
      );
      const lines = definition.drawings(layer, share, context).some(({ as }) => as !== 'sprites');
      const perRing = lines ? batch.count / Math.max(1, definition.counted(layer, share, context).count + 1) : 0;
      const { halfWidth, bend } = layerExtent(piece, layer);
      return {
        x: pick(0, 1),
        y: pick(1, 1),
        along: pick(2, -1),
        colour,
        ringEvery: Math.round(perRing),
        half: halfWidth + bend,
      };
    });
}

/** Plan and side view of the world: layers, tiles, route, camera, its field and what is sharp. */
export function MapBand() {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const dots = useMemo(() => dotsOf(piece), [piece]);
  const draw = useCallback(
    (c: CanvasRenderingContext2D, width: number, height: number) => drawMap(c, width, height, piece, phase, dots),
    [piece, phase, dots],
  );
  const travel = piece.flight.tilesPerLap * piece.tile;
  return (
    <>
      <BandHead title="Map" how="plan above, side below">
        tile {Number(piece.tile.toFixed(2))} m · travel {Number(travel.toFixed(2))} m per lap
      </BandHead>
      <div className={styles.map}>
        <Canvas label="Map of the world: plan and side view with the camera" draw={draw} />
      </div>
    </>
  );
}

function drawMap(
  c: CanvasRenderingContext2D,
  width: number,
  height: number,
  piece: Piece,
  phase: number,
  dots: readonly Dots[],
): void {
  const { tile } = piece;
  const pose = cameraPose(piece, phase);
  c.clearRect(0, 0, width, height);
  const margin = 36;
  const perMetre = (width - margin - 12) / (TILES * tile);
  const x = (along: number): number => margin + along * perMetre;
  const lane = (height - 14) / 2;
  const most = Math.max(1, ...dots.map(({ half }) => half));
  const across = Math.min(perMetre, (lane / 2 - 4) / most);
  const middles = [14 + lane / 2, 14 + lane * 1.5];
  c.font = `11px ${token('numbers')}`;
  for (let t = 0; t <= TILES; t++) {
    c.strokeStyle = token('line-strong');
    c.setLineDash([1, 4]);
    c.beginPath();
    c.moveTo(x(t * tile), 14);
    c.lineTo(x(t * tile), height);
    c.stroke();
    c.fillStyle = token('faint');
    if (t < TILES) c.fillText(`${Number((t * tile).toFixed(1))} m`, x(t * tile) + 4, 11);
  }
  c.setLineDash([]);
  // the lap begins within the first tile of the map; the camera's second and third tile are its own repetitions
  const base = Math.floor(piece.flight.start / tile) * tile;
  for (const { x: px, y: py, along, colour, ringEvery } of dots)
    for (let t = 0; t < TILES; t++) {
      c.globalAlpha = t === 0 ? 0.95 : 0.45;
      middles.forEach((middle, view) => {
        const off = view === 0 ? px : py;
        if (ringEvery > 0)
          for (let i = 0; i + ringEvery <= off.length - ringEvery; i += ringEvery) {
            let low = Infinity;
            let high = -Infinity;
            for (let k = i; k < i + ringEvery; k++) {
              low = Math.min(low, off[k]);
              high = Math.max(high, off[k]);
            }
            c.strokeStyle = colour[i];
            c.lineWidth = 1;
            c.beginPath();
            c.moveTo(x(along[i] + t * tile), middle - low * across);
            c.lineTo(x(along[i] + t * tile), middle - high * across);
            c.stroke();
          }
        else
          for (let i = 0; i < off.length; i++) {
            c.fillStyle = colour[i];
            c.fillRect(x(along[i] + t * tile) - 0.8, middle - off[i] * across - 0.8, 1.6, 1.6);
          }
      });
    }
  c.globalAlpha = 1;
  const route = flightRoute(piece);
  const path = pathFromSpec({
    kind: 'helix',
    radius: route.radius,
    turns: route.turnsPerMetre * tile * TILES,
    advance: tile * TILES,
  });
  middles.forEach((middle, view) => {
    c.strokeStyle = token('faint');
    c.lineWidth = 1.2;
    c.beginPath();
    for (let i = 0; i <= 160; i++) {
      const p = path.pointAt((i / 160) * path.length);
      const at: [number, number] = [x(-p[2]), middle - p[view] * across];
      if (i === 0) c.moveTo(...at);
      else c.lineTo(...at);
    }
    c.stroke();
    drawCamera(c, piece, pose, view, x, middle, across, perMetre, base, lane);
  });
}

function drawCamera(
  c: CanvasRenderingContext2D,
  piece: Piece,
  pose: ReturnType<typeof cameraPose>,
  view: number,
  x: (along: number) => number,
  middle: number,
  across: number,
  perMetre: number,
  base: number,
  lane: number,
): void {
  const span = TILES * piece.tile;
  // the lap begins a little before the first tile when the hand leans back
  const lean = 0.1 * piece.tile;
  const along = ((((-pose.position[2] - base + lean) % span) + span) % span) - lean;
  const at = [x(along), middle - pose.position[view] * across];
  const forward = rotate(pose.quaternion, [0, 0, -1]);
  const angle = Math.atan2(-forward[view] * across, -forward[2] * perMetre);
  const aspect = view === 0 ? 1 : piece.frame.height / piece.frame.width;
  const half = Math.atan(
    Math.tan((fieldOfViewDeg(pose.focalMm, pose.sensorMm) * Math.PI) / 360) * aspect * (across / perMetre),
  );
  const { near, far } = depthLimitsMm(pose.focalMm, pose.fNumber, pose.focusDistance * 1000);
  const reach = Math.min(piece.look.reach, piece.tile) * perMetre;
  const wedge = (from: number, to: number): void => {
    c.beginPath();
    c.moveTo(at[0] + from * Math.cos(angle - half), at[1] + from * Math.sin(angle - half));
    c.lineTo(at[0] + to * Math.cos(angle - half), at[1] + to * Math.sin(angle - half));
    c.lineTo(at[0] + to * Math.cos(angle + half), at[1] + to * Math.sin(angle + half));
    c.lineTo(at[0] + from * Math.cos(angle + half), at[1] + from * Math.sin(angle + half));
    c.closePath();
  };
  c.save();
  c.beginPath();
  c.rect(0, middle - lane / 2, x(span) + 40, lane);
  c.clip();
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
  c.restore();
}
