/** Pictures in cells, and those as large as their content: the core and the page's rules agree about when they fill what. */
import { beforeAll, describe, expect, it } from 'vitest';
import { html } from '../src/export/page.ts';
import { type Project, ScreenView } from '../src/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { named, noCode, noPieces, projectWith, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const state = [
  { name: 'wide', type: 'number' as const, initial: 90 },
  { name: 'word', type: 'text' as const, initial: 'stretch' },
];
const projectOf = (inside: string) => projectWith(state, `<screen name="s">${inside}</screen>`);
/** Width and height of `a`, 400 px wide; a picture of its own size is 160 by 120. */
function sizeOf(project: Project): readonly number[] {
  const layout = new ScreenView(shaper).layOut(project, project.screens[0]!, { width: 400, height: 800 });
  const box = layout.boxes.find(({ control }) => control === named(project, 'a').id)!;
  return [box.width, box.height];
}
const rulesOf = (project: Project): string => {
  const { files } = html.files(project, {
    fonts: { files: [], standIns: [] },
    script: '',
    pieces: noPieces,
    compileCode: noCode,
  });
  const css = files.get('style.css')!;
  return [...css.matchAll(/\.screen-s \.a \{([^}]*)\}/g)]
    .map(([, rule]) => rule!.replace(/\s+/g, ' ').trim())
    .join(' | ');
};

describe('a picture in a cell', () => {
  it.each([
    ['', '', [400, 300], 'width: 100%;'],
    ['', 'width="share"', [400, 300], 'justify-self: stretch; width: 100%;'],
    ['', 'margin="8 0"', [400, 300], 'margin: 8px 0; width: 100%;'],
    ['', 'margin="0 8"', [384, 288], 'margin: 0 8px;'],
    ['', 'justify-self="start"', [160, 120], 'justify-self: start;'],
    ['justify="start"', '', [160, 120], ''],
    ['justify="start"', 'justify-self="stretch"', [400, 300], 'justify-self: stretch; width: 100%;'],
    ['', 'width="120"', [120, 90], 'width: 120px;'],
    ['columns="1fr 1fr"', '', [200, 150], 'width: 100%;'],
    ['', 'lap.justify-self="end"', [400, 300], 'width: 100%; | width: revert-layer; justify-self: end;'],
    // An expression has a say: the page has no rule for what may change.
    ['', 'justify-self="{word}"', [400, 300], ''],
    ['justify="{word}"', '', [400, 300], ''],
  ])('in a grid with %j and %j', (grid, attributes, size, rules) => {
    const project = projectOf(`<grid ${grid}><image name="a" ${attributes} /></grid>`);
    expect(sizeOf(project)).toEqual(size);
    expect(rulesOf(project)).toBe(rules);
  });
});

describe('a picture as large as its content', () => {
  it.each([
    ['<row height="200">', 'height="fit"', [160, 120], 'align-self: start;'],
    ['<row height="200" align="center">', 'height="fit"', [160, 120], ''],
    ['<column>', 'width="fit"', [160, 120], 'align-self: start;'],
    ['<column align="end">', 'width="fit"', [160, 120], ''],
    ['<column>', 'width="fit" align-self="center"', [160, 120], 'align-self: center;'],
    ['<grid>', 'width="120" height="fit"', [120, 90], 'width: 120px; align-self: start;'],
    ['<grid align="end">', 'width="120" height="fit"', [120, 90], 'width: 120px;'],
    ['<grid>', 'width="fit" height="fit"', [160, 120], 'align-self: start; justify-self: start;'],
    ['<column>', 'width="fit" align-self="{word}"', [160, 120], 'width: fit-content;'],
  ])('in %s with %j', (container, attributes, size, rules) => {
    const kind = /^<(\w+)/.exec(container)![1];
    const project = projectOf(`${container}<image name="a" ${attributes} /></${kind}>`);
    expect(sizeOf(project)).toEqual(size);
    expect(rulesOf(project)).toBe(rules);
  });
});
