export interface TranslateOptions {
  file: string;
  exports: string[];
  loops: { name: string; fn: string; varying: string[] }[];
  inline(fn: { name: string }): boolean;
  scratchArgs: boolean;
}
/** @throws Error with file:line:column for what the subset does not hold */
export function translate(source: string, options: TranslateOptions): { code: string; signatures: unknown };
