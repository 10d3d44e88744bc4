import { animated, choice, flag, form, heading, number, partOf, seed, type ValueOf } from '../forms';
import { evaluateAnimated } from '../time/animated';
import { ROUTES } from './routes/kinds';
import { target } from './target';

const route = heading('Route');
const aim = heading('Aim');
const roll = heading('Roll');
const hand = heading('Handheld');
const lens = heading('Lens');
const sharp = heading('Focus');
const shutter = heading('Shutter');

const rate = { unit: 'Hz', min: 0.01, max: 30, comfort: 4, decimals: 2, group: hand };
const shift = { unit: 'cm', min: 0, max: 100, comfort: 0.3, display: 100, decimals: 1, group: hand };
const turn = { unit: '°', min: 0, max: 180, comfort: 3, decimals: 2, group: hand };
const aimed = { field: 'aim', is: ['target'] };
const seen = { field: 'lens', is: ['perspective'] };
const flat = { field: 'lens', is: ['orthographic', 'isometric'] };
const round = { field: 'lens', is: ['fisheye'] };
const distances = { unit: 'm', min: 0.05, max: 10_000, comfort: 20, group: sharp };

export const FLIGHT_HEADINGS = { route, aim, roll, hand, lens, sharp, shutter };

export const FLIGHT = form({
  /** the line the camera travels, by kind */
  route: partOf(ROUTES, { kind: 'run' }),
  speed: animated(1, {
    label: 'Speed',
    unit: '×',
    summed: true,
    min: 0,
    max: 100,
    comfort: 3,
    group: route,
    hint: 'How fast the way is flown, against the average; the lap always ends exactly where it should.',
  }),
  aside: animated(0, {
    label: 'Aside of it',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 3,
    group: route,
    hint: 'Metres to the right of the route.',
  }),
  above: animated(0, {
    label: 'Above it',
    unit: 'm',
    min: -1000,
    max: 1000,
    comfort: 3,
    group: route,
    hint: 'Metres above the route.',
  }),
  aim: choice(
    'ahead',
    { ahead: 'Along the way', target: 'At a target', own: 'By its own direction' },
    {
      label: 'Looks',
      group: aim,
      hint: 'Where the camera faces before it is turned by hand; its own direction is that of stations, keys or what it is attached to, and on an orbit towards its middle.',
    },
  ),
  lookAhead: number(0, {
    label: 'Look ahead',
    unit: 'm',
    min: 0,
    max: 1000,
    comfort: 8,
    group: aim,
    when: { field: 'aim', is: ['ahead'] },
    hint: 'Faces the place so many metres ahead on the way; 0 faces along the tangent.',
  }),
  aimAt: target({}, { label: 'Aim at', group: aim, when: aimed, hint: 'What the camera faces.' }),
  aimSoft: number(0, {
    label: 'Follows softly',
    unit: 's',
    min: 0,
    max: 60,
    comfort: 3,
    group: aim,
    when: aimed,
    hint: 'Seconds over which the target’s movement is averaged, before and after alike.',
  }),
  yaw: animated(0, {
    label: 'Look aside',
    unit: '°',
    min: -36_000,
    max: 36_000,
    comfort: 45,
    decimals: 1,
    group: aim,
    hint: 'Degrees to the right of where the camera faces.',
  }),
  pitch: animated(0, {
    label: 'Look up',
    unit: '°',
    min: -90,
    max: 90,
    comfort: 30,
    decimals: 1,
    group: aim,
    hint: 'Degrees above where the camera faces.',
  }),
  horizon: choice(
    'level',
    { level: 'Level with the world', carried: 'Carried by the route' },
    {
      label: 'Horizon',
      group: roll,
      hint: 'Which way is up: the world’s, or the route’s own, which turns with it as little as it can.',
    },
  ),
  roll: animated(0, {
    label: 'Roll',
    unit: 'turns',
    min: -64,
    max: 64,
    comfort: 1,
    decimals: 3,
    group: roll,
    hint: 'Rotation about the line of sight, in turns; wound, whole turns close.',
  }),
  bank: number(0, {
    label: 'Bank',
    unit: '×',
    min: -20,
    max: 20,
    comfort: 2,
    group: roll,
    hint: 'Leans into curves as a glider would at 1; more than about 1.5 makes people dizzy.',
  }),
  bankSoft: number(0.6, {
    label: 'Bank softly',
    unit: 's',
    min: 0,
    max: 60,
    comfort: 3,
    group: roll,
    hint: 'Seconds over which leaning is averaged, before and after alike.',
  }),
  handAside: number(0, { label: 'Aside', ...shift, hint: 'Largest swing to either side, in centimetres (a peak).' }),
  handAsideHz: number(1, { label: 'Aside, rate', ...rate, hint: 'Swings a second; rounded to whole ones per lap.' }),
  handUp: number(0, { label: 'Up and down', ...shift, hint: 'Largest swing up and down, in centimetres (a peak).' }),
  handUpHz: number(1, { label: 'Up and down, rate', ...rate, hint: 'Swings a second; rounded to whole ones per lap.' }),
  handAlong: number(0, {
    label: 'To and fro',
    ...shift,
    hint: 'Largest swing along the view, in centimetres (a peak).',
  }),
  handAlongHz: number(1, {
    label: 'To and fro, rate',
    ...rate,
    hint: 'Swings a second; rounded to whole ones per lap.',
  }),
  handPitch: number(0, { label: 'Nod', ...turn, hint: 'Largest turn up and down, in degrees (a peak).' }),
  handPitchHz: number(1, { label: 'Nod, rate', ...rate, hint: 'Swings a second; rounded to whole ones per lap.' }),
  handYaw: number(0, { label: 'Swivel', ...turn, hint: 'Largest turn to either side, in degrees (a peak).' }),
  handYawHz: number(1, { label: 'Swivel, rate', ...rate, hint: 'Swings a second; rounded to whole ones per lap.' }),
  handRoll: number(0, { label: 'Lean', ...turn, hint: 'Largest turn about the line of sight, in degrees (a peak).' }),
  handRollHz: number(1, { label: 'Lean, rate', ...rate, hint: 'Swings a second; rounded to whole ones per lap.' }),
  handPulse: choice(
    'random',
    { random: 'Like a hand', regular: 'Regular' },
    { label: 'Pulse', group: hand, hint: 'A mixture of rates about each, or one even swing.' },
  ),
  handScale: animated(1, {
    label: 'Amount',
    unit: '×',
    min: 0,
    max: 20,
    comfort: 2,
    group: hand,
    hint: 'Multiplies every amplitude; over the lap it fades the hand in and out.',
  }),
  handSpeed: number(1, {
    label: 'Speed',
    unit: '×',
    min: 0.05,
    max: 10,
    comfort: 2,
    group: hand,
    hint: 'Multiplies every rate; each is then rounded to whole swings per lap.',
  }),
  handSeed: seed({ label: 'Seed', group: hand, hint: 'Another seed gives another hand.' }),
  lens: choice(
    'perspective',
    { perspective: 'Perspective', orthographic: 'Orthographic', isometric: 'Isometric', fisheye: 'Fisheye' },
    {
      label: 'Projection',
      group: lens,
      hint: 'Perspective sees as a lens does; orthographic keeps sizes at any distance, and sees what is behind the camera too; isometric looks down at 35.26° along a diagonal; a fisheye sees a circle for a dome, all around.',
    },
  ),
  circleDeg: number(180, {
    label: 'Angle of view',
    unit: '°',
    min: 20,
    max: 360,
    comfort: 240,
    decimals: 1,
    group: lens,
    when: round,
    hint: 'From edge to edge of the circle, in which the way from the middle is the angle from it: what a dome covers, 180 for half a ball.',
  }),
  raisedDeg: number(0, {
    label: 'Middle raised',
    unit: '°',
    min: -90,
    max: 90,
    decimals: 1,
    group: lens,
    when: round,
    hint: 'How far above where the camera faces the middle of the circle is: 90 in a flat planetarium, whose middle is the zenith and whose audience looks at the bottom of the circle; less where a dome is tilted.',
  }),
  focalMm: animated(28, {
    label: 'Focal length',
    unit: 'mm',
    min: 4,
    max: 1200,
    comfort: 200,
    decimals: 1,
    group: lens,
    hint: 'In millimetres, on a sensor 36 mm wide unless changed; without perspective, and through a fisheye, it only sets the depth of field.',
  }),
  sensorMm: number(36, {
    label: 'Sensor width',
    unit: 'mm',
    min: 1,
    max: 100,
    comfort: 40,
    decimals: 2,
    group: lens,
    hint: 'Width of the sensor in millimetres.',
  }),
  widthM: animated(10, {
    label: 'Width',
    unit: 'm',
    min: 0.01,
    max: 10_000,
    comfort: 40,
    group: lens,
    when: flat,
    hint: 'Metres of the world that fill the width of the picture.',
  }),
  corner: choice(
    '0',
    { '0': 'From the front right', '1': 'From the back right', '2': 'From the back left', '3': 'From the front left' },
    {
      label: 'Seen',
      group: lens,
      when: { field: 'lens', is: ['isometric'] },
      hint: 'Which of the four diagonals the isometric view looks along.',
    },
  ),
  hold: choice(
    'none',
    { none: 'Nothing', lens: 'By zooming', camera: 'By moving the camera' },
    {
      label: 'Holds in size',
      group: lens,
      when: seen,
      hint: 'Dolly zoom: a subject keeps its size while the field behind it changes.',
    },
  ),
  holdAt: target(
    {},
    {
      label: 'Subject',
      group: lens,
      when: [seen, { field: 'hold', is: ['lens', 'camera'] }],
      hint: 'What keeps its size.',
    },
  ),
  holdWidth: number(4, {
    label: 'Width there',
    unit: 'm',
    min: 0.001,
    max: 10_000,
    comfort: 20,
    group: lens,
    when: [seen, { field: 'hold', is: ['lens', 'camera'] }],
    hint: 'Metres that fill the width of the picture at the subject’s distance.',
  }),
  fNumber: animated(2, {
    label: 'f-number',
    unit: 'f/',
    min: 0.5,
    max: 64,
    comfort: 16,
    decimals: 1,
    group: lens,
    hint: 'Smaller opens the aperture: more light spread, less depth of field.',
  }),
  blades: animated(0, {
    label: 'Blades',
    min: 0,
    max: 16,
    comfort: 9,
    decimals: 0,
    group: lens,
    hint: '0 for a round aperture, otherwise 3 or more; changed over the lap it steps from number to number.',
  }),
  bladeTurn: animated(0, {
    label: 'Blade turn',
    unit: '°',
    min: -36_000,
    max: 36_000,
    comfort: 90,
    decimals: 1,
    group: lens,
    hint: 'Rotation of the aperture polygon in degrees; wound, it closes after a blade.',
  }),
  squeeze: animated(1, {
    label: 'Squeeze',
    unit: '×',
    min: 0.5,
    max: 4,
    comfort: 2,
    group: lens,
    hint: 'Anamorphic: 2 makes bokeh twice as tall as wide.',
  }),
  focusOn: choice(
    'distance',
    { distance: 'A distance', target: 'A target', aim: 'What the camera aims at' },
    { label: 'Sharp', group: sharp, hint: 'What is in focus, whatever the camera looks at.' },
  ),
  focusM: animated(3, {
    label: 'Distance',
    ...distances,
    when: { field: 'focusOn', is: ['distance'] },
    hint: 'Distance of the sharp plane in metres.',
  }),
  focusAt: target(
    {},
    { label: 'Focus on', group: sharp, when: { field: 'focusOn', is: ['target'] }, hint: 'What is in focus.' },
  ),
  pullTo: choice(
    'none',
    { none: 'Nothing', distance: 'A distance', target: 'A target', aim: 'What the camera aims at' },
    { label: 'Pulls to', group: sharp, hint: 'A second mark, to which the focus is pulled and back.' },
  ),
  pullM: animated(8, {
    label: 'Second distance',
    ...distances,
    when: { field: 'pullTo', is: ['distance'] },
    hint: 'Distance of the second sharp plane in metres.',
  }),
  pullAt: target(
    { ahead: 10 },
    {
      label: 'Second target',
      group: sharp,
      when: { field: 'pullTo', is: ['target'] },
      hint: 'What the focus is pulled to.',
    },
  ),
  pull: animated(0, {
    label: 'Pull',
    unit: '%',
    min: 0,
    max: 1,
    display: 100,
    decimals: 0,
    group: sharp,
    when: { field: 'pullTo', is: ['distance', 'target', 'aim'] },
    hint: 'How far the focus has been pulled: 0 on the first, 100 on the second. Key it, with ease.',
  }),
  breathing: flag(false, {
    label: 'Breathes',
    group: sharp,
    when: seen,
    hint: 'The field narrows a little when focused close, as that of a simple lens does; depth of field then is a handbook’s exactly.',
  }),
  shutterDeg: animated(180, {
    label: 'Shutter',
    unit: '°',
    min: 0,
    max: 3600,
    comfort: 720,
    decimals: 0,
    group: shutter,
    exposes: true,
    hint: 'Share of a frame the shutter is open: 360° is the whole frame; more is legal. As a time: type 1/50 s.',
  }),
});
export type Flight = ValueOf<typeof FLIGHT>;

/** Blades of the aperture at a phase, a whole number. */
export const bladesAt = (flight: Flight, phase: number): number => Math.round(evaluateAnimated(flight.blades, phase));

/** Steps of an animated field's gain per lap that close. */
export const flightSteps = (flight: Flight): Record<string, number> => ({
  roll: 1,
  yaw: 360,
  bladeTurn: 360 / Math.max(1, bladesAt(flight, 0)),
});
