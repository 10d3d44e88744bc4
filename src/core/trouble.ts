/** What can go wrong outside a piece, by what can be done about it. */
export type TroubleCode =
  | 'no-webgl2'
  | 'no-float-targets'
  | 'context-lost'
  | 'not-started'
  | 'stopped'
  | 'too-slow'
  | 'superseded'
  | 'cancelled'
  | 'drawing-failed'
  | 'effect-needs';

/**
 * An error with a code that says what can be done. The code is the error's name, which survives the way between threads.
 */
export class Trouble extends Error {
  constructor(code: TroubleCode, words: string) {
    super(words);
    this.name = code;
  }
}

/** The code of an error from anywhere. */
export const troubleCode = (error: unknown): string => (error instanceof Error ? error.name : '');

/** An error from anywhere, in words. */
export const troubleWords = (error: unknown): string => (error instanceof Error ? error.message : String(error));
