import { stepsOf } from '../../../core/world/steps';
import { ChevronDown, ChevronRight, Eye, EyeOff, Trash2 } from 'lucide-react';
import { Button as Pressable } from 'react-aria-components';
import { definitionOf } from '../../../core/layers/kinds';
import type { Layer, Piece } from '../../../core/piece/schema';
import { treatmentOf, type Treatment, type TreatmentKind, TREATMENTS } from '../../../core/treatments/kinds';
import { AddMenu } from '../../parts/AddMenu';
import { Button } from '../../parts/Button';
import { Inspector } from '../../parts/Inspector';
import { Reorder, ReorderItem } from '../../parts/Reorder';
import rows from '../../parts/Row.module.css';
import { bench, useBench } from '../../state/bench';
import { addTreatment, moveTreatment, removeTreatment } from './treatmentEdits';
import styles from './TreatmentList.module.css';

/** The kinds of treatment that a layer can have. */
function kindsFor(layer: Layer): { kind: TreatmentKind; label: string; describe: string }[] {
  const bodies = definitionOf(layer.kind).bodies?.(layer) === true;
  return TREATMENTS.names
    .map((kind) => ({ ...treatmentOf(kind), kind }))
    .filter(({ solidOnly }) => bodies || !solidOnly);
}

/** The rules on a layer: a line each, opened in place, dragged into another order. */
export function TreatmentList({ piece, layer, index }: { piece: Piece; layer: Layer; index: number }) {
  const open = useBench((state) => state.openTreatment);
  const setOpen = (id: string | null): void => bench.patch({ openTreatment: id });
  const { treatments } = layer;
  const add = (kind: TreatmentKind): void => {
    const added = addTreatment(piece, index, kind);
    bench.update(() => added.piece);
    setOpen(added.id);
  };
  return (
    <section className={rows.group} aria-label="Treatments">
      <div className={styles.head}>
        <p className={rows.title}>Treatments</p>
        <AddMenu words="Treat" label="Add a treatment" kinds={kindsFor(layer)} onAdd={add} />
      </div>
      <Reorder
        ids={treatments.map(({ id }) => id)}
        onMove={(id, over) => bench.update((now) => moveTreatment(now, index, id, over))}
      >
        {treatments.map((t, k) => (
          <ReorderItem key={t.id} id={t.id} name={treatmentOf(t.kind).label}>
            {(handle) => (
              <Line
                piece={piece}
                path={['layers', index, 'treatments', k]}
                treatment={t}
                open={open === t.id}
                onToggle={() => setOpen(open === t.id ? null : t.id)}
                onRemove={() => bench.update((now) => removeTreatment(now, index, t.id))}
                handle={handle}
              />
            )}
          </ReorderItem>
        ))}
      </Reorder>
    </section>
  );
}

interface LineProps {
  piece: Piece;
  path: (string | number)[];
  treatment: Treatment;
  open: boolean;
  onToggle(): void;
  onRemove(): void;
  handle: React.ReactNode;
}

function Line({ piece, path, treatment, open, onToggle, onRemove, handle }: LineProps) {
  const { label, form, summary } = treatmentOf(treatment.kind);
  return (
    <div className={`${styles.line} ${treatment.off ? styles.off : ''}`}>
      <div className={styles.row}>
        <Pressable className={styles.title} onPress={onToggle} aria-expanded={open}>
          {open ? <ChevronDown size={14} /> : <ChevronRight size={14} />}
          <b>{label}</b>
          <span>{treatment.off ? 'off' : summary(treatment)}</span>
        </Pressable>
        {handle}
        <Button
          kind="bare"
          label={treatment.off ? `Switch ${label} on` : `Switch ${label} off`}
          onPress={() => bench.set([...path, 'off'], !treatment.off)}
        >
          {treatment.off ? <EyeOff size={14} /> : <Eye size={14} />}
        </Button>
        <Button kind="bare" label={`Remove ${label}`} onPress={onRemove}>
          <Trash2 size={14} />
        </Button>
      </div>
      {open ? <Inspector form={form} path={path} closingSteps={stepsOf(piece, { path }).closing} /> : null}
    </div>
  );
}
