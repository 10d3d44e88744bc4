import { flag, kinds, shownPartOf, type KindValue } from '../forms';
import { MATTER_HEADING, type MatterDefinition } from './definition';
import { LIST } from './list';
import type { Lies } from './pattern/definition';
import { patternField } from './pattern/kinds';

/** Every kind: see list.ts. */
export const MATTER = kinds(...LIST);

export type Matter = KindValue<(typeof MATTER)['list'][number]>;
export type MatterKind = Matter['kind'];

/** The definition of a kind. It takes only matter of that kind, which the document's validation guarantees. */
export const matterOf = (kind: string): MatterDefinition<Matter> => MATTER.of(kind);

/** Matter of a kind, with what its fields are at first where nothing else is said. */
export const newMatter = (kind: MatterKind, fields: object = {}): Matter => MATTER.schema.parse({ ...fields, kind });

/** What the bodies or the surface of a layer are made of: a field of the layer. @param kind at first */
export const matterField = (kind: MatterKind = 'plain') =>
  shownPartOf(MATTER, { kind }, 'matter', {
    label: 'Made of',
    sampled: 'matter',
    group: MATTER_HEADING,
    hint: 'How it gives light back.',
  });

/**
 * What the bodies or the surface of a layer are made of, what covers it, and what it has to do with shadows: fields of the layer.
 * @param casts at first @param lies where a pattern lies at first @param kind of matter at first
 */
export const matterFields = (casts = true, lies: Lies = 'body', kind: MatterKind = 'plain') => ({
  matter: matterField(kind),
  pattern: patternField(lies),
  casts: flag(casts, {
    label: 'Casts shadows',
    group: MATTER_HEADING,
    hint: 'It keeps the light of those lights that cast shadows off what is behind it.',
  }),
  receives: flag(true, {
    label: 'Takes shadows',
    group: MATTER_HEADING,
    hint: 'Shadows fall on it; without, it is lit as if nothing stood in the way.',
  }),
});
