import type { Rgb } from '../../../colour/colour';
import { ACROSS, NO_PANORAMA, PANORAMAS } from '../../../panorama/facts';
import { panoramaOf, type Panorama } from '../../../panorama/panorama';
import { STOCK_PANORAMAS, type StockPanorama } from '../../../panorama/stock';
import { animated, choice, file, form, tag, type ValueOf } from '../../../forms';
import { evaluateAnimated } from '../../../time/animated';
import type { Vec3 } from '../../../space/vector';
import { brightness, dimmed, lightBase, lightStretch, type LightDefinition } from '../definition';

/** The most of one look: each is a texture of its own to every program that lights. */
export const MOST_PANORAMAS = 2;

/** Pixels across the panorama of the sky of the piece: few, for a sky that moves is worked out anew for every frame; what is mirrored sharply is the sky itself. */
const SKY_ACROSS = 32;

/** The words of each that ships, of the piece's own sky, and of one's own. */
const WORDS = {
  ...(Object.fromEntries(Object.entries(STOCK_PANORAMAS).map(([name, { label }]) => [name, label])) as Record<
    StockPanorama,
    string
  >),
  sky: 'The sky of the piece',
  own: 'A picture of your own',
};

const STOCK_NAMES = Object.keys(STOCK_PANORAMAS) as StockPanorama[];

const PanoramaForm = form({
  ...lightBase,
  kind: tag('panorama'),
  ...brightness('#ffffff', 0.6),
  of: choice('studio', WORDS, {
    label: 'Shows',
    hint: 'What is all around: a studio, a place at night, or the sky that is there, as it moves.',
  }),
  file: file('panorama', null, {
    label: 'Picture',
    when: { field: 'of', is: ['own'] },
    hint: 'A picture of everything around, twice as wide as high: .hdr, .exr, or a picture as displays show it.',
  }),
  turn: animated(0, {
    label: 'Turned',
    when: { field: 'of', is: [...STOCK_NAMES, 'own'] },
    unit: '°',
    min: -100_000,
    max: 100_000,
    comfort: 180,
    decimals: 0,
    display: 360,
    hint: 'How far it is turned to the right about the upright; wound by whole turns a lap it closes.',
  }),
  ...lightStretch,
});
export type PanoramaLight = ValueOf<typeof PanoramaForm>;

/** Turns to the right that it is turned by; a sky is where it is. */
export const turnsOf = ({ of, turn }: PanoramaLight, phase: number): number =>
  of === 'sky' ? 0 : evaluateAnimated(turn, phase);

export const panorama: LightDefinition<PanoramaLight> = {
  kind: 'panorama',
  label: 'Panorama',
  describe:
    'The light of a whole place from all around, mirrored by what is polished: a studio, a sky, a quay at night.',
  form: PanoramaForm,
  around: true,
  most: MOST_PANORAMAS,
  closingSteps: { turn: 1 },
  at(light, phase) {
    const turns = turnsOf(light, phase);
    const angle = 2 * Math.PI * turns;
    return {
      colour: dimmed(light.colour, light.dimmer, phase),
      strength: evaluateAnimated(light.strength, phase),
      // where its middle lies: a world that is the same after a part of a turn does not make a panorama so
      from: [Math.sin(angle), 0, -Math.cos(angle)],
      own: [turns],
      round: [0],
    };
  },
  summary(light, phase) {
    const { of, file: own } = light;
    if (of === 'sky') return 'the sky of the piece';
    const turned = turnsOf(light, phase);
    return `${of === 'own' ? (own?.name ?? 'no picture yet') : STOCK_PANORAMAS[of].label}, turned ${Math.round(360 * (turned - Math.floor(turned)))}°`;
  },
};

/**
 * What a panorama shows: what of it is looked up by, and the light from everywhere. Not worked out before it is asked for.
 * @param sky of the piece at the moment it is seen at; null where it has none
 */
export function shownBy(
  { of, file: own }: PanoramaLight,
  sky: { key: string; law(d: Vec3): Rgb } | null,
): { key: string; panorama(): Panorama } {
  if (of === 'sky') {
    const law = sky?.law ?? ((): Rgb => [0, 0, 0]);
    return { key: `sky ${sky?.key ?? ''}`, panorama: () => panoramaOf(law, SKY_ACROSS) };
  }
  if (of !== 'own') return { key: of, panorama: () => panoramaOf(STOCK_PANORAMAS[of].law, ACROSS) };
  const held = PANORAMAS.at(own);
  return { key: held && own ? own.hash : 'none', panorama: () => held ?? NO_PANORAMA };
}
