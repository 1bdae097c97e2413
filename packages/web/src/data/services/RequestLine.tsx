/** One request in short: what is asked, what comes, and by whom it is asked. */
import { type DataSource, dropping, followedBy, shapeAt, shapeWords, usesOfState } from '@hovrin/core';
import { Pencil, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { RequestDialog } from './RequestDialog.tsx';
import type { RequestVariable } from './SourceCard.tsx';

export function RequestLine({
  source,
  variable,
}: {
  readonly source: DataSource;
  readonly variable: RequestVariable;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [isOpen, setOpen] = useState(false);
  const { name, request } = variable;
  const { method, path, shape, at, every } = request;
  const result = shapeAt(shape, at);
  const users =
    usesOfState(project, name).length +
    project.state.filter((each) => each !== variable && followedBy(each).includes(name)).length;
  return (
    <li className="flex items-center gap-3 px-3 py-1.5">
      <button
        type="button"
        className="flex min-w-0 flex-1 items-baseline gap-3 text-left"
        onClick={() => setOpen(true)}
      >
        <span className="w-40 shrink-0 truncate font-mono text-[12.5px] font-medium">{name}</span>
        <span className="w-14 shrink-0 font-mono text-[12px] text-quiet">{method}</span>
        <span className="min-w-0 flex-1 truncate">
          <span className="font-mono text-[12px]">{path || '/'}</span>
          {result && <span className="text-quiet"> gives {shapeWords(result)}</span>}
        </span>
      </button>
      <span className="shrink-0 text-[12px] text-quiet">
        {every === undefined
          ? users === 0
            ? 'nobody asks it yet'
            : 'asked by events'
          : every === 0
            ? 'asked at the start'
            : `asked every ${every} s`}
      </span>
      <button
        type="button"
        className="btn-bare text-quiet"
        aria-label={`Edit ${name}`}
        onClick={() => setOpen(true)}
      >
        <Pencil size={14} />
      </button>
      <button
        type="button"
        className="btn-bare text-quiet hover:text-brick"
        aria-label={`Delete ${name}`}
        onClick={() => {
          editor.dispatch({ label: `Delete ${name}`, steps: [dropping('state', variable)] });
          if (users > 0)
            editor.tell(
              `${users} ${users === 1 ? 'place still names' : 'places still name'} ${name}. Undo brings it back.`,
            );
        }}
      >
        <Trash2 size={14} />
      </button>
      {isOpen && <RequestDialog source={source} variable={variable} onClose={() => setOpen(false)} />}
    </li>
  );
}
