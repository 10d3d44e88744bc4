import { routeOf, type RouteKind, ROUTES } from '../../../../core/flight/routes/kinds';
import type { ReactNode } from 'react';
import { routeSetting } from '../../../../core/world/setting';
import { ChoiceField } from '../../../parts/ChoiceField';
import { Inspector } from '../../../parts/Inspector';
import { PlainRow } from '../../../parts/PlainRow';
import rows from '../../../parts/Row.module.css';
import { bench, useBench, usePiece } from '../../../state/bench';
import { CameraKeys } from './CameraKeys';
import { withRoute } from './routeEdits';
import { PartsOfTurn } from './PartsOfTurn';
import { Stations } from './Stations';
import styles from './Route.module.css';

const LABELS = Object.fromEntries(ROUTES.names.map((kind) => [kind, routeOf(kind).label]));

/** Kinds whose values are more than rows. */
const EDITORS: Partial<Record<RouteKind, () => ReactNode>> = { stations: Stations, keys: CameraKeys };

/** What kind of route it is, its own values, and its points or stations. */
export function RouteRows() {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const { route } = piece.flight;
  const definition = routeOf(route.kind);
  const Editor = EDITORS[route.kind];
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
              const { curve, marks } = routeOf(kind);
              if (curve ?? marks) bench.patch({ flyBand: 'map' });
            }}
          />
        </PlainRow>
        <p className={styles.describe}>{definition.describe}</p>
      </section>
      {Editor ? <Editor /> : null}
      <Inspector
        form={definition.form}
        path={['flight', 'route']}
        closingSteps={definition.closingSteps(route, routeSetting(piece))}
      />
      {definition.inParts ? <PartsOfTurn /> : null}
    </>
  );
}
