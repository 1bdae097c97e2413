/** What is the same for every item of a list is worked out once by a page. */
import { expect, it } from 'vitest';
import { hoisted } from '../src/export/hoisting.ts';
import { programOf } from '../src/export/program.ts';
import { evaluate } from '../src/expression/evaluate.ts';
import { parseExpression, type StateVariable } from '../src/index.ts';
import { projectOf } from './documents.ts';

const stays = Array.from({ length: 50 }, (_, index) => ({ guest: `Guest ${index}`, nights: index % 7 }));
const values: Readonly<Record<string, unknown>> = { stays, find: ' GUEST 1 ', nights: 3, late: false };
const isText = (name: string) => name === 'find';

function read(text: string) {
  const parsed = parseExpression(text);
  if (!parsed.ok) throw new Error(parsed.problem.message);
  return parsed.value;
}

/** An expression's value, and how often it reads the search text. */
function run(expression: ReturnType<typeof read>) {
  let asked = 0;
  const value = evaluate(expression, (name) => {
    if (name === 'find') asked++;
    if (!Object.hasOwn(values, name)) throw new Error(`There is no ${name}`);
    return values[name];
  });
  return { value, asked };
}

it.each([
  ['stays.filter(stay => stay.guest.toLowerCase().includes(find.trim().toLowerCase()))', 50, 1],
  ["find.trim() == '' ? stays : stays.filter(stay => stay.guest.includes(find.trim()))", 51, 2],
  ['stays.map(stay => stays.filter(other => other.guest == find.trim()).length)', 2500, 1],
  ['stays.some(stay => stay.guest.startsWith(find.toUpperCase() + find.trim()))', 100, 2],
  // The item itself, whatever it is called, and what is no text are left where they are.
  ["['a', 'b'].map(find => find.trim())", 0, 0],
  ['stays.map(stay => stay.guest.trim() + nights.toFixed(1))', 0, 0],
  ['stays.filter(stay => stay.guest == find)', 50, 50],
])('%s', (text, before, after) => {
  const plain = run(read(text));
  const made = run(hoisted(read(text), isText));
  expect(made.value).toEqual(plain.value);
  expect([plain.asked, made.asked]).toEqual([before, after]);
});

it('what cannot be worked out for any item is not tried where there is none', () => {
  const text = 'stays.filter(stay => stay.guest == late.trim())';
  expect(evaluate(hoisted(read(text), isText), (name) => (name === 'stays' ? [] : values[name]))).toEqual([]);
});

it('a program has it in front, in variables and in lists that are repeated', () => {
  const text = "['Ilka'].filter(row => row == name.trim())";
  const project = projectOf(
    `<screen name="Stays"><repeat name="rows" each="{${text}}"><spacer /></repeat></screen>`,
  );
  const found: StateVariable = { name: 'found', type: 'list', initial: [], computed: text };
  const { state, screens } = programOf({ ...project, state: [...project.state, found] });
  for (const part of [state.at(-1)!.computed, screens[0]!.repeats[0]!.each.parts[0]])
    expect(JSON.stringify(part)).toContain('"#0"');
});
