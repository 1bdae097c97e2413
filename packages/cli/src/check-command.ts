/** `hovrin check`: what is wrong with screens at some width, on standard output; nothing where all is well. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import {
  checkAll,
  checkNamed,
  effectiveNames,
  type Finding,
  handlersAtHand,
  type MissingHandler,
  missingHandlers,
  namesOn,
  ownCodeFile,
  type Project,
  type Severity,
  type UnusedFinding,
  unusedIn,
  unusedTitles,
  usualCheck,
  whereWords,
} from '@hovrin/core';
import { loadShaper } from '@hovrin/files';
import { BadInput, readInput } from './bad-input.ts';
import { readOptions } from './options.ts';
import { readWidth } from './sweep-command.ts';
import { readMode } from './view-options.ts';

/** @returns 1 where there are errors or warnings, 0 where there is at most advice. */
export async function checkCommand(words: readonly string[], print: (text: string) => void): Promise<number> {
  const { values, positionals } = readOptions(words, {
    from: { type: 'string' },
    to: { type: 'string' },
    rtl: { type: 'boolean' },
    json: { type: 'boolean' },
    handlers: { type: 'string' },
    mode: { type: 'string' },
  });
  if (positionals.length === 0) throw new BadInput('A file or folder is needed: `hovrin check FILE|FOLDER`');
  const from = readWidth(values.from ?? String(usualCheck.from), '--from');
  const to = readWidth(values.to ?? String(usualCheck.to), '--to');
  if (to < from) throw new BadInput(`The widths end (${to}) before they begin (${from}).`);
  const shaper = await loadShaper();
  const counts: Record<Severity, number> = { error: 0, warning: 0, advice: 0 };
  const listed: object[] = [];
  for (const input of positionals) {
    const { project, isFolder } = await readInput(input);
    for (const missing of await notAtHand(project, input, values.handlers)) {
      counts.error++;
      const { screen, control, event, sentence } = missing;
      if (values.json)
        listed.push({
          ...(positionals.length > 1 ? { file: input } : {}),
          ...{ screen, check: 'no-handler', severity: 'error', control, attribute: `on.${event}`, sentence },
        });
      else print(`${screen}.${control}: error: No such handler\n  ${sentence}\n`);
    }
    // Of one screen alone nobody knows what others use.
    for (const unused of isFolder ? unusedIn(project) : []) {
      counts[unused.severity]++;
      const { fixes, ...told } = unused;
      if (values.json)
        listed.push({
          ...(positionals.length > 1 ? { file: input } : {}),
          ...told,
          fixes: fixes.map(({ label }) => label),
        });
      else print(readableUnused(unused));
    }
    for (const screen of project.screens) {
      const found = checkAll(shaper, project, screen, {
        ...usualCheck,
        from,
        to,
        rightToLeft: values.rtl ?? false,
        mode: readMode(values.mode),
      });
      const names = namesOn(project, screen);
      const nameOf = (id: string | undefined) => (id === undefined ? undefined : names.get(id));
      for (const finding of found) {
        counts[finding.severity]++;
        if (values.json)
          listed.push({
            ...(positionals.length > 1 ? { file: input } : {}),
            screen: screen.name,
            ...finding,
            control: nameOf(finding.control),
            other: nameOf(finding.other),
            fixes: finding.fixes.map(({ label }) => label),
          });
        else print(readable(finding, `${screen.name}.${nameOf(finding.control)}`));
      }
    }
  }
  if (values.json) print(`${JSON.stringify(listed)}\n`);
  else print(`${summary(counts)}\n`);
  return counts.error + counts.warning > 0 ? 1 : 0;
}

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
  return missingHandlers(project, read, (screen, control) => names.get(screen)?.get(control) ?? control);
}

function readable(finding: Finding, place: string): string {
  const { severity, check, sentence, where, fixes } = finding;
  const lines = [
    `${place}: ${severity}: ${checkNamed(check)?.title}, ${whereWords(where)}`,
    `  ${sentence}`,
    ...fixes.map(({ label }) => `  → ${label}`),
  ];
  return `${lines.join('\n')}\n`;
}

const readableUnused = ({ check, severity, sentence, fixes }: UnusedFinding): string =>
  `${[`theme: ${severity}: ${unusedTitles[check]}`, `  ${sentence}`, ...fixes.map(({ label }) => `  → ${label}`)].join('\n')}\n`;

function summary({ error, warning, advice }: Record<Severity, number>): string {
  const count = (number: number, one: string, many = `${one}s`) => `${number} ${number === 1 ? one : many}`;
  return `${count(error, 'error')}, ${count(warning, 'warning')}, ${count(advice, 'advice', 'pieces of advice')}`;
}
