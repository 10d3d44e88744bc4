import { rides } from '../../../core/world/route';
import { worldOf, layerExtent } from '../../../core/world/layers';
import { Copy, Eye, EyeOff, Trash2 } from 'lucide-react';
import { stepsOf } from '../../../core/world/steps';
import { definitionOf, type Layer } from '../../../core/layers/kinds';
import type { Piece } from '../../../core/piece/schema';
import { AloneButton } from '../../parts/AloneButton';
import { Button } from '../../parts/Button';
import { Card } from '../../parts/Card';
import { ChoiceField } from '../../parts/ChoiceField';
import { Inspector } from '../../parts/Inspector';
import { NameRow } from '../../parts/NameRow';
import { PlainRow } from '../../parts/PlainRow';
import { ReorderItem } from '../../parts/Reorder';
import rows from '../../parts/Row.module.css';
import { withReading } from '../fly/route/routeEdits';
import { bench, useBench } from '../../state/bench';
import { LayerDrawing } from './LayerDrawing';
import { applyPreset, duplicateLayer, removeLayer } from './layerEdits';
import { TreatmentList } from './TreatmentList';
import styles from './Build.module.css';

const SHARES: Record<string, string> = {
  '1': 'all',
  '0.5': 'half',
  '0.25': 'a quarter',
  '0.1': 'a tenth',
  '0.05': 'a twentieth',
};

const thousands = (n: number): string => n.toLocaleString('en-US').replace(/,/g, ' ');

/** What a layer is, in a line. */
function summary(piece: Piece, layer: Layer, working: boolean): string {
  const definition = definitionOf(layer.kind);
  const final = definition.counted(layer, 1, worldOf(piece));
  const drawn = definition.counted(layer, working ? layer.working : 1, worldOf(piece));
  const { halfWidth, halfHeight } = layerExtent(piece, layer);
  const count =
    drawn.count < final.count ? `${thousands(drawn.count)} of ${thousands(final.count)}` : thousands(final.count);
  // what hangs on the camera has no place of its own
  if (rides(layer)) return `${count} ${final.noun}`;
  return `${count} ${final.noun} · ${(2 * halfWidth).toFixed(1)} × ${(2 * halfHeight).toFixed(1)} m`;
}

/** A layer: shown, hidden, dragged to another place, opened in place. */
export function LayerCard({ piece, layer, index }: { piece: Piece; layer: Layer; index: number }) {
  const open = useBench((state) => state.open === layer.id);
  const working = useBench((state) => state.working);
  const definition = definitionOf(layer.kind);
  const path = ['layers', index] as const;
  const share = String(layer.working);
  return (
    <ReorderItem id={layer.id} name={layer.name}>
      {(handle) => (
        <Card
          title={layer.name || definition.label}
          summary={layer.hidden ? 'hidden' : summary(piece, layer, working)}
          drawing={<LayerDrawing piece={piece} layer={layer} />}
          open={open}
          kin={{ form: definition.form, path }}
          onToggle={() => bench.patch({ open: open ? null : layer.id, selected: null })}
          actions={
            <>
              {handle}
              <AloneButton of="layers" id={layer.id} name={layer.name} />
              <Button
                kind="bare"
                label={layer.hidden ? `Show ${layer.name}` : `Hide ${layer.name}`}
                onPress={() => bench.set([...path, 'hidden'], !layer.hidden)}
              >
                {layer.hidden ? <EyeOff size={15} /> : <Eye size={15} />}
              </Button>
            </>
          }
        >
          <section className={rows.group}>
            {definition.remarks?.(layer).map((says) => (
              <p key={says} className={rows.remark} role="status">
                {says}
              </p>
            ))}
            {definition.notes?.(layer).map((says) => (
              <p key={says} className={rows.note}>
                {says}
              </p>
            ))}
            {definition.reads && (
              <Button onPress={() => bench.update((now) => withReading(now, layer.id, 0))}>
                Look from where it reads
              </Button>
            )}
            <NameRow path={[...path, 'name']} name={layer.name} of="layer" />
            <PlainRow
              label="Start from"
              hint="Sets every value of this layer to one of its presets; undo brings them back."
            >
              <ChoiceField
                label="Preset"
                value=""
                choices={{
                  '': 'a preset…',
                  ...Object.fromEntries(definition.presets.map(({ label }, i) => [String(i), label])),
                }}
                onChange={(i) => i !== '' && bench.update((now) => applyPreset(now, index, Number(i)))}
              />
            </PlainRow>
            <PlainRow
              label="While working"
              hint="Share of the final count that is drawn while you work; exports always draw all."
            >
              <ChoiceField
                label="Share drawn while working"
                value={share}
                choices={SHARES[share] ? SHARES : { [share]: `${Math.round(layer.working * 100)} %`, ...SHARES }}
                onChange={(value) => bench.set([...path, 'working'], Number(value))}
              />
            </PlainRow>
          </section>
          <TreatmentList piece={piece} layer={layer} index={index} />
          <Inspector form={definition.form} path={path} closingSteps={stepsOf(piece, { path }).closing} />
          <footer className={styles.foot}>
            <Button
              onPress={() => {
                const copied = duplicateLayer(piece, layer.id);
                bench.update(() => copied.piece);
                bench.patch({ open: copied.id });
              }}
            >
              <Copy size={14} /> Duplicate
            </Button>
            <Button
              onPress={() => {
                bench.update((now) => removeLayer(now, layer.id));
                bench.patch({ open: null, selected: null });
              }}
            >
              <Trash2 size={14} /> Delete
            </Button>
          </footer>
        </Card>
      )}
    </ReorderItem>
  );
}
