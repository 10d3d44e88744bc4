export interface TranslateOptions {
  file: string;
  /** functions that TypeScript calls */
  exports: string[];
  /** functions that are called by other kernels */
  called: string[];
  /** loops over columns */
  loops: { name: string; fn: string; varying: string[] }[];
  /** where a function that is called, not copied, is written: '' for here, null for one that is copied */
  shared(name: string): string | null;
}
export interface Translated {
  code: string;
  signatures: Record<string, { name: string; type: string; direction: string; numbers: number }[]>;
  /** shared functions written elsewhere, with where */
  imported: Map<string, string>;
  /** numbers of each sort that cross a call at the most */
  floats: number;
  integers: number;
}
/** @throws Error with file:line:column for what the subset does not hold */
export function translate(source: string, options: Partial<TranslateOptions>): Translated;
