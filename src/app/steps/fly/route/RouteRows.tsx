import { ArrowDown, ArrowUp, Camera, Eye, Plus, Trash2 } from 'lucide-react';
import { cameraPose } from '../../../../core/flight/camera';
import { cameraKeys, easeCameraKey, moveCameraKey, removeCameraKey } from '../../../../core/flight/cameraKeys';
import type { CircuitRoute } from '../../../../core/flight/routes/circuit/circuit';
import { routeKinds, routeOf, type RouteKind } from '../../../../core/flight/routes/registry';
import { timetable, type StationsRoute } from '../../../../core/flight/routes/stations/stations';
import { viewOf } from '../../../../core/flight/routes/view';
import { lapSeconds } from '../../../../core/time/lap';
import { Button } from '../../../parts/Button';
import { ChoiceField } from '../../../parts/ChoiceField';
import { Inspector } from '../../../parts/Inspector';
import { EASE_WORDS, easeCalled, easeName } from '../../../parts/eases';
import { NumberField } from '../../../parts/NumberField';
import { PlainRow } from '../../../parts/PlainRow';
import rows from '../../../parts/Row.module.css';
import { bench, useBench, usePiece } from '../../../state/bench';
import { player } from '../../../state/player';
import { addPoint, addStation, changeStation, removePoint, shiftStation, withRoute } from './routeEdits';
import styles from './Route.module.css';

const LABELS = Object.fromEntries(routeKinds.map((kind) => [kind, routeOf(kind).label]));
const METRES = { min: -10_000, max: 10_000, comfort: 20, unit: 'm', decimals: 2 };

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
      {route.kind === 'circuit' ? <Points route={route} /> : null}
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

const setRoute = (route: CircuitRoute | StationsRoute): void => bench.set(['flight', 'route'], route);

/** The points of a circuit as numbers; they are drawn and dragged in the map. */
function Points({ route }: { route: CircuitRoute }) {
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

/** The stations in order, with when they are arrived at and left. */
function Stations({ route }: { route: StationsRoute }) {
  const piece = usePiece();
  const phase = useBench((state) => state.status?.phase ?? 0);
  const { frames, rate } = piece.lap;
  const table = timetable(route.stops, frames);
  const seconds = (f: number): string => `${lapSeconds(f, rate).toFixed(1)} s`;
  const here = (): ReturnType<typeof viewOf> => {
    const { byHand } = useBench.getState();
    return byHand ?? viewOf(cameraPose(piece, phase));
  };
  return (
    <section className={rows.group} aria-label="Stations">
      <p className={rows.title}>Stations</p>
      {route.stops.map((stop, i) => {
        const { arrive, leave, next } = table[i];
        const words = stop.name || `Station ${i + 1}`;
        const change = (part: Partial<typeof stop>): void => setRoute(changeStation(route, stop.id, part));
        return (
          <div key={stop.id} className={styles.stop}>
            <div className={styles.stopHead}>
              <input
                className={styles.name}
                aria-label={`Name of station ${i + 1}`}
                placeholder={`Station ${i + 1}`}
                value={stop.name}
                maxLength={80}
                onChange={(event) => change({ name: event.target.value })}
              />
              <Button
                kind="bare"
                label={`Go to ${words}`}
                onPress={() => (bench.patch({ playing: false }), player.seek(arrive / frames))}
              >
                <Eye size={14} />
              </Button>
              <Button kind="bare" label={`Set ${words} to the view that is shown`} onPress={() => change(here())}>
                <Camera size={14} />
              </Button>
              <Button kind="bare" label={`${words} earlier`} onPress={() => setRoute(shiftStation(route, stop.id, -1))}>
                <ArrowUp size={14} />
              </Button>
              <Button kind="bare" label={`${words} later`} onPress={() => setRoute(shiftStation(route, stop.id, 1))}>
                <ArrowDown size={14} />
              </Button>
              <Button
                kind="bare"
                label={`Remove ${words}`}
                isDisabled={route.stops.length === 1}
                onPress={() => setRoute({ ...route, stops: route.stops.filter((s) => s !== stop) })}
              >
                <Trash2 size={13} />
              </Button>
            </div>
            <div className={styles.times}>
              <NumberField
                spec={{ label: `${words}, rests`, min: 0, max: 1000, comfort: 8, decimals: 2, unit: 'rest' }}
                value={stop.rest}
                onChange={(rest) => change({ rest })}
              />
              <NumberField
                spec={{
                  label: `${words}, travels to the next`,
                  min: 0,
                  max: 1000,
                  comfort: 8,
                  decimals: 2,
                  unit: 'travel',
                }}
                value={stop.travel}
                onChange={(travel) => change({ travel })}
              />
              <small>
                {seconds(leave - arrive)} here from frame {arrive}, {seconds(next - leave)} on
              </small>
            </div>
          </div>
        );
      })}
      <Button kind="bare" onPress={() => setRoute(addStation(route, here()))}>
        <Plus size={13} /> Station at the view that is shown
      </Button>
    </section>
  );
}

/** The frames at which views are kept, each standing for the keys of place and direction together. */
function CameraKeys() {
  const piece = usePiece();
  const { frames } = piece.lap;
  const keys = cameraKeys(piece);
  return (
    <section className={rows.group} aria-label="Camera keys">
      <p className={rows.title}>Keys, place and direction together</p>
      {keys.length === 0 ? (
        <p className={styles.describe}>None yet. Fly by hand and keep views as keys, at different frames.</p>
      ) : null}
      {keys.map(({ frame, ease }, i) => {
        const name = ease === null ? '' : easeName(ease);
        return (
          <div key={i} className={styles.cameraKey}>
            <NumberField
              spec={{ label: `Camera key ${i + 1}, frame`, min: 0, max: frames - 1, unit: 'f' }}
              whole
              value={frame}
              onChange={(to) => bench.update((now) => moveCameraKey(now, frame, to))}
            />
            <ChoiceField
              label={`Camera key ${i + 1}, easing to the next`}
              value={name in EASE_WORDS ? name : ''}
              choices={name in EASE_WORDS ? EASE_WORDS : { '': ease === null ? 'several' : 'own curve', ...EASE_WORDS }}
              onChange={(to) => to !== '' && bench.update((now) => easeCameraKey(now, frame, easeCalled(to)))}
            />
            <Button
              kind="bare"
              label={`Go to camera key ${i + 1}`}
              onPress={() => (bench.patch({ playing: false }), player.seek(frame / frames))}
            >
              <Eye size={14} />
            </Button>
            <Button
              kind="bare"
              label={`Remove camera key ${i + 1}`}
              onPress={() => bench.update((now) => removeCameraKey(now, frame))}
            >
              <Trash2 size={13} />
            </Button>
          </div>
        );
      })}
    </section>
  );
}
