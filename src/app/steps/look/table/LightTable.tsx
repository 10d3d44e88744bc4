import { useCallback, useMemo, useRef, useState, type PointerEvent, type ReactNode } from 'react';
import type { Piece } from '../../../../core/piece/schema';
import { BandHead } from '../../../parts/BandHead';
import { Canvas } from '../../../parts/Canvas';
import { bench, useBench, usePiece } from '../../../state/bench';
import { putLight } from '../../../state/lights';
import { useDots } from '../../build/map/useDots';
import { drawTable } from './drawTable';
import {
  draggedLight,
  hitTable,
  tableMarks,
  tableView,
  type TableHit,
  type TableMark,
  type TableView,
} from './tableView';
import styles from '../Look.module.css';

interface Drag {
  hit: TableHit;
  mark: TableMark;
  view: TableView;
  from: [number, number];
  /** as it was when the drag began */
  piece: Piece;
}

/** Lights about the subject, from above and as the camera sees them: dragged where they are to stand, and to shine. */
export function LightTable({ title }: { title: ReactNode }) {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const open = useBench((state) => state.open);
  const dots = useDots(piece, phase);
  const frame = useRef<HTMLDivElement>(null);
  const drag = useRef<Drag | null>(null);
  const [over, setOver] = useState(false);
  const marks = useMemo(() => tableMarks(piece, phase), [piece, phase]);
  const draw = useCallback(
    (c: CanvasRenderingContext2D, width: number, height: number) => {
      // while something is dragged the table keeps its scale
      const view = drag.current?.view ?? tableView(piece, phase, width, height);
      drawTable(c, [width, height], view, piece, phase, marks, dots, open);
    },
    [piece, phase, marks, dots, open],
  );
  const place = (event: PointerEvent): { view: TableView; at: [number, number] } | null => {
    const box = frame.current?.getBoundingClientRect();
    if (!box) return null;
    return {
      view: tableView(piece, phase, box.width, box.height),
      at: [event.clientX - box.left, event.clientY - box.top],
    };
  };
  return (
    <>
      <BandHead title={title} how="drag a light; the square is where it shines">
        {marks.length === 1 ? '1 light' : `${marks.length} lights`} · middle where it is sharp
      </BandHead>
      <div
        ref={frame}
        className={styles.table}
        data-over={over}
        onPointerDown={(event) => {
          const here = place(event);
          const hit = here && hitTable(here.view, marks, open, ...here.at);
          const mark = hit && marks.find(({ light }) => light.id === hit.id);
          if (!mark) return;
          bench.patch({ open: hit.id });
          drag.current = { hit, mark, view: here.view, from: here.at, piece };
          event.currentTarget.setPointerCapture(event.pointerId);
          bench.beginGesture();
        }}
        onPointerMove={(event) => {
          const here = place(event);
          if (!here) return;
          const now = drag.current;
          if (!now) {
            setOver(hitTable(here.view, marks, open, ...here.at) !== null);
            return;
          }
          putLight(draggedLight(now.piece, phase, now.view, now.mark, now.hit, now.from, here.at));
        }}
        onPointerUp={() => {
          if (drag.current) bench.endGesture();
          drag.current = null;
        }}
        onPointerLeave={() => setOver(false)}
      >
        <Canvas label="Light table: the lights about the subject, from above and as the camera sees them" draw={draw} />
      </div>
    </>
  );
}
