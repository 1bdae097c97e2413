/** The services that the project asks: where they are, who asks, and the requests that go to each. */
import { dropping, freshName, putting, stateNameProblem } from '@hovrin/core';
import { FileInput, Plus } from 'lucide-react';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { OpenApiDialog } from './OpenApiDialog.tsx';
import { SourceCard } from './SourceCard.tsx';
import { officeSource } from './standInServices.ts';

export function ServicesSection() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [reading, setReading] = useState(false);
  const sources = project.sources ?? [];
  const isTaken = (name: string) =>
    sources.some((source) => source.name === name) || stateNameProblem(project, name) !== undefined;
  const add = () => {
    const name = freshName('service', isTaken);
    editor.dispatch({ label: `Add ${name}`, steps: [putting('sources', { ...officeSource, name })] });
  };
  return (
    <section aria-labelledby="services" className="flex flex-col gap-3">
      <div className="flex items-end justify-between gap-4">
        <div>
          <h2 id="services" className="text-[15px] font-semibold">
            Services
          </h2>
          <p className="text-quiet">
            Where the application asks for data, and sends it. A request is a value like any other: its state,
            result and error are read as <code className="font-mono">{'{bookings.result}'}</code>; an event
            asks by <code className="font-mono">ask(bookings)</code>.
          </p>
        </div>
        <div className="flex shrink-0 gap-2">
          <button type="button" className="btn" onClick={() => setReading(true)}>
            <FileInput size={15} aria-hidden /> From OpenAPI
          </button>
          <button type="button" className="btn" onClick={add}>
            <Plus size={15} aria-hidden /> Add a service
          </button>
        </div>
      </div>
      {reading && <OpenApiDialog onClose={() => setReading(false)} />}
      {sources.map((source) => (
        <SourceCard
          key={source.name}
          source={source}
          onRemove={() => {
            const asked = project.state.filter(({ request }) => request?.source === source.name).length;
            editor.dispatch({ label: `Delete ${source.name}`, steps: [dropping('sources', source)] });
            if (asked > 0)
              editor.tell(
                `${asked} ${asked === 1 ? 'request still names' : 'requests still name'} ${source.name}. Undo brings it back.`,
              );
          }}
        />
      ))}
    </section>
  );
}
