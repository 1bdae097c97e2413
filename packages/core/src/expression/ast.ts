/**
 * Expressions after parsing: plain data, so that they travel to an exported page as JSON and are walked there
 * without a parser. A subset of ECMAScript; `parse.ts` says which.
 */

import type { Transition } from '../document/transitions.ts';
import type { AskingName } from './actions/action.ts';
import type { PatternProgram } from './patterns/program.ts';

/** Where something stands in its source text: UTF-16 start and end. */
export type Span = readonly [start: number, end: number];

export type BinaryOperator =
  | '+'
  | '-'
  | '*'
  | '/'
  | '%'
  | '**'
  | '=='
  | '!='
  | '==='
  | '!=='
  | '<'
  | '<='
  | '>'
  | '>=';
export type LogicalOperator = '&&' | '||' | '??';
export type UnaryOperator = '!' | '-' | '+' | 'typeof';

/** An expression. */
export type Expression =
  /** `span`: where a text is written, with its quotes; the key of a member or of an entry, as it stands there. */
  | {
      readonly type: 'literal';
      readonly value: string | number | boolean | null | undefined;
      readonly span?: Span;
    }
  /** `shorthand`: written as `{ name }` in a record, where the key must stay when the name changes. */
  | { readonly type: 'name'; readonly name: string; readonly span: Span; readonly shorthand?: boolean }
  | { readonly type: 'member'; readonly of: Expression; readonly key: Expression; readonly optional: boolean }
  | { readonly type: 'unary'; readonly operator: UnaryOperator; readonly of: Expression }
  | {
      readonly type: 'binary';
      readonly operator: BinaryOperator;
      readonly left: Expression;
      readonly right: Expression;
    }
  | {
      readonly type: 'logical';
      readonly operator: LogicalOperator;
      readonly left: Expression;
      readonly right: Expression;
    }
  | {
      readonly type: 'choice';
      readonly test: Expression;
      readonly whenTrue: Expression;
      readonly whenFalse: Expression;
    }
  | { readonly type: 'template'; readonly parts: readonly Expression[] }
  /** A regular expression, which stands in a method of texts only. */
  | { readonly type: 'pattern'; readonly program: PatternProgram }
  | { readonly type: 'list'; readonly items: readonly (Expression | Spread)[] }
  | { readonly type: 'record'; readonly entries: readonly (RecordEntry | Spread)[] }
  | { readonly type: 'arrow'; readonly parameters: readonly string[]; readonly body: Expression }
  /** `const NAME = VALUE` in a function, and what is given back behind it. */
  | { readonly type: 'let'; readonly name: string; readonly value: Expression; readonly in: Expression }
  /** A call of a listed function, by its full name, for example `Math.max`; of the project's own code, `code.quote`, with its place. */
  | {
      readonly type: 'call';
      readonly name: string;
      readonly arguments: readonly (Expression | Spread)[];
      readonly span?: Span;
    }
  /** A call of a listed method of a value. */
  | {
      readonly type: 'method';
      readonly of: Expression;
      readonly name: string;
      readonly arguments: readonly (Expression | Spread)[];
      readonly optional: boolean;
    };

export interface Spread {
  readonly type: 'spread';
  readonly of: Expression;
}
export interface RecordEntry {
  readonly type: 'entry';
  readonly key: Expression;
  readonly value: Expression;
}

export type AssignmentOperator = '=' | '+=' | '-=' | '*=' | '/=' | '%=' | '??=' | '||=' | '&&=';

/** A value that an action brings to a screen: `{ guest: party.name }`. */
export interface Brought {
  /** Of the state variable. */
  readonly name: string;
  readonly span: Span;
  readonly value: Expression;
}

/** A state variable that something is assigned to, or a place inside it. */
export interface Assigned {
  readonly name: string;
  readonly span: Span;
  /** Keys that lead from the variable to what is assigned inside it, for `order.count = 2`. */
  readonly path: readonly Expression[];
  /** Of an item of a repeat: the list that its row is in. */
  readonly list?: string;
  /** A name that the event itself began with `let`, no state variable. */
  readonly local?: true;
}

/** A variable that stands in the address of a screen. */
export interface Addressed {
  /** What it is called there. */
  readonly key: string;
  readonly variable: string;
  /** Reads it. */
  readonly read: Expression;
}

/** What an event does, step by step. */
export type Statement =
  | (Assigned & {
      readonly type: 'assign';
      readonly operator: AssignmentOperator;
      readonly value: Expression;
      /** The whole statement. */
      readonly statement: Span;
    })
  /** A change of a state variable by one of the actions that take its name. */
  | (Assigned & {
      readonly type: 'alter';
      readonly action: string;
      readonly arguments: readonly Expression[];
      /** The rule of the table that it would break goes here, empty where it was carried out: `wrong = add(stays, { … })`. */
      readonly gives?: Assigned;
      /** The whole call, which may change several variables. */
      readonly statement: Span;
    })
  /** `ask(bookings, { day })`: a request is asked, and the event goes on when it is answered. */
  | {
      readonly type: 'ask';
      readonly how: AskingName;
      /** Of the request's variable. */
      readonly name: string;
      readonly span: Span;
      /** A record of what it is asked with. */
      readonly given?: Expression;
      /** What went wrong goes here, empty where nothing did: `wrong = ask(addBooking, { … })`. */
      readonly gives?: Assigned;
    }
  | {
      readonly type: 'action';
      readonly name: string;
      readonly arguments: readonly Expression[];
      /** Of `go` and `open`: what variables hold when the screen is entered. */
      readonly brings?: readonly Brought[];
      /** Of `go`: the screen that is left is no part of the way back. */
      readonly replaces?: true;
      /** Of `go`: how the screen comes. */
      readonly transition?: Transition;
    }
  /** `handlers.NAME(…)`: the application's own code is called; the event goes on when it is done. */
  | {
      readonly type: 'handler';
      readonly name: string;
      readonly arguments: readonly Expression[];
      /** What it gives goes here: `price = handlers.quote(nights)`. */
      readonly gives?: Assigned;
    }
  /** `const NAME = VALUE`, `let NAME = VALUE`: known to what follows it. */
  | { readonly type: 'let'; readonly name: string; readonly value: Expression }
  /** `for (const NAME of LIST)`. */
  | {
      readonly type: 'each';
      readonly name: string;
      readonly of: Expression;
      readonly body: readonly Statement[];
    }
  /** `emit('pick', number)`: a component tells of an event; it stands in components only, and never runs as it is. */
  | {
      readonly type: 'emit';
      readonly event: string;
      /** The whole call. */
      readonly span: Span;
      /** What comes with the event, and where it is written. */
      readonly value?: Expression;
      readonly valueSpan?: Span;
    }
  /** `while (TEST)`, and `for (BEGIN; TEST; AFTER)` behind its beginning: `after` follows each round, one cut short too. */
  | {
      readonly type: 'while';
      readonly test: Expression;
      readonly body: readonly Statement[];
      readonly after: readonly Statement[];
    }
  /** `try`: what fails in `body` is caught as `{ message }`; `lastly` follows in any case. Without `catches` it goes on failing. */
  | {
      readonly type: 'try';
      readonly body: readonly Statement[];
      readonly catches: boolean;
      readonly name?: string;
      readonly caught: readonly Statement[];
      readonly lastly: readonly Statement[];
    }
  /** `return`: what follows is left out; of a round or a loop with `continue` and `break`. */
  | { readonly type: 'stop'; readonly how?: 'break' | 'continue' }
  | {
      readonly type: 'if';
      readonly test: Expression;
      readonly whenTrue: readonly Statement[];
      readonly whenFalse: readonly Statement[];
    };

/** The value of a property with expressions in it: pieces of text and expressions in turn. */
export interface Template {
  /** Literal text or an expression. */
  readonly parts: readonly (string | Expression)[];
  /** True where the whole value is one expression, whose type is kept. */
  readonly whole: boolean;
}
