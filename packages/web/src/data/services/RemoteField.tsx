/** A list whose rows lie behind a service: by which requests they are listed, added, changed and removed. */
import { columnsOf, type RemoteTable, remoteGuess, type StateVariable } from '@hovrin/core';
import type { ReactNode } from 'react';
import { useEditorState } from '../../editor/context.tsx';

interface RemoteFieldProps {
  readonly variable: StateVariable & { readonly remote: RemoteTable };
  readonly onChange: (variable: StateVariable, label: string) => void;
}

const partWords: Readonly<Record<Exclude<keyof RemoteTable, 'list'>, string>> = {
  add: 'added by',
  change: 'changed by',
  remove: 'removed by',
};

/** A list behind the service that a request asks. */
export function behind(
  state: readonly StateVariable[],
  variable: StateVariable,
  list: StateVariable,
): StateVariable {
  const { computed: _, feed: __, kept: ___, screen: ____, ...plain } = variable;
  const { remote, columns, initial } = remoteGuess(state, list);
  return { ...plain, remote, columns, initial: initial.length > 0 ? initial : variable.initial };
}

export function RemoteField({ variable, onChange }: RemoteFieldProps) {
  const { project } = useEditorState('project');
  const { name, remote } = variable;
  const requests = project.state.filter(({ request }) => request !== undefined);
  const hasKey = columnsOf(variable).some(({ role }) => role === 'key');
  const choose = (part: keyof RemoteTable, chosen: string) => {
    const { [part]: _, ...rest } = remote;
    const now = chosen === '' ? rest : { ...rest, [part]: chosen };
    onChange({ ...variable, remote: now as RemoteTable }, `Requests of ${name}`);
  };
  return (
    <div className="flex flex-col gap-1 border-l-2 border-lake pl-2 text-[12px]">
      <Line words="listed by">
        <select
          className="field !h-6 flex-1 font-mono text-[12px]"
          aria-label={`Request that lists ${name}`}
          value={remote.list}
          onChange={({ target }) => {
            const list = requests.find((each) => each.name === target.value);
            if (list) onChange(behind(project.state, variable, list), `Requests of ${name}`);
          }}
        >
          {!requests.some((each) => each.name === remote.list) && (
            <option value={remote.list}>{remote.list} (not there)</option>
          )}
          {requests.map((each) => (
            <option key={each.name}>{each.name}</option>
          ))}
        </select>
      </Line>
      {(['add', 'change', 'remove'] as const).map((part) => (
        <Line key={part} words={partWords[part]}>
          <select
            className="field !h-6 flex-1 font-mono text-[12px]"
            aria-label={`Request by which rows of ${name} are ${partWords[part].replace(' by', '')}`}
            value={remote[part] ?? ''}
            onChange={({ target }) => choose(part, target.value)}
          >
            <option value="">nobody: that stays on the page</option>
            {requests.map((each) => (
              <option key={each.name}>{each.name}</option>
            ))}
          </select>
        </Line>
      ))}
      {!hasKey && (
        <p className="text-brick">
          No column is its key: say in “Edit as a table” by which column the service knows a row.
        </p>
      )}
      <p className="text-quiet">Sample, on the bench and in pictures:</p>
    </div>
  );
}

const Line = ({ words, children }: { words: string; children: ReactNode }) => (
  // biome-ignore lint/a11y/noLabelWithoutControl: the field is among the children.
  <label className="flex items-center gap-2">
    <span className="w-20 shrink-0 text-quiet">{words}</span>
    {children}
  </label>
);
