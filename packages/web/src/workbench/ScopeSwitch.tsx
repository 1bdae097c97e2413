/** What values are set for: all widths, a band from there up, an orientation, a state. Always in sight above the bench. */
import { locate, scopeOf, scopeParts } from '@hovrin/core';
import { ChevronDown } from 'lucide-react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { keyWords } from '../editor/keys.ts';
import { Menu } from '../parts/Menu.tsx';
import type { ScreenSize } from '../sizes.ts';
import { useBenchView } from './bench/benchView.ts';
import { bandAt, scopeWords, sizeFor, statesFor, stateWord } from './scope.ts';

export function ScopeSwitch({ size }: { size: ScreenSize }) {
  const { editor } = useWorkplace();
  const { project, scope, selection } = useEditorState('project', 'scope', 'selection');
  const parts = scopeParts(project, scope);
  const controls = selection.flatMap((id) => locate(project, id)?.control ?? []);
  const { resize, seeing, see } = useBenchView();
  const choose = (next: string) => {
    editor.editFor(next);
    const wanted = sizeFor(project, next, size);
    if (wanted) resize(wanted);
  };
  const widths = (width: string) => choose(scopeOf({ ...parts, width }));
  const states = (state: string) => choose(scopeOf({ ...parts, state }));
  return (
    <Menu
      label="Edit for"
      button={
        <button
          type="button"
          className={`flex h-7 shrink-0 items-center gap-1 rounded-md border px-2 whitespace-nowrap ${scope === '' ? 'border-rule bg-sheet' : 'border-copper bg-copper text-white'}`}
          title={`What values are set for (${keyWords('B')}: all, or the band of this width)`}
          data-scope={scope}
        >
          {scopeWords(project, scope)} <ChevronDown size={13} aria-hidden />
        </button>
      }
      entries={[
        { label: 'All widths', checked: parts.width === '', onSelect: () => widths('') },
        ...project.bands
          .filter(({ from }) => from > 0)
          .map(({ name, label, from }) => ({
            label: `${label} and up`,
            keys: `${from} px${bandAt(project, size.width)?.name === name ? ', here' : ''}`,
            checked: parts.width === name,
            onSelect: () => widths(name),
          })),
        { label: 'Upright', checked: parts.width === 'portrait', onSelect: () => widths('portrait') },
        { label: 'Across', checked: parts.width === 'landscape', onSelect: () => widths('landscape') },
        { label: 'Whatever state', checked: parts.state === '', onSelect: () => states('') },
        ...statesFor(project, controls).map((state) => ({
          label: `While ${stateWord(state)}`,
          checked: parts.state === state,
          onSelect: () => states(state),
        })),
        {
          label: 'All states beside each other',
          checked: seeing.states,
          onSelect: () => see({ states: !seeing.states }),
        },
        { label: 'Bands …', onSelect: () => editor.ask('bands') },
        { label: 'All changes of the screen …', onSelect: () => editor.ask('changes') },
      ]}
    />
  );
}
