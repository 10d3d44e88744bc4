import { flightOf } from '../../../../core/world/camera';
import { useCallback, useRef, useState, type PointerEvent, type ReactNode } from 'react';
import type { Layer, Piece } from '../../../../core/piece/schema';
import { routeOf } from '../../../../core/flight/routes/kinds';
import { BandHead } from '../../../parts/BandHead';
import { Canvas } from '../../../parts/Canvas';
import { bench, useBench, usePiece } from '../../../state/bench';
import { putLight } from '../../../state/lights';
import { pointKey, removePoint } from '../../../parts/curvePoints';
import { addPointAt, curvesOf, pointOf } from './curves';
import { drawBox, drawMap, drawMarks } from './drawMap';
import { dragged, hit, type Grip } from './handles';
import { draggedLight, drawLights, hitLight, lightMarks, type LightMark } from './lights';
import { draggedPoint, hitPoint } from './routeHandles';
import { useDots } from './useDots';
import { mapView, type Lane, type MapView } from './view';
import styles from '../Build.module.css';

/** Plan and side view of the world: layers, tiles, route, camera, its field and what is sharp. Layers are moved, scaled and turned here, and the points of a circuit drawn. */
export function MapBand({ title = 'Map', movesLayers = true }: { title?: ReactNode; movesLayers?: boolean }) {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const open = useBench((state) => state.open);
  const point = useBench((state) => state.chosenPoint);
  const dots = useDots(piece, phase);
  const frame = useRef<HTMLDivElement>(null);
  const drag = useRef<Drag | null>(null);
  const [over, setOver] = useState<string | null>(null);
  const { route } = piece.flight;
  // the points of layers are moved where layers are
  const chosenLayer = movesLayers ? open : null;
  const curves = curvesOf(piece, chosenLayer);
  const ownCurve = curves.some(({ path }) => path[0] === 'layers');
  const drawnLayer = (ownCurve && piece.layers.find(({ id }) => id === chosenLayer)) || null;
  const draw = useCallback(
    (c: CanvasRenderingContext2D, width: number, height: number) => {
      // while something is dragged the map keeps its scale
      const view = drag.current?.view ?? mapView(piece, width, height, drawnLayer);
      drawMap(c, view, [width, height], piece, phase, dots);
      for (const layer of piece.layers)
        if (!layer.hidden && (layer.id === open || layer.id === over))
          drawBox(c, view, piece, layer, phase, layer.id === open);
      if (movesLayers && !drawnLayer) drawLights(c, view, lightMarks(piece, phase, view.span), phase, open);
      drawMarks(c, view, piece, chosenLayer, point);
    },
    [piece, phase, dots, open, over, movesLayers, chosenLayer, drawnLayer, point],
  );
  const place = (event: PointerEvent | React.MouseEvent): { view: MapView; at: [number, number] } | null => {
    const box = frame.current?.getBoundingClientRect();
    if (!box) return null;
    return {
      view: mapView(piece, box.width, box.height, drawnLayer),
      at: [event.clientX - box.left, event.clientY - box.top],
    };
  };
  const lightAt = ({ view, at }: { view: MapView; at: [number, number] }) =>
    movesLayers && !drawnLayer ? hitLight(view, lightMarks(piece, phase, view.span), ...at) : null;
  const travel = flightOf(piece).travel.advance;
  const marks =
    curves.length > 0
      ? 'drag points; double-click adds one, Delete removes it'
      : routeOf(route.kind).marks
        ? 'drag stations'
        : 'drag what the camera aims at';
  const how = movesLayers && !ownCurve ? 'drag a layer, its corner to scale, its knob to turn' : marks;
  return (
    <>
      <BandHead
        title={title}
        how={`${travel === 0 || drawnLayer ? 'plan and side' : 'plan above, side below'}; ${how}`}
      >
        {travel === 0
          ? `${flightOf(piece).track.length.toFixed(1)} m a lap`
          : `tile ${Number(piece.tile.toFixed(2))} m · travel ${Number(travel.toFixed(2))} m per lap`}
      </BandHead>
      <div
        ref={frame}
        className={styles.map}
        data-over={over !== null}
        tabIndex={curves.length > 0 ? 0 : -1}
        aria-label="Map"
        onKeyDown={(event) => {
          const found = event.key === 'Delete' && point !== null ? pointOf(curves, point) : null;
          if (!found) return;
          const { path, points } = found.curve;
          bench.set(path, removePoint(points, points[found.index].id));
        }}
        onDoubleClick={(event) => {
          const here = place(event);
          const added = here && addPointAt(curves, here.view, here.at);
          if (!added) return;
          bench.set(added.curve.path, added.points);
          bench.patch({ chosenPoint: pointKey(added.curve.path, added.id) });
        }}
        onPointerDown={(event) => {
          const here = place(event);
          if (!here) return;
          const mark = hitPoint(piece, chosenLayer, here.view, ...here.at);
          const lit = mark ? null : lightAt(here);
          const found = mark || lit || !movesLayers ? null : hit(piece, here.view, open, ...here.at, phase);
          const layer = piece.layers.find(({ id }) => id === found?.id);
          if (mark) {
            bench.patch({ chosenPoint: mark.id });
            // the map must not move under the pointer
            event.currentTarget.focus({ preventScroll: true });
            drag.current = { ...mark, what: 'point', from: here.at, view: here.view, piece };
          } else if (lit) {
            bench.patch({ open: lit.mark.light.id, chosenPoint: null });
            const { id } = lit.mark.light;
            drag.current = { ...lit, id, what: 'light', from: here.at, view: here.view, piece };
          } else if (found && layer) {
            bench.patch({ open: layer.id, chosenPoint: null });
            drag.current = { ...found, what: 'layer', from: here.at, view: here.view, piece, layer };
          } else return;
          event.currentTarget.setPointerCapture(event.pointerId);
          bench.beginGesture();
        }}
        onPointerMove={(event) => {
          const here = place(event);
          if (!here) return;
          const now = drag.current;
          if (!now) {
            const { view, at } = here;
            const layer = movesLayers ? hit(piece, view, open, ...at, phase) : null;
            const light = lightAt(here)?.mark.light;
            setOver(hitPoint(piece, chosenLayer, view, ...at)?.id ?? light?.id ?? layer?.id ?? null);
            return;
          }
          const { view, from, piece: before } = now;
          if (now.what === 'point') {
            const moved = draggedPoint(before, chosenLayer, now.id, now.lane, view, from, here.at);
            bench.update((p) => ({ ...p, flight: moved.flight, layers: moved.layers }));
            return;
          }
          if (now.what === 'light') {
            putLight(draggedLight(before, phase, now.mark, now.lane, view, from, here.at));
            return;
          }
          const fields = dragged(before, now.layer, now.lane, now.grip, view, from, here.at, phase);
          bench.update((p) => ({
            ...p,
            layers: p.layers.map((one) => (one.id === now.id ? ({ ...one, ...fields } as Layer) : one)),
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

interface DragBase {
  id: string;
  lane: Lane;
  from: [number, number];
  view: MapView;
  /** as it was when the drag began */
  piece: Piece;
}
type Drag = DragBase &
  ({ what: 'layer'; grip: Grip; layer: Layer } | { what: 'light'; mark: LightMark } | { what: 'point' });
