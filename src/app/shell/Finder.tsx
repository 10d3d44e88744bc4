import { useMemo } from 'react';
import { Autocomplete, Input, Menu, MenuItem, SearchField, useFilter } from 'react-aria-components';
import type { z } from 'zod';
import { routeOf } from '../../core/flight/routes/registry';
import { FlightSchema } from '../../core/flight/schema';
import { definitionOf } from '../../core/layers/registry';
import { LookSchema } from '../../core/look/schema';
import { treatmentOf } from '../../core/treatments/registry';
import { controlOf, isShown } from '../../core/piece/fields';
import type { Piece } from '../../core/piece/schema';
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

const shapeOf = (schema: z.ZodType): Record<string, z.ZodType> =>
  (schema as z.ZodObject).shape as Record<string, z.ZodType>;

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

function valuesOf(piece: Piece): Found[] {
  const rows = (
    schema: z.ZodType,
    owner: object,
    where: string,
    prefix: string,
    state: (group: string) => Parameters<typeof bench.patch>[0],
  ): Found[] =>
    Object.entries(shapeOf(schema)).flatMap(([name, field]) => {
      const meta = controlOf(field);
      if (!meta || !isShown(meta, owner)) return [];
      const id = `${prefix}.${name}`;
      return [
        {
          id,
          words: meta.label,
          where: `${where} · ${meta.group ?? ''}`,
          go: () => showRow(id, state(meta.group ?? '')),
        },
      ];
    });
  return [
    ...piece.layers.flatMap((layer, i) => {
      const state = () => ({ step: 'build', open: layer.id }) as const;
      return [
        ...rows(definitionOf(layer.kind).schema, layer, layer.name, `layers.${i}`, state),
        ...layer.treatments.flatMap((t, k) =>
          rows(
            treatmentOf(t.kind).schema,
            t,
            `${layer.name} · ${treatmentOf(t.kind).label}`,
            `layers.${i}.treatments.${k}`,
            () => ({
              ...state(),
              openTreatment: t.id,
            }),
          ),
        ),
      ];
    }),
    ...rows(FlightSchema, piece.flight, 'Fly', 'flight', (group) => ({ step: 'fly', open: group })),
    ...rows(routeOf(piece.flight.route.kind).schema, piece.flight.route, 'Fly', 'flight.route', () => ({
      step: 'fly',
      open: 'Route',
    })),
    ...rows(LookSchema, piece.look, 'Look', 'look', (group) => ({ step: 'look', open: group })),
  ];
}

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
