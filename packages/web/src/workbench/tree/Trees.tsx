/** What can be opened on the bench: the project's screens, or its components. */
import { type Control, kindOf, treeOfId } from '@hovrin/core';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { AddComponent, Components } from './Components.tsx';
import { AddScreens, Screens } from './Screens.tsx';

const lists = [
  ['screens', 'Screens'],
  ['components', 'Components'],
] as const;

const isComponent = (tree: Control | undefined): boolean =>
  tree !== undefined && kindOf(tree).root === 'components';

export function Trees() {
  const { project, screenId } = useEditorState('project', 'screenId');
  const opened = isComponent(treeOfId(project, screenId)) ? 'components' : 'screens';
  const [chosen, setChosen] = useState<{ readonly list: string; readonly at: string }>();
  // What is opened is in sight, until another list is asked for.
  const shown = chosen?.at === screenId ? chosen.list : opened;
  return (
    <Tabs.Root
      value={shown}
      onValueChange={(list) => setChosen({ list, at: screenId })}
      className="flex max-h-[42%] shrink-0 flex-col border-b border-rule pb-2"
    >
      <div className="flex h-9 shrink-0 items-center justify-between pr-1.5 pl-3">
        <Tabs.List aria-label="Screens and components" className="flex gap-3">
          {lists.map(([list, words]) => (
            <Tabs.Trigger
              key={list}
              value={list}
              className={`border-b-2 pb-0.5 ${list === shown ? 'border-ink font-semibold' : 'border-transparent text-quiet hover:text-ink'}`}
            >
              {words}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <div className="flex">{shown === 'screens' ? <AddScreens /> : <AddComponent />}</div>
      </div>
      {lists.map(([list]) => (
        <Tabs.Content key={list} value={list} tabIndex={-1} className="min-h-0 overflow-y-auto">
          {list === 'screens' ? <Screens /> : <Components />}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}
