import { z } from 'zod';
import { choice, flag, heading, listOf, picture, seed, stored, type Condition, type Heading } from '../forms';
import { TREATMENTS, treatmentOf, type Treatment } from '../treatments/kinds';
import type { FileRef } from '../kept';
import type { Lines } from '../lines/lines';
import { newMatter, type Matter } from '../matter/kinds';
import type { Pattern } from '../matter/pattern/kinds';

/** Fields every layer has. */
export const layerBase = {
  id: stored(z.string().min(1).max(64)),
  name: stored(z.string().max(120)),
  hidden: stored(z.boolean(), false),
  /** share of the final count drawn while working */
  working: stored(z.number().min(0.01).max(1), 1),
  /** stands once in the world instead of once in every tile; only a camera that does not travel on closes then */
  once: stored(z.boolean(), false),
  /** rules that move, turn, scale, bend, break or reveal its elements, in order */
  treatments: listOf(TREATMENTS, 24, (t) => treatmentOf((t as Treatment).kind).label),
};

/** The last field of every layer: where its randomness comes from. */
export const layerSeed = {
  seed: seed({
    label: 'Seed',
    hint: 'Another seed gives another arrangement of the same kind.',
    group: heading('Chance', 4),
  }),
};

const SPRITES = { disc: 'Disc', ring: 'Ring', star: 'Star', streak: 'Streak', picture: 'A picture' };
/** What particles look like, in the numbering of the engine's programs. */
export const SPRITE_INDEX = { disc: 0, ring: 1, star: 2, streak: 3, picture: 4 } as const;

/** What particles look like; shown where `when` holds. */
export const spriteFields = (group: Heading, when: readonly Condition[] = []) => ({
  sprite: choice('disc', SPRITES, {
    label: 'Sprite',
    group,
    when,
    hint: 'What a particle in focus looks like; out of focus all become the shape of the aperture.',
  }),
  picture: picture({
    label: 'Picture',
    group,
    when: [...when, { field: 'sprite', is: ['picture'] }],
    hint: 'Added as light, so black is clear; the gradient tints it. Kept in the piece at 64 pixels a side.',
  }),
  lit: flag(false, {
    label: 'Lit by lamps',
    group,
    when,
    hint: 'Particles have no light of their own: points and spots light them up, through their patterns and past what is in their way.',
  }),
});
export const spriteOf = (layer: { sprite: keyof typeof SPRITE_INDEX; picture: string; lit: boolean }) => ({
  sprite: SPRITE_INDEX[layer.sprite],
  picture: layer.picture,
  lit: layer.lit,
});

/** Matter of layers that have no fields for it: a dark wall. */
export const DARK: Matter = newMatter('plain', { rough: 0.6, glowing: 1 });

/** A layer with a model in the place of its body, as modelled where it was no model before; all else stays. */
export const withModel = <L extends { source: string; model: FileRef | null; matter: Matter }>(
  layer: L,
  model: FileRef,
): L => ({
  ...layer,
  source: 'model',
  model,
  matter: layer.source === 'model' ? layer.matter : newMatter('modelled'),
});

/** How bodies look that are what their layer says. */
export const bodyLook = ({ matter, pattern, lines }: { matter: Matter; pattern: Pattern; lines: Lines }) => ({
  softness: 0,
  lineWidth: 0,
  sprite: 0,
  matter,
  pattern,
  lines,
});
