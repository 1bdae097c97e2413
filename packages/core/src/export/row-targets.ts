/** What inputs and events set, as a page has it: a value of a row with the list that the row is in. */
import type { Control } from '../document/types.ts';
import type { Assigned, Statement } from '../expression/ast.ts';
import { itemType, type Surroundings } from '../expression/check.ts';
import { parseExpression } from '../expression/parse.ts';
import { withInner } from '../expression/statement-parts.ts';
import type { TwoWayBinding } from '../runtime/program.ts';

/** What knows which list an item's row is in. */
interface KnowsLists extends Surroundings {
  /** By a control and the name of the item; undefined: its row is worked out. */
  listOf(control: Control, item: string): string | undefined;
}

/** A place inside a variable that an input of an instance in a repeat is bound to: `A$each$open[bunk$at] ?? false`. */
export function placeIn(text: string): Pick<TwoWayBinding, 'variable' | 'path' | 'begins'> | undefined {
  const read = parseExpression(text);
  if (!read.ok || read.value.type !== 'logical') return undefined;
  const { left, right: begins } = read.value;
  return left.type === 'member' && left.of.type === 'name'
    ? { variable: left.of.name, path: [left.key], begins }
    : undefined;
}

/** What an input is bound to, as a page has it. */
export function boundTo(
  { name, path }: Assigned,
  control: Control,
  around: KnowsLists,
): Pick<TwoWayBinding, 'variable' | 'path' | 'list'> | undefined {
  if (path.length === 0) return { variable: name };
  if (around.names.get(name) !== itemType) return { variable: name, path };
  const list = around.listOf(control, name);
  return list === undefined ? undefined : { variable: name, path, list };
}

/** What an event does, each value of an item that it sets with the list of its row. */
export const withLists = (
  statements: readonly Statement[],
  listOf: (item: string) => string | undefined,
): Statement[] =>
  statements.map((statement): Statement => {
    const placed = <T extends Assigned>(target: T): T => {
      const list = target.path.length > 0 && !target.local ? listOf(target.name) : undefined;
      return list === undefined ? target : { ...target, list };
    };
    const whole = withInner(statement, (part) => withLists(part, listOf));
    const own = whole.type === 'assign' || whole.type === 'alter' ? placed(whole) : whole;
    return 'gives' in own && own.gives ? { ...own, gives: placed(own.gives) } : own;
  });
