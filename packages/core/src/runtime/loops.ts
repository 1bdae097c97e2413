/**
 * Loops of events, and what they catch (ECMAScript §14.7, §14.15). On a page this is a piece, built apart: whatever has a
 * state of its own, such as budgets and rows, is asked of what carries the event out.
 */
import type { Carry } from './carrying-out.ts';
import type { Ending } from './event-scope.ts';

const each: Carry<'each'> = function* ({ of, name, body }, scope, doing) {
  const list = doing.evaluate(of, scope);
  if (!Array.isArray(list)) return doing.fail('`for` goes through a list; this is none.');
  for (const item of list) {
    doing.round();
    const ending = yield* doing.carryOut(body, doing.within(scope, name, item));
    if (ending === 'break') break;
    if (ending === 'return') return ending;
  }
  return undefined;
};

const repeated: Carry<'while'> = function* ({ test, body, after }, scope, doing) {
  while (doing.evaluate(test, scope)) {
    doing.round();
    const ending = yield* doing.carryOut(body, scope);
    if (ending === 'break') break;
    if (ending === 'return') return ending;
    yield* doing.carryOut(after, scope);
  }
  return undefined;
};

const tried: Carry<'try'> = function* ({ body, catches, name, caught, lastly }, scope, doing) {
  let ending: Ending;
  let failed: string | undefined;
  const catching = function* (work: ReturnType<typeof doing.carryOut>) {
    failed = undefined;
    try {
      ending = yield* work;
    } catch (error) {
      failed = doing.caught(error);
    }
  };
  const tries = Object.assign(((each) => scope(each)) as typeof scope, { put: scope.put, tries: true });
  yield* catching(doing.carryOut(body, tries));
  if (failed !== undefined && catches) {
    const known = name === undefined ? scope : doing.within(scope, name, { message: failed });
    yield* catching(doing.carryOut(caught, known));
  }
  const last = yield* doing.carryOut(lastly, scope);
  // As a function does, it ends in the way that its last part says (ECMAScript §14.15.3).
  if (last) return last;
  return failed === undefined ? ending : doing.fail(failed);
};

/** By the types of their statements. */
export const loops = { each, while: repeated, try: tried };
