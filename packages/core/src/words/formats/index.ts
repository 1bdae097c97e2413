/** All formats of strings, in the order in which the interface lists them. */
import { csv } from './csv.ts';
import { json } from './json.ts';
import type { StringFormat } from './string-format.ts';
import { xliff } from './xliff.ts';

export const stringFormats: readonly StringFormat[] = [xliff, csv, json];

/** The format of a file, by the end of its name. */
export const stringFormatOf = (file: string): StringFormat | undefined =>
  stringFormats.find(({ endings }) => endings.some((ending) => file.toLowerCase().endsWith(ending)));
