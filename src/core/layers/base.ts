import { z } from 'zod';
import { choice, flag, number, picture, seed, type ControlMeta } from '../piece/fields';
import { TreatmentSchema } from '../treatments/registry';
import type { Matter } from './definition';

/** Fields every layer has. */
export const layerBase = {
  id: z.string().min(1).max(64),
  name: z.string().max(120),
  hidden: z.boolean().default(false),
  /** share of the final count drawn while working */
  working: z.number().min(0.01).max(1).default(1),
  /** stands once in the world instead of once in every tile; only a camera that does not travel on closes then */
  once: z.boolean().default(false),
  /** rules that move, turn, scale, bend, break or reveal its elements, in order */
  treatments: z.array(TreatmentSchema).max(24).default([]),
};

/** The last field of every layer: where its randomness comes from. */
export const layerSeed = {
  seed: seed({ label: 'Seed', hint: 'Another seed gives another arrangement of the same kind.', group: 'Chance' }),
};

const place = 'Place';
const metres = { unit: 'm', min: -10_000, max: 10_000, comfort: 10, group: place };
const degrees = { unit: '°', min: -3600, max: 3600, comfort: 180, decimals: 1, group: place };

/** Where a layer stands that does not fill its tile by itself. */
export const placement = {
  once: flag(false, {
    label: 'Stands once',
    group: place,
    hint: 'Once in the world instead of once in every tile; closes when the camera stays.',
  }),
  aside: number(0, { label: 'Aside', ...metres, hint: 'Metres to the right of the route.' }),
  above: number(0, { label: 'Above', ...metres, hint: 'Metres above the route.' }),
  ahead: number(4, { label: 'Ahead', ...metres, hint: 'Metres from the start of the tile to its middle.' }),
  scale: number(1, {
    label: 'Scale',
    unit: '×',
    min: 0.001,
    max: 1000,
    comfort: 3,
    group: place,
    hint: 'Everything in it larger or smaller.',
  }),
  heading: number(0, { label: 'Heading', ...degrees, hint: 'Degrees to the right about its upright axis.' }),
  pitch: number(0, { label: 'Pitch', ...degrees, hint: 'Degrees its front is raised.' }),
  bank: number(0, { label: 'Bank', ...degrees, hint: 'Degrees about the travel, clockwise.' }),
};
export interface Placement {
  once: boolean;
  aside: number;
  above: number;
  ahead: number;
  scale: number;
  heading: number;
  pitch: number;
  bank: number;
}

const stuff = 'Matter';

const SPRITES = { disc: 'Disc', ring: 'Ring', star: 'Star', streak: 'Streak', picture: 'A picture' };
const SPRITE_INDEX = { disc: 0, ring: 1, star: 2, streak: 3, picture: 4 } as const;

/** What particles look like; shown where `when` holds. */
export const spriteFields = (info: Pick<ControlMeta, 'group' | 'when'>) => ({
  sprite: choice('disc', SPRITES, {
    label: 'Sprite',
    ...info,
    hint: 'What a particle in focus looks like; out of focus all become the shape of the aperture.',
  }),
  picture: picture({
    label: 'Picture',
    ...info,
    and: { field: 'sprite', is: ['picture'] },
    hint: 'Added as light, so black is clear; the gradient tints it. Kept in the piece at 64 pixels a side.',
  }),
});
export const spriteOf = (layer: { sprite: keyof typeof SPRITE_INDEX; picture: string }) => ({
  sprite: SPRITE_INDEX[layer.sprite],
  picture: layer.picture,
});

/** What the bodies of a layer are made of. */
export const matterFields = {
  metal: number(0, { label: 'Metal', min: 0, max: 1, group: stuff, hint: '0: stone or plastic. 1: metal.' }),
  rough: number(0.45, { label: 'Roughness', min: 0.02, max: 1, group: stuff, hint: '0: a mirror. 1: chalk.' }),
  glowing: number(0, {
    label: 'Shines',
    unit: '×',
    min: 0,
    max: 1000,
    comfort: 8,
    group: stuff,
    hint: 'Light of its own, in its colour.',
  }),
  film: number(0, {
    label: 'Thin film',
    min: 0,
    max: 1,
    group: stuff,
    hint: 'Colours of a soap film, by the angle of view; 1 leaves nothing of the body but its film.',
  }),
};

export const matterOf = (layer: { metal: number; rough: number; glowing: number; film: number }): Matter => ({
  metal: layer.metal,
  rough: layer.rough,
  glow: layer.glowing,
  film: layer.film,
});

/** Matter of layers that have no fields for it: a dark wall. */
export const DARK: Matter = { metal: 0, rough: 0.6, glow: 1, film: 0 };
