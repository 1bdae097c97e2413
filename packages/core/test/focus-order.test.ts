/** The focus order: as the tree has it, as turns say, and where it jumps back; the page's elements have the turns. */
import fc from 'fast-check';
import { beforeAll, expect, it } from 'vitest';
import { elementTree } from '../src/export/element-tree.ts';
import { htmlOf } from '../src/export/html.ts';
import {
  applySteps,
  effectiveNames,
  focusJumps,
  focusOrder,
  focusOrderSteps,
  hasFocusTurns,
  type Project,
  ScreenView,
} from '../src/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { shippedTheme } from '../src/values/theme.ts';
import { named, projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const form = () =>
  projectOf(`<screen name="s">
    <text text="Check-in" />
    <row><textField name="guest" width="share" /><numberField name="party" width="share" /></row>
    <fieldset name="meals"><checkbox name="supper" label="Supper" /></fieldset>
    <repeat name="list" each="{[1, 2]}"><row><button name="comes" text="In" /><button name="leaves" text="Out" /></row></repeat>
    <button name="save" text="Save" />
  </screen>`);
const screenOf = (project: Project) => project.screens[0]!;
const order = (project: Project) => {
  const names = effectiveNames(screenOf(project));
  return focusOrder(screenOf(project)).map(({ control }) => names.get(control.id));
};
const put = (project: Project, names: readonly string[]): Project => {
  const ids = names.map((name) => named(project, name).id);
  const applied = applySteps(project, focusOrderSteps(screenOf(project), ids));
  if (!applied.ok) throw new Error(applied.reason);
  return applied.project;
};

it('follows the tree, with a repeat as one stop', () => {
  expect(order(form())).toEqual(['guest', 'party', 'supper', 'list', 'save']);
});

it('is what it is put into, and the tree’s again without turns', () => {
  const changed = put(form(), ['save', 'list']);
  expect(order(changed)).toEqual(['save', 'list', 'guest', 'party', 'supper']);
  expect(named(changed, 'leaves').props.tabindex).toBe('2');
  const back = put(changed, ['guest', 'party', 'supper', 'list', 'save']);
  expect(hasFocusTurns(screenOf(back))).toBe(false);
});

it('is any order that is asked for', () => {
  const all = ['guest', 'party', 'supper', 'list', 'save'];
  fc.assert(
    fc.property(
      fc.shuffledSubarray(all, { minLength: 5 }),
      fc.shuffledSubarray(all, { minLength: 5 }),
      (one, other) => {
        expect(order(put(put(form(), one), other))).toEqual(other);
      },
    ),
  );
});

it('stands on the page’s elements that take the focus', () => {
  const changed = put(form(), ['save', 'list']);
  const html = htmlOf(
    elementTree(screenOf(changed), {
      circumstances: { bands: [], width: 0, height: 0, scope: () => undefined, theme: shippedTheme },
      assets: [],
      styleOf: () => '',
    }),
    '',
  );
  expect(html).toMatch(/data-name="save" type="button" tabindex="1"/);
  expect(html).toMatch(/id="\w+-guest-input"[^>]*tabindex="3"/);
  expect(html).toMatch(/data-name="comes\[1\]" type="button" tabindex="2"/);
  expect(html).not.toMatch(/<label[^>]*tabindex/);
});

it('says where it jumps back against the reading order', () => {
  const jumps = (project: Project, rightToLeft = false) => {
    const screen = screenOf(project);
    const layout = new ScreenView(shaper).layOut(project, screen, { width: 400, height: 800, rightToLeft });
    const found = focusJumps(focusOrder(screen), layout, rightToLeft);
    const names = effectiveNames(screen);
    return [...found].map((id) => names.get(id));
  };
  expect(jumps(form())).toEqual([]);
  expect(jumps(put(form(), ['party', 'guest']))).toEqual(['guest']);
  expect(jumps(put(form(), ['guest', 'party', 'save', 'supper']))).toEqual(['supper']);
  expect(jumps(form(), true)).toEqual([]);
  expect(jumps(put(form(), ['party', 'guest']), true)).toEqual(['guest']);
  // From the end of a column to the head of the next one is no jump.
  const columns = projectOf(`<screen name="s"><row>
    <column><textField name="a" /><textField name="b" /></column>
    <column><textField name="c" /></column>
  </row></screen>`);
  expect(jumps(columns)).toEqual([]);
});
