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

/** The same among wide characters: Japanese with its marks, and what stands between them. */
const amongWide = [
  ...'漢字あァゃっー、。，．・：；？！゛゜々〻ヽゝ「」（）【】〈〉〜〝〟％￥＄￡℃…‥―—–‐“”‘’«»(){}[]aZ5% $¥£°-!?:;,./',
];

/** Sentences in scripts without spaces, as a dictionary cuts them. */
const sentences = [
  'ยินดีต้อนรับสู่กระท่อมเวลมอรา',
  'คืนนี้มีแขก29คน',
  'กรุณาปิดประตูก่อนสี่ทุ่ม',
  'ลมแรงบนสันเขา ทางปิด',
  'ห้องนอนรวม ๆ ฯลฯ และอื่นๆ',
  'อาหารเย็นเวลา19:00น.',
  'เตียงว่าง(ห้าเตียง)',
  'ヴェルモラ小屋へようこそ',
  '今夜は29人のお客様です。「静かに」お願いします',
  'ちょっと、待って！ページをめくる（二回）',
  'カード・キーは１０時まで？',
  'A棟からB棟まで…そして日本語 English 混在',
];

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
  const texts = characters.flatMap((first) => characters.map((second) => before + first + second + after));
  expect(await differingIn(texts)).toEqual([]);
});

it('among wide characters', async () => {
  const texts = amongWide.flatMap((first) => amongWide.map((second) => `漢${first}${second}漢`));
  expect(await differingIn(texts)).toEqual([]);
});

it('in scripts without spaces', async () => {
  expect(await differingIn(sentences)).toEqual([]);
});

/** Texts whose lines end elsewhere in Chromium. */
async function differingIn(texts: string[]): Promise<string[]> {
  const page = await (await sharedBrowser()).newPage();
  await page.setContent('<meta charset="utf-8"><style>p { width: 0; font: 16px sans-serif }</style>');
  const broken = await page.evaluate(brokenIn, texts);
  await page.close();
  expect(broken.filter((found) => found.length > 0).length).toBeGreaterThan(Math.min(1000, texts.length / 2));
  return texts.filter((text, index) => {
    const seen = new Set(lineEnds(text).map((end) => seenFrom(text, end)));
    return [...seen].filter((end) => end < text.length).join() !== broken[index]!.join();
  });
}
