/**
 * Holds plain data against the shape of a project. Used where data comes in from outside: a file, a request, a
 * step of another window. What passes can be laid out, exported and run.
 */

import { confinesProblem, kindNamed } from '../kinds/catalogue.ts';
import { readAttribute } from './attributes.ts';
import { feedProblem } from './feed.ts';
import { nameProblem, valueNameProblem } from './names.ts';
import { contextOf, readAttributeText } from './property-text.ts';
import { countValues, fitting, mostValues, stateTypes } from './state.ts';
import { storedTableProblem } from './stored-table.ts';
import { columnTypes } from './table.ts';
import { walk } from './tree.ts';
import {
  type Band,
  type ColumnType,
  inForce,
  type Project,
  projectFormat,
  type StateVariable,
} from './types.ts';

/** Most controls of one screen. */
export const mostControls = 20_000;
/** Deepest nesting of one screen. */
export const deepestNesting = 100;

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isText = (value: unknown): value is string => typeof value === 'string';

/** What is wrong with a list of state variables; undefined where nothing is. */
export function stateProblem(value: unknown): string | undefined {
  if (!Array.isArray(value)) return '`state` is not a list.';
  const seen = new Set<string>();
  const ids = new Set<string>();
  for (const entry of value as StateVariable[]) {
    if (!isRecord(entry) || !isText(entry.name)) return 'A state variable has no name.';
    const problem = valueNameProblem(entry.name);
    if (problem) return `State variable \`${entry.name}\`: ${problem}`;
    if (seen.has(entry.name)) return `There are two state variables \`${entry.name}\`.`;
    seen.add(entry.name);
    if (!stateTypes.includes(entry.type))
      return `State variable \`${entry.name}\` has no type: ${stateTypes.join(', ')}.`;
    if (fitting(entry.type, entry.initial) !== entry.initial)
      return `The initial value of \`${entry.name}\` is not of type ${entry.type}.`;
    if (countValues(entry.initial) > mostValues)
      return `\`${entry.name}\` holds more than ${mostValues} values at its start.`;
    const columns = columnsProblem(entry.columns);
    if (columns) return `\`${entry.name}\`: ${columns}`;
    if (entry.computed !== undefined && !isText(entry.computed))
      return `What \`${entry.name}\` is worked out from is no text.`;
    if (entry.kept !== undefined && typeof entry.kept !== 'boolean')
      return `Whether \`${entry.name}\` is kept is neither yes nor no.`;
    if (entry.screen !== undefined && !isText(entry.screen))
      return `The screen of \`${entry.name}\` is no name.`;
    const feed = feedProblem(entry.feed);
    if (feed) return `\`${entry.name}\`: ${feed}`;
    const table = storedTableProblem(entry);
    if (table) return `\`${entry.name}\`: ${table}`;
    if (entry.table && ids.has(entry.table.id)) return `\`${entry.name}\` has the table of another variable.`;
    if (entry.table) ids.add(entry.table.id);
  }
  return undefined;
}

function columnsProblem(value: unknown): string | undefined {
  if (value === undefined) return undefined;
  if (!Array.isArray(value)) return '`columns` is not a list.';
  const names = new Set<string>();
  for (const column of value) {
    if (!isRecord(column) || !isText(column.name) || column.name.trim() === '')
      return 'A column has no name.';
    if (names.has(column.name)) return `There are two columns \`${column.name}\`.`;
    names.add(column.name);
    if (!columnTypes.includes(column.type as ColumnType))
      return `Column \`${column.name}\` has no type: ${columnTypes.join(', ')}.`;
    if (column.values !== undefined && !(Array.isArray(column.values) && column.values.every(isText)))
      return `What column \`${column.name}\` may hold is no list of texts.`;
    const { refers } = column;
    if (refers !== undefined && !(isRecord(refers) && isText(refers.list) && isText(refers.column)))
      return `What column \`${column.name}\` refers to is no column of a list.`;
  }
  return undefined;
}

/** What is wrong with a list of bands; undefined where nothing is. */
export function bandsProblem(value: unknown): string | undefined {
  if (!Array.isArray(value) || value.length === 0) return '`bands` is not a list with at least one band.';
  const seen = new Set<string>();
  for (const band of value as Band[]) {
    if (!isRecord(band) || !isText(band.name) || !isText(band.label)) return 'A band has no name.';
    if (!/^[a-z][a-z0-9]*$/.test(band.name) || ['on', 'portrait', 'landscape'].includes(band.name))
      return `\`${band.name}\` cannot be the name of a band.`;
    if (seen.has(band.name)) return `There are two bands \`${band.name}\`.`;
    seen.add(band.name);
    if (band.color !== undefined && !(isText(band.color) && /^#[\da-f]{6}$/.test(band.color)))
      return `The colour of band \`${band.name}\` is no \`#rrggbb\`.`;
    if (!Number.isFinite(band.from) || band.from < 0) return `Band \`${band.name}\` begins at no width.`;
  }
  return undefined;
}

/** What is wrong with a list of pictures; undefined where nothing is. */
export function assetsProblem(value: unknown): string | undefined {
  if (!Array.isArray(value)) return '`assets` is not a list.';
  for (const asset of value) {
    if (
      !isRecord(asset) ||
      !isText(asset.name) ||
      !/^[\w][\w .-]*$/.test(asset.name) ||
      asset.name.includes('..')
    )
      return 'A picture has no file name.';
    if (!isText(asset.type) || !asset.type.startsWith('image/')) return `\`${asset.name}\` is not a picture.`;
    if (
      !Number.isFinite(asset.width) ||
      !Number.isFinite(asset.height) ||
      Number(asset.width) <= 0 ||
      Number(asset.height) <= 0
    )
      return `Picture \`${asset.name}\` has no size.`;
  }
  return undefined;
}

/**
 * What is wrong with a control and all below it, whatever expressions name; undefined where nothing is.
 *
 * @param project for bands; names in expressions are not checked, since they may be mended later.
 */
export function controlProblem(
  project: Pick<Project, 'bands'>,
  control: unknown,
  asScreen: boolean,
): string | undefined {
  const context = {
    ...contextOf({ ...project, state: [], screens: [] } as unknown as Project),
    namesKnown: false,
  };
  let count = 0;
  const visit = (value: unknown, depth: number): string | undefined => {
    if (
      !isRecord(value) ||
      !isText(value.id) ||
      value.id === '' ||
      !isText(value.kind) ||
      !isRecord(value.props) ||
      !Array.isArray(value.children)
    )
      return 'This is not a control.';
    if (++count > mostControls) return `A screen has at most ${mostControls} controls.`;
    if (depth > deepestNesting) return `Controls are nested at most ${deepestNesting} deep.`;
    const kind = kindNamed(value.kind);
    if (!kind) return `There is no kind \`${value.kind}\`.`;
    if ((kind.name === 'screen') !== (asScreen && depth === 1))
      return kind.name === 'screen'
        ? 'A screen cannot stand inside another control.'
        : `A ${kind.name} cannot be a screen.`;
    if (value.name !== undefined) {
      const problem = isText(value.name) ? nameProblem(value.name) : 'A name is not a text.';
      if (problem) return problem;
    }
    for (const [attribute, held] of Object.entries(value.props)) {
      const meaning = readAttribute(kind, attribute, project.bands);
      if (typeof meaning === 'string') return meaning;
      if (
        !isText(held) &&
        !(isRecord(held) && isText(held.draft) && (held.good === undefined || isText(held.good)))
      )
        return `\`${attribute}\` has no text.`;
      const text = inForce(held as string);
      if (text === undefined) continue;
      const reading = readAttributeText(kind, attribute, text, context);
      if (!reading.ok) return `${attribute}: ${reading.message}`;
    }
    for (const child of value.children) {
      const childKind = isRecord(child) && isText(child.kind) ? kindNamed(child.kind) : undefined;
      const confined = childKind && confinesProblem(childKind, kind, value.children.length);
      if (confined) return confined;
      const problem = visit(child, depth + 1);
      if (problem) return problem;
    }
    return undefined;
  };
  return visit(control, 1);
}

/** What is wrong with a whole project; undefined where nothing is. */
export function projectProblem(value: unknown): string | undefined {
  if (!isRecord(value)) return 'This is not a project.';
  if (value.format !== projectFormat)
    return `This project has format ${String(value.format)}; this version reads format ${projectFormat}.`;
  if (!isText(value.name)) return 'The project has no name.';
  const lists = bandsProblem(value.bands) ?? stateProblem(value.state) ?? assetsProblem(value.assets);
  if (lists) return lists;
  if (!Array.isArray(value.screens)) return '`screens` is not a list.';
  const project = value as unknown as Project;
  const ids = new Set<string>();
  for (const screen of project.screens) {
    const problem = controlProblem(project, screen, true);
    if (problem) return `Screen \`${screen.name ?? ''}\`: ${problem}`;
    const names = new Set<string>();
    for (const control of walk(screen)) {
      if (ids.has(control.id)) return `Two controls have the id ${control.id}.`;
      ids.add(control.id);
      if (control.name === undefined) continue;
      if (names.has(control.name))
        return `Screen \`${screen.name ?? ''}\` has two controls \`${control.name}\`.`;
      names.add(control.name);
    }
  }
  return undefined;
}
