import { describe, expect, it } from 'vitest';
import { parseStatements, parseTemplate } from '../src/index.ts';
import { Runtime } from '../src/runtime/index.ts';
import { testState } from './documents.ts';

function start() {
  const went: string[] = [];
  const problems: string[] = [];
  const runtime = new Runtime(
    { state: testState, screens: [] },
    { go: (screen) => went.push(screen), problem: (message) => problems.push(message) },
  );
  const run = (text: string) => {
    const parsed = parseStatements(text);
    if (!parsed.ok) throw new Error(parsed.problem.message);
    runtime.run(parsed.value);
  };
  const follow = (text: string) => {
    const parsed = parseTemplate(text);
    if (!parsed.ok) throw new Error(parsed.problem.message);
    const seen: unknown[] = [];
    const dispose = runtime.bind(parsed.value, (value) => seen.push(value));
    return { seen, dispose };
  };
  return { runtime, run, follow, went, problems };
}

describe('the runtime', () => {
  it('re-runs only what depends on what was assigned', () => {
    const { run, follow } = start();
    const guests = follow('{guests} guests');
    const name = follow('Hello {name}');
    run('guests = guests + 1');
    run('guests = guests');
    expect(guests.seen).toEqual(['3 guests', '4 guests']);
    expect(name.seen).toEqual(['Hello Ilka']);
  });

  it('applies all assignments of an event together, in order', () => {
    const { run, follow, went } = start();
    const both = follow('{guests}/{name}');
    run('guests += 2; name = name + "!"; if (guests > 4) { go("Tonight") } else { go("Arrivals") }');
    expect(both.seen).toEqual(['3/Ilka', '5/Ilka!']);
    expect(went).toEqual(['Tonight']);
  });

  it('keeps types: a number takes numeric text, anything else is reported and refused', () => {
    const { runtime, run, problems } = start();
    run('guests = "7"');
    expect(runtime.read('guests')).toBe(7);
    run('guests = "many"');
    run('late = "yes"');
    expect([runtime.read('guests'), runtime.read('late')]).toEqual([7, false]);
    expect(problems).toEqual([
      '`guests` is a number; "many" cannot be assigned to it.',
      '`late` is a boolean; "yes" cannot be assigned to it.',
    ]);
  });

  it('reports an expression that fails; the others go on', () => {
    const { run, follow, problems } = start();
    const bad = follow('{name.missing.deeper + guests}');
    const good = follow('{guests}');
    run('guests = 9');
    expect(bad.seen).toEqual([]);
    expect(good.seen).toEqual([3, 9]);
    expect(problems[0]).toMatch(/`deeper` cannot be read/);
  });

  it('stops following when told to', () => {
    const { run, follow } = start();
    const { seen, dispose } = follow('{guests}');
    dispose();
    run('guests = 1');
    expect(seen).toEqual([3]);
  });
});
