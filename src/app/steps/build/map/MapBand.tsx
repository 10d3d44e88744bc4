import { useCallback, useMemo, useRef, useState, type PointerEvent } from 'react';
import { cameraPose, flightRoute } from '../../../../core/flight/camera';
import { layerBatch } from '../../../../core/layers/batch';
import { layerContext } from '../../../../core/layers/context';
import { definitionOf } from '../../../../core/layers/registry';
import { fieldOfViewDeg, depthLimitsMm } from '../../../../core/lens/optics';
import { linearToHex } from '../../../../core/look/colour';
import type { Layer, Piece } from '../../../../core/piece/schema';
import { pathFromSpec } from '../../../../core/space/path';
import { rotate } from '../../../../core/space/vector';
import { BandHead } from '../../../parts/BandHead';
import { Canvas, token } from '../../../parts/Canvas';
import { bench, useBench, usePiece } from '../../../state/bench';
import { boxOf, dragged, gripsOf, hit, scaleHandle, turnHandle, type Grip } from './handles';
import { LANES, mapView, type Lane, type MapView } from './view';
import styles from '../Build.module.css';

/** Elements of each layer that the map shows in one tile. */
const FEW = 260;

interface Dots {
  x: Float32Array;
  y: Float32Array;
  along: Float32Array;
  colour: string[];
  ringEvery: number;
  once: boolean;
}

function dotsOf(piece: Piece): Dots[] {
  return piece.layers
    .filter((layer) => !layer.hidden)
    .map((layer) => {
      const definition = definitionOf(layer.kind);
      const context = layerContext(piece);
      const share = Math.min(1, FEW / definition.elementCount(layer, 1, context));
      const batch = layerBatch(piece, layer.id, 0.5, share);
      const pick = (k: number, sign: number): Float32Array =>
        Float32Array.from({ length: batch.count }, (_, i) => sign * batch.position[i * 3 + k]);
      const colour = Array.from({ length: batch.count }, (_, i) =>
        linearToHex([0, 1, 2].map((k) => 0.03 + batch.color[i * 3 + k]) as [number, number, number]),
      );
      const perRing = layer.kind === 'tunnel' ? batch.count / (definition.counted(layer, share, context).count + 1) : 0;
      return {
        x: pick(0, 1),
        y: pick(1, 1),
        along: pick(2, -1),
        colour,
        ringEvery: Math.round(perRing),
        once: layer.once,
      };
    });
}

/** Plan and side view of the world: layers, tiles, route, camera, its field and what is sharp. Layers are moved, scaled and turned here. */
export function MapBand() {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const open = useBench((state) => state.open);
  const dots = useMemo(() => dotsOf(piece), [piece]);
  const frame = useRef<HTMLDivElement>(null);
  const drag = useRef<Drag | null>(null);
  const [over, setOver] = useState<string | null>(null);
  const draw = useCallback(
    (c: CanvasRenderingContext2D, width: number, height: number) => {
      const view = mapView(piece, width, height);
      drawMap(c, view, height, piece, phase, dots);
      for (const layer of piece.layers)
        if (!layer.hidden && (layer.id === open || layer.id === over))
          drawBox(c, view, piece, layer, layer.id === open);
    },
    [piece, phase, dots, open, over],
  );
  const place = (event: PointerEvent): { view: MapView; at: [number, number] } | null => {
    const box = frame.current?.getBoundingClientRect();
    if (!box) return null;
    return { view: mapView(piece, box.width, box.height), at: [event.clientX - box.left, event.clientY - box.top] };
  };
  const travel = piece.flight.tilesPerLap * piece.tile;
  return (
    <>
      <BandHead title="Map" how="plan above, side below; drag a layer, its corner to scale, its knob to turn">
        tile {Number(piece.tile.toFixed(2))} m · travel {Number(travel.toFixed(2))} m per lap
      </BandHead>
      <div
        ref={frame}
        className={styles.map}
        data-over={over !== null}
        onPointerDown={(event) => {
          const here = place(event);
          const found = here && hit(piece, here.view, open, ...here.at);
          const layer = piece.layers.find(({ id }) => id === found?.id);
          if (!here || !found || !layer) return;
          event.currentTarget.setPointerCapture(event.pointerId);
          bench.patch({ open: layer.id });
          bench.beginGesture();
          drag.current = { ...found, from: here.at, view: here.view, piece, layer };
        }}
        onPointerMove={(event) => {
          const here = place(event);
          if (!here) return;
          if (!drag.current) {
            setOver(hit(piece, here.view, open, ...here.at)?.id ?? null);
            return;
          }
          const { id, lane, grip, view, from, piece: before, layer } = drag.current;
          const fields = dragged(before, layer, lane, grip, view, from, here.at);
          bench.update((now) => ({
            ...now,
            layers: now.layers.map((one) => (one.id === id ? ({ ...one, ...fields } as Layer) : one)),
          }));
        }}
        onPointerUp={() => {
          if (drag.current) bench.endGesture();
          drag.current = null;
        }}
        onPointerLeave={() => setOver(null)}
      >
        <Canvas label="Map of the world: plan and side view with the camera" draw={draw} />
      </div>
    </>
  );
}

interface Drag {
  id: string;
  lane: Lane;
  grip: Grip;
  from: [number, number];
  view: MapView;
  /** as they were when the drag began */
  piece: Piece;
  layer: Layer;
}

/** The outline of a layer in both lanes, with its handles when it is chosen. */
function drawBox(c: CanvasRenderingContext2D, view: MapView, piece: Piece, layer: Layer, chosen: boolean): void {
  const grips = gripsOf(layer);
  if (grips.length === 0) return;
  for (const lane of LANES) {
    const box = boxOf(piece, layer, lane, view);
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

function drawMap(
  c: CanvasRenderingContext2D,
  view: MapView,
  height: number,
  piece: Piece,
  phase: number,
  dots: readonly Dots[],
): void {
  const { tile } = piece;
  const { x, across, span, start, lane } = view;
  const pose = cameraPose(piece, phase);
  c.clearRect(0, 0, x(start + span) + 60, height);
  const middles = LANES.map((name) => view.middle[name]);
  const tiles = Math.max(1, Math.ceil((start + span) / tile));
  c.font = `11px ${token('numbers')}`;
  for (let t = 0; t <= tiles; t++) {
    if (t * tile > start + span + 1e-6) break;
    c.strokeStyle = token('line-strong');
    c.setLineDash([1, 4]);
    c.beginPath();
    c.moveTo(x(t * tile), 14);
    c.lineTo(x(t * tile), height);
    c.stroke();
    c.fillStyle = token('faint');
    if (t < tiles) c.fillText(`${Number((t * tile).toFixed(1))} m`, x(t * tile) + 4, 11);
  }
  c.setLineDash([]);
  c.save();
  c.beginPath();
  for (const middle of middles) c.rect(0, middle - lane / 2, x(start + span) + 40, lane - 2);
  c.clip();
  // the lap begins within the first tile of the map; the camera's second and third tile are its own repetitions
  const base = Math.floor(piece.flight.start / tile) * tile;
  for (const { x: px, y: py, along, colour, ringEvery, once } of dots)
    for (let t = 0; t < (once ? 1 : tiles); t++) {
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
  c.restore();
  c.globalAlpha = 1;
  const route = flightRoute(piece);
  const path = pathFromSpec({
    kind: 'helix',
    radius: route.radius,
    turns: route.turnsPerMetre * tile * tiles,
    advance: tile * tiles,
  });
  middles.forEach((middle, index) => {
    c.strokeStyle = token('faint');
    c.lineWidth = 1.2;
    c.beginPath();
    for (let i = 0; i <= 160; i++) {
      const p = path.pointAt((i / 160) * path.length);
      const at: [number, number] = [x(-p[2]), middle - p[index] * across];
      if (i === 0) c.moveTo(...at);
      else c.lineTo(...at);
    }
    c.stroke();
    drawCamera(c, piece, pose, index, view, middle, base);
  });
}

function drawCamera(
  c: CanvasRenderingContext2D,
  piece: Piece,
  pose: ReturnType<typeof cameraPose>,
  index: number,
  view: MapView,
  middle: number,
  base: number,
): void {
  const { x, across, perMetre, lane, start } = view;
  const { span } = view;
  // the lap begins a little before the first tile when the hand leans back
  const lean = 0.1 * piece.tile;
  const ahead = -pose.position[2] - base;
  const along = piece.flight.tilesPerLap === 0 ? ahead : ((((ahead + lean) % span) + span) % span) - lean;
  const at = [x(along), middle - pose.position[index] * across];
  const forward = rotate(pose.quaternion, [0, 0, -1]);
  const angle = Math.atan2(-forward[index] * across, -forward[2] * perMetre);
  const aspect = index === 0 ? 1 : piece.frame.height / piece.frame.width;
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
  c.rect(0, middle - lane / 2, x(start + span) + 40, lane);
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
