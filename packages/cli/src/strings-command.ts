/** `hovrin strings`: the texts of a project out to those who translate, and what they made of them back in. */
import { mkdir, readFile, stat, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import {
  applySteps,
  arriving,
  type Locale,
  messageOf,
  type Project,
  printFolder,
  problemLine,
  stringFormatOf,
  stringFormats,
  stringRows,
  stringsFile,
  tableOf,
  translating,
} from '@hovrin/core';
import { BadInput, readInput } from './bad-input.ts';
import { readOptions } from './options.ts';

const usage =
  '`hovrin strings FOLDER --out FILE.xlf|csv|json --locale de-CH`, or `--in FILE`; without either it tells how far each language is';

/** The languages that are meant: the one that is said, or all that the project has. */
function localesIn(project: Project, tag: string | undefined): readonly Locale[] {
  const [, ...others] = project.locales ?? [];
  if (others.length === 0)
    throw new BadInput(
      'The project has one language: `locales` in `project.json` lists more, that of its source first.',
    );
  if (tag === undefined) return others;
  const found = others.find((locale) => locale.tag.toLowerCase() === tag.toLowerCase());
  if (!found)
    throw new BadInput(
      `\`${tag}\` is none of the languages to translate into: ${others.map((each) => each.tag).join(', ')}.`,
    );
  return [found];
}

/** The language that is meant, where one only can be. */
function localeIn(project: Project, tag: string | undefined): Locale {
  const [first, ...more] = localesIn(project, tag);
  if (!first || more.length > 0) throw new BadInput('Which language? `--locale de-CH`');
  return first;
}

function formatOf(file: string) {
  const format = stringFormatOf(file);
  if (format) return format;
  throw new BadInput(`${file}: strings go as ${stringFormats.map(({ endings }) => endings[0]).join(', ')}.`);
}

/** How far each language is. */
function progress(project: Project, tag: string | undefined): string {
  return localesIn(project, tag)
    .map((locale) => {
      const rows = stringRows(project, locale);
      const count = (state: string) => rows.filter((row) => row.state === state).length;
      const all = rows.length - count('unused');
      const parts = (['missing', 'stale', 'wrong', 'unused'] as const).flatMap((state) =>
        count(state) > 0 ? `${count(state)} ${state}` : [],
      );
      const done = count('done') + count('stale');
      return `${locale.tag}: ${done} of ${all} translated${parts.length > 0 ? `, ${parts.join(', ')}` : ''}\n`;
    })
    .join('');
}

/** Takes a file of translations in. @returns 1 where something of it was left out. */
async function takeIn(
  folder: string,
  project: Project,
  file: string,
  { locale: tag, partly }: { readonly locale: string | undefined; readonly partly: boolean },
  print: (text: string) => void,
): Promise<number> {
  let text: string;
  try {
    text = await readFile(file, 'utf8');
  } catch (error) {
    throw new BadInput(`${file} cannot be read: ${messageOf(error)}`);
  }
  const table = formatOf(file).read(text, file);
  const locale = localeIn(project, tag ?? table.to);
  const { changed, left } = arriving(project, locale, table);
  const wrong = [...table.problems.map(problemLine), ...left];
  if (wrong.length > 0 && !partly)
    throw new BadInput(`${wrong.join('\n')}\nNothing was taken in. \`--partly\` takes what is right.`);
  const applied = applySteps(project, translating(project, locale, { ...locale.strings, ...changed }));
  if (!applied.ok) throw new BadInput(applied.reason);
  const path = stringsFile(locale.tag);
  const written = printFolder(applied.project).get(path) ?? '{}\n';
  await mkdir(dirname(join(folder, path)), { recursive: true });
  await writeFile(join(folder, path), written);
  for (const sentence of wrong) print(`${sentence}\n`);
  print(`${join(folder, path)}: ${Object.keys(changed).length} texts are other than before\n`);
  return wrong.length > 0 ? 1 : 0;
}

/** @returns 1 where something was left out of what was taken in. */
export async function stringsCommand(
  words: readonly string[],
  print: (text: string) => void,
): Promise<number> {
  const { values, positionals } = readOptions(words, {
    out: { type: 'string' },
    in: { type: 'string' },
    locale: { type: 'string' },
    partly: { type: 'boolean' },
  });
  const [folder, ...more] = positionals;
  if (folder === undefined || more.length > 0 || (values.out !== undefined && values.in !== undefined))
    throw new BadInput(usage);
  const isFolder = await stat(folder).then(
    (found) => found.isDirectory(),
    () => false,
  );
  if (!isFolder) throw new BadInput(`${folder} is no folder: ${usage}.`);
  const { project } = await readInput(folder);
  if (values.in !== undefined) {
    const how = { locale: values.locale, partly: values.partly === true };
    return takeIn(folder, project, values.in, how, print);
  }
  if (values.out === undefined) {
    print(progress(project, values.locale));
    return 0;
  }
  const format = formatOf(values.out);
  const locale = localeIn(project, values.locale);
  const table = tableOf(project, locale);
  await writeFile(values.out, format.print(table));
  const open = table.strings.filter(({ text }) => text === '').length;
  print(`${values.out}: ${table.strings.length} texts in ${locale.tag}, ${open} of them to be translated\n`);
  return 0;
}
