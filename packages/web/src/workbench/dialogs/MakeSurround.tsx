/** What several screens have in common becomes their surround: one frame around what is their own. */
import {
  componentNameProblem,
  effectiveNames,
  entryOf,
  isDialog,
  makeSurround,
  surroundPlan,
} from '@hovrin/core';
import { useState } from 'react';
import { newId } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Dialog } from '../../parts/Dialog.tsx';
import { FormEnd } from '../../parts/FormEnd.tsx';

export function MakeSurround() {
  const { editor } = useWorkplace();
  const { asking } = useEditorState('asking');
  if (asking !== 'surround') return null;
  const close = () => editor.ask(undefined);
  return (
    <Dialog title="Make a surround" onClose={close} width={520}>
      <SurroundForm onClose={close} />
    </Dialog>
  );
}

function SurroundForm({ onClose }: { onClose: () => void }) {
  const { editor } = useWorkplace();
  const { project, screenId } = useEditorState('project', 'screenId');
  const [name, setName] = useState('Frame');
  const possible = project.screens.filter(
    (screen) => !isDialog(screen) && screen.props.surround === undefined,
  );
  const begins = possible.filter((screen) => {
    const current = possible.find(({ id }) => id === screenId);
    return screen === current || (current && typeof surroundPlan(project, [current, screen]) !== 'string');
  });
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(begins.map(({ id }) => id)));
  const screens = possible.filter(({ id }) => chosen.has(id));
  const plan = surroundPlan(project, screens);
  const problem =
    componentNameProblem(name) ??
    ((project.components ?? []).some((each) => each.name === name)
      ? `There is already a component \`${name}\`.`
      : undefined) ??
    (typeof plan === 'string' ? plan : undefined);
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (problem || typeof plan === 'string') return;
        const made = makeSurround(project, plan, name, newId);
        if (editor.dispatch({ label: `Make the surround ${name}`, steps: made.steps, exact: true }))
          editor.tell(`${name} stands around ${screens.length} screens now.`);
        onClose();
      }}
    >
      <label className="flex flex-col gap-1">
        Name
        <input
          className="field font-mono text-[12px]"
          spellCheck={false}
          value={name}
          onChange={({ target }) => setName(target.value.trim())}
        />
      </label>
      <fieldset className="flex max-h-56 flex-col gap-1 overflow-y-auto">
        <legend className="mb-1">Screens that it stands around</legend>
        {possible.map((screen) => (
          <label key={screen.id} className="flex items-center gap-2">
            <input
              type="checkbox"
              className="accent-spruce"
              checked={chosen.has(screen.id)}
              onChange={() => {
                const next = new Set(chosen);
                if (!next.delete(screen.id)) next.add(screen.id);
                setChosen(next);
              }}
            />
            {screen.name}
          </label>
        ))}
      </fieldset>
      {typeof plan !== 'string' && (
        <p className="text-quiet">
          In common:{' '}
          {plan.common
            .map(({ controls: [control] }) => entryOf(effectiveNames(plan.screens[0]!), control!.id))
            .join(', ')}
          . It moves into the surround.
        </p>
      )}
      <FormEnd problem={problem} action="Make it" onClose={onClose} />
    </form>
  );
}
