import { z } from 'zod';
import { animated, choice, colour, flag, form, heading, number, type ValueOf, list, stored } from '../forms';

const back = heading('Background');
const air = heading('Air');
const tone = heading('Tone');
const rig = heading('Light');
const finish = heading('Texture');

export const GLOW = form({
  id: stored(z.string()),
  radius: number(0.02, {
    label: 'Radius',
    unit: '% of height',
    min: 0.001,
    max: 0.4,
    comfort: 0.12,
    display: 100,
    decimals: 1,
    hint: 'As a share of the shorter side of the frame, so it looks alike at every size.',
  }),
  threshold: number(0.6, {
    label: 'From',
    min: 0,
    max: 100,
    comfort: 3,
    hint: 'Light above this glows, measured on the picture averaged over the glow’s own radius.',
  }),
  gain: number(0.3, {
    label: 'Gain',
    unit: '×',
    min: 0,
    max: 10,
    comfort: 1.5,
    hint: 'How much of that light is added around.',
  }),
  tint: colour('#ffffff', { label: 'Tint', hint: 'Colour the glow is multiplied by.' }),
});
export type GlowLayer = ValueOf<typeof GLOW>;

export const LOOK_HEADINGS = { back, air, tone, rig, finish };

export const LOOK = form({
  background: colour('#04070a', {
    label: 'Centre',
    group: back,
    hint: 'Colour behind everything, in the middle of the picture.',
  }),
  backgroundEdge: colour('#020304', {
    label: 'Edge',
    group: back,
    hint: 'Colour behind everything, towards the corners.',
  }),
  rig: animated(1, {
    label: 'Light',
    unit: '×',
    min: 0,
    max: 100,
    comfort: 3,
    group: rig,
    hint: 'Brightness of the lights on bodies: a key from the right, a fill from the left, a rim from behind.',
  }),
  rigKey: colour('#ffe9cf', {
    label: 'Key',
    group: rig,
    hint: 'Colour of the main light, from the right above the camera.',
  }),
  rigFill: colour('#8fb4e0', { label: 'Fill', group: rig, hint: 'Colour of the weaker light from the left.' }),
  rigRim: colour('#cfe4ff', {
    label: 'Rim',
    group: rig,
    hint: 'Colour of the light from behind that draws the edges.',
  }),
  surround: number(1, {
    label: 'Soft boxes',
    unit: '×',
    min: 0,
    max: 20,
    comfort: 3,
    group: rig,
    hint: 'Brightness of the soft lights around, which polished things reflect.',
  }),
  fogDistance: animated(8, {
    label: 'Clear for',
    unit: 'm',
    min: 0.1,
    max: 10_000,
    comfort: 80,
    group: air,
    hint: 'Metres after which a third of the light is left.',
  }),
  fogStart: number(0, {
    label: 'Begins at',
    unit: 'm',
    min: 0,
    max: 10_000,
    comfort: 40,
    group: air,
    hint: 'Metres from the camera without fog.',
  }),
  fogColour: colour('#04070a', { label: 'Colour', group: air, hint: 'What solid things fade into.' }),
  reach: number(40, {
    label: 'Drawn to',
    unit: 'm',
    min: 1,
    max: 5000,
    comfort: 150,
    decimals: 0,
    group: air,
    hint: 'How far the world is repeated ahead; it fades out over the last fifth.',
  }),
  nearFade: number(0.35, {
    label: 'Near fade',
    unit: 'm',
    min: 0.02,
    max: 50,
    comfort: 3,
    group: air,
    hint: 'Things fade out within this many metres before the lens.',
  }),
  exposure: animated(0, {
    label: 'Exposure',
    unit: 'EV',
    min: -12,
    max: 12,
    comfort: 4,
    group: tone,
    hint: 'Each step doubles the light.',
  }),
  curve: choice(
    'soft',
    { soft: 'Soft shoulder', deep: 'Deep contrast', straight: 'Straight' },
    { label: 'Curve', group: tone, hint: 'How bright light approaches white.' },
  ),
  saturation: number(1, {
    label: 'Saturation',
    unit: '×',
    min: 0,
    max: 3,
    comfort: 2,
    group: tone,
    hint: '1 leaves colours as they are, 0 removes them.',
  }),
  glow: list(GLOW, 4),
  vignette: number(0.25, {
    label: 'Vignette',
    unit: '%',
    min: 0,
    max: 1,
    display: 100,
    decimals: 0,
    group: finish,
    hint: 'How much darker the corners are.',
  }),
  grain: number(0.15, {
    label: 'Grain',
    unit: '%',
    min: 0,
    max: 1,
    comfort: 0.6,
    display: 100,
    decimals: 0,
    group: finish,
    hint: 'Film grain; it repeats with the lap.',
  }),
  grainSize: number(0.002, {
    label: 'Grain size',
    unit: '% of height',
    min: 0.0005,
    max: 0.02,
    display: 100,
    decimals: 2,
    group: finish,
    hint: 'As a share of the shorter side of the frame.',
  }),
  dither: flag(true, {
    label: 'Dither',
    group: finish,
    hint: 'One code value of noise, so that dark gradients do not band in 8 bits.',
  }),
});
export type Look = ValueOf<typeof LOOK>;
