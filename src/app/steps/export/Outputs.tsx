import { Grid3x2 } from 'lucide-react';
import { useState } from 'react';
import { outputsOf, type Delivery } from '../../../core/deliveries/form';
import { Button } from '../../parts/Button';
import { NumberField } from '../../parts/NumberField';
import { PlainRow } from '../../parts/PlainRow';
import rows from '../../parts/Row.module.css';
import { bench, usePiece } from '../../state/bench';
import { newId } from '../../state/edit';
import { say } from '../../state/notices';

/** Cuts a delivery into one for each output of a wall. */
export function Outputs({ delivery }: { delivery: Delivery }) {
  const piece = usePiece();
  const [wall, setWall] = useState({ columns: 2, rows: 1, gap: 0 });
  const field = (name: keyof typeof wall, label: string, min: number, max: number, unit?: string) => (
    <PlainRow label={label} hint={HINTS[name]}>
      <NumberField
        spec={{ label, min, max, comfort: name === 'gap' ? 200 : 8, ...(unit ? { unit } : {}) }}
        value={wall[name]}
        whole
        onChange={(value) => setWall({ ...wall, [name]: value })}
      />
    </PlainRow>
  );
  const cut = (): void => {
    const outputs = outputsOf(delivery, wall, () => newId('delivery'));
    if (!outputs) {
      say('So many outputs leave less than 16 pixels of each. Fewer columns, rows or a smaller gap do.', {
        tone: 'trouble',
      });
      return;
    }
    bench.set(
      ['deliveries'],
      piece.deliveries.flatMap((one) => (one.id === delivery.id ? [one, ...outputs] : [one])),
    );
  };
  return (
    <section className={rows.group}>
      <p className={rows.title}>Outputs of a wall</p>
      {field('columns', 'Columns', 1, 16)}
      {field('rows', 'Rows', 1, 16)}
      {field('gap', 'Gap', 0, 4000, 'px')}
      <PlainRow label="" hint="Adds a delivery for each output, as this one is.">
        <Button onPress={cut}>
          <Grid3x2 size={14} /> Cut into {wall.columns * wall.rows}
        </Button>
      </PlainRow>
    </section>
  );
}

const HINTS = {
  columns: 'Outputs from left to right.',
  rows: 'Outputs from top to bottom.',
  gap: 'Pixels of the picture that fall on a bezel or a gap between two.',
} as const;
