import { kinds, shownPartOf, type Field, type KindValue } from '../../forms';
import { PATTERN_HEADING, type Lies, type PatternDefinition } from './definition';
import { LIST } from './list';

/** Every kind: see list.ts. */
export const PATTERNS = kinds(...LIST);

export type Pattern = KindValue<(typeof PATTERNS)['list'][number]>;
export type PatternKind = Pattern['kind'];
/** One that covers something. */
export type Covering = Exclude<Pattern, { kind: 'bare' }>;

/** The definition of a kind. It takes only patterns of that kind, which the document's validation guarantees. */
export const patternOf = (kind: string): PatternDefinition<Pattern> => PATTERNS.of(kind);

/** A pattern of a kind, with what its fields are at first where nothing else is said. */
export const newPattern = (kind: PatternKind, fields: object = {}): Pattern =>
  PATTERNS.schema.parse({ ...fields, kind });

export const covers = (pattern: Pattern): pattern is Covering => pattern.kind !== 'bare';

/** Whether a pattern is on what it covers as that was at one frame, and goes on with it. */
export const isGlued = (lies: Lies): boolean => lies === 'layer' || lies === 'view';

/** Whether every body has the same pattern at the same place of itself. */
export const isAlike = (pattern: Pattern): boolean =>
  !covers(pattern) || (pattern.lies === 'body' && !('vary' in pattern && pattern.vary));

/** What covers the bodies or the surface of a layer: a field of the layer. @param lies where it lies at first */
export function patternField(lies: Lies): Field<Pattern> {
  const field = shownPartOf(PATTERNS, { kind: 'bare' }, 'pattern', {
    label: 'Covered with',
    sampled: 'pattern',
    group: PATTERN_HEADING,
    hint: 'What covers it: nothing, cells, clouds or a picture, which may colour, roughen, light up or emboss it.',
  });
  const { parts } = field;
  const remade = (value: object, kind: string): object => parts?.remade?.({ lies, ...value }, kind) ?? value;
  return { ...field, ...(parts ? { parts: { ...parts, remade } } : {}) };
}
