import { routeKinds, routeOf, type RouteKind } from '../../../../core/flight/routes/registry';
import { ChoiceField } from '../../../parts/ChoiceField';
import { Inspector } from '../../../parts/Inspector';
import { PlainRow } from '../../../parts/PlainRow';
import rows from '../../../parts/Row.module.css';
import { bench, useBench, usePiece } from '../../../state/bench';
import { CameraKeys } from './CameraKeys';
import { withRoute } from './routeEdits';
import { Stations } from './Stations';
import styles from './Route.module.css';

const LABELS = Object.fromEntries(routeKinds.map((kind) => [kind, routeOf(kind).label]));

/** What kind of route it is, its own values, and its points or stations. */
export function RouteRows() {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const { route } = piece.flight;
  const definition = routeOf(route.kind);
  return (
    <>
      <section className={rows.group}>
        <PlainRow label="Route" hint="The line the camera travels.">
          <ChoiceField
            label="Route"
            value={route.kind}
            choices={LABELS}
            onChange={(kind) => {
              if (kind === route.kind) return;
              bench.update((now) => withRoute(now, kind as RouteKind, phase));
              // drawn routes are drawn in the map
              if (kind === 'circuit' || kind === 'stations') bench.patch({ flyBand: 'map' });
            }}
          />
        </PlainRow>
        <p className={styles.describe}>{definition.describe}</p>
      </section>
      {route.kind === 'stations' ? <Stations route={route} /> : null}
      {route.kind === 'keys' ? <CameraKeys /> : null}
      <Inspector
        schema={definition.schema}
        path={['flight', 'route']}
        closingSteps={definition.closingSteps(route, piece)}
      />
    </>
  );
}
