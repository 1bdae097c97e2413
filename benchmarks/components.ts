/** What components cost: a screen of many instances against the same controls said one by one, and one instance that changes. */
import { type Control, expandedOn, type Project, ScreenView, walk } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { compare, type Measured, median, time } from './measure.ts';
import { maker, projectOf } from './trees.ts';

const count = 1000;
const parts = 18;

/** A component of twenty controls, with a value of each instance in three of them. */
function component(): Control {
  const make = maker();
  const root = make('column', { gap: '2', padding: '4' }, [
    make(
      'row',
      { gap: '4' },
      Array.from({ length: parts }, (_, at) =>
        make('text', { text: at < 3 ? `{label} {number + ${at}}` : `Bunk ${at}` }),
      ),
    ),
  ]);
  const line = (name: string, type: string): Control => ({
    ...make('parameter', { name, type }),
    id: `parameter-${name}`,
  });
  return {
    ...make('component', {}, [line('label', 'text'), line('number', 'number'), root]),
    id: 'component',
    name: 'Line',
  };
}

function manyInstances(): Project {
  const make = maker();
  const instances = Array.from({ length: count }, (_, at) => ({
    ...make('Line', { label: `Row ${at}`, number: String(at) }),
    id: `i${at}`,
  }));
  return { ...projectOf(make('screen', { gap: '4' }, instances)), components: [component()] };
}

/** The same controls without components: new objects, as if they had been read from a file. */
function bySelf(project: Project): Project {
  const { screen } = expandedOn(project, project.screens[0] as Control);
  return projectOf(JSON.parse(JSON.stringify(screen)) as Control);
}

/** A project as if it had just been read: nothing of it is known yet. */
const fresh = (project: Project): Project => JSON.parse(JSON.stringify(project)) as Project;

const view = { width: 1280, height: 800 };
const layOut = (shaper: Shaper, project: Project) =>
  new ScreenView(shaper).layOut(project, project.screens[0] as Control, view);

function opened(shaper: Shaper): Measured {
  const many = manyInstances();
  const plain = bySelf(many);
  const controls = [...walk(plain.screens[0] as Control)].length - 1;
  return {
    name: `${count} instances of a component, ${controls} controls, laid out from nothing`,
    against: 'the same controls said one by one',
    ratio: compare(
      () => layOut(shaper, fresh(many)),
      () => layOut(shaper, fresh(plain)),
    ),
    // At most 1.5 times as slow.
    aim: 0.67,
  };
}

/** One of them gets another value. */
function changed(shaper: Shaper): Measured {
  let project = manyInstances();
  const kept = new ScreenView(shaper);
  let turn = 0;
  const change = () => {
    const [screen] = project.screens as [Control];
    const at = ++turn % count;
    const one = screen.children[at] as Control;
    const children = screen.children.with(at, { ...one, props: { ...one.props, number: String(turn) } });
    project = { ...project, screens: [{ ...screen, children }] };
    kept.layOut(project, project.screens[0] as Control, view);
  };
  change();
  const times = Array.from({ length: 21 }, () => time(change));
  const first = median(Array.from({ length: 3 }, () => time(() => layOut(shaper, fresh(project)))));
  return {
    name: `layout after one of ${count} instances changed`,
    against: 'layout from nothing',
    ratio: Number((first / median(times)).toFixed(1)),
    aim: null,
  };
}

export const components = (shaper: Shaper): Measured[] => [opened(shaper), changed(shaper)];
