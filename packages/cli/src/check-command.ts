/** `hovrin check`: what is wrong with screens at some width, on standard output; nothing where all is well. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import {
  checkAll,
  checkNamed,
  effectiveNames,
  type Finding,
  findingKey,
  handlersAtHand,
  isRightToLeft,
  type MissingHandler,
  missingHandlers,
  moduleFile,
  namesOn,
  ownCodeFile,
  ownHandlersOf,
  type Problem,
  type Project,
  problemPlaceWords,
  problemsOf,
  type Severity,
  usualCheck,
  whereWords,
} from '@hovrin/core';
import { checkCode, loadShaper, type PlacedCodeProblem } from '@hovrin/files';
import { BadInput, readInput } from './bad-input.ts';
import { readOptions } from './options.ts';
import { readWidth } from './sweep-command.ts';
import { inLocale, readMode } from './view-options.ts';

/** @returns 1 where there are errors or warnings, 0 where there is at most advice. */
export async function checkCommand(words: readonly string[], print: (text: string) => void): Promise<number> {
  const { values, positionals } = readOptions(words, {
    from: { type: 'string' },
    to: { type: 'string' },
    rtl: { type: 'boolean' },
    json: { type: 'boolean' },
    handlers: { type: 'string' },
    mode: { type: 'string' },
    locale: { type: 'string' },
  });
  if (positionals.length === 0) throw new BadInput('A file or folder is needed: `hovrin check FILE|FOLDER`');
  const from = readWidth(values.from ?? String(usualCheck.from), '--from');
  const to = readWidth(values.to ?? String(usualCheck.to), '--to');
  if (to < from) throw new BadInput(`The widths end (${to}) before they begin (${from}).`);
  const mode = readMode(values.mode);
  const counts: Record<Severity, number> = { error: 0, warning: 0, advice: 0 };
  const listed: object[] = [];
  for (const input of positionals) {
    const { project, isFolder } = await readInput(input);
    const found = [
      ...(await notAtHand(project, input, values.handlers)).map(saidOfHandler),
      ...(await checkCode(project)).map(saidOfCode),
      ...problemsIn(project, isFolder).map(saidOfProblem),
      ...findingsIn(await loadShaper(), project, values.locale, {
        ...usualCheck,
        from,
        to,
        rightToLeft: values.rtl ?? false,
        mode,
      }),
    ];
    for (const { severity, told, text } of found) {
      counts[severity]++;
      if (values.json) listed.push({ ...(positionals.length > 1 ? { file: input } : {}), ...told });
      else print(`${text}\n`);
    }
  }
  print(`${values.json ? JSON.stringify(listed) : summary(counts)}\n`);
  return counts.error + counts.warning > 0 ? 1 : 0;
}

/** Something that is wrong, for machines and for people. */
interface Said {
  readonly severity: Severity;
  readonly told: object;
  readonly text: string;
}

const saidOfHandler = ({ screen, control, event, sentence }: MissingHandler): Said => ({
  severity: 'error',
  told: { screen, check: 'no-handler', severity: 'error', control, attribute: `on.${event}`, sentence },
  text: `${screen}.${control}: error: No such handler\n  ${sentence}`,
});

const saidOfCode = ({ module, line, column, severity, message }: PlacedCodeProblem): Said => ({
  severity,
  told: { code: module, line, column, check: 'type', severity, sentence: message },
  text: `${moduleFile(module)}:${line}:${column}: ${severity}: ${message}`,
});

const saidOfProblem = (problem: Problem): Said => ({
  severity: problem.severity,
  told: told(problem),
  text: readableProblem(problem),
});

type Shaper = Awaited<ReturnType<typeof loadShaper>>;
type How = NonNullable<Parameters<typeof checkAll>[3]>;

/**
 * What is wrong with the screens of a project in its languages. What is wrong in that of the source is told once; what others add,
 * with the languages that it is wrong in.
 *
 * @param only the only language that is looked at.
 */
function findingsIn(shaper: Shaper, project: Project, only: string | undefined, how: How): readonly Said[] {
  if (only !== undefined) {
    const rightToLeft = how.rightToLeft === true || isRightToLeft(only);
    return findingsOf(shaper, inLocale(project, only), { ...how, rightToLeft });
  }
  const found = findingsOf(shaper, project, how);
  const known = new Set(found.map(({ key }) => key));
  const added = new Map<string, { said: KeyedFinding; tags: string[] }>();
  for (const { tag } of (project.locales ?? []).slice(1)) {
    const rightToLeft = how.rightToLeft === true || isRightToLeft(tag);
    for (const said of findingsOf(shaper, inLocale(project, tag), { ...how, rightToLeft })) {
      if (known.has(said.key)) continue;
      const before = added.get(said.key);
      if (before) before.tags.push(tag);
      else added.set(said.key, { said, tags: [tag] });
    }
  }
  return [
    ...found,
    ...[...added.values()].map(({ said, tags }) => ({
      ...said,
      told: { ...said.told, locales: tags },
      text: `${said.text}\n  In ${tags.join(', ')}.`,
    })),
  ];
}

/** A finding, told apart from others of the same project in another language. */
interface KeyedFinding extends Said {
  readonly key: string;
}

/** What is wrong with the screens of a project at some width. */
const findingsOf = (shaper: Shaper, project: Project, how: How): readonly KeyedFinding[] =>
  project.screens.flatMap((screen) => {
    const names = namesOn(project, screen);
    const nameOf = (id: string | undefined) => (id === undefined ? undefined : names.get(id));
    return checkAll(shaper, project, screen, how).map((finding): KeyedFinding => {
      const { severity, control, other, fixes } = finding;
      return {
        key: `${screen.name} ${findingKey(finding)}`,
        severity,
        told: {
          screen: screen.name,
          ...finding,
          control: nameOf(control),
          other: nameOf(other),
          fixes: fixes.map(({ label }) => label),
        },
        text: readable(finding, `${screen.name}.${nameOf(control)}`),
      };
    });
  });

/**
 * The events that call code which is not in the application's own.
 *
 * @param file where that code is; absent: in `handlers.js` of the folder that is checked, where it has one.
 * @throws BadInput where it cannot be read.
 */
async function notAtHand(
  project: Project,
  input: string,
  file: string | undefined,
): Promise<readonly MissingHandler[]> {
  const path = file ?? join(input, ownCodeFile);
  const text = await readFile(path, 'utf8').catch(() => undefined);
  if (text === undefined) {
    if (file !== undefined) throw new BadInput(`There is no file ${file}.`);
    return [];
  }
  const read = handlersAtHand(text);
  if ('problem' in read) throw new BadInput(`${path}: ${read.problem}`);
  const names = new Map(project.screens.map((screen) => [screen.id, effectiveNames(screen)]));
  // The project's own code has some itself.
  const all = { ...read, names: new Set([...read.names, ...ownHandlersOf(project).keys()]) };
  return missingHandlers(project, all, (screen, control) => names.get(screen)?.get(control) ?? control);
}

function readable(finding: Finding, place: string): string {
  const { severity, check, sentence, where, fixes } = finding;
  const lines = [
    `${place}: ${severity}: ${checkNamed(check)?.title}, ${whereWords(where)}`,
    `  ${sentence}`,
    ...fixes.map(({ label }) => `  → ${label}`),
  ];
  return lines.join('\n');
}

/** The problems of a project; of one screen alone, of which nobody knows what others do, those in its controls. */
const problemsIn = (project: Project, isFolder: boolean): readonly Problem[] =>
  problemsOf(project).filter(
    ({ kind, place }) => isFolder || (place.in === 'control' && kind !== 'unreached'),
  );

/** Where a problem is, by the names that the source has. */
function placeOf({ place }: Problem): {
  readonly screen?: string;
  readonly control?: string;
  readonly attribute?: string;
  readonly variable?: string;
  readonly source?: string;
  readonly task?: string;
  readonly code?: string;
} {
  if (place.in === 'state') return { variable: place.variable };
  if (place.in === 'source') return { source: place.source };
  if (place.in === 'task') return { task: place.task };
  if (place.in === 'code') return { code: place.module };
  if (place.in === 'theme') return {};
  const { tree, control, attribute } = place;
  const name = effectiveNames(tree).get(control.id) ?? control.kind;
  return { screen: tree.name ?? '', control: name, ...(attribute === undefined ? {} : { attribute }) };
}

const told = (problem: Problem): object => ({
  ...placeOf(problem),
  check: problem.kind,
  severity: problem.severity,
  sentence: problem.sentence,
  fixes: problem.fixes.map(({ label }) => label),
});

function readableProblem(problem: Problem): string {
  const { severity, title, sentence, fixes } = problem;
  const lines = [
    `${problemPlaceWords(problem.place)}: ${severity}: ${title}`,
    `  ${sentence}`,
    ...fixes.map(({ label }) => `  → ${label}`),
  ];
  return lines.join('\n');
}

function summary({ error, warning, advice }: Record<Severity, number>): string {
  const count = (number: number, one: string, many = `${one}s`) => `${number} ${number === 1 ? one : many}`;
  return `${count(error, 'error')}, ${count(warning, 'warning')}, ${count(advice, 'advice', 'pieces of advice')}`;
}
