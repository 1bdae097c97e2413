/**
 * Above the tree: the project's screens, its components, or the parts to add, one at a time. The tree below keeps room for
 * twenty lines; pressed once more, a list is put away and the tree has all of the column.
 */
import { type Control, kindOf, treeOfId } from '@hovrin/core';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { keyWords } from '../../editor/keys.ts';
import { Tray } from '../bench/Tray.tsx';
import { AddComponent, Components } from './Components.tsx';
import { AddScreens, Screens } from './Screens.tsx';

const lists = [
  ['screens', 'Screens'],
  ['components', 'Components'],
  ['parts', 'Parts'],
] as const;
type List = (typeof lists)[number][0];

const key = 'hovrin.list';

const isComponent = (tree: Control | undefined): boolean =>
  tree !== undefined && kindOf(tree).root === 'components';

/** The list that is shown, as it was left in this browser; none: the tree has all of the room. */
function useShownList(): [List | undefined, (list: List | undefined) => void] {
  const { project, screenId } = useEditorState('project', 'screenId');
  const opened: List = isComponent(treeOfId(project, screenId)) ? 'components' : 'screens';
  const [kept, keep] = useState(localStorage.getItem(key) ?? 'opened');
  const [chosen, setChosen] = useState<{ readonly list: List; readonly at: string }>();
  // What is opened is in sight, until another list is asked for.
  const asked = chosen?.at === screenId ? chosen.list : opened;
  const shown = kept === 'none' ? undefined : kept === 'parts' ? 'parts' : asked;
  return [
    shown,
    (list) => {
      const next = list === undefined ? 'none' : list === 'parts' ? 'parts' : 'opened';
      keep(next);
      localStorage.setItem(key, next);
      if (list && list !== 'parts') setChosen({ list, at: screenId });
    },
  ];
}

export function Trees() {
  const [shown, setShown] = useShownList();
  return (
    <Tabs.Root
      value={shown ?? ''}
      onValueChange={(list) => setShown(lists.find(([each]) => each === list)?.[0])}
      activationMode="manual"
      className={`flex shrink-0 flex-col border-b border-rule ${shown ? 'pb-1.5' : ''} ${shown === 'parts' ? 'max-h-[50%]' : 'max-h-[max(148px,calc(100%-600px))]'}`}
    >
      <div className="flex h-9 shrink-0 items-center justify-between pr-1 pl-3">
        <Tabs.List aria-label="Screens, components and parts" className="flex gap-2.5">
          {lists.map(([list, words]) => (
            <Tabs.Trigger
              key={list}
              value={list}
              title={list === shown ? 'Press to give the tree all of the room' : titles[list]}
              className={`border-b-2 pb-0.5 ${list === shown ? 'border-ink font-semibold' : 'border-transparent text-quiet hover:text-ink'}`}
              onMouseDown={(event) => {
                if (list !== shown || event.button !== 0) return;
                event.preventDefault();
                setShown(undefined);
              }}
              onKeyDown={(event) => {
                if (list !== shown || (event.key !== 'Enter' && event.key !== ' ')) return;
                event.preventDefault();
                setShown(undefined);
              }}
            >
              {words}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <div className="flex">
          {shown === 'screens' ? <AddScreens /> : shown === 'components' ? <AddComponent /> : null}
        </div>
      </div>
      {lists.map(([list]) => (
        <Tabs.Content key={list} value={list} tabIndex={-1} className="flex min-h-0 flex-col overflow-y-auto">
          {list === 'screens' ? <Screens /> : list === 'components' ? <Components /> : <Tray />}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}

const titles: Readonly<Record<List, string>> = {
  screens: 'The screens of the project',
  components: 'What is made once and stands in many places',
  parts: `Drag a part to the bench, or press ${keyWords('A')} to add one by its name`,
};
