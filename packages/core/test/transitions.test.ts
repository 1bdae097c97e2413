/** Transitions between screens: what ways say, what a page knows, its stylesheet. */
import { describe, expect, it } from 'vitest';
import { programOf } from '../src/export/program.ts';
import { hasTransitions, transitionRules } from '../src/export/transition-rules.ts';
import { checkStatements } from '../src/expression/check.ts';
import { contextOf, parseStatements, problemsOf, projectProblem, transitions } from '../src/index.ts';
import { projectFrom } from './documents.ts';

const read = (text: string) => {
  const statements = parseStatements(text);
  return statements.ok ? statements.value[0] : statements.problem.message;
};

describe('a way', () => {
  it('says how the screen comes', () => {
    expect(
      read("go('A', {}, { transition: 'slide-up', seconds: 0.5, ease: 'cubic-bezier(.3, 0, .2, 1)' })"),
    ).toMatchObject({
      name: 'go',
      transition: { name: 'slide-up', seconds: 0.5, ease: 'cubic-bezier(.3, 0, .2, 1)' },
    });
    expect(read("go('A', {}, { replace: true, transition: 'fade' })")).toMatchObject({
      replaces: true,
      transition: { name: 'fade' },
    });
    expect(read("go('A', {}, {})")).not.toHaveProperty('transition');
  });

  it.each([
    ["go('A', {}, { transition: 'slide-left' })", 'no transition `slide-left`'],
    ["go('A', {}, { transition: 'fade', seconds: 9 })", 'Behind the values'],
    ["go('A', {}, { transition: 'fade', ease: 'url(x)' })", 'Behind the values'],
    ["go('A', {}, { seconds: 1 })", 'belong to a `transition`'],
    ["go('A', {}, { transition: name })", 'Behind the values'],
    ["open('A', {}, { transition: 'fade' })", 'takes'],
  ])('%s: %s', (text, message) => {
    const checked = checkStatements(text, contextOf(projectFrom({}, '<screen name="A" />')));
    expect(checked.ok ? '' : checked.problem.message).toContain(message);
  });
});

describe('a page', () => {
  const project = projectFrom(
    { transition: 'fade' },
    '<screen name="A"><text text="7" shared="photo" /></screen>',
    '<screen name="B" comes="grow" comes-seconds="0.4" />',
    '<screen name="C" comes="none" />',
    '<screen name="D" dialog="true" comes="grow" />',
  );

  it('knows how each of its screens comes', () => {
    expect(programOf(project).screens.map(({ transition }) => transition)).toEqual([
      { name: 'fade' },
      { name: 'grow', seconds: 0.4 },
      { name: 'none' },
      undefined,
    ]);
  });

  it('has rules for them only where there are some', () => {
    expect(hasTransitions(project)).toBe(true);
    expect(hasTransitions(projectFrom({}, '<screen name="A" />'))).toBe(false);
    expect(hasTransitions(projectFrom({ transition: 'none' }, '<screen name="A" comes="none" />'))).toBe(
      false,
    );
    expect(hasTransitions(projectFrom({}, '<screen name="A"><text shared="x" text="y" /></screen>'))).toBe(
      true,
    );
    for (const name of transitions)
      if (name !== 'none' && name !== 'fade') expect(transitionRules).toContain(`data-transition="${name}"`);
  });

  it('is refused with a transition that there is not', () => {
    expect(projectProblem({ ...project, transition: 'spin' })).toContain('no transition');
    expect(projectProblem({ ...project, transition: 'cover' })).toBeUndefined();
  });
});

it('what several controls of a screen share is told', () => {
  const told = problemsOf(
    projectFrom(
      {},
      `<screen name="A"><text shared="a" text="1" /><text shared="a" text="2" /><text shared="b" text="3" />
        <repeat each="{[1]}" as="row"><text shared="c" text="4" /><text shared="{'d' + row}" text="5" /></repeat></screen>`,
      '<screen name="B"><text shared="a" text="1" /></screen>',
    ),
  ).filter(({ kind }) => kind === 'shared-twice');
  expect(told.map(({ sentence }) => sentence)).toEqual([
    expect.stringContaining('`a` is shared by another'),
    expect.stringContaining('Each item would be `c`'),
  ]);
});

it('a dialog that says how it comes, or asks on leaving, is told that it cannot', () => {
  const told = problemsOf(
    projectFrom({}, '<screen name="A" />', '<screen name="D" dialog="true" comes="grow" leaving="Sure?" />'),
  ).filter(({ kind }) => kind === 'address');
  expect(told.map(({ place }) => place.in === 'control' && place.attribute)).toEqual(['leaving', 'comes']);
});
