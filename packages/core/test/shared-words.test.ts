/** Words that several places share: made of equal texts, translated once, renamed everywhere, missed where they are gone. */
import { describe, expect, it } from 'vitest';
import {
  applySteps,
  effectiveNames,
  inLocale,
  nameForShared,
  type Project,
  problemsOf,
  renamingShared,
  sharedNameProblem,
  sharedUses,
  sharing,
  stringRows,
  textsOf,
  translatedApart,
  walk,
} from '../src/index.ts';
import { projectFrom } from './documents.ts';

const project = projectFrom(
  {
    language: 'en',
    state: [{ name: 'told', type: 'text', initial: '' }],
    locales: [
      { tag: 'en' },
      {
        tag: 'de',
        strings: {
          'One.save.text': { text: 'Sichern', source: 'Save' },
          'One.other.text': { text: 'Anderes', source: 'Other' },
        },
      },
    ],
  },
  '<screen name="One"><button name="save" text="Save" /><button name="other" text="Other" /><select name="kind" label="Save" options="a: Save | b: Other" /></screen>',
  '<screen name="Two"><button name="keep" text="Save" on.press=\'message("Save")\' /><text name="both" text="Save {told}" /></screen>',
);

const applied = (given: Project, steps: ReturnType<typeof sharing>): Project => {
  const outcome = applySteps(given, steps);
  if (!outcome.ok) throw new Error(outcome.reason);
  return outcome.project;
};
const shared = applied(project, sharing(project, 'Save', 'save'));

/** Words of a project's controls, by name. */
const said = ({ screens }: Project) =>
  Object.fromEntries(
    screens.flatMap((screen) => {
      const names = effectiveNames(screen);
      return [...walk(screen)].map(({ id, props }) => [names.get(id), props.text ?? props.label]);
    }),
  );

describe('sharing', () => {
  it('puts what reads the entry in place of each text that says all of it', () => {
    expect(said(shared)).toMatchObject({
      save: '{words.save}',
      keep: '{words.save}',
      kind: '{words.save}',
      other: 'Other',
      both: 'Save {told}',
    });
    expect(shared.state.at(-1)).toEqual({ name: 'words', type: 'record', initial: { save: 'Save' } });
    expect(sharedUses(shared, 'save')).toBe(3);
    expect(problemsOf(shared).filter(({ severity }) => severity === 'error')).toEqual([]);
  });

  it('keeps the translation that one of them had, once', () => {
    expect(Object.keys(shared.locales![1]!.strings!).toSorted()).toEqual(['One.other.text', 'words.save']);
    expect(stringRows(shared, shared.locales![1]!).find(({ key }) => key === 'words.save')).toMatchObject({
      source: 'Save',
      state: 'done',
    });
    const german = inLocale(shared, 'de');
    expect(german.state.at(-1)!.initial).toEqual({ save: 'Sichern' });
    // The project in its own language is as it was.
    expect(shared.state.at(-1)!.initial).toEqual({ save: 'Save' });
  });

  it('joins the entries that are there, and is undone as a whole', () => {
    const more = applied(shared, sharing(shared, 'Other', 'other'));
    expect(more.state.at(-1)!.initial).toEqual({ save: 'Save', other: 'Other' });
    expect(textsOf(more).filter(({ control }) => !control)).toHaveLength(2);
    const outcome = applySteps(project, sharing(project, 'Save', 'save'));
    if (!outcome.ok) throw new Error(outcome.reason);
    expect(applied(outcome.project, outcome.inverse)).toEqual(project);
  });

  it('tells where the same words were translated differently', () => {
    expect(translatedApart(project, 'Save')).toEqual([]);
    const strings = { ...project.locales![1]!.strings, 'Two.keep.text': { text: 'Behalten' } };
    const apart = { ...project, locales: [{ tag: 'en' }, { tag: 'de', strings }] };
    expect(translatedApart(apart, 'Save')).toEqual([{ tag: 'de', texts: ['Sichern', 'Behalten'] }]);
  });

  it('is nothing for what is worked out, or stands nowhere', () => {
    expect(sharing(project, 'Save {told}', 'x')).toEqual([]);
    expect(sharing(project, 'Nowhere', 'x')).toEqual([]);
  });
});

describe('the name of shared words', () => {
  it.each([
    ['Save', 'save'],
    ['Check this party in, please', 'checkThisPartyIn'],
    ['2 guests', 'w2Guests'],
    ['今夜', 'words'],
  ])('of %j is %s to begin with', (text, name) => {
    expect(nameForShared(text)).toBe(name);
    expect(sharedNameProblem(project, name)).toBeUndefined();
  });

  it('is one that expressions can read, and no other entry has', () => {
    for (const name of ['', '1a', 'a b', 'constructor', '__proto__'])
      expect(sharedNameProblem(project, name), name).toMatch(/A name has letters/);
    expect(sharedNameProblem(shared, 'save')).toMatch(/already/);
    const taken = { ...project, state: [{ name: 'words', type: 'text', initial: '' } as const] };
    expect(sharedNameProblem(taken, 'save')).toMatch(/holds something else/);
  });

  it('is another one everywhere: in texts, events, what variables follow, and translations', () => {
    const reading = applied(shared, [
      {
        type: 'set',
        control: shared.screens[1]!.children[0]!.id,
        property: 'on.press',
        value: 'message(words.save + "words.save" + words?.save)',
      },
      {
        type: 'put',
        of: 'state',
        entity: { name: 'line', type: 'text', initial: '', computed: 'words.save + words.saved' },
      },
    ]);
    const renamed = applied(reading, renamingShared(reading, 'save', 'keep'));
    expect(said(renamed)).toMatchObject({ save: '{words.keep}', keep: '{words.keep}' });
    expect(renamed.screens[1]!.children[0]!.props['on.press']).toBe(
      'message(words.keep + "words.save" + words?.keep)',
    );
    expect(renamed.state.at(-1)!.computed).toBe('words.keep + words.saved');
    expect(Object.keys(renamed.locales![1]!.strings!)).toContain('words.keep');
    expect(sharedUses(renamed, 'save')).toBe(0);
    expect(sharedUses(renamed, 'keep')).toBe(6);
  });
});

it('what reads shared words that are not there is told, with what is meant', () => {
  const wrong = applied(shared, [
    { type: 'set', control: shared.screens[0]!.children[1]!.id, property: 'text', value: '{words.sav}' },
  ]);
  expect(problemsOf(wrong).filter(({ kind }) => kind === 'shared-words')).toMatchObject([
    { sentence: 'There are no shared words `words.sav`. Did you mean `save`?', severity: 'warning' },
  ]);
});
