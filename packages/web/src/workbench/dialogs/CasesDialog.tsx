/** The cases that a component is looked at in, as a table: a line for each, a column for each parameter. */
import {
  type Control,
  contextOf,
  declaredNameProblem,
  definitionOf,
  freeName,
  kindIn,
  kindOf,
  type Parameter,
  readAttributeText,
  type SampleCase,
} from '@hovrin/core';
import { Plus, Trash2 } from 'lucide-react';
import { newId } from '../../editor/commands/index.ts';
import { currentScreen, useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { Editor } from '../../editor/editor.ts';
import { Dialog } from '../../parts/Dialog.tsx';
import { TypedField } from '../../parts/TypedField.tsx';

/** Adds a case, behind the last one. @returns its name. */
export function addCase(editor: Editor, component: Control): string {
  const { cases } = definitionOf(component);
  const name = freeName('usual', (each) => cases.has(each));
  const line: Control = { id: newId(), kind: 'case', props: { name }, children: [] };
  const last = component.children.findLastIndex(({ kind }) => kindOf({ kind }).declares !== undefined);
  editor.dispatch({
    label: `Add the case ${name}`,
    steps: [{ type: 'insert', parent: component.id, index: last + 1, control: line }],
  });
  return name;
}

export function CasesDialog() {
  const { editor } = useWorkplace();
  const state = useEditorState('asking', 'project', 'screenId');
  const component = currentScreen(state);
  if (state.asking !== 'cases' || !component || kindOf(component).root !== 'components') return null;
  const { parameters, cases, name } = definitionOf(component);
  return (
    <Dialog title={`Cases of ${name}`} onClose={() => editor.ask(undefined)} width={720}>
      <p className="mb-3 text-quiet">
        Sample values to see {name} with, each case in a bay of its own. They are not handed over.
      </p>
      {parameters.size === 0 ? (
        <p>It has no parameters yet, so all its cases are alike.</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="w-full border-collapse">
            <thead>
              <tr className="border-b border-rule text-left">
                <th className="py-1 pr-2 font-semibold">Case</th>
                {[...parameters.values()].map((parameter) => (
                  <th key={parameter.name} className="py-1 pr-2 font-mono text-[12px] font-normal">
                    {parameter.name} <span className="font-sans text-quiet">{parameter.type}</span>
                  </th>
                ))}
                <th className="sr-only">Delete</th>
              </tr>
            </thead>
            <tbody>
              {[...cases.values()].map((each) => (
                <CaseLine
                  key={each.control.id}
                  component={component}
                  each={each}
                  parameters={[...parameters.values()]}
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
      <button type="button" className="btn mt-3" onClick={() => addCase(editor, component)}>
        <Plus size={14} aria-hidden /> Add a case
      </button>
    </Dialog>
  );
}

function CaseLine({
  component,
  each,
  parameters,
}: {
  component: Control;
  each: SampleCase;
  parameters: readonly Parameter[];
}) {
  const { editor } = useWorkplace();
  const { control, name } = each;
  const set = (property: string, value: string | null, label: string) =>
    editor.dispatch({ label, steps: [{ type: 'set', control: control.id, property, value }] });
  return (
    <tr className="border-b border-rule/60 align-top">
      <td className="py-1 pr-2">
        <TypedField
          label="Name of the case"
          kept={name}
          problemOf={(text) => declaredNameProblem(component, control, text)}
          onText={(text) => set('name', text, `Rename the case ${name}`)}
        />
      </td>
      {parameters.map((parameter) => (
        <td key={parameter.name} className="py-1 pr-2">
          <Given each={each} parameter={parameter} onText={set} />
        </td>
      ))}
      <td className="py-1">
        <button
          type="button"
          className="btn-bare"
          aria-label={`Delete the case ${name}`}
          onClick={() =>
            editor.dispatch({
              label: `Delete the case ${name}`,
              steps: [{ type: 'remove', control: control.id }],
            })
          }
        >
          <Trash2 size={14} />
        </button>
      </td>
    </tr>
  );
}

interface GivenProps {
  readonly each: SampleCase;
  readonly parameter: Parameter;
  readonly onText: (property: string, value: string | null, label: string) => void;
}

/** What a case gives one parameter; nothing: what the parameter begins with. */
function Given({ each: { control, name, given }, parameter, onText }: GivenProps) {
  const { project } = useEditorState('project');
  const attribute = `${kindOf(control).gives}.${parameter.name}`;
  const kept = given.get(parameter.name) ?? '';
  const put = (text: string) =>
    onText(attribute, text === '' ? null : text, `Give ${parameter.name} in the case ${name}`);
  const label = `${parameter.name} of ${name}`;
  const choices = parameter.choices ?? (parameter.type === 'boolean' ? ['false', 'true'] : undefined);
  if (choices)
    return (
      <select className="field" aria-label={label} value={kept} onChange={({ target }) => put(target.value)}>
        <option value="">{parameter.initial ?? ''}</option>
        {choices.map((choice) => (
          <option key={choice}>{choice}</option>
        ))}
      </select>
    );
  return (
    <TypedField
      label={label}
      kept={kept}
      {...(parameter.initial === undefined ? {} : { placeholder: parameter.initial })}
      problemOf={(text) => {
        if (text === '') return undefined;
        const read = readAttributeText(
          kindIn(project, control),
          attribute,
          text,
          contextOf(project, control),
        );
        return read.ok ? undefined : read.message;
      }}
      onText={put}
    />
  );
}
