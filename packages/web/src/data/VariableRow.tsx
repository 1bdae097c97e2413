/** One state variable: its name, type, value, who uses it. */
import {
  columnsOf,
  effectiveNames,
  followedBy,
  type Made,
  makeEdited,
  makeForm,
  makeList,
  makeListWithDetail,
  makeTable,
  questionsOf,
  renameState,
  rowsOf,
  type StateUse,
  type StateVariable,
  spoken,
  stateNameProblem,
  usesOfState,
} from '@hovrin/core';
import { ChevronDown, Table2, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { newId } from '../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { Menu } from '../parts/Menu.tsx';
import { useGoTo } from '../parts/useGoTo.ts';
import { StartField } from './StartField.tsx';
import { TableDialog } from './TableDialog.tsx';
import { type ChosenType, chosenType, retype } from './tableChanges.ts';

const typeWords: Record<ChosenType, string> = {
  text: 'text',
  number: 'number',
  'number or nothing': 'number or nothing',
  boolean: 'yes / no',
  date: 'date',
  list: 'list',
  table: 'table',
  record: 'record',
};

interface VariableRowProps {
  readonly variable: StateVariable;
  readonly onChange: (variable: StateVariable, label: string, group?: string) => void;
  readonly onRemove: () => void;
  /** Takes a screen that was made of it into the project, and goes there. */
  readonly onMade: (made: Made) => void;
}

export function VariableRow(props: VariableRowProps) {
  const { variable, onChange, onRemove } = props;
  const { project } = useEditorState('project');
  return (
    <tr className="border-b border-rule align-top last:border-0">
      <td className="py-1.5 pl-2">
        <VariableName variable={variable} />
      </td>
      <td className="px-2 py-1.5">
        <TypeField variable={variable} />
        {project.screens.length > 0 && !variable.request && !variable.remote && <ScreenField {...props} />}
      </td>
      <td className="px-2 py-1.5">
        <StartField project={project} variable={variable} onChange={onChange} />
        {rowsOf(variable) && <Rows {...props} />}
      </td>
      <td className="px-2 py-2 text-center">
        <KeptField {...props} />
      </td>
      <td className="px-2 py-2">
        <UsedBy variable={variable} />
      </td>
      <td className="py-1.5 pr-2">
        <button
          type="button"
          className="btn-bare text-quiet hover:text-brick"
          aria-label={`Delete ${variable.name}`}
          onClick={onRemove}
        >
          <Trash2 size={15} />
        </button>
      </td>
    </tr>
  );
}

function TypeField({ variable }: { variable: StateVariable }) {
  const { editor } = useWorkplace();
  if (variable.request) return <p className="py-1 pl-1">request</p>;
  return (
    <select
      className="field"
      aria-label={`Type of ${variable.name}`}
      title={
        variable.table
          ? 'A list of records whose rows are kept beside the document, however many they are'
          : undefined
      }
      value={chosenType(variable)}
      onChange={(event) => {
        const steps = retype(variable, event.target.value as ChosenType);
        if (typeof steps === 'string') editor.tell(steps);
        else editor.dispatch({ label: `Type of ${variable.name}`, steps });
      }}
    >
      {Object.entries(typeWords).map(([type, words]) => (
        <option key={type} value={type}>
          {words}
        </option>
      ))}
    </select>
  );
}

/** Which screens know it. */
function ScreenField({ variable, onChange }: VariableRowProps) {
  const { project } = useEditorState('project');
  return (
    <select
      className="field mt-1 !h-6 text-[12px] text-quiet"
      aria-label={`Who knows ${variable.name}`}
      title="Of one screen: only it knows the variable, which begins anew each time that it is entered"
      value={variable.screen ?? ''}
      onChange={(event) => {
        const { screen: _, ...rest } = variable;
        const screen = event.target.value;
        onChange(screen === '' ? rest : { ...rest, screen }, `Screen of ${variable.name}`);
      }}
    >
      <option value="">all screens</option>
      {variable.screen !== undefined && !project.screens.some(({ name }) => name === variable.screen) && (
        <option value={variable.screen}>{variable.screen} (not there)</option>
      )}
      {project.screens.map(({ id, name }) => (
        <option key={id} value={name}>
          {name} only
        </option>
      ))}
    </select>
  );
}

/** What can be done with a list of records. */
function Rows({ variable, onMade }: VariableRowProps) {
  const [table, setTable] = useState(false);
  return (
    <>
      <div className="mt-1.5 flex gap-1.5">
        <button type="button" className="btn !h-6 text-[12px]" onClick={() => setTable(true)}>
          <Table2 size={13} aria-hidden /> Edit as a table
        </button>
        <MakeMenu variable={variable} onMade={onMade} />
      </div>
      {table && <TableDialog variable={variable} onClose={() => setTable(false)} />}
    </>
  );
}

/** Screens that can be made of a list besides a form. */
const makers = [
  ['A list to find things in', makeList],
  ['A list with detail', makeListWithDetail],
  ['A table', makeTable],
  ['A list edited in place', makeEdited],
] as const;

function MakeMenu({ variable, onMade }: Pick<VariableRowProps, 'variable' | 'onMade'>) {
  const { project } = useEditorState('project');
  const { name } = variable;
  const columns = columnsOf(variable);
  const disabled = columns.length === 0;
  const form = () =>
    makeForm(
      project,
      name,
      `Add to ${spoken(name).toLowerCase()}`,
      questionsOf(columns, rowsOf(variable) ?? []),
      newId,
    );
  return (
    <Menu
      label={`Make a screen of ${name}`}
      button={
        <button type="button" className="btn !h-6 text-[12px]" aria-label={`Make of ${name}`}>
          Make <ChevronDown size={12} aria-hidden />
        </button>
      }
      entries={[
        { label: 'A form that adds to it', disabled, onSelect: () => onMade(form()) },
        ...makers.map(([label, make]) => ({
          label,
          disabled,
          onSelect: () => onMade(make(project, name, columns, newId)),
        })),
      ]}
    />
  );
}

function KeptField({ variable, onChange }: VariableRowProps) {
  const { computed, request, remote } = variable;
  const isFromElsewhere = computed !== undefined || request !== undefined || remote !== undefined;
  return (
    <input
      type="checkbox"
      className="accent-spruce"
      aria-label={`Keep ${variable.name}`}
      title={
        isFromElsewhere
          ? 'What follows other values, or comes from a service, is worked out or asked for anew'
          : 'It is there again when the application is opened the next time'
      }
      disabled={isFromElsewhere}
      checked={variable.kept === true && variable.computed === undefined}
      onChange={(event) => {
        const { kept: _, ...rest } = variable;
        onChange(event.target.checked ? { ...rest, kept: true } : rest, `Keep ${variable.name}`);
      }}
    />
  );
}

function UsedBy({ variable }: { variable: StateVariable }) {
  const { project } = useEditorState('project');
  const uses = usesOfState(project, variable.name);
  const followers = project.state.filter((each) => followedBy(each).includes(variable.name));
  return (
    <>
      {uses.length === 0 && followers.length === 0 && <span className="text-quiet">nothing yet</span>}
      <Users words="set by" uses={uses.filter(({ written }) => written)} />
      <Users words="read by" uses={uses.filter(({ written }) => !written)} />
      {followers.length > 0 && (
        <p>
          <span className="text-quiet">followed by </span>
          <span className="font-mono text-[12px]">{followers.map(({ name }) => name).join(', ')}</span>
        </p>
      )}
    </>
  );
}

/** Controls that do something with a variable, to go to. */
function Users({ words, uses }: { words: string; uses: readonly StateUse[] }) {
  const { editor } = useWorkplace();
  const goTo = useGoTo();
  const controls = [...new Map(uses.map((use) => [use.control.id, use])).values()];
  if (controls.length === 0) return null;
  return (
    <p className="flex flex-wrap gap-x-2">
      <span className="text-quiet">{words}</span>
      {controls.slice(0, 6).map(({ screen, control }) => (
        <button
          key={control.id}
          type="button"
          className="font-mono text-[12px] text-lake underline decoration-dotted underline-offset-2"
          onClick={() => {
            editor.select([control.id]);
            goTo('');
          }}
        >
          {screen.name}.{effectiveNames(screen).get(control.id)}
        </button>
      ))}
      {controls.length > 6 && <span className="text-quiet">and {controls.length - 6} more</span>}
    </p>
  );
}

function VariableName({ variable }: { variable: StateVariable }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [typed, setTyped] = useState<string>();
  const problem =
    typed === undefined || typed === variable.name
      ? undefined
      : stateNameProblem(project, typed, variable.name);
  const commit = () => {
    if (typed !== undefined && typed !== variable.name && !problem)
      editor.dispatch({
        label: `Rename ${variable.name} to ${typed}`,
        steps: renameState(variable.name, typed),
      });
    if (!problem) setTyped(undefined);
  };
  return (
    <>
      <input
        className="field font-mono"
        data-variable={variable.name}
        aria-label={`Name of ${variable.name}`}
        aria-invalid={problem !== undefined}
        value={typed ?? variable.name}
        spellCheck={false}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') setTyped(undefined);
        }}
      />
      {problem && (
        <p role="alert" className="mt-1 text-brick">
          {problem}
        </p>
      )}
    </>
  );
}
