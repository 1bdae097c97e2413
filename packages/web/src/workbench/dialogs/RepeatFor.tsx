/** What is selected is repeated for each item of a list. */
import { followed, type ListChoice, listsAt, repeatFor, valueNameProblem } from '@hovrin/core';
import { useState } from 'react';
import { selected } from '../../editor/commands/command.ts';
import { newId } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Dialog } from '../../parts/Dialog.tsx';
import { FormEnd } from '../../parts/FormEnd.tsx';

export function RepeatFor() {
  const { editor } = useWorkplace();
  const { asking } = useEditorState('asking');
  if (asking !== 'repeat') return null;
  const close = () => editor.ask(undefined);
  return (
    <Dialog title="Repeat it for each item of a list" onClose={close} width={460}>
      <RepeatForm onClose={close} />
    </Dialog>
  );
}

function RepeatForm({ onClose }: { onClose: () => void }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const control = selected(editor)?.control;
  const lists = control ? listsAt(project, control) : [];
  const [each, setEach] = useState(lists[0]?.each ?? '');
  const [as, setAs] = useState<string>();
  const list = lists.find((one) => one.each === each);
  const choice: ListChoice | undefined = list && { ...list, as: as ?? list.as };
  const problem = !choice ? 'There is no list here; make one in Data.' : valueNameProblem(choice.as);
  const follows = control && choice ? followed(project, control, choice) : [];
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (problem || !choice || !control) return;
        const made = repeatFor(project, control, choice, newId);
        if (made)
          editor.dispatch({
            label: `Repeat it for each of ${choice.each}`,
            steps: made.steps,
            select: [control.id],
            exact: true,
          });
        onClose();
      }}
    >
      <label className="flex flex-col gap-1">
        List
        <select
          className="field"
          data-begin
          value={each}
          onChange={({ target }) => {
            setEach(target.value);
            setAs(undefined);
          }}
        >
          {lists.map((one) => (
            <option key={one.each}>{one.each}</option>
          ))}
        </select>
      </label>
      <label className="flex flex-col gap-1">
        What an item is called
        <input
          className="field font-mono text-[12px]"
          spellCheck={false}
          value={as ?? list?.as ?? ''}
          onChange={({ target }) => setAs(target.value.trim())}
        />
      </label>
      {follows.length > 0 && (
        <p className="text-quiet">
          It is given{' '}
          {follows.map(([name, text], index) => (
            <span key={name}>
              {index > 0 && ', '}
              {name} = <code className="font-mono text-[12px]">{text}</code>
            </span>
          ))}
          .
        </p>
      )}
      <FormEnd problem={problem} action="Repeat it" onClose={onClose} />
    </form>
  );
}
