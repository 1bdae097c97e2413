/** Whether what an event asks for is a request, and is given what that takes. */
import { didYouMean } from '../document/nearest.ts';
import type { RequestParameter } from '../document/source.ts';
import type { Expression, Statement } from './ast.ts';
import type { Problem } from './problem.ts';

/** What is known where an event stands. */
interface Around {
  readonly names: ReadonlyMap<string, string>;
  /** What each request is given; absent: it is not known what is a request. */
  readonly requests?: ReadonlyMap<string, readonly RequestParameter[]>;
}

type Ask = Statement & { readonly type: 'ask' };

/** The keys that a record is written with; undefined where some are only known when it is asked. */
function keysOf(given: Expression | undefined): readonly { name: string; at: number }[] | undefined {
  if (given === undefined) return [];
  if (given.type !== 'record') return undefined;
  const keys = given.entries.flatMap((entry) =>
    entry.type === 'entry' && entry.key.type === 'literal'
      ? [{ name: String(entry.key.value), at: entry.key.span?.[0] ?? 0 }]
      : [],
  );
  return keys.length === given.entries.length ? keys : undefined;
}

/** What is wrong with the values that a request is asked with. */
function givenProblem(
  { name, span, given }: Ask,
  parameters: readonly RequestParameter[],
): Problem | undefined {
  const keys = keysOf(given);
  const strange = keys?.find((key) => !parameters.some((each) => each.name === key.name));
  if (strange) {
    const known = parameters.map((each) => each.name);
    return {
      message: `\`${name}\` has no parameter \`${strange.name}\`.${didYouMean(strange.name, known)}`,
      at: strange.at,
    };
  }
  const missing = parameters.find(
    ({ required, value, name: key }) =>
      required && value === undefined && keys && !keys.some((each) => each.name === key),
  );
  return (
    missing && {
      message: `\`${name}\` needs \`${missing.name}\`: \`ask(${name}, { ${missing.name}: … })\`.`,
      at: span[0],
    }
  );
}

/** @param statements all of an event, those inside others too. */
export function askingProblem(
  statements: readonly Statement[],
  { names, requests }: Around,
): Problem | undefined {
  if (!requests) return undefined;
  for (const statement of statements) {
    if (statement.type !== 'ask') continue;
    const { how, name, span } = statement;
    const parameters = requests.get(name);
    if (!parameters)
      return {
        message: `\`${how}\` takes a request; \`${name}\` is a ${names.get(name)}.${didYouMean(name, requests.keys())}`,
        at: span[0],
      };
    const problem = how === 'ask' ? givenProblem(statement, parameters) : undefined;
    if (problem) return problem;
  }
  return undefined;
}
