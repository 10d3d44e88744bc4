/** What can go wrong outside a piece, by what can be done about it. */
export type TroubleCode =
  | 'no-webgl2'
  | 'no-float-targets'
  | 'context-lost'
  | 'context-gone'
  | 'not-started'
  | 'stopped'
  | 'too-slow'
  | 'superseded'
  | 'cancelled'
  | 'drawing-failed'
  | 'not-written'
  | 'no-room'
  | 'refused'
  /** a fault of the program itself */
  | 'impossible';

/** What is known of a trouble besides what happened. */
export interface TroubleAbout {
  /** what was received in place of what was asked for */
  received?: string | undefined;
  /** what would do: a sentence */
  would?: string | undefined;
}

/** A trouble as plain data, for the way between threads. */
export interface TroubleData extends TroubleAbout {
  code: TroubleCode;
  message: string;
}

/** The one error of the program: a code that says what can be done, what happened, what was received, what would do. */
export class Trouble extends Error {
  readonly received: string | undefined;
  readonly would: string | undefined;

  /** @param message what happened, as a sentence without its stop */
  constructor(
    readonly code: TroubleCode,
    message: string,
    { received, would }: TroubleAbout = {},
  ) {
    super(message);
    this.name = code;
    this.received = received;
    this.would = would;
  }

  static from({ code, message, ...about }: TroubleData): Trouble {
    return new Trouble(code, message, about);
  }

  get data(): TroubleData {
    return { code: this.code, message: this.message, received: this.received, would: this.would };
  }
}

/** The code of an error from anywhere; none for one that is not ours. */
export const troubleCode = (error: unknown): TroubleCode | null => (error instanceof Trouble ? error.code : null);

/** An error from anywhere, in words. */
export function troubleWords(error: unknown): string {
  if (!(error instanceof Trouble)) return error instanceof Error ? error.message : String(error);
  const what = error.received === undefined ? error.message : `${error.message} (${error.received})`;
  return error.would === undefined ? what : `${what}. ${error.would}`;
}

/** An error from anywhere as a trouble. @param code of one that is not ours */
export const asTrouble = (error: unknown, code: TroubleCode): Trouble =>
  error instanceof Trouble ? error : new Trouble(code, troubleWords(error));
