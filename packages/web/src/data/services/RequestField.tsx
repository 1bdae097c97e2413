/** A variable that is a request: what is asked, and what it holds on the bench. */
import { type DataSource, sampleResult } from '@hovrin/core';
import { useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { RequestDialog } from './RequestDialog.tsx';
import type { RequestVariable } from './SourceCard.tsx';

export function RequestField({ variable }: { readonly variable: RequestVariable }) {
  const { project } = useEditorState('project');
  const [isOpen, setOpen] = useState(false);
  const { name, request } = variable;
  const source: DataSource | undefined = project.sources?.find((each) => each.name === request.source);
  const result = sampleResult(variable);
  return (
    <div className="flex flex-col gap-1 border-l-2 border-lake pl-2 text-[12px]">
      <p>
        <span className="text-quiet">asks {request.source}: </span>
        <span className="font-mono">
          {request.method} {request.path || '/'}
        </span>
      </p>
      <p className="text-quiet">
        on the bench{' '}
        {Array.isArray(result)
          ? `a sample of ${result.length}`
          : result === undefined
            ? 'nothing yet: ask it once, and keep what comes'
            : 'a sample'}
      </p>
      {source ? (
        <button
          type="button"
          className="btn !h-6 self-start text-[12px]"
          aria-label={`Edit request ${name}`}
          onClick={() => setOpen(true)}
        >
          Edit request
        </button>
      ) : (
        <p className="text-brick">There is no service {request.source}.</p>
      )}
      {isOpen && source && (
        <RequestDialog source={source} variable={variable} onClose={() => setOpen(false)} />
      )}
    </div>
  );
}
