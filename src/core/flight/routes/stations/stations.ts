import { z } from 'zod';
import { choice, form, tag, type ValueOf, stored } from '../../../forms';
import { add, length, scale, slerp, subtract, type Quaternion, type Vec3 } from '../../../space/vector';
import { cubicBezier, EASE_PRESETS, type Bezier } from '../../../time/easing';
import { exposedPhase, type Exposure } from '../../../time/exposure';
import { hermite, periodicSlopes } from '../../../time/spline';
import { OWN, STAYS, type RouteDefinition } from '../definition';
import { lengthOf, placeOn } from '../moving';
import { viewFields, viewOf, viewPlace, viewTurn } from '../view';

const parts = z.number().min(0).max(1000);
const StationSchema = z.object({
  id: z.string().min(1).max(64),
  name: z.string().max(80).default(''),
  ...viewFields,
  /** parts of the lap it is rested at, and that the way to the next takes; all parts together are the lap */
  rest: parts.default(1),
  travel: parts.default(2),
});
export type Station = z.infer<typeof StationSchema>;

const eases = {
  even: 'Even',
  gentle: 'Gentle',
  arrive: 'Fast off, soft in',
  depart: 'Soft off, fast in',
  overshoot: 'Overshoot',
  linear: 'Constant',
};

const StationsForm = form({
  kind: tag('stations'),
  /** in order; the last leads back to the first */
  stops: stored(
    z.array(StationSchema).min(1, { error: 'needs a station' }).max(64, { error: 'has at most 64 stations' }),
    [{ id: 'a', name: '', aside: 0, above: 0, ahead: 0, yaw: 0, pitch: 0, roll: 0, rest: 1, travel: 2 }],
  ),
  ease: choice('even', eases, { label: 'Travel', hint: 'How the way from station to station is eased.' }),
  way: choice(
    'straight',
    { straight: 'Straight', curved: 'One smooth curve' },
    { label: 'Way', hint: 'Straight from station to station, or along one smooth closed curve through all of them.' },
  ),
});
/** A route, and the frame it is flown for where that is not the moment's own; never in a document. */
export type StationsRoute = ValueOf<typeof StationsForm> & { exposure?: Exposure };

/** When a station is arrived at and left, as whole frames of the lap, the first arrived at in frame 0. */
export interface Stop {
  arrive: number;
  leave: number;
  /** frame of arrival at the next; the lap's frames for the last */
  next: number;
}

/**
 * The timetable. Every arrival and departure is on a whole frame, and the lap is exactly used up.
 * @param frames of the lap
 */
export function timetable(stops: readonly Pick<Station, 'rest' | 'travel'>[], frames: number): Stop[] {
  const total = stops.reduce((sum, { rest, travel }) => sum + rest + travel, 0);
  const share = total > 1e-9 ? frames / total : 0;
  let behind = 0;
  const marks = stops.map(({ rest, travel }) => {
    const arrive = Math.round(behind * share);
    const leave = Math.round((behind + rest) * share);
    behind += rest + travel;
    return { arrive, leave };
  });
  return marks.map((mark, i) => ({ ...mark, next: i + 1 < marks.length ? marks[i + 1].arrive : frames }));
}

const EASE: Record<keyof typeof eases, Bezier> = {
  ...(EASE_PRESETS as Record<Exclude<keyof typeof eases, 'linear'>, Bezier>),
  linear: [0, 0, 1, 1],
};

/** Between which stations the camera is at a phase and how far, 0..1 eased; 0 while it rests. */
function progress(route: StationsRoute, table: readonly Stop[], frames: number, phase: number): [number, number] {
  const frame = (phase - Math.floor(phase)) * frames;
  let i = table.length - 1;
  while (i > 0 && table[i].arrive > frame) i--;
  const { leave, next } = table[i];
  if (frame <= leave || next <= leave) return [i, 0];
  return [i, cubicBezier((frame - leave) / (next - leave), EASE[route.ease])];
}

const mix = (a: Vec3, b: Vec3, t: number): Vec3 => add(a, scale(subtract(b, a), t));

/** Positions on the smooth closed curve through the stations, by station number. */
function curved(stops: readonly Station[]): (index: number, t: number) => Vec3 {
  const n = stops.length;
  const points = stops.map(viewPlace);
  const slopes = [0, 1, 2].map((k) =>
    periodicSlopes(
      points.map((_, i) => i / n),
      points.map((p) => p[k]),
    ),
  );
  return (i, t) => {
    const j = (i + 1) % n;
    return [0, 1, 2].map((k) => hermite(t, 1 / n, points[i][k], slopes[k][i], points[j][k], slopes[k][j])) as Vec3;
  };
}

export const stations: RouteDefinition<StationsRoute> = {
  kind: 'stations',
  label: 'Stations',
  describe: 'From view to view, resting at each, and back to the first.',
  form: StationsForm,
  timed: true,
  marks: ({ stops }) => stops,
  overLaps: (route, laps) => ({
    ...route,
    stops: Array.from({ length: laps }, (_, lap) =>
      route.stops.map((stop) => (lap === 0 ? stop : { ...stop, id: `${stop.id}.${lap}` })),
    ).flat(),
  }),
  withMark: (route, place) => ({
    ...route,
    stops: route.stops.map((stop) => (stop.id === place.id ? { ...stop, ...place } : stop)),
  }),
  exposed: (route, exposure) => (route.stops.some(({ travel }) => travel === 0) ? { ...route, exposure } : route),
  begin: ({ pose }) => ({ stops: [{ id: 'first', name: '', ...viewOf(pose), rest: 1, travel: 2 }] }),
  travel: () => STAYS,
  track(route, { frames }) {
    const { stops } = route;
    const table = timetable(stops, frames);
    const bend = route.way === 'curved' && stops.length > 2 ? curved(stops) : null;
    // a way that takes no time is a cut
    const cuts = table.filter(({ leave, next }) => next <= leave).map(({ next }) => (next % frames) / frames);
    const moment = (phase: number): number => (route.exposure ? exposedPhase(cuts, phase, route.exposure) : phase);
    const at = (phase: number): Vec3 => {
      const [i, t] = progress(route, table, frames, moment(phase));
      return bend ? bend(i, t) : mix(viewPlace(stops[i]), viewPlace(stops[(i + 1) % stops.length]), t);
    };
    const turnAt = (phase: number): Quaternion => {
      const [i, t] = progress(route, table, frames, moment(phase));
      return slerp(viewTurn(stops[i]), viewTurn(stops[(i + 1) % stops.length]), t);
    };
    return { length: lengthOf(at), at: (phase) => ({ ...placeOn(at, phase), own: turnAt(phase) }) };
  },
  summary(route, { frames }) {
    const resting = timetable(route.stops, frames).reduce((sum, { arrive, leave }) => sum + leave - arrive, 0);
    const far = route.stops.reduce(
      (sum, stop, i, all) => sum + length(subtract(viewPlace(all[(i + 1) % all.length]), viewPlace(stop))),
      0,
    );
    return `${route.stops.length} stations · ${far.toFixed(1)} m · rests ${Math.round((resting / frames) * 100)} %`;
  },
  keeping: {
    label: () => 'Station',
    keep: (route, { view, id }, already) => ({
      route: { ...route, stops: [...(already ? route.stops : []), { id, name: '', ...view, rest: 1, travel: 2 }] },
      turn: { yaw: 0, pitch: 0, roll: 0 },
    }),
  },
  facing: () => OWN,
  closingSteps: () => ({}),
};
