/**
 * What a project says of itself: its name, the screen that opens first, and what the head of its page says. Each is a text.
 * Steps, validation, `project.json` and renaming ask this list; a new value is a member of `Project` and an entry here.
 */
import { didYouMean } from '../document/nearest.ts';
import { transitions } from '../document/transitions.ts';
import type { Project } from '../document/types.ts';
import { migrationProblem } from '../expression/migration.ts';
import { isOneOf, itemAt } from '../sure.ts';

/** Longest name of a project, in UTF-16 units. */
export const longestProjectName = 200;

/** Longest description, in UTF-16 units: search engines show no more. */
const longestDescription = 320;

export type ProjectValueKey =
  | 'name'
  | 'start'
  | 'language'
  | 'description'
  | 'icon'
  | 'surround'
  | 'id'
  | 'keptVersion'
  | 'keptMigration'
  | 'transition';

export interface ProjectValue {
  readonly key: ProjectValueKey;
  /** A project is not without it. */
  readonly needed?: boolean;
  /** The id of the collection whose entity it names by key. Nothing bad happens where there is none. */
  readonly names?: 'screens' | 'assets' | 'components';
  /** Why a text cannot be this value; undefined where it can. */
  problem(text: string): string | undefined;
}

/** A well-formed language tag (BCP 47), as ECMA-402 §6.2.1 reads it. */
function isLanguage(text: string): boolean {
  try {
    return Intl.getCanonicalLocales(text).length === 1;
  } catch {
    return false;
  }
}

export const projectValues: readonly ProjectValue[] = [
  {
    key: 'name',
    needed: true,
    problem: (text) =>
      text.trim() !== '' && text.length <= longestProjectName
        ? undefined
        : `A project needs a name of at most ${longestProjectName} characters.`,
  },
  {
    key: 'start',
    names: 'screens',
    problem: (text) => (text.length <= 64 ? undefined : 'The start is the name of a screen.'),
  },
  {
    key: 'language',
    problem: (text) =>
      text.length <= 64 && isLanguage(text)
        ? undefined
        : `\`${text.slice(0, 64)}\` is no language: write a tag such as \`en\`, \`de-CH\` or \`pt-BR\`.`,
  },
  {
    key: 'description',
    problem: (text) =>
      text.length <= longestDescription
        ? undefined
        : `The description is longer than ${longestDescription} characters.`,
  },
  {
    key: 'icon',
    names: 'assets',
    problem: (text) => (text.length <= 100 ? undefined : 'The icon is the file name of a picture.'),
  },
  {
    key: 'surround',
    names: 'components',
    problem: (text) => (text.length <= 64 ? undefined : 'The surround is the name of a component.'),
  },
  {
    key: 'id',
    problem: (text) =>
      /^[\w-]{1,64}$/.test(text) ? undefined : 'The id of a project has letters, digits, `-` and `_` only.',
  },
  {
    key: 'keptVersion',
    problem: (text) =>
      /^[1-9]\d{0,5}$/.test(text) ? undefined : 'The version of what is kept is a whole number from 1.',
  },
  { key: 'keptMigration', problem: migrationProblem },
  {
    key: 'transition',
    problem: (text) =>
      isOneOf(transitions, text)
        ? undefined
        : `\`${text.slice(0, 64)}\` is no transition.${didYouMean(text, transitions)}`,
  },
];

/** What is wrong with a value from outside; undefined where nothing is. `null` and `undefined`: it is not set. */
export function projectValueProblem(
  { key, needed, problem }: ProjectValue,
  value: unknown,
): string | undefined {
  if (typeof value === 'string') return problem(value);
  if (needed) return `The project has no ${key}.`;
  return value === undefined || value === null ? undefined : `\`${key}\` of a project is a text.`;
}

/** The values that a record from outside sets, and the first problem among them. */
export function readProjectValues(data: Readonly<Record<string, unknown>>): {
  readonly values: Partial<Pick<Project, ProjectValueKey>>;
  readonly problem?: { readonly key: ProjectValueKey; readonly message: string };
} {
  const values: Partial<Record<ProjectValueKey, string>> = {};
  for (const value of projectValues) {
    const given = data[value.key];
    const message =
      given === null ? `\`${value.key}\` of a project is a text.` : projectValueProblem(value, given);
    if (message) return { values, problem: { key: value.key, message } };
    if (typeof given === 'string') values[value.key] = given;
  }
  return { values };
}

/** A project where another key takes the place of one, in every value that names an entity of a collection. */
export function withRenamedValues(project: Project, of: string, from: string, to: string): Project {
  const renamed = projectValues.filter(({ key, names }) => names === of && project[key] === from);
  return renamed.length === 0
    ? project
    : { ...project, ...Object.fromEntries(renamed.map(({ key }) => [key, to])) };
}

/** The entry of a value. */
export const projectValueOf = (key: ProjectValueKey): ProjectValue =>
  itemAt(
    projectValues.filter((value) => value.key === key),
    0,
  );
