import { animated, form, layerRef, tag, type ValueOf } from '../../../forms';
import { add, fromAxis, multiply, rotate, type Quaternion, type Vec3 } from '../../../space/vector';
import { evaluateAnimated } from '../../../time/animated';
import { OWN, STAYS, type RouteDefinition } from '../definition';
import { lengthOf, placeOn } from '../moving';

const degrees = { unit: '°', min: -3600, max: 3600, comfort: 90, decimals: 1 };
const DEGREE = Math.PI / 180;

const ReadingForm = form({
  kind: tag('reading'),
  of: layerRef({
    label: 'Figure',
    of: 'reading',
    hint: 'The figure that reads right from here; when it is moved, the camera goes with it.',
  }),
  aside: animated(0, {
    label: 'Leaves aside',
    ...degrees,
    hint: 'Degrees the camera goes about the figure, to the right of where it reads; key it from 0 and back to 0.',
  }),
  over: animated(0, {
    label: 'Leaves up',
    ...degrees,
    min: -180,
    max: 180,
    hint: 'Degrees the camera goes over the figure, above where it reads.',
  }),
  back: animated(12, {
    label: 'Distance',
    unit: 'm',
    min: 0.05,
    max: 10_000,
    comfort: 40,
    hint: 'Metres from the middle of the figure. One that reads from near by reads from its own distance only.',
  }),
});
export type ReadingRoute = ValueOf<typeof ReadingForm>;

/** How much wider than the figure the picture is. */
const ROOM = 1.5;

/** A figure of a metre at the origin, where there is none. */
const NOTHING = {
  middle: [0, 0, 0] as Vec3,
  stands: [0, 0, 0, 1] as Quaternion,
  turn: [0, 0, 0, 1] as Quaternion,
  distance: 0,
  half: [1, 1] as const,
};

export const reading: RouteDefinition<ReadingRoute> = {
  kind: 'reading',
  label: 'Where it reads',
  describe: 'Before an impossible figure, from where it reads right; leaves, and comes back.',
  form: ReadingForm,
  timed: true,
  begin: ({ reads }) => ({ of: reads }),
  travel: () => STAYS,
  track(route, { readOf }) {
    const seen = (phase: number): { position: Vec3; turn: Quaternion; faces: Vec3 } => {
      const { middle, stands, turn } = readOf(route.of, phase) ?? NOTHING;
      const aside = fromAxis([0, 1, 0], evaluateAnimated(route.aside, phase) * DEGREE);
      const over = fromAxis([1, 0, 0], -evaluateAnimated(route.over, phase) * DEGREE);
      const all = multiply(stands, multiply(aside, multiply(turn, over)));
      const away = evaluateAnimated(route.back, phase);
      return { position: add(middle, rotate(all, [0, 0, away])), turn: all, faces: middle };
    };
    const at = (phase: number): Vec3 => seen(phase).position;
    return {
      length: lengthOf(at, 64),
      at(phase) {
        const { turn, faces } = seen(phase);
        return { ...placeOn(at, phase), own: turn, faces };
      },
    };
  },
  lens(route, { readOf }, aspect) {
    const { distance, half } = readOf(route.of, 0) ?? NOTHING;
    const widthM = Number((2 * ROOM * Math.max(half[0], half[1] * aspect)).toPrecision(3));
    if (distance === 0) return { lens: 'orthographic', widthM };
    return {
      lens: 'perspective',
      sensorMm: 36,
      focalMm: Math.max(4, Number(((36 * distance) / widthM).toPrecision(3))),
    };
  },
  summary(route, { nameOf }) {
    const name = route.of === null ? undefined : nameOf(route.of);
    return name ? `where ${name} reads` : 'where nothing reads yet';
  },
  facing: () => OWN,
  closingSteps: () => ({ aside: 360 }),
};
