import { ArrowDown, ArrowUp, Camera, Eye, Plus, Trash2 } from 'lucide-react';
import { cameraPose } from '../../../../core/world/camera';
import { timetable, type StationsRoute } from '../../../../core/flight/routes/stations/stations';
import { viewOf } from '../../../../core/flight/routes/view';
import { lapSeconds } from '../../../../core/time/lap';
import { Button } from '../../../parts/Button';
import { NumberField } from '../../../parts/NumberField';
import rows from '../../../parts/Row.module.css';
import { bench, useBench, usePiece } from '../../../state/bench';
import { player } from '../../../state/player';
import { addStation, changeStation, shiftStation } from './routeEdits';
import styles from './Route.module.css';

const setRoute = (route: StationsRoute): void => bench.set(['flight', 'route'], route);

/** The stations in order, with when they are arrived at and left. */
export function Stations() {
  const { route } = usePiece().flight;
  return 'stops' in route ? <StationList route={route} /> : null;
}

function StationList({ route }: { route: StationsRoute }) {
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
