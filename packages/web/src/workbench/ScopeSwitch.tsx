/** What values are set for: all widths, a band from there up, an orientation. Always in sight above the bench. */
import { ChevronDown } from 'lucide-react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { keyWords } from '../editor/keys.ts';
import { Menu } from '../parts/Menu.tsx';
import type { ScreenSize } from '../sizes.ts';
import { useBenchView } from './bench/benchView.ts';
import { bandAt, scopeWords, sizeFor } from './scope.ts';

export function ScopeSwitch({ size }: { size: ScreenSize }) {
  const { editor } = useWorkplace();
  const { project, scope } = useEditorState('project', 'scope');
  const { resize } = useBenchView();
  const choose = (next: string) => {
    editor.editFor(next);
    const wanted = sizeFor(project, next, size);
    if (wanted) resize(wanted);
  };
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
        { label: 'All widths', checked: scope === '', onSelect: () => choose('') },
        ...project.bands
          .filter(({ from }) => from > 0)
          .map(({ name, label, from }) => ({
            label: `${label} and up`,
            keys: `${from} px${bandAt(project, size.width)?.name === name ? ', here' : ''}`,
            checked: scope === name,
            onSelect: () => choose(name),
          })),
        { label: 'Upright', checked: scope === 'portrait', onSelect: () => choose('portrait') },
        { label: 'Across', checked: scope === 'landscape', onSelect: () => choose('landscape') },
        { label: 'Bands …', onSelect: () => editor.ask('bands') },
        { label: 'All changes of the screen …', onSelect: () => editor.ask('changes') },
      ]}
    />
  );
}
