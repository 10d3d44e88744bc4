import { MOST_POINTS, type CurvePoint } from '../../core/forms';
import { Plus, Trash2 } from 'lucide-react';
import { bench, useBench, usePiece } from '../state/bench';
import { Button } from './Button';
import { addPoint, pointKey, removePoint } from './curvePoints';
import { NumberField } from './NumberField';
import styles from './PointRows.module.css';
import rows from './Row.module.css';

const METRES = { min: -10_000, max: 10_000, comfort: 20, unit: 'm', decimals: 2 };

interface Props {
  path: readonly (string | number)[];
  points: readonly CurvePoint[];
  hint: string;
}

/** The points of a drawn curve as numbers; they are drawn and dragged in the map. */
export function PointRows({ path, points, hint }: Props) {
  const chosen = useBench((state) => state.chosenPoint);
  const { tile } = usePiece();
  const set = (next: readonly CurvePoint[]): void => bench.set(path, next);
  const choose = (id: string): void => bench.patch({ chosenPoint: pointKey(path, id), flyBand: 'map' });
  const own = points.find(({ id }) => pointKey(path, id) === chosen);
  return (
    <section className={rows.nested} aria-label="Points of the curve">
      <p className={rows.title} title={hint}>
        Points · aside, above, ahead
      </p>
      <div className={styles.points}>
        {points.map((point, i) => (
          <div key={point.id} className={styles.point} data-chosen={point === own}>
            <button
              className={styles.number}
              aria-pressed={point === own}
              aria-label={`Point ${i + 1}`}
              onClick={() => choose(point.id)}
            >
              {i + 1}
            </button>
            {(['aside', 'above', 'ahead'] as const).map((name) => (
              <NumberField
                key={name}
                spec={{ ...METRES, unit: '', label: `Point ${i + 1}, ${name}` }}
                value={point[name]}
                onChange={(v) => set(points.map((p) => (p === point ? { ...p, [name]: v } : p)))}
              />
            ))}
            <Button
              kind="bare"
              label={`Remove point ${i + 1}`}
              isDisabled={points.length <= 2}
              onPress={() => set(removePoint(points, point.id))}
            >
              <Trash2 size={13} />
            </Button>
          </div>
        ))}
      </div>
      <Button
        kind="bare"
        isDisabled={points.length >= MOST_POINTS}
        onPress={() => {
          const added = addPoint(points, own?.id ?? null, path.at(-1) === 'onward' ? tile : 0);
          set(added.points);
          choose(added.id);
        }}
      >
        <Plus size={13} /> Point after {own ? 'the chosen one' : 'the last'}
      </Button>
    </section>
  );
}
