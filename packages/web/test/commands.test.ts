import type { Project } from '@hovrin/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { projectOf } from '../../core/test/documents.ts';
import { canRun, commandNamed, commands, runCommand } from '../src/editor/commands/index.ts';
import { Editor } from '../src/editor/editor.ts';
import { keyWords, matches } from '../src/editor/keys.ts';
import { installBrowser } from './fakeBrowser.ts';

let editor: Editor;
const idOf = (name: string, from = editor.state.project.screens): string => {
  for (const control of from) {
    const found = control.name === name ? control.id : idOf(name, [...control.children]);
    if (found) return found;
  }
  return '';
};
const outline = (project: Project) => {
  const words = (control: Project['screens'][number]): string =>
    `${control.name}${control.children.length > 0 ? `(${control.children.map(words).join(' ')})` : ''}`;
  return project.screens.map(words).join(' ');
};

beforeEach(() => {
  installBrowser();
  vi.stubGlobal('fetch', () => new Promise(() => undefined));
  const project = projectOf(
    '<screen name="A"><row name="line"><text name="a" /><text name="b" /></row><column name="box" /></screen>',
  );
  editor = new Editor('p', { project, revision: 0, nextSequence: 0 }, 'window-one');
});

/** Selects a control, runs commands, gives the outline and what is selected. */
function after(select: string, ...ids: string[]): [string, string] {
  editor.select([idOf(select)]);
  for (const id of ids) runCommand(editor, commandNamed(id));
  const [selected] = editor.state.selection;
  const names = (from: Project['screens']): string | undefined =>
    from.map((control) => (control.id === selected ? control.name : names(control.children))).find(Boolean);
  return [outline(editor.state.project), names(editor.state.project.screens) ?? ''];
}

describe('a command', () => {
  it.each<[string, string[], string, string]>([
    ['a', ['move-on'], 'A(line(b a) box)', 'a'],
    ['b', ['move-back'], 'A(line(b a) box)', 'b'],
    ['a', ['move-out'], 'A(line(b) a box)', 'a'],
    ['box', ['move-in'], 'A(line(a b box))', 'box'],
    ['a', ['duplicate'], 'A(line(a a1 b) box)', 'a1'],
    ['line', ['duplicate'], 'A(line(a b) line1(a1 b1) box)', 'line1'],
    ['a', ['delete'], 'A(line(b) box)', 'b'],
    ['b', ['delete'], 'A(line(a) box)', 'a'],
    ['a', ['copy', 'paste'], 'A(line(a a1 b) box)', 'a1'],
    ['a', ['cut', 'select-parent', 'select-next', 'paste'], 'A(line(b) box(a))', 'a'],
    ['a', ['delete', 'undo', 'redo', 'undo'], 'A(line(a b) box)', 'a'],
    ['line', ['select-child', 'select-next'], 'A(line(a b) box)', 'b'],
    ['a', ['select-parent', 'select-parent'], 'A(line(a b) box)', 'A'],
  ])('%s: %j', (select, ids, expected, selected) => {
    expect(after(select, ...ids)).toEqual([expected, selected]);
  });

  it('asked without dispatch tells whether it can be done, and does nothing', () => {
    editor.select([idOf('a')]);
    const before = editor.state;
    const possible = commands.filter((command) => canRun(editor, command)).map(({ id }) => id);
    expect(possible).toEqual(
      expect.arrayContaining(['add', 'delete', 'move-on', 'move-out', 'select-parent']),
    );
    expect(possible).not.toEqual(expect.arrayContaining(['move-back']));
    for (const id of ['undo', 'redo', 'paste', 'move-in']) expect(possible).not.toContain(id);
    expect(editor.state).toBe(before);
  });

  it('that is undone selects all that it changed, or leaves a selection that holds some of it', () => {
    const ids = ['a', 'b', 'box'].map((name) => idOf(name));
    editor.select(ids);
    runCommand(editor, commandNamed('delete'));
    expect(editor.state.selection).not.toEqual(ids);
    runCommand(editor, commandNamed('undo'));
    expect(editor.state.selection).toEqual(ids);
    const text = { type: 'set', control: ids[0]!, property: 'text', value: 'first' } as const;
    editor.dispatch({ label: 'One of three', steps: [text] });
    runCommand(editor, commandNamed('undo'));
    expect(editor.state.selection).toEqual(ids);
    editor.select([ids[2]!]);
    runCommand(editor, commandNamed('redo'));
    expect(editor.state.selection).toEqual([ids[0]]);
  });

  it('that makes a name known puts into force what was typed with it before, in one undo', () => {
    const control = idOf('a');
    const draft = { draft: '{delayed ? "late" : "in time"}', good: 'first' };
    editor.dispatch({ label: 'Type', steps: [{ type: 'set', control, property: 'text', value: draft }] });
    const late = { name: 'delayed', type: 'boolean', initial: true } as const;
    const text = () => editor.state.project.screens[0]!.children[0]!.children[0]!.props.text;
    editor.dispatch({
      label: 'Know',
      steps: [{ type: 'put', of: 'state', entity: { ...late, name: 'other' } }],
    });
    expect(text()).toEqual(draft);
    editor.dispatch({ label: 'Know', steps: [{ type: 'put', of: 'state', entity: late }] });
    expect(text()).toBe(draft.draft);
    runCommand(editor, commandNamed('undo'));
    expect(text()).toEqual(draft);
  });

  it('has a label, and keys that no other has', () => {
    const keys = commands.flatMap((command) => command.keys);
    // Escape goes out step by step: to the container around, and from the whole component to its instance.
    expect(keys.filter((each, index) => keys.indexOf(each) !== index)).toEqual(['Escape']);
    const ids = commands.filter((command) => command.keys.includes('Escape')).map(({ id }) => id);
    expect(ids).toEqual(['select-parent', 'leave-component']);
    for (const command of commands) expect(command.label).toMatch(/^[A-Z][a-z]+/);
  });
});

describe('keys', () => {
  const press = (key: string, held: Partial<KeyboardEvent> = {}) =>
    ({ key, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...held }) as KeyboardEvent;
  it('match what is pressed, with all that is held', () => {
    expect(matches(press('z', { ctrlKey: true }), 'Mod+Z')).toBe(true);
    expect(matches(press('Z', { ctrlKey: true, shiftKey: true }), 'Mod+Z')).toBe(false);
    expect(matches(press('Z', { ctrlKey: true, shiftKey: true }), 'Mod+Shift+Z')).toBe(true);
    expect(matches(press('ArrowUp', { altKey: true }), 'Alt+ArrowUp')).toBe(true);
    expect(matches(press('a', { ctrlKey: true }), 'A')).toBe(false);
    expect(matches(press('?', { shiftKey: true }), '?')).toBe(true);
    for (const plus of [press('+'), press('+', { shiftKey: true }), press('=')])
      expect(matches(plus, '+')).toBe(true);
    expect(matches(press('-'), '-')).toBe(true);
    expect(matches(press('ArrowUp', { shiftKey: true }), 'ArrowUp')).toBe(false);
    expect(matches(press('0', { shiftKey: true }), '0')).toBe(false);
  });
  it('are written for people', () => {
    expect(keyWords('Mod+Shift+ArrowUp')).toBe('Ctrl+Shift+↑');
    expect(keyWords('+')).toBe('+');
  });
});
