/** Properties that name columns of a table: how their texts do. */
import { entriesText, entriesType } from '../property-types/index.ts';
import type { NamesColumns } from './kind.ts';

/** A text that is the name of one column; `-` in front of it says the other way round. */
export const oneColumn = (of: NamesColumns['of']): NamesColumns => ({
  of,
  in: (text) => (text.trim() === '' ? [] : [text.trim().replace(/^-/, '')]),
  renamed: (text, from, to) => {
    const [minus = ''] = /^-/.exec(text.trim()) ?? [];
    return text.trim() === minus + from ? minus + to : text;
  },
});

/** Entries whose values are columns; what a person read of one stays what it was. */
export const severalColumns: NamesColumns = {
  of: 'own',
  in(text) {
    const read = entriesType.read(text);
    return read.ok ? read.value.map(({ value }) => value) : [];
  },
  renamed(text, from, to) {
    const read = entriesType.read(text);
    if (!read.ok || !read.value.some(({ value }) => value === from)) return text;
    return entriesText(read.value.map((entry) => (entry.value === from ? { ...entry, value: to } : entry)));
  },
};
