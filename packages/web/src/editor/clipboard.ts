/**
 * What was copied or cut, as source text: kept in the browser's own storage, so that it can be pasted in another
 * project, and put on the system's clipboard, so that it can be pasted into any text.
 */
import {
  type Aspect,
  type Band,
  type Control,
  defaultBands,
  parseScreen,
  printScreen,
  type Taken,
} from '@hovrin/core';

const key = 'hovrin.clipboard';

/** Controls as source text. */
export const asSource = (controls: readonly Control[], bands: readonly Band[]): string =>
  controls.map((control) => printScreen(control, bands)).join('');

/** The controls that a text is the source of; undefined where it is none. */
export function fromSource(text: string, bands: readonly Band[]): Control[] | undefined {
  if (!text.trimStart().startsWith('<')) return undefined;
  let count = 0;
  const parsed = parseScreen(`<screen name="pasted__">\n${text}\n</screen>`, {
    file: 'pasted',
    newId: () => `pasted ${++count}`,
    context: { bands, names: new Map(), screens: new Set(), namesKnown: false },
  });
  return parsed.ok ? [...parsed.screen.children] : undefined;
}

interface Kept {
  readonly text: string;
  readonly bands: readonly Band[];
}

export function keepCopied(controls: readonly Control[], bands: readonly Band[]): void {
  const kept: Kept = { text: asSource(controls, bands), bands };
  localStorage.setItem(key, JSON.stringify(kept));
  // Where the page may not write there, pasting inside Hovrin still works.
  void navigator.clipboard?.writeText(kept.text).catch(() => undefined);
}

/** What was kept last. @throws SyntaxError where it cannot be read. */
const keptNow = (): Partial<Kept> => JSON.parse(localStorage.getItem(key) ?? '{}');

/** The controls copied last; none where nothing was. */
export function copied(): Control[] {
  try {
    const { text, bands } = keptNow();
    return fromSource(text ?? '', bands ?? defaultBands) ?? [];
  } catch {
    return [];
  }
}

/** The text that was copied last. */
export const copiedText = (): string => {
  try {
    return keptNow().text ?? '';
  } catch {
    return '';
  }
};

/** Keeps a look or a size, to be given to other controls. */
export const keepTaken = (aspect: Aspect, taken: Taken): void =>
  localStorage.setItem(`${key}.${aspect}`, JSON.stringify(taken));

/** The look or size kept last. */
export function taken(aspect: Aspect): Taken | undefined {
  try {
    const found: Taken | null = JSON.parse(localStorage.getItem(`${key}.${aspect}`) ?? 'null');
    return found ?? undefined;
  } catch {
    return undefined;
  }
}
