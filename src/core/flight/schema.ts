import { z } from 'zod';
import { animated, choice, integer, layerRef, number, seed } from '../piece/fields';

const route = 'Route';
const aim = 'Aim';
const hand = 'Handheld';
const lens = 'Lens';
const sharp = 'Focus';
const shutter = 'Shutter';

export const FlightSchema = z.looseObject({
  route: choice('straight', { straight: 'Straight run', along: 'Along a tunnel' }, { label: 'Route', group: route, hint: 'The line the camera travels.' }),
  follow: layerRef({ label: 'Tunnel', group: route, when: { field: 'route', is: ['along'] }, hint: 'The tunnel whose own route the camera takes, looking along its tangent.' }),
  tilesPerLap: number(1, { label: 'Travel', unit: 'tiles per lap', min: -64, max: 64, comfort: 4, decimals: 2, group: route, hint: 'Tiles travelled in one lap, at uniform speed; whole tiles close.' }),
  start: number(0, { label: 'Start', unit: 'm', min: -10_000, max: 10_000, comfort: 20, group: route, hint: 'Where on the tile the lap begins, in metres.' }),
  aside: animated(0, { label: 'Aside', unit: 'm', min: -1000, max: 1000, comfort: 3, group: route, hint: 'Metres to the right of the route.' }),
  above: animated(0, { label: 'Above', unit: 'm', min: -1000, max: 1000, comfort: 3, group: route, hint: 'Metres above the route.' }),
  yaw: animated(0, { label: 'Look aside', unit: '°', min: -360, max: 360, comfort: 45, decimals: 1, group: aim, hint: 'Degrees to the right of the way ahead.' }),
  pitch: animated(0, { label: 'Look up', unit: '°', min: -89, max: 89, comfort: 30, decimals: 1, group: aim, hint: 'Degrees above the way ahead.' }),
  roll: animated(0, { label: 'Roll', unit: 'turns', min: -64, max: 64, comfort: 1, decimals: 3, group: aim, hint: 'Rotation about the line of sight, in turns; wound, whole turns close.' }),
  shake: choice('none', { none: 'None', standing: 'Standing', walking: 'Walking', running: 'Running' }, { label: 'Operator', group: hand, hint: 'How the camera is held. Amounts are peaks: standing 3 cm near 1 Hz; walking and running up to 10 cm aside, 20 cm up and down and 1° near 1.5 Hz.' }),
  shakeScale: animated(1, { label: 'Amount', unit: '×', min: 0, max: 20, comfort: 2, group: hand, when: { field: 'shake', is: ['standing', 'walking', 'running'] }, hint: 'Multiplies every amplitude of the preset.' }),
  shakeSpeed: number(1, { label: 'Speed', unit: '×', min: 0.05, max: 10, comfort: 2, group: hand, when: { field: 'shake', is: ['standing', 'walking', 'running'] }, hint: 'Multiplies the rates; each is then rounded to whole cycles per lap.' }),
  shakeSeed: seed({ label: 'Seed', group: hand, when: { field: 'shake', is: ['standing', 'walking', 'running'] }, hint: 'Another seed gives another hand.' }),
  focalMm: animated(28, { label: 'Focal length', unit: 'mm', min: 4, max: 1200, comfort: 200, decimals: 1, group: lens, hint: 'In millimetres, on a sensor 36 mm wide unless changed.' }),
  sensorMm: number(36, { label: 'Sensor width', unit: 'mm', min: 4, max: 100, comfort: 40, decimals: 1, group: lens, hint: 'Width of the sensor in millimetres.' }),
  fNumber: animated(2, { label: 'f-number', unit: 'f/', min: 0.5, max: 64, comfort: 16, decimals: 1, group: lens, hint: 'Smaller opens the aperture: more light spread, less depth of field.' }),
  blades: integer(0, { label: 'Blades', min: 0, max: 16, comfort: 9, group: lens, hint: '0 for a round aperture, otherwise 3 or more.' }),
  bladeTurn: animated(0, { label: 'Blade turn', unit: '°', min: -360, max: 360, comfort: 90, decimals: 1, group: lens, hint: 'Rotation of the aperture polygon in degrees.' }),
  squeeze: number(1, { label: 'Squeeze', unit: '×', min: 0.5, max: 4, comfort: 2, group: lens, hint: 'Anamorphic: 2 makes bokeh twice as tall as wide.' }),
  focusM: animated(3, { label: 'Focus', unit: 'm', min: 0.05, max: 10_000, comfort: 20, group: sharp, hint: 'Distance of the sharp plane in metres.' }),
  shutterDeg: animated(180, { label: 'Shutter', unit: '°', min: 0, max: 3600, comfort: 720, decimals: 0, group: shutter, hint: 'Share of a frame the shutter is open: 360° is the whole frame; more is legal.' }),
});
export type Flight = z.infer<typeof FlightSchema>;
