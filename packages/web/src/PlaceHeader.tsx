/** The line on top of a place: its title, what is saved, undo and redo. */
import { itemAt } from '@hovrin/core';
import { Redo2, Undo2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { canRun, commandNamed, runCommand } from './editor/commands/index.ts';
import { useEditorState, useWorkplace } from './editor/context.tsx';
import { keyWords } from './editor/keys.ts';
import { SavingSign } from './saving/SavingSign.tsx';

const icons = { undo: Undo2, redo: Redo2 } as const;

export function HistoryButtons() {
  const { editor } = useWorkplace();
  const { history } = useEditorState('history');
  return (
    <>
      {(['undo', 'redo'] as const).map((id) => {
        const command = commandNamed(id);
        const Icon = icons[id];
        const next = history[id].at(-1)?.label;
        const title = `${command.label}${next ? `: ${next}` : ''} (${keyWords(itemAt(command.keys, 0))})`;
        return (
          <button
            key={id}
            type="button"
            className="btn-bare"
            aria-label={command.label}
            title={title}
            disabled={!canRun(editor, command)}
            onClick={() => runCommand(editor, command)}
          >
            <Icon size={16} />
          </button>
        );
      })}
    </>
  );
}

export function PlaceHeader({ title, children }: { title: string; children?: ReactNode }) {
  const { project } = useEditorState('project');
  return (
    <header className="flex h-11 shrink-0 items-center gap-3 border-b border-rule bg-sheet px-4">
      <h1 className="truncate font-semibold">
        <span className="font-normal text-quiet">{project.name} ▸ </span>
        {title}
      </h1>
      <span className="flex-1" />
      {children}
      <SavingSign />
      <HistoryButtons />
    </header>
  );
}
