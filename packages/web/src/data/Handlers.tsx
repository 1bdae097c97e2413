/** The handlers that the project calls, with their parameters and the events that call them. */
import { effectiveNames, type Handler, handlersOf, handlersText } from '@hovrin/core';
import { Copy } from 'lucide-react';
import { useMemo } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { useGoTo } from '../parts/useGoTo.ts';

export function Handlers() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const handlers = useMemo(() => handlersOf(project), [project]);
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(handlersText(handlers));
      editor.tell('Copied as an interface of TypeScript.');
    } catch {
      editor.tell('The browser does not allow copying.');
    }
  };
  return (
    <section aria-label="Handlers" className="mt-4 flex flex-col gap-2">
      <div className="flex items-end justify-between gap-4">
        <div>
          <h2 className="text-[15px] font-semibold">Handlers</h2>
          <p className="text-quiet">
            The application’s own code, called by events as{' '}
            <code className="font-mono text-[12px]">handlers.name(values)</code>; what one gives is kept by{' '}
            <code className="font-mono text-[12px]">price = handlers.name(values)</code>. It stands in{' '}
            <code className="font-mono text-[12px]">code/handlers.ts</code>, written in Code; what is not
            there, in <code className="font-mono text-[12px]">handlers.js</code> beside the page, which
            shipping again leaves as it is.
          </p>
        </div>
        {handlers.length > 0 && (
          <button type="button" className="btn" onClick={() => void copy()}>
            <Copy size={14} aria-hidden /> Copy as TypeScript
          </button>
        )}
      </div>
      {handlers.length === 0 ? (
        <p className="rounded-md border border-dashed border-rule p-4 text-center text-quiet">
          No event calls a handler yet.
        </p>
      ) : (
        <ul className="overflow-hidden rounded-md border border-rule bg-sheet">
          {handlers.map((handler) => (
            <HandlerLine key={handler.name} handler={handler} />
          ))}
        </ul>
      )}
    </section>
  );
}

function HandlerLine({ handler: { name, parameters, gives, uses } }: { handler: Handler }) {
  const { editor } = useWorkplace();
  const goTo = useGoTo();
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-rule px-3 py-2 last:border-0">
      <code className="font-mono text-[12.5px]">
        {name}({parameters.map((parameter) => `${parameter.name}: ${parameter.type}`).join(', ')})
        {gives !== 'void' && `: ${gives}`}
      </code>
      <span className="ml-auto flex flex-wrap gap-x-2">
        <span className="text-quiet">called by</span>
        {uses.map(({ screen, control, event }) => (
          <button
            key={`${control.id} ${event}`}
            type="button"
            className="font-mono text-[12px] text-lake underline decoration-dotted underline-offset-2"
            onClick={() => {
              editor.select([control.id]);
              goTo('');
            }}
          >
            {screen.name}.{effectiveNames(screen).get(control.id)}, {event}
          </button>
        ))}
      </span>
    </li>
  );
}
