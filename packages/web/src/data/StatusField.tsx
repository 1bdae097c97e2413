/** Which variable is told how a feed or a table's rows come; a new one can be made for it. */
import { changing, freeName, type Project, putting, type StateVariable } from '@hovrin/core';
import { useWorkplace } from '../editor/context.tsx';

interface StatusFieldProps {
  readonly project: Project;
  readonly variable: StateVariable;
  readonly status: string | undefined;
  /** The variable with another one that is told; undefined: none. */
  readonly withStatus: (status: string | undefined) => StateVariable;
  readonly words: string;
}

/** The choice that makes a variable; no name can be like it. */
const newVariable = '+';

export function StatusField({ project, variable, status, withStatus, words }: StatusFieldProps) {
  const { editor } = useWorkplace();
  const { name } = variable;
  const choose = (chosen: string) => {
    const isNew = chosen === newVariable;
    const told = isNew
      ? freeName(`${name}Status`, (each) => project.state.some((other) => other.name === each))
      : chosen || undefined;
    editor.dispatch({
      label: `Tell how ${name} goes`,
      steps: [
        ...(isNew ? [putting('state', { name: told, type: 'text', initial: 'live' })] : []),
        ...changing('state', variable, withStatus(told)),
      ],
    });
  };
  return (
    <label className="flex items-center gap-2 text-[12px]">
      <span className="w-14 text-quiet">Status in</span>
      <select
        className="field !h-6 flex-1 text-[12px]"
        aria-label={`Status of ${name} in`}
        title={`A text that holds ${words}`}
        value={status ?? ''}
        onChange={(event) => choose(event.target.value)}
      >
        <option value="">nothing</option>
        {project.state
          .filter((each) => each.type === 'text' && each.computed === undefined)
          .map((each) => (
            <option key={each.name} value={each.name}>
              {each.name}
            </option>
          ))}
        <option value={newVariable}>a new variable</option>
      </select>
    </label>
  );
}
