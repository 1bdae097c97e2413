/** Translations follow what they are of: moves, copies, and controls that are put in front of others. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  applySteps,
  copyFor,
  type Project,
  type Step,
  stringRows,
  textsOf,
  translationsCarried,
  walk,
} from '../src/index.ts';
import { projectFrom } from './documents.ts';

const texts = ['Quiet', 'Soup', 'Rope', 'Stove'];
const base = projectFrom(
  { language: 'en', locales: [{ tag: 'en' }] },
  `<screen name="One"><column name="list">${texts.map((text) => `<text text="${text}" />`).join('')}<button name="save" text="Save" /></column></screen>`,
  '<screen name="Two"><button name="other" text="Other" /></screen>',
);
const project: Project = {
  ...base,
  locales: [
    { tag: 'en' },
    {
      tag: 'de',
      strings: Object.fromEntries(
        textsOf(base).map(({ key, text }) => [key, { text: `${text} (de)`, source: text, note: key }]),
      ),
    },
  ],
};
const [one, two] = project.screens;
const [list] = one!.children;

/** A project after steps, and what they need besides. */
function after(given: Project, steps: readonly Step[]): Project {
  const outcome = applySteps(given, [...steps, ...translationsCarried(given, steps)]);
  if (!outcome.ok) throw new Error(outcome.reason);
  return outcome.project;
}

/** Each text with its German one and the state of that. */
const told = (of: Project) =>
  stringRows(of, of.locales![1]!).map(({ source, translation, state }) => [source, translation?.text, state]);
const right = (of: Project) => textsOf(of).map(({ text }) => [text, `${text} (de)`, 'done']);

describe('a translation', () => {
  it('goes to another screen with its control', () => {
    const moved = after(project, [
      { type: 'move', control: list!.id, parent: two!.id, index: 0 },
    ] as unknown as Step[]);
    expect(textsOf(moved).map(({ key }) => key)).toContain('Two.save.text');
    expect(told(moved)).toEqual(right(moved));
  });

  it('stays with controls without a name as another one is put in front of them, or one goes', () => {
    const put = after(project, [
      {
        type: 'insert',
        parent: list!.id,
        index: 0,
        control: { id: 'new', kind: 'text', props: { text: 'Bell' }, children: [] },
      },
    ] as unknown as Step[]);
    expect(told(put).filter(([source]) => source !== 'Bell')).toEqual(
      right(put).filter(([source]) => source !== 'Bell'),
    );
    expect(told(put).find(([source]) => source === 'Bell')).toEqual(['Bell', undefined, 'missing']);
    const gone = after(project, [{ type: 'remove', control: list!.children[1]!.id } as unknown as Step]);
    expect(told(gone).filter(([source]) => source !== undefined)).toEqual(right(gone));
  });

  it('is there for a copy, too', () => {
    let ids = 0;
    const copy = copyFor(two, list!, () => `c${ids++}`);
    const copied = after(project, [
      { type: 'insert', parent: two!.id, index: 0, control: copy } as unknown as Step,
    ]);
    expect(told(copied)).toEqual(right(copied));
  });

  it('follows whatever is moved about, and all of it is undone at once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ what: fc.nat(8), to: fc.nat(2), index: fc.nat(5) }), { maxLength: 6 }),
        (moves) => {
          let now = project;
          for (const { what, to, index } of moves) {
            const all = now.screens.flatMap((screen) => [...walk(screen)].slice(1));
            const control = all[what % all.length]!;
            const parents = [...now.screens, ...all.filter(({ kind }) => kind === 'column')];
            const parent = parents[to % parents.length]!;
            const step = { type: 'move', control: control.id, parent: parent.id, index } as unknown as Step;
            const steps = [step, ...translationsCarried(now, [step])];
            const outcome = applySteps(now, steps);
            if (!outcome.ok) continue;
            expect(told(outcome.project)).toEqual(right(outcome.project));
            const back = applySteps(outcome.project, outcome.inverse);
            expect(back.ok && back.project).toEqual(now);
            now = outcome.project;
          }
        },
      ),
    );
  });

  it('costs nothing where only values change, or the project has one language', () => {
    const set: Step = { type: 'set', control: list!.children[0]!.id, property: 'text', value: 'Loud' };
    expect(translationsCarried(project, [set])).toEqual([]);
    const move = { type: 'move', control: list!.id, parent: two!.id, index: 0 } as unknown as Step;
    expect(translationsCarried(base, [move])).toEqual([]);
  });
});
