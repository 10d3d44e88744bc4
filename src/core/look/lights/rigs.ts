import { add, scale, type Vec3 } from '../../space/vector';
import { newLight, type Light, type LightKind } from './kinds';

/** About what a rig is set up: metres in the world, level axes, and how far the camera is. */
export interface RigSubject {
  middle: Vec3;
  right: Vec3;
  towards: Vec3;
  away: number;
  /** it is set up on the camera, because that travels on or goes round by a part of a turn */
  onCamera: boolean;
}

export interface Rig {
  kind: string;
  label: string;
  /** one sentence */
  describe: string;
  lights(subject: RigSubject): Light[];
  /** the subject stands on a sweep, where nothing surrounds it */
  sweep?: true;
}

/** Where a lamp stands about the subject, as shares of a working distance: to the right, above, and towards the camera. */
type Stand = readonly [number, number, number];

const DEGREE = Math.PI / 180;
const rounded = (v: number, digits = 3): number => Number(v.toFixed(digits)) + 0;

/** Metres from the subject within which a rig is set up: a lamp is seldom farther from it than the camera. */
const spanOf = ({ away }: RigSubject): number => Math.min(8, Math.max(0.8, 0.6 * away));

/** A lamp about the subject that shines at it. @param bright what matt white there is to be, @param more of its fields; lengths are shares too */
function about(
  subject: RigSubject,
  kind: Extract<LightKind, 'spot' | 'softBox' | 'point'>,
  id: string,
  [x, y, z]: Stand,
  bright: number,
  more: { name: string; colour: string; wide?: number; high?: number; radius?: number } & Record<string, unknown>,
): Light {
  const span = spanOf(subject);
  const metres = Math.hypot(x, y, z) * span;
  const sizes = Object.fromEntries(
    (['wide', 'high', 'radius'] as const).flatMap((name) => {
      const share = more[name];
      return typeof share === 'number' ? [[name, rounded(share * span)]] : [];
    }),
  );
  // a box a little nearer than one metre would be weaker than the square says: what it is by then hardly shows
  const strength = rounded(bright * metres * metres, 2);
  const reach = rounded(Math.max(4, metres * 5), 1);
  const fields = { ...more, ...sizes, strength, reach };
  if (subject.onCamera) {
    const ahead = subject.away - z * span;
    // from the lamp to the subject, which is straight ahead of the camera
    const heading = Math.atan2(-x * span, subject.away - ahead) / DEGREE;
    const level = Math.hypot(x, z);
    const tilt = -Math.atan2(y, level) / DEGREE;
    return newLight(kind, id, {
      ...fields,
      ...{ hangs: 'camera', aside: rounded(x * span), above: rounded(y * span), ahead: rounded(ahead) },
      ...(kind === 'point' ? {} : { aims: 'turned', heading: rounded(heading, 1), tilt: rounded(tilt, 1) }),
    });
  }
  const { middle, right, towards } = subject;
  const place = add(middle, add(add(scale(right, x * span), scale(towards, z * span)), [0, y * span, 0]));
  const at = (p: Vec3) => ({ aside: rounded(p[0]), above: rounded(p[1]), ahead: rounded(-p[2]) });
  return newLight(kind, id, {
    ...fields,
    ...at(place),
    ...(kind === 'point' ? {} : { aims: 'target', aimAt: { on: 'point', ...at(middle) } }),
  });
}

const around = (below: number, overhead: number, colour = '#ffffff'): Light =>
  newLight('surroundings', 'around', { below, overhead, colour });

/** Lights to start from, set up about the subject. */
export const RIGS: readonly Rig[] = [
  {
    kind: 'two',
    label: 'Two lamps',
    describe: 'A warm one from before and above, a cool one from behind: the rest stays dark.',
    lights: (of) => [
      about(of, 'softBox', 'key', [0.8, 0.8, 0.75], 1.1, { name: 'Key', colour: '#ffdcb0', wide: 0.5, high: 0.5 }),
      about(of, 'spot', 'rim', [-0.8, 0.9, -0.9], 1.4, { name: 'Rim', colour: '#a9c6ff', cone: 70, radius: 0.05 }),
      around(0.006, 0.02, '#c4d4f0'),
    ],
  },
  {
    kind: 'three',
    label: 'Three lamps',
    describe: 'Key, fill and rim: everything is read, and still has a shape.',
    lights: (of) => [
      about(of, 'softBox', 'key', [0.9, 0.7, 0.7], 1, { name: 'Key', colour: '#fff0da', wide: 0.6, high: 0.6 }),
      about(of, 'softBox', 'fill', [-1.1, 0.2, 0.8], 0.22, {
        ...{ name: 'Fill', colour: '#b8cdf2', wide: 1, high: 0.8, shadow: false },
      }),
      about(of, 'spot', 'rim', [-0.5, 1.1, -1], 1.6, { name: 'Rim', colour: '#dbe8ff', cone: 70, radius: 0.05 }),
      around(0.01, 0.035),
    ],
  },
  {
    kind: 'corridor',
    label: 'Corridor',
    describe: 'Lamps overhead, one behind the other, with dark between them.',
    lights: (of) => [
      about(of, 'point', 'near', [0, 0.9, 0.9], 0.7, {
        name: 'Near lamp',
        colour: '#ffd9a0',
        radius: 0.06,
        shadow: true,
      }),
      about(of, 'point', 'middle', [0, 0.9, -0.6], 0.7, { name: 'Middle lamp', colour: '#ffd9a0', radius: 0.06 }),
      about(of, 'point', 'far', [0, 0.9, -2.4], 0.5, { name: 'Far lamp', colour: '#ffb86b', radius: 0.06 }),
      around(0.004, 0.012, '#9fb6dd'),
    ],
  },
  {
    kind: 'silhouette',
    label: 'Silhouette',
    describe: 'One wide light behind everything: shapes stand black before it, with bright edges.',
    lights: (of) => [
      about(of, 'softBox', 'behind', [0.15, 0.35, -1.4], 1.4, {
        ...{ name: 'Behind', colour: '#ffe2b8', wide: 2.6, high: 1.6, soft: 0 },
      }),
      about(of, 'spot', 'edge', [1.2, 0.4, -0.8], 0.5, { name: 'Edge', colour: '#8fb4ff', cone: 60, radius: 0.04 }),
      around(0.002, 0.006),
    ],
  },
  {
    kind: 'studio',
    label: 'Studio',
    describe:
      'Three large soft boxes, above and to both sides, and a sweep under it where there is no ground or backdrop.',
    sweep: true,
    lights: (of) => [
      about(of, 'softBox', 'top', [0, 1.3, 0.1], 0.8, { name: 'Above', colour: '#fffaf2', wide: 1.6, high: 1.1 }),
      about(of, 'softBox', 'right', [1.2, 0.35, 0.3], 0.5, { name: 'Right', colour: '#ffeacc', wide: 0.5, high: 1.4 }),
      about(of, 'softBox', 'left', [-1.2, 0.35, 0], 0.45, { name: 'Left', colour: '#cfe0ff', wide: 0.35, high: 1.4 }),
      around(0.03, 0.06),
    ],
  },
  {
    kind: 'moonlit',
    label: 'Moonlit',
    describe: 'Cold light from behind and above with long shadows, and one warm lamp.',
    lights: (of) => [
      newLight('sun', 'moon', {
        ...{ name: 'Moon', colour: '#9db8e8', strength: 0.4, wide: 1.2 },
        ...(of.onCamera
          ? { hangs: 'camera', aside: -0.45, above: 0.55, behind: -0.7 }
          : fromWay(add(add(scale(of.right, -0.45), scale(of.towards, -0.7)), [0, 0.55, 0]))),
      }),
      about(of, 'point', 'lamp', [0.7, 0.25, 0.5], 0.5, {
        name: 'Lamp',
        colour: '#ffb35c',
        radius: 0.05,
        shadow: true,
      }),
      around(0.004, 0.02, '#7f9cd0'),
    ],
  },
];

const fromWay = ([x, y, z]: Vec3) => ({ aside: rounded(x), above: rounded(y), behind: rounded(z) });
