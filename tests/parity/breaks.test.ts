/** Where a line may end between two characters, in the core and in Chromium: all pairs of some, in some surroundings. */
import { beginsWithHyphen, breakOpportunities } from '@hovrin/core/text/breaks';
import { expect, it } from 'vitest';
import { sharedBrowser } from '../browser/browser.ts';

/** Of each class of UAX #14 that the shipped fonts have characters of, and all of ASCII that is neither letter nor digit. */
const characters = [
  ...'aZ5éαЯשם٣½!"#$%&\'()*+,-./:;<=>?@[\\]^_`{|}~–—‐‑…“”‘’«»„¿¡§©°€£¢±−·•×№‰″؟→✓★☎⚠≥∞▸●⌘',
  ...'\u00a0\u2009\u2060\u200b',
];
const surroundings = [
  ['a', 'b'],
  ['5', '5'],
  ['a ', ' b'],
  ['ש', 'ש'],
] as const;

/** Where the first character that is seen stands behind an index. */
function seenFrom(text: string, index: number): number {
  let at = index;
  while (/[ \u200b\u2060]/.test(text[at] ?? '')) at++;
  return at;
}

/** Where lines end that have no room at all. */
function lineEnds(text: string): number[] {
  const ends: number[] = [];
  for (const end of breakOpportunities(text))
    if (!beginsWithHyphen(text, ends.at(-1) ?? 0, end)) ends.push(end);
  return ends;
}

/** Runs in the page: where texts break that have no room at all, as indexes of the first characters of lines that are seen. */
function brokenIn(texts: string[]): number[][] {
  const elements = texts.map((text) => {
    const element = document.createElement('p');
    element.textContent = text;
    return element;
  });
  document.body.replaceChildren(...elements);
  const range = document.createRange();
  return elements.map(({ firstChild }) => {
    const text = firstChild as Text;
    const found: number[] = [];
    let line: number | undefined;
    for (let index = 0; index < text.length; index++) {
      range.setStart(text, index);
      range.setEnd(text, index + 1);
      const box = [...range.getClientRects()].at(-1);
      if (!box || /[ \u200b\u2060]/.test(text.data[index]!)) continue;
      if (line !== undefined && box.top > line + 1) found.push(index);
      line = box.top;
    }
    return found;
  });
}

it.each(surroundings)('between `%s` and `%s`', async (before, after) => {
  const page = await (await sharedBrowser()).newPage();
  await page.setContent('<meta charset="utf-8"><style>p { width: 0; font: 16px sans-serif }</style>');
  const texts = characters.flatMap((first) => characters.map((second) => before + first + second + after));
  const broken = await page.evaluate(brokenIn, texts);
  const differing = texts.filter((text, index) => {
    const seen = [...new Set(lineEnds(text).map((end) => seenFrom(text, end)))].filter(
      (end) => end < text.length,
    );
    return seen.join() !== broken[index]!.join();
  });
  expect(differing).toEqual([]);
  expect(broken.filter((found) => found.length > 0).length).toBeGreaterThan(1000);
});
