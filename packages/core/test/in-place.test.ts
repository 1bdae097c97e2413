/** A component that is edited where one of its instances stands: its own controls have the boxes that they have there. */
import { expect, it } from 'vitest';
import { effectiveNames, layoutInPlace, type Project, readFolder, ScreenView } from '../src/index.ts';
import { testShaper } from './documents.ts';

function read(files: Record<string, string>): Project {
  let ids = 0;
  const all = new Map([
    ['project.json', JSON.stringify({ format: 2, name: 'Trial', state: [] })],
    ...Object.entries(files),
  ]);
  const found = readFolder(all, () => `c${++ids}`);
  if (!found.ok) throw new Error(found.problems.map(({ message }) => message).join(' '));
  return found.project;
}

const files = {
  'components/Card.component.xml':
    '<component name="Card"><column name="card" padding="8"><text name="head" text="Card" /><slot /><Mark name="mark" /></column></component>',
  'components/Mark.component.xml':
    '<component name="Mark"><row name="line"><text name="sign" text="+" /></row></component>',
  'components/Hut.component.xml':
    '<component name="Hut" surround="true"><column name="frame"><text name="title" text="Hut" /><slot /><text name="end" text="End" /></column></component>',
  'screens/A.screen.xml':
    '<screen name="A" surround="Hut"><Card name="one" /><Card name="two" width="200"><text name="put" text="soup" /></Card><text name="after" text="bread" /></screen>',
};

async function placed(at: string, component: string) {
  const project = read(files);
  const [screen] = project.screens;
  const tree = project.components!.find(({ name }) => name === component)!;
  const ids = new Map(
    [...effectiveNames(screen!), ...project.components!.flatMap((each) => [...effectiveNames(each)])].map(
      ([id, name]) => [name, id],
    ),
  );
  const path = at
    .split('/')
    .map((name) => ids.get(name)!)
    .join('/');
  const whole = new ScreenView(await testShaper()).layOut(project, screen!, { width: 390, height: 600 });
  const layout = layoutInPlace(whole, tree.id, path);
  const nameOf = new Map([...effectiveNames(tree)]);
  return { whole, layout, tree, ids, path, nameOf };
}

it('the component’s controls are found where they are in the instance', async () => {
  const { whole, layout, ids } = await placed('two', 'Card');
  for (const part of ['card', 'head'])
    expect(layout.byControl.get(ids.get(part)!)).toMatchObject(
      (({ x, y, width, height }) => ({ x, y, width, height }))(
        whole.byControl.get(`${ids.get('two')}/${ids.get(part)}`)!,
      ),
    );
  // The root is as wide as the instance says.
  expect(layout.byControl.get(ids.get('card')!)?.width).toBe(200);
  expect(layout.byControl.get(ids.get('Card')!)).toMatchObject({ x: 0, y: 0, width: 390 });
  expect(layout.boxes.length).toBe(whole.boxes.length);
});

it('another instance in it is found by its id, and opened in its turn', async () => {
  const one = await placed('two', 'Card');
  expect(one.layout.byControl.get(one.ids.get('mark')!)).toBeDefined();
  const { layout, ids, whole } = await placed('two/mark', 'Mark');
  expect(layout.byControl.get(ids.get('sign')!)?.y).toBe(
    whole.byControl.get(`${ids.get('two')}/${ids.get('mark')}/${ids.get('sign')}`)!.y,
  );
  expect([...layout.byControl.keys()].toSorted()).toEqual(
    ['Mark', 'line', 'sign'].map((name) => ids.get(name)!).toSorted(),
  );
});

it('what is around it, in its slot or in front of it is told from it', async () => {
  const { layout, whole, ids } = await placed('two', 'Card');
  const at = (index: number) => whole.boxes[index]!.control;
  expect(layout.borders.map(({ index, isOwn }) => [at(index), isOwn])).toEqual([
    [`${ids.get('two')}/${ids.get('card')}`, true],
    [ids.get('put'), false],
    [ids.get('after'), false],
    [`${ids.get('A')}/${ids.get('end')}`, false],
  ]);
});

it('a surround is what it has on the screen, without what stands in it', async () => {
  const { layout, ids } = await placed('A', 'Hut');
  expect(layout.byControl.has(ids.get('title')!)).toBe(true);
  expect(layout.byControl.has(ids.get('after')!)).toBe(false);
  expect(layout.borders.map(({ isOwn }) => isOwn)).toEqual([true, false, false, false, true]);
});
