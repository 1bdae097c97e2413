/** Instances of components on a page: own variables, events, slots, bound parameters; in repeats one set for each item. */
import { type Project, readFolder } from '@hovrin/core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { axeFaults } from '../browser/axe.ts';
import { type ExportedPage, openPage } from '../browser/exported-page.ts';
import { fillNumber } from '../browser/hands.ts';

const files = {
  'project.json': JSON.stringify({
    format: 2,
    name: 'Hut',
    start: 'Tonight',
    state: [
      { name: 'bunks', type: 'list', initial: [{ n: 4 }, { n: 5 }, { n: 6 }] },
      { name: 'firstTaken', type: 'boolean', initial: false },
      { name: 'chosen', type: 'number', initial: 0 },
      { name: 'who', type: 'text', initial: 'Ansa' },
    ],
  }),
  'components/Bunk.component.xml': `<component name="Bunk">
  <parameter name="number" type="number" initial="1" />
  <parameter name="taken" type="boolean" two-way="true" />
  <variable name="open" type="boolean" />
  <variable name="count" type="number" initial="1" />
  <event name="pick" gives="picked" />
  <column name="cell" states="full: {taken}" padding="8" full.padding="16">
    <heading name="words" level="2" text="Bunk {number}{taken ? ', taken' : ''}" />
    <row gap="8">
      <button name="more" text="{open ? 'Less' : 'More'}" on.press="toggle(open); count += 1" />
      <button name="take" text="Take" on.press="taken = !taken; emit('pick', number * 10)" />
      <button name="anew" text="Anew" on.press="reset(count)" />
    </row>
    <column name="details" hidden="{!open}">
      <text name="times" text="{count} times" />
      <slot><text name="nothing" text="nothing more" /></slot>
    </column>
  </column>
</component>`,
  'components/Hut.component.xml': `<component name="Hut" surround="true">
  <parameter name="title" />
  <column>
    <bar edge="top"><heading name="head" level="1" text="{title}" /></bar>
    <slot />
  </column>
</component>`,
  'components/Asks.component.xml': `<component name="Asks">
  <parameter name="value" type="text" two-way="true" />
  <row name="in1"><textField name="field" label="Who" value.bind="value" /><text name="said" text="Hello {value}" /></row>
</component>`,
  'components/Line.component.xml': `<component name="Line">
  <parameter name="label" />
  <variable name="done" type="boolean" />
  <variable name="many" type="number" initial="2" />
  <row name="line" gap="8">
    <checkbox name="tick" label="{label}" checked.bind="done" />
    <numberField name="count" label="How many" value.bind="many" />
    <text name="told" text="{done ? many * 2 : 'open'}" />
  </row>
</component>`,
  'screens/Tonight.screen.xml': `<screen name="Tonight" surround="Hut" surround.title="Tonight: {chosen}" padding="8">
  <Bunk name="first" number="7" taken.bind="firstTaken" on.pick="chosen = picked" />
  <Bunk name="second"><text name="mine" text="by the window" /></Bunk>
  <repeat name="all" each="{bunks}" as="bunk">
    <Bunk name="each" number="{bunk.n}" on.pick="chosen = picked + bunk.n" />
  </repeat>
  <repeat name="todo" each="{bunks}" as="bunk"><Line name="line" label="Line {bunk.n}" /></repeat>
  <Asks name="one" value.bind="who" />
  <Asks name="two" value="Berit" />
</screen>`,
};

let opened: ExportedPage;
beforeAll(async () => {
  let ids = 0;
  const read = readFolder(new Map(Object.entries(files)), () => `c${++ids}`);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const project: Project = read.project;
  opened = await openPage(project);
});
afterAll(() => opened.close());

const named = (name: string) => opened.named(name);
const text = (name: string) => named(name).innerText();

it('each instance keeps its own variables, and tells its events', async () => {
  expect(await text('first.words')).toBe('Bunk 7');
  expect(await named('first.details').isVisible()).toBe(false);
  await named('first.more').click();
  expect(await text('first.times')).toBe('2 times');
  expect(await text('first.nothing')).toBe('nothing more');
  expect(await named('second.details').isVisible()).toBe(false);
  await named('first.take').click();
  expect(await text('first.words')).toBe('Bunk 7, taken');
  expect(await text('head')).toBe('Tonight: 70');
  await named('first.anew').click();
  expect(await text('first.times')).toBe('1 times');
});

it('a two-way parameter that is not bound is kept by the instance; what is put in stands in the slot', async () => {
  await named('second.take').click();
  expect(await text('second.words')).toBe('Bunk 1, taken');
  await named('second.more').click();
  expect(await text('mine')).toBe('by the window');
  expect(await named('second.nothing').count()).toBe(0);
});

it('in a repeat each item has its own, under names with the item’s number', async () => {
  expect(await text('each[1].words')).toBe('Bunk 5');
  await named('each[1].more').click();
  await named('each[1].more').click();
  await named('each[1].more').click();
  expect(await text('each[1].times')).toBe('4 times');
  expect(await text('each[1].more')).toBe('Less');
  expect(await text('each[0].more')).toBe('More');
  await named('each[1].anew').click();
  expect(await text('each[1].times')).toBe('1 times');
  await named('each[2].take').click();
  expect(await text('each[2].words')).toBe('Bunk 6, taken');
  expect(await text('head')).toBe('Tonight: 66');
});

it('fields are bound to what the instance gives, or to the instance’s own', async () => {
  await named('one.field').locator('input').fill('Cilla');
  expect(await text('one.said')).toBe('Hello Cilla');
  await named('two.field').locator('input').fill('Dorte');
  expect(await text('two.said')).toBe('Hello Dorte');
  expect(await text('one.said')).toBe('Hello Cilla');
});

it('in a repeat fields keep what is entered for their own item', async () => {
  await named('line[1].tick').locator('input').check();
  expect(await text('line[1].told')).toBe('4');
  expect(await text('line[0].told')).toBe('open');
  await fillNumber(named('line[1].count').locator('input'), '7');
  expect(await text('line[1].told')).toBe('14');
  await named('line[2].tick').locator('input').check();
  expect(await text('line[2].told')).toBe('4');
  expect(await named('line[0].count').locator('input').inputValue()).toBe('2');
  expect(await named('line[0].tick').locator('input').isChecked()).toBe(false);
});

it('has ids that differ and no fault that axe finds', async () => {
  const ids = await opened.page.evaluate(() => [...document.querySelectorAll('[id]')].map(({ id }) => id));
  expect(new Set(ids).size).toBe(ids.length);
  expect(opened.problems).toEqual([]);
  expect(await axeFaults(opened.page)).toEqual([]);
});
