/** The name of a control, renamed with all that speaks of it. */
import {
  type Control,
  controlNameProblem,
  declaredNameProblem,
  inForce,
  kindOf,
  locationOf,
  nameControl,
  renameDeclared,
  renameTree,
  treeNameProblem,
} from '@hovrin/core';
import { useEffect, useId, useRef, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';

export function NameField({ control, name }: { control: Control; name: string }) {
  const { editor } = useWorkplace();
  const { project, typing } = useEditorState('project', 'typing');
  const field = useRef<HTMLInputElement>(null);
  const [typed, setTyped] = useState<string>();
  const found = locationOf(project, control.id);
  const isScreen = found.parent === undefined;
  const { declares } = kindOf(control);
  const own = declares ? inForce(control.props.name) : control.name;
  const problem =
    typed === undefined || typed === own
      ? undefined
      : declares
        ? declaredNameProblem(found.screen, control, typed)
        : isScreen
          ? treeNameProblem(project, control.id, typed)
          : controlNameProblem(found.screen, control, typed);
  useEffect(() => {
    if (typing?.control !== control.id || typing.what !== 'name') return;
    field.current?.focus();
    field.current?.select();
    editor.setTyping(undefined);
  }, [typing, control.id, editor]);
  const commit = () => {
    if (typed !== undefined && typed !== own && !problem)
      editor.dispatch({
        label: `Rename ${own ?? name} to ${typed}`,
        steps: declares
          ? renameDeclared(project, control, typed)
          : isScreen
            ? renameTree(project, control.id, typed)
            : nameControl(found.screen, control, typed, project.tasks, project.locales),
      });
    if (!problem) setTyped(undefined);
  };
  const id = useId();
  return (
    <div className="px-3 pt-1.5 pb-2.5">
      <div className="flex items-center gap-1.5">
        <label htmlFor={id} className="w-[86px] shrink-0 text-quiet">
          Name
        </label>
        <input
          id={id}
          ref={field}
          className="field font-mono font-medium"
          aria-invalid={problem !== undefined}
          aria-describedby={problem ? `${id}-problem` : undefined}
          spellCheck={false}
          value={typed ?? (declares ? (own ?? '') : name)}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={commit}
          onKeyDown={(event) => {
            // Leaving the field commits.
            if (event.key === 'Enter' && !problem) event.currentTarget.blur();
            if (event.key === 'Escape') {
              setTyped(undefined);
              // The field is left only after the old name is back.
              setTimeout(() => field.current?.blur());
            }
          }}
        />
        <span className="w-5" />
      </div>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="mt-1 ml-[92px] text-[12px] text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}
