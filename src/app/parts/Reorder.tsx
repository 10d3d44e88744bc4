import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';
import styles from './Reorder.module.css';

/** A list whose items can be dragged to another place, or moved there by the keyboard. */
export function Reorder({
  ids,
  onMove,
  children,
}: {
  ids: string[];
  onMove(id: string, over: string): void;
  children: ReactNode;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => over && onMove(String(active.id), String(over.id))}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        {children}
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
  return (
    <div
      ref={setNodeRef}
      className={styles.item}
      style={{ transform: CSS.Translate.toString(transform), transition, zIndex: isDragging ? 2 : undefined }}
    >
      {children(
        <button className={styles.grip} {...attributes} {...listeners} aria-label={`Move ${name}`}>
          <GripVertical size={15} />
        </button>,
      )}
    </div>
  );
}
