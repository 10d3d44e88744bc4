import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { createContext, useContext, useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react';
import { announce } from '../state/announce';
import styles from './Reorder.module.css';

/** Moves an item so many places on; its grip keeps the focus. */
type MoveByKey = (id: string, name: string, places: 1 | -1, grip: HTMLElement) => void;
const ByKey = createContext<MoveByKey>(() => undefined);

const HOW = {
  screenReaderInstructions: { draggable: 'Arrow up and arrow down move it by one place.' },
};

/** A list whose items can be dragged to another place, or moved there by the arrow keys on their grips. */
export function Reorder({
  ids,
  onMove,
  children,
}: {
  ids: string[];
  onMove(id: string, over: string): void;
  children: ReactNode;
}) {
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const moved = useRef<{ id: string; name: string; grip: HTMLElement } | null>(null);
  const order = ids.join(' ');
  useEffect(() => {
    if (!moved.current) return;
    const { id, name, grip } = moved.current;
    moved.current = null;
    const all = order.split(' ');
    grip.focus();
    announce(`${name}: ${all.indexOf(id) + 1} of ${all.length}`);
  }, [order]);
  const byKey: MoveByKey = (id, name, places, grip) => {
    const over = ids.at(ids.indexOf(id) + places);
    if (over === undefined || (places < 0 && ids[0] === id)) return;
    moved.current = { id, name, grip };
    onMove(id, over);
  };
  return (
    <DndContext
      sensors={sensors}
      accessibility={HOW}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => over && onMove(String(active.id), String(over.id))}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ByKey value={byKey}>{children}</ByKey>
      </SortableContext>
    </DndContext>
  );
}

/** An item of a {@link Reorder} list; it is given its handle. */
export function ReorderItem({
  id,
  name,
  children,
}: {
  id: string;
  name: string;
  children(handle: ReactNode): ReactNode;
}) {
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id });
  const byKey = useContext(ByKey);
  const press = (event: KeyboardEvent<HTMLElement>): void => {
    const places = { ArrowUp: -1, ArrowDown: 1 }[event.key] as 1 | -1 | undefined;
    if (!places) return;
    event.preventDefault();
    byKey(id, name, places, event.currentTarget);
  };
  return (
    <div
      ref={setNodeRef}
      className={styles.item}
      style={{ transform: CSS.Translate.toString(transform), transition, zIndex: isDragging ? 2 : undefined }}
    >
      {children(
        <button className={styles.grip} {...attributes} {...listeners} aria-label={`Move ${name}`} onKeyDown={press}>
          <GripVertical size={15} />
        </button>,
      )}
    </div>
  );
}
