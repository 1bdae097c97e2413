/** Formats of the document: what an older one becomes, and a sentence for one that is newer than this version reads. */

import { isRecord } from '../document/record.ts';
import { projectFormat } from '../document/types.ts';
import { collections } from './catalogue.ts';

/** What is wrong with the format of a document that should be the newest; undefined where nothing is. */
export function formatProblem(format: unknown): string | undefined {
  if (format === projectFormat) return undefined;
  if (typeof format === 'number' && format > projectFormat)
    return `This project has format ${format}; this version of Hovrin reads formats up to ${projectFormat}. A newer version reads it.`;
  return `This project has format ${String(format)}; this version reads format ${projectFormat}.`;
}

export type Migrated =
  | { readonly ok: true; readonly data: Record<string, unknown>; readonly isOlder: boolean }
  | { readonly ok: false; readonly message: string };

/**
 * Takes a document, or what `project.json` says, to the newest format, one format after the other. It is not held
 * against its shape: see `projectProblem`.
 */
export function migrated(value: unknown): Migrated {
  if (!isRecord(value)) return { ok: false, message: 'This is not a project.' };
  const { format } = value;
  if (typeof format !== 'number' || !Number.isInteger(format) || format < 1 || format > projectFormat)
    return { ok: false, message: formatProblem(format) ?? 'This is not a project.' };
  let data = value;
  for (let from = format; from < projectFormat; from++) data = next(data, from);
  return { ok: true, data, isOlder: format < projectFormat };
}

/** A document in the format after the one that it has. */
function next(data: Record<string, unknown>, from: number): Record<string, unknown> {
  const changed: Record<string, unknown> = { ...data, format: from + 1 };
  for (const { id, migrations, compare } of collections()) {
    const entities = changed[id];
    const change = migrations?.[from];
    if (!change || !Array.isArray(entities)) continue;
    const made = change(entities);
    changed[id] = compare && made.every(isRecord) ? made.toSorted(compare) : made;
  }
  return changed;
}
