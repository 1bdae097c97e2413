/** Problems of a project, whatever its size: each kind is found where it is, and its fixes mend it. */
import { describe, expect, it } from 'vitest';
import {
  applySteps,
  ignoreStep,
  type Problem,
  type Project,
  problemKinds,
  problemsOf,
  type StateVariable,
} from '../src/index.ts';
import { projectWith } from './documents.ts';

const found = (project: Project) =>
  problemsOf(project).map(({ kind, severity, place }) => {
    const where =
      place.in === 'control'
        ? `${place.tree.name}.${place.control.name ?? place.control.kind}${place.attribute ? `.${place.attribute}` : ''}`
        : place.in === 'state'
          ? place.variable
          : 'theme';
    return `${severity} ${kind} ${where}`;
  });
const of = (state: readonly StateVariable[], ...screens: readonly string[]) =>
  found(projectWith(state, ...screens));
const text = (name: string): StateVariable => ({ name, type: 'text', initial: '' });

/** All problems of a project whose first fix is done, until none has one. */
function mended(project: Project): readonly string[] {
  let now = project;
  for (let round = 0; round < 10; round++) {
    const fix = problemsOf(now).flatMap(({ fixes }: Problem) => fixes)[0];
    if (!fix) break;
    const applied = applySteps(now, fix.steps);
    if (!applied.ok) throw new Error(applied.reason);
    now = applied.project;
  }
  return found(now);
}

describe('a project', () => {
  it('without problems has none', () => {
    expect(of([text('a')], '<screen name="A"><text name="t" text="{a}" /></screen>')).toEqual([]);
  });

  it('says what is not valid: gravest what stops it, then what holds', () => {
    const project = projectWith(
      [{ name: 'stays', type: 'list', initial: [], columns: [{ name: 'guest', type: 'text' }] }],
      '<screen name="A"><text name="t" text="{stays[0].who}" /><text name="u" text="x" /></screen>',
    );
    const [screen] = project.screens;
    const broken: Project = {
      ...project,
      screens: [
        {
          ...screen!,
          children: screen!.children.map((child) =>
            child.name === 'u'
              ? {
                  ...child,
                  props: { text: '{gone}', size: { draft: 'large', good: '20' }, gap: { draft: 'x' } },
                }
              : child,
          ),
        },
      ],
    };
    expect(found(broken)).toEqual([
      'error invalid A.u.text',
      'error invalid A.u.gap',
      'warning invalid A.t.text',
      'warning invalid A.u.size',
    ]);
  });

  it('says which variables cannot hold, and which nobody needs', () => {
    const project = projectWith(
      [
        { ...text('follows'), computed: 'gone + 1' },
        { ...text('idle'), screen: 'Elsewhere' },
        {
          name: 'stays',
          type: 'list',
          initial: [],
          columns: [
            { name: 'room', type: 'number', refers: { list: 'rooms', column: 'id' } },
            { name: 'hut', type: 'number', refers: { list: 'huts', column: 'id' } },
          ],
        },
        { name: 'rooms', type: 'list', initial: [], columns: [{ name: 'door', type: 'text' }] },
        {
          name: 'mast',
          type: 'record',
          initial: {},
          feed: { address: 'stand-ins/mast', as: 'events', every: 1, status: 'nowhere' },
        },
      ],
      '<screen name="A"><text text="{follows}{stays.length}{mast.wind}" /></screen>',
    );
    expect(found(project)).toEqual([
      'error variable follows',
      'error variable idle',
      'error variable stays',
      'error variable stays',
      'error variable mast',
      'advice stand-in mast',
      'advice unused-variable idle',
    ]);
    expect(mended(project)).not.toContain('advice unused-variable idle');
  });

  it('says which screens nobody reaches, and which nobody leaves', () => {
    const a = '<screen name="A"><link name="l" text="B" to="B" /></screen>';
    const b = '<screen name="B"><text text="here" /></screen>';
    const c = '<screen name="C"><button text="Back" on.press="back()" /></screen>';
    expect(of([], a, b, c)).toEqual(['warning unreached C.C', 'advice no-way-out B.B']);
    expect(
      of([], a, b.replace('<text text="here" />', '<button text="C" on.press="go(\'C\')" />'), c),
    ).toEqual([]);
    // Where it leads is only known as it runs.
    expect(
      of([text('where')], a.replace('</screen>', '<button text="x" on.press="go(where)" /></screen>'), b, c),
    ).toEqual(['advice no-way-out B.B']);
    expect(of([], '<screen name="A"><text text="a" /></screen>')).toEqual([]);
  });

  it('says what people who listen are not told', () => {
    const source = `<screen name="A">
      <textField name="guestName" /><textField name="b" label="B" /><textField name="c" hidden="true" />
      <iconButton name="add" icon="plus" on.press="a = 'x'" />
      <row name="card" on.press="a = 'x'"><icon icon="bed" /></row>
      <row name="fine" on.press="a = 'x'"><text text="Ilka" /></row>
      <text text="{a}" />
    </screen>`;
    expect(of([text('a')], source)).toEqual([
      'warning no-label A.guestName.label',
      'warning no-name A.add.text',
      'warning no-name A.card',
    ]);
    expect(mended(projectWith([text('a')], source))).toEqual(['warning no-name A.card']);
  });

  it('says which forms cannot be sent, and which buttons send none', () => {
    const source = `<screen name="A">
      <form name="f" on.submit="a = 'x'"><textField label="B" value.bind="a" /></form>
      <form name="g" on.submit="a = 'x'"><button text="Send" submits="true" /></form>
      <button name="h" text="Send" submits="true" />
    </screen>`;
    expect(of([text('a')], source)).toEqual([
      'warning sends-nothing A.f',
      'warning sends-nothing A.h.submits',
    ]);
    expect(mended(projectWith([text('a')], source))).toEqual(['warning sends-nothing A.f']);
  });

  it('lets stand what somebody ignores with a reason', () => {
    const project = projectWith([], '<screen name="A"><textField name="a" /></screen>');
    const [control] = project.screens[0]!.children;
    const applied = applySteps(project, [ignoreStep(control!, 'no-label', 'The picture says it')]);
    expect(applied.ok && found(applied.project)).toEqual([]);
  });

  it('has a title and a name of its own for each kind', () => {
    const names = problemKinds.map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
    expect(problemKinds.every(({ title }) => title !== '')).toBe(true);
  });
});
