/** `hovrin why`: why a control has its size and place. */
import {
  type Control,
  didYouMean,
  type Explanation,
  namesOn,
  type Project,
  type Question,
  questions,
  type Term,
  Why,
} from '@hovrin/core';
import { loadShaper } from '@hovrin/files';
import { BadInput, readInput } from './bad-input.ts';
import { readOptions } from './options.ts';
import { inLocale, readStates, readView, viewOptions } from './view-options.ts';

export async function whyCommand(words: readonly string[], print: (text: string) => void): Promise<number> {
  const { values, positionals } = readOptions(words, {
    ...viewOptions,
    size: { type: 'string' },
    control: { type: 'string' },
    axis: { type: 'string' },
    json: { type: 'boolean' },
  });
  const [path, ...more] = positionals;
  const usage = '`hovrin why FILE --size 390x844 --control NAME`';
  if (path === undefined || more.length > 0) throw new BadInput(`One file or folder is needed: ${usage}`);
  if (values.size === undefined) throw new BadInput('Which size? `--size 390x844`');
  if (values.control === undefined) throw new BadInput('Which control? `--control NAME`');
  const view = readView(values.size, values);
  const asked = readQuestions(values.axis);
  const project = inLocale((await readInput(path)).project, values.locale);
  const { screen, id } = findControl(project, values.control);
  const why = new Why(await loadShaper(), project, screen, { ...view, ...readStates(project, values.state) });
  if (!why.has(id)) throw new BadInput(`\`${values.control}\` is hidden at ${values.size}.`);
  const found = asked.flatMap((question) => why.explain(id, question) ?? []);
  const names = namesOn(project, screen);
  if (values.json) print(`${JSON.stringify(found, withNames(names), 2)}\n`);
  else for (const explanation of found) print(readable(explanation, names));
  return 0;
}

/** What the core calls a control means nothing outside; its name does. For `JSON.stringify`. */
const withNames =
  (names: ReadonlyMap<string, string>) =>
  (key: string, value: unknown): unknown => {
    if (key === 'control' && typeof value === 'string') return names.get(value) ?? value;
    if (key === 'mentions' && Array.isArray(value)) return value.map((id) => names.get(id) ?? id);
    return value;
  };

function readQuestions(text: string | undefined): readonly Question[] {
  if (text === undefined) return questions;
  const found = questions.find((question) => question === text);
  if (!found) throw new BadInput(`\`${text}\` is no axis: ${questions.join(', ')}.`);
  return [found];
}

/** A control by name; in a folder the screen may stand in front: `Arrivals.list`. */
function findControl(project: Project, asked: string): { screen: Control; id: string } {
  const names: string[] = [];
  for (const screen of project.screens)
    for (const [id, name] of namesOn(project, screen)) {
      if (name === asked || `${screen.name}.${name}` === asked) return { screen, id };
      names.push(name);
    }
  throw new BadInput(`There is no control \`${asked}\`.${didYouMean(asked, names)}`);
}

const number = (value: number): string => String(Number(value.toFixed(2)) + 0);

function readable(
  { control: asked, question, sentence, remarks, workings, sources, fixes }: Explanation,
  names: ReadonlyMap<string, string>,
): string {
  const of = (control: string) => (control === asked ? '' : `\`${names.get(control) ?? control}\` `);
  const term = ({ what, value, from }: Term) =>
    `${number(value)} (${from === undefined ? what : `from above: ${what}`})`;
  const signs = { sum: ' + ', product: ' × ', greatest: ', ', least: ', ', given: '' } as const;
  const arithmetic = workings.map(({ what, by, terms, result }) => {
    const parts = terms.map(term).join(signs[by]).replaceAll('+ -', '- ');
    const picked = by === 'greatest' || by === 'least' ? `${by} of ${parts}` : parts;
    return `    ${what}: ${picked}${terms.length > 1 ? ` = ${number(result)}` : ''}`;
  });
  return [
    `${question}: ${sentence}`,
    ...remarks.map((remark) => `  ! ${remark}`),
    ...arithmetic,
    ...sources.map(
      ({ control, property, text, from }) =>
        `    ${of(control)}${property}: ${text === '' ? 'not set' : text} (${from === 'own' ? 'set here' : from === 'default' ? 'default' : `from ${from}`})`,
    ),
    ...fixes.map(({ label, steps }) => {
      const set = steps.map((step) =>
        step.type === 'set'
          ? `${of(step.control)}${step.property}=${step.value === null ? 'none' : `"${step.value}"`}`
          : step.type,
      );
      return `  > ${label} (${set.join(', ')})`;
    }),
    '',
  ].join('\n');
}
