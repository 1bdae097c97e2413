/** Loops of events, and what they catch (ECMAScript §14.7, §14.15). */
import { budgetNow } from '../expression/budget.ts';
import { EvaluationError, evaluate } from '../expression/evaluate.ts';
import type { Carry } from './carrying-out.ts';
import { type Ending, within } from './event-scope.ts';

/** What a round costs besides what is in it: an event's budget is enough for some 10,000. */
const roundSteps = 1200;

const each: Carry<'each'> = function* ({ of, name, body }, scope, doing) {
  const list = evaluate(of, scope);
  if (!Array.isArray(list)) throw new EvaluationError('`for` goes through a list; this is none.');
  for (const item of list) {
    budgetNow().spend(roundSteps);
    const ending = yield* doing.carryOut(body, within(scope, name, item));
    if (ending === 'break') break;
    if (ending === 'return') return ending;
  }
  return undefined;
};

const repeated: Carry<'while'> = function* ({ test, body, after }, scope, doing) {
  while (evaluate(test, scope)) {
    budgetNow().spend(roundSteps);
    const ending = yield* doing.carryOut(body, scope);
    if (ending === 'break') break;
    if (ending === 'return') return ending;
    yield* doing.carryOut(after, scope);
  }
  return undefined;
};

const tried: Carry<'try'> = function* ({ body, catches, name, caught, lastly }, scope, doing) {
  let ending: Ending;
  let failed: unknown;
  const catching = function* (work: () => Generator<number | Promise<unknown>, Ending, unknown>) {
    failed = undefined;
    try {
      ending = yield* work();
    } catch (error) {
      if (!(error instanceof EvaluationError)) throw error;
      // A budget that has run out is nothing to catch.
      budgetNow().spend(0);
      failed = error;
    }
  };
  const tries = Object.assign(((each) => scope(each)) as typeof scope, { put: scope.put, tries: true });
  yield* catching(() => doing.carryOut(body, tries));
  if (failed instanceof EvaluationError && catches) {
    const { message } = failed;
    const known = name === undefined ? scope : within(scope, name, { message });
    yield* catching(() => doing.carryOut(caught, known));
  }
  const last = yield* doing.carryOut(lastly, scope);
  // As a function does, it ends in the way that its last part says (ECMAScript §14.15.3).
  if (last) return last;
  if (failed) throw failed;
  return ending;
};

/** By the types of their statements. */
export const loops = { each, while: repeated, try: tried };
