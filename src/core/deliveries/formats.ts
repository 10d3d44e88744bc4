import type { FormatInfo } from './format';
import { LIST } from './list';

export type FormatKind = (typeof LIST)[number]['kind'];

export const FORMATS: readonly FormatInfo[] = LIST;

/** Whether pictures are drawn for it. */
export const isDrawn = ({ takes: { pixels } }: FormatInfo): boolean => !['world', 'camera', 'routes'].includes(pixels);

/** @throws RangeError for a format there is not */
export function formatOf(kind: string): FormatInfo {
  const found = FORMATS.find((format) => format.kind === kind);
  if (!found) throw new RangeError(`there is no format "${kind}"`);
  return found;
}

/** The words of each, for a choice among them. */
export const formatWords = Object.fromEntries(LIST.map(({ kind, label }) => [kind, label])) as Record<
  FormatKind,
  string
>;
