/** The log as a story: changes by hour and window, runs of the same told once. */
import type { ToldChange } from '@hovrin/core';

/** Changes that one window made within an hour. */
export interface Chapter {
  readonly key: string;
  /** Of its newest change, ms since 1970. */
  readonly time: number;
  readonly clientId: string;
  /** The newest first. */
  readonly lines: readonly StoryLine[];
}

/** A change, or several alike in a row. */
export interface StoryLine {
  readonly label: string;
  readonly kind: ToldChange['kind'];
  /** The newest of them. */
  readonly revision: number;
  /** The oldest of them. */
  readonly first: number;
  readonly times: number;
  readonly time: number;
}

const hour = 3_600_000;

/** @param changes the newest first. @param wanted words that a line has in it, whatever their case; empty: all. */
export function chaptersOf(changes: readonly ToldChange[], wanted: string): readonly Chapter[] {
  const asked = wanted.trim().toLowerCase();
  const chapters: (Chapter & { lines: StoryLine[] })[] = [];
  for (const { revision, kind, label, clientId, time } of changes) {
    if (asked !== '' && !label.toLowerCase().includes(asked)) continue;
    const last = chapters.at(-1);
    const isSame = last?.clientId === clientId && Math.floor(last.time / hour) === Math.floor(time / hour);
    const chapter = isSame ? last! : { key: `${clientId} ${revision}`, time, clientId, lines: [] };
    if (!isSame) chapters.push(chapter);
    const line = chapter.lines.at(-1);
    if (line?.label === label && line.kind === kind && line.first === revision + 1)
      chapter.lines[chapter.lines.length - 1] = { ...line, first: revision, times: line.times + 1 };
    else chapter.lines.push({ label, kind, revision, first: revision, times: 1, time });
  }
  return chapters;
}

const kinds = { change: '', undo: 'Taken back: ', redo: 'Done again: ' };

/** A line in words. */
export const lineWords = ({ label, kind, times }: StoryLine): string =>
  `${kinds[kind]}${label}${times > 1 ? ` (${times} times)` : ''}`;
