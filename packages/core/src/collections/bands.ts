/** The project's bands of screen widths. */

import { isRecord } from '../document/record.ts';
import { walk } from '../document/tree.ts';
import { type Band, type Project, treesOf } from '../document/types.ts';
import { type Collection, type Fault, onlyFields, type Use } from './collection.ts';

const fields = ['name', 'label', 'from', 'color'];

/** Words that stand in front of attributes already. */
const reserved = ['on', 'part', 'portrait', 'landscape', 'constructor', 'prototype'];

/** Longest label, in UTF-16 units. */
const longestLabel = 200;

/** Why a text cannot be the name of a band; undefined where it can, if it is free. */
export const bandNameProblem = (name: string): string | undefined =>
  !/^[a-z][a-z0-9]*$/.test(name) || name.length > 64 || reserved.includes(name)
    ? `\`${name}\` cannot be the name of a band.`
    : undefined;

function fault(band: unknown): Fault | undefined {
  const at = (path: string, message: string): Fault => ({ path, message });
  if (!isRecord(band) || typeof band.name !== 'string') return at('name', 'A band has no name.');
  if (typeof band.label !== 'string') return at('label', 'A band has no name.');
  const named = bandNameProblem(band.name);
  if (named) return at('name', named);
  if (band.label.length > longestLabel)
    return at('label', `The label of band \`${band.name}\` is longer than ${longestLabel}.`);
  if (band.color !== undefined && !(typeof band.color === 'string' && /^#[\da-f]{6}$/.test(band.color)))
    return at('color', `The colour of band \`${band.name}\` is no \`#rrggbb\`.`);
  if (typeof band.from !== 'number' || !Number.isFinite(band.from) || band.from < 0 || band.from > 1e6)
    return at('from', `Band \`${band.name}\` begins at no width.`);
  return undefined;
}

function uses(project: Project, name: string): Use[] {
  return treesOf(project).flatMap((screen) =>
    [...walk(screen)].flatMap((control) =>
      Object.keys(control.props).flatMap((attribute) =>
        attribute.startsWith(`${name}.`) ? [{ screen, control, attribute }] : [],
      ),
    ),
  );
}

export const bands: Collection<Band> = {
  id: 'bands',
  word: 'band',
  least: 1,
  most: 50,
  fields,
  keyOf: ({ name }) => name,
  keyProblem: bandNameProblem,
  fault,
  empty: (name) => ({ name, label: name, from: 0 }),
  rekeyed: (band, name) => ({ ...band, name }),
  compare: (one, other) => one.from - other.from,
  inAttribute: (_, [attribute, text], from, to) => [
    attribute.startsWith(`${from}.`) ? to + attribute.slice(from.length) : attribute,
    text,
  ],
  uses,
  // Without its band a change of it means nothing: it could not be printed.
  needed: () => true,
  migrations: { 1: onlyFields(fields) },
};
