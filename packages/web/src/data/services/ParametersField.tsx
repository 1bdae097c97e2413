/** What a request is given: each value by its name, its place and its type. */
import {
  checkTemplate,
  contextOf,
  parameterPlaces,
  parameterTypes,
  type RequestParameter,
} from '@hovrin/core';
import { Plus, X } from 'lucide-react';
import { useEditorState } from '../../editor/context.tsx';

const placeWords: Readonly<Record<RequestParameter['in'], string>> = {
  path: 'path',
  query: 'query',
  header: 'header',
  field: 'field of the body',
  body: 'the whole body',
};

interface ParametersFieldProps {
  readonly parameters: readonly RequestParameter[];
  readonly hasBody: boolean;
  readonly onChange: (parameters: readonly RequestParameter[]) => void;
}

export function ParametersField({ parameters, hasBody, onChange }: ParametersFieldProps) {
  const add = () =>
    onChange([
      ...parameters,
      { name: freeParameter(parameters), in: hasBody ? 'field' : 'query', type: 'text' },
    ]);
  return (
    <section aria-labelledby="parameters" className="flex flex-col gap-2">
      <div className="flex items-center justify-between">
        <h3 id="parameters" className="font-semibold">
          Is given
        </h3>
        <button type="button" className="btn !h-6 text-[12px]" onClick={add}>
          <Plus size={13} aria-hidden /> Add a parameter
        </button>
      </div>
      {parameters.length === 0 ? (
        <p className="text-quiet">Nothing. A name in braces in the path becomes a parameter.</p>
      ) : (
        <table className="w-full border-collapse">
          <thead>
            <tr className="text-left text-[12px] text-quiet">
              <th className="w-36 font-medium">Name</th>
              <th className="w-36 pl-2 font-medium">Stands in</th>
              <th className="w-28 pl-2 font-medium">Type</th>
              <th className="w-16 pl-2 text-center font-medium">Needed</th>
              <th className="pl-2 font-medium">Where it is not given, it is</th>
              <th className="w-8">
                <span className="sr-only">Remove</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {parameters.map((parameter, at) => (
              <ParameterRow
                // biome-ignore lint/suspicious/noArrayIndexKey: the name changes while it is typed, the place does not.
                key={at}
                {...{ parameter, hasBody }}
                onChange={(changed) => onChange(parameters.with(at, changed))}
                onRemove={() => onChange(parameters.toSpliced(at, 1))}
              />
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function freeParameter(parameters: readonly RequestParameter[]): string {
  for (let number = 1; ; number++) {
    const name = number === 1 ? 'value' : `value${number}`;
    if (!parameters.some((each) => each.name === name)) return name;
  }
}

interface ParameterRowProps {
  readonly parameter: RequestParameter;
  readonly hasBody: boolean;
  readonly onChange: (parameter: RequestParameter) => void;
  readonly onRemove: () => void;
}

function ParameterRow(props: ParameterRowProps) {
  const { parameter, onChange, onRemove } = props;
  const { name, in: place, type, required = false } = parameter;
  const isInPath = place === 'path';
  return (
    <tr className="align-top">
      <td className="py-0.5">
        <input
          className="field font-mono"
          aria-label={`Name of parameter ${name}`}
          spellCheck={false}
          readOnly={isInPath}
          title={isInPath ? 'Its name stands in the path' : undefined}
          value={name}
          onChange={({ target }) => onChange({ ...parameter, name: target.value.trim() })}
        />
      </td>
      <PlaceCell {...props} />
      <td className="py-0.5 pl-2">
        <select
          className="field"
          aria-label={`Type of ${name}`}
          value={type}
          onChange={({ target }) =>
            onChange({ ...parameter, type: parameterTypes.find((each) => each === target.value) ?? 'text' })
          }
        >
          {parameterTypes.map((each) => (
            <option key={each} value={each}>
              {each === 'boolean' ? 'yes / no' : each}
            </option>
          ))}
        </select>
      </td>
      <td className="py-1.5 pl-2 text-center">
        <input
          type="checkbox"
          className="accent-spruce"
          aria-label={`${name} is needed`}
          disabled={isInPath}
          checked={required}
          onChange={({ target }) => {
            const { required: _, ...rest } = parameter;
            onChange(target.checked ? { ...rest, required: true } : rest);
          }}
        />
      </td>
      <FollowsCell {...props} />
      <td className="py-1 pl-2">
        {!isInPath && (
          <button
            type="button"
            className="btn-bare text-quiet"
            aria-label={`Remove ${name}`}
            onClick={onRemove}
          >
            <X size={14} />
          </button>
        )}
      </td>
    </tr>
  );
}

/** Where it stands, and of a header its name there. */
function PlaceCell({ parameter, hasBody, onChange }: ParameterRowProps) {
  const { name, in: place, header } = parameter;
  const isOffered = (each: RequestParameter['in']) =>
    each === place || (each !== 'path' && (hasBody || (each !== 'field' && each !== 'body')));
  return (
    <td className="py-0.5 pl-2">
      <select
        className="field"
        aria-label={`Place of ${name}`}
        disabled={place === 'path'}
        value={place}
        onChange={({ target }) => {
          const { header: _, ...rest } = parameter;
          onChange({ ...rest, in: parameterPlaces.find((each) => each === target.value) ?? 'query' });
        }}
      >
        {parameterPlaces.filter(isOffered).map((each) => (
          <option key={each} value={each}>
            {placeWords[each]}
          </option>
        ))}
      </select>
      {place === 'header' && (
        <input
          className="field mt-1 font-mono text-[12px]"
          aria-label={`Header of ${name}`}
          placeholder={name}
          spellCheck={false}
          value={header ?? ''}
          onChange={({ target }) => {
            const { header: _, ...rest } = parameter;
            const said = target.value.trim();
            onChange(said ? { ...rest, header: said } : rest);
          }}
        />
      )}
    </td>
  );
}

/** The expression that it follows where it is not given. */
function FollowsCell({ parameter, onChange }: ParameterRowProps) {
  const { project } = useEditorState('project');
  const { name, value = '' } = parameter;
  const checked = value.trim() === '' ? undefined : checkTemplate(`{${value}}`, contextOf(project));
  const problem = checked && !checked.ok ? checked.problem.message : undefined;
  return (
    <td className="py-0.5 pl-2">
      <input
        className="field font-mono text-[12px]"
        aria-label={`What ${name} follows`}
        aria-invalid={problem !== undefined}
        placeholder="left out"
        spellCheck={false}
        value={value}
        onChange={({ target }) => {
          const { value: _, ...rest } = parameter;
          onChange(target.value === '' ? rest : { ...rest, value: target.value });
        }}
      />
      {problem && <p className="text-[12px] text-brick">{problem}</p>}
    </td>
  );
}
