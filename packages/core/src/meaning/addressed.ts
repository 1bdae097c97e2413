/**
 * Which variables stand in the address of a screen, as its `address` says: one, `{bunk}`, a list of them, `{[bunk, day]}`, or a record that
 * gives them other names there, `{({ b: bunk })}`.
 */
import { type Control, inForce, isDialog, type Project, type StateVariable } from '../document/types.ts';
import type { Addressed, Expression, Spread } from '../expression/ast.ts';
import { parseTemplate } from '../expression/template.ts';

/** Values of these are short, and read back as what they were. */
const addressable: ReadonlySet<string> = new Set(['text', 'number', 'boolean', 'date']);

/** Why a variable cannot stand in an address; undefined where it can. */
function refusal(name: string, variable: StateVariable | undefined): string | undefined {
  if (!variable) return `There is no state variable \`${name}\`.`;
  if (variable.computed !== undefined || variable.request)
    return `\`${name}\` cannot stand in the address: nothing can be assigned to it.`;
  return addressable.has(variable.type)
    ? undefined
    : `\`${name}\` is a ${variable.type}; texts, numbers, dates and yes or no stand in an address.`;
}

/** The variables that an expression lists, each under its name there; undefined for all else in it. */
function namedIn(whole: Expression): readonly (Addressed | undefined)[] {
  const named = (read: Expression | Spread, key?: string): Addressed | undefined =>
    read.type === 'name' ? { key: key ?? read.name, variable: read.name, read } : undefined;
  if (whole.type === 'list') return whole.items.map((item) => named(item));
  if (whole.type !== 'record') return [named(whole)];
  return whole.entries.map((entry) =>
    entry.type === 'entry' && entry.key.type === 'literal'
      ? named(entry.value, String(entry.key.value))
      : undefined,
  );
}

/** @returns the variables in a screen's address, and what is wrong with what it says of them. */
export function addressedOf(
  screen: Control,
  state: Project['state'],
): { readonly entries: readonly Addressed[]; readonly wrong?: string } {
  const text = inForce(screen.props.address);
  if (text === undefined) return { entries: [] };
  if (isDialog(screen)) return { entries: [], wrong: 'A dialog has no address.' };
  const read = parseTemplate(text);
  const whole = read.ok && read.value.whole ? read.value.parts[0] : undefined;
  const entries: Addressed[] = [];
  let wrong: string | undefined;
  for (const named of typeof whole === 'object' ? namedIn(whole) : [undefined]) {
    const refused = named
      ? refusal(
          named.variable,
          state.find(({ name }) => name === named.variable),
        )
      : 'Variables stand in the address: `{bunk}`, `{[bunk, day]}`, or `{({ b: bunk })}` under other names.';
    if (named && refused === undefined) entries.push(named);
    wrong ??= refused;
  }
  return { entries, ...(wrong === undefined ? {} : { wrong }) };
}
