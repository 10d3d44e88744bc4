import { Plus, Trash2 } from 'lucide-react';
import type { CircuitRoute } from '../../../../core/flight/routes/circuit/circuit';
import { Button } from '../../../parts/Button';
import { NumberField } from '../../../parts/NumberField';
import rows from '../../../parts/Row.module.css';
import { bench, useBench } from '../../../state/bench';
import { addPoint, removePoint } from './routeEdits';
import styles from './Route.module.css';

const METRES = { min: -10_000, max: 10_000, comfort: 20, unit: 'm', decimals: 2 };
const setRoute = (route: CircuitRoute): void => bench.set(['flight', 'route'], route);

/** The points of a circuit as numbers; they are drawn and dragged in the map. */
export function Points({ route }: { route: CircuitRoute }) {
  const chosen = useBench((state) => state.chosenPoint);
  return (
    <section className={rows.group} aria-label="Points of the circuit">
      <p className={rows.title}>Points · aside, above, ahead</p>
      <div className={styles.points}>
        {route.points.map((point, i) => (
          <div key={point.id} className={styles.point} data-chosen={point.id === chosen}>
            <button
              className={styles.number}
              aria-pressed={point.id === chosen}
              aria-label={`Point ${i + 1}`}
              onClick={() => bench.patch({ chosenPoint: point.id, flyBand: 'map' })}
            >
              {i + 1}
            </button>
            {(['aside', 'above', 'ahead'] as const).map((name) => (
              <NumberField
                key={name}
                spec={{ ...METRES, unit: '', label: `Point ${i + 1}, ${name}` }}
                value={point[name]}
                onChange={(v) =>
                  setRoute({ ...route, points: route.points.map((p) => (p === point ? { ...p, [name]: v } : p)) })
                }
              />
            ))}
            <Button
              kind="bare"
              label={`Remove point ${i + 1}`}
              isDisabled={route.points.length <= 2}
              onPress={() => setRoute(removePoint(route, point.id))}
            >
              <Trash2 size={13} />
            </Button>
          </div>
        ))}
      </div>
      <Button
        kind="bare"
        onPress={() => {
          const added = addPoint(route, chosen);
          setRoute(added.route);
          bench.patch({ chosenPoint: added.id });
        }}
      >
        <Plus size={13} /> Point after{' '}
        {chosen && route.points.some(({ id }) => id === chosen) ? 'the chosen one' : 'the last'}
      </Button>
    </section>
  );
}
