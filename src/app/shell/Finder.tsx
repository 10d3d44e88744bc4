import { FLIGHT_HEADINGS } from '../../core/flight/form';
import { isShown } from '../../core/forms';
import { useMemo } from 'react';
import { Autocomplete, Input, Menu, MenuItem, SearchField, useFilter } from 'react-aria-components';
import { effectOf } from '../../core/look/effects/kinds';
import { treatmentOf } from '../../core/treatments/kinds';
import type { Part } from '../../core/forms/walk';
import { partsOfPiece, type Piece } from '../../core/piece/schema';
import { Sheet } from '../parts/Sheet';
import styles from '../parts/Sheet.module.css';
import { bench, useBench, usePiece } from '../state/bench';
import { saveFile } from './save';
import { showLoops } from './route';

interface Found {
  id: string;
  words: string;
  where: string;
  go(): void;
}

/** Shows a value's row and puts the focus into it. */
function showRow(label: string, state: Parameters<typeof bench.patch>[0]): void {
  bench.patch(state);
  requestAnimationFrame(() =>
    setTimeout(() => {
      const row = [...document.querySelectorAll<HTMLElement>('[data-row]')].find(
        // a rate shares the row of what swings; a target begins with what it is
        (element) => {
          const row = element.dataset['row'] ?? '';
          return row === label || `${row}Hz` === label || row === `${label}.on`;
        },
      );
      row?.scrollIntoView({ block: 'center' });
      // the value itself, before the mark that says how it moves
      (row?.querySelector('input') ?? row?.querySelector('button'))?.focus();
    }, 60),
  );
}

/** Where the rows of a part of a piece are. */
function placeOf(
  piece: Piece,
  { path }: Part,
  heading: string,
): { where: string; state: Parameters<typeof bench.patch>[0] } {
  const [room, index, list, k] = path;
  if (room === 'layers') {
    const layer = piece.layers[Number(index)];
    const treatment = typeof k === 'number' ? layer.treatments[k] : undefined;
    return {
      where: treatment ? `${layer.name} · ${treatmentOf(treatment.kind).label}` : layer.name,
      state: { step: 'build', open: layer.id, ...(treatment ? { openTreatment: treatment.id } : {}) },
    };
  }
  if (room === 'look') {
    const of = typeof list === 'number' ? piece.look.effects[list] : undefined;
    return {
      where: of ? `Look · ${effectOf(of.kind).label}` : 'Look',
      state: { step: 'look', open: of?.id ?? heading },
    };
  }
  return { where: 'Fly', state: { step: 'fly', open: heading || FLIGHT_HEADINGS.route.label } };
}

/** Parts whose rows can be gone to. */
const ROOMS: readonly unknown[] = ['layers', 'flight', 'look'];

const valuesOf = (piece: Piece): Found[] =>
  partsOfPiece(piece)
    .filter(({ path }) => ROOMS.includes(path[0]) && path.length > (path[0] === 'layers' ? 1 : 0))
    .filter(({ above, path }) => above?.form.fields[path[above.path.length]].control?.control !== 'part')
    .flatMap((part) =>
      Object.entries(part.form.fields).flatMap(([name, { control }]) => {
        if (!control || !isShown(control, part.value)) return [];
        const id = [...part.path, name].join('.');
        const heading = control.group?.label ?? '';
        const { where, state } = placeOf(piece, part, heading);
        return [{ id, words: control.label, where: `${where} · ${heading}`, go: () => showRow(id, state) }];
      }),
    );

const commands = (piece: Piece): Found[] => [
  {
    id: 'play',
    words: 'Play or pause',
    where: 'Space',
    go: () => bench.patch({ playing: !useBench.getState().playing }),
  },
  { id: 'seam', words: 'Play across the seam', where: 'S', go: () => bench.patch({ acrossSeam: true, playing: true }) },
  { id: 'check', words: 'Check the seam', where: '4', go: () => bench.patch({ step: 'seam' }) },
  { id: 'save', words: 'Save a file', where: 'Ctrl S', go: () => saveFile(piece) },
  { id: 'files', words: 'Kept files', where: '', go: () => bench.patch({ files: true }) },
  { id: 'undo', words: 'Undo', where: 'Ctrl Z', go: bench.undo },
  { id: 'loops', words: 'Back to the loops', where: '', go: showLoops },
];

/** Finds a value or a command by its name. */
export function Finder({ open, onClose }: { open: boolean; onClose(): void }) {
  const piece = usePiece();
  const found = useMemo(() => (open ? [...commands(piece), ...valuesOf(piece)] : []), [open, piece]);
  const { contains } = useFilter({ sensitivity: 'base' });
  const byId = new Map(found.map((item) => [item.id, item]));
  return (
    <Sheet title="Find a value or a command" open={open} onClose={onClose}>
      <Autocomplete filter={contains}>
        <SearchField aria-label="Find" autoFocus>
          <Input className={styles.search} placeholder="focal length, twist, glow…" />
        </SearchField>
        <Menu
          aria-label="Found"
          className={styles.list}
          items={found}
          onAction={(key) => {
            onClose();
            byId.get(String(key))?.go();
          }}
          renderEmptyState={() => <div className={styles.item}>Nothing is called that.</div>}
        >
          {(item) => (
            <MenuItem id={item.id} textValue={`${item.words} ${item.where}`} className={styles.item}>
              {item.words}
              <span>{item.where}</span>
            </MenuItem>
          )}
        </Menu>
      </Autocomplete>
    </Sheet>
  );
}
