/** What is wrong with an expression, and where in its text. */
export interface Problem {
  readonly message: string;
  /** UTF-16 index into the text that was read. */
  readonly at: number;
}

/** Either what was read, or what is wrong with it. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problem: Problem };

/** Thrown inside the parser and caught at its edge. */
export class ExpressionError extends Error {
  constructor(
    message: string,
    readonly at: number,
  ) {
    super(message);
  }
}

/** Runs a parser and turns what it throws into an outcome. */
export function outcome<T>(read: () => T): Outcome<T> {
  try {
    return { ok: true, value: read() };
  } catch (error) {
    if (error instanceof ExpressionError)
      return { ok: false, problem: { message: error.message, at: error.at } };
    if (error instanceof RangeError)
      return { ok: false, problem: { message: 'This is nested too deeply.', at: 0 } };
    throw error;
  }
}
