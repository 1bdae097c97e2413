/** Words that several places share: what they are called, and how many texts read them. */
import { renamingShared, sharedNameProblem, sharedUses } from '@hovrin/core';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { TypedField } from '../parts/TypedField.tsx';

export function SharedEntry({ name }: { readonly name: string }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const uses = sharedUses(project, name);
  return (
    <div className="flex flex-col gap-1.5">
      <span className="font-medium">Name of the shared entry</span>
      <TypedField
        label="Name of the shared entry"
        kept={name}
        problemOf={(typed) => (typed === name ? undefined : sharedNameProblem(project, typed))}
        onText={(to) =>
          editor.dispatch({
            label: `Call the shared entry ${name} ${to}`,
            steps: renamingShared(project, name, to),
            exact: true,
          })
        }
      />
      <p className="text-quiet">
        {uses === 0
          ? `Nothing reads {words.${name}} yet.`
          : `${uses === 1 ? 'One text reads' : `${uses} texts read`} {words.${name}}.`}
      </p>
    </div>
  );
}
