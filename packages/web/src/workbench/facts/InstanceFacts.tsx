/** What can be done with an instance as a whole, and where its component is. */
import {
  type Control,
  definitionsOf,
  effectiveNames,
  entryOf,
  inForce,
  locationOf,
  swapInstance,
  usesOfComponent,
} from '@hovrin/core';
import { commandNamed, openComponent, runCommand } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';

/** Words with a full stop behind them, where they have no end of their own. */
const asSentence = (words: string): string => (/[.!?…]$/.test(words.trim()) ? words : `${words.trim()}.`);

export function InstanceFacts({ control }: { control: Control }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const definition = definitionsOf(project).get(control.kind);
  const others = [...definitionsOf(project).values()].filter(
    ({ name, isSurround }) => name !== control.kind && !isSurround,
  );
  if (!definition)
    return (
      <p role="alert" className="px-3 pb-2 text-brick">
        There is no component {control.kind}: nothing is shown in its place.
      </p>
    );
  const uses = usesOfComponent(project, control.kind).length;
  const swap = (name: string) => {
    const done = swapInstance(project, control.id, name);
    if (typeof done === 'string') {
      editor.tell(done);
      return;
    }
    const own = entryOf(effectiveNames(locationOf(project, control.id).screen), control.id);
    editor.dispatch({ label: `Make ${own} a ${name}`, steps: done.steps, select: [control.id] });
    if (done.lost.length > 0) editor.tell(`A ${name} has no ${done.lost.join(', ')}; undo brings it back.`);
  };
  return (
    <div className="flex flex-col gap-1.5 px-3 pb-2.5">
      <p className="text-[12px] text-quiet">
        {asSentence(inForce(definition.control.props.title) ?? 'A component of this project')}{' '}
        {uses === 1 ? 'This is its only instance.' : `It stands in ${uses} places.`}
      </p>
      <div className="flex flex-wrap gap-1">
        <button
          type="button"
          className="btn !h-7"
          title={`Edit ${control.kind} here: it changes wherever it stands`}
          onClick={() => openComponent(editor, control.id)}
        >
          Open {control.kind}
        </button>
        <button
          type="button"
          className="btn !h-7"
          title={`Edit ${control.kind} by itself, with samples`}
          onClick={() => openComponent(editor, control.id, 'alone')}
        >
          Alone
        </button>
        <button
          type="button"
          className="btn !h-7"
          title="It becomes its controls, which then go their own ways"
          onClick={() => runCommand(editor, commandNamed('detach'))}
        >
          Detach
        </button>
        <button
          type="button"
          className="btn !h-7"
          title="All is as the component says"
          disabled={!commandNamed('reset-instance').run(editor)}
          onClick={() => runCommand(editor, commandNamed('reset-instance'))}
        >
          Reset
        </button>
        {definition.slots.size > 0 && (
          <button
            type="button"
            className="btn !h-7"
            onClick={() => editor.openPicker({ parent: control.id, index: control.children.length })}
          >
            Put into it
          </button>
        )}
      </div>
      {others.length > 0 && (
        <label className="flex items-center gap-1.5">
          <span className="w-[86px] shrink-0 text-quiet">Component</span>
          <select className="field" value={control.kind} onChange={({ target }) => swap(target.value)}>
            {[control.kind, ...others.map(({ name }) => name)].map((name) => (
              <option key={name}>{name}</option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}
