/** What a state variable holds when the application is opened: entered by its type, or an expression that it follows. */
import {
  asText,
  checkComputed,
  countValues,
  emptyValues,
  firstRows,
  fitting,
  initialScope,
  messageOf,
  mostValues,
  type Project,
  type StateVariable,
  type StoredTable,
} from '@hovrin/core';
import { useId, useState } from 'react';
import { useWorkplace } from '../editor/context.tsx';
import { FeedField } from './FeedField.tsx';
import { firstFeed } from './feeds.ts';
import { StatusField } from './StatusField.tsx';
import { behind, RemoteField } from './services/RemoteField.tsx';
import { RequestField } from './services/RequestField.tsx';

interface StartFieldProps {
  readonly project: Project;
  readonly variable: StateVariable;
  readonly onChange: (variable: StateVariable, label: string, group?: string) => void;
}

export function StartField(props: StartFieldProps) {
  const { variable, onChange } = props;
  const { computed, feed, remote, ...plain } = variable;
  const { editor } = useWorkplace();
  const follows = computed !== undefined;
  if (variable.table) return <StoredRowsField {...props} table={variable.table} />;
  if (variable.request) return <RequestField variable={{ ...variable, request: variable.request }} />;
  const choose = (way: string) => {
    if (way === 'follows')
      onChange({ ...plain, computed: expressionOf(variable.initial) }, `${variable.name} follows`);
    else if (way === 'comes') {
      const { kept: _, ...rest } = plain;
      onChange({ ...rest, feed: firstFeed(variable) }, `Feed of ${variable.name}`);
    } else if (way === 'behind') {
      const { state } = props.project;
      const list = state.find(({ request }) => request?.method === 'GET');
      if (list) onChange(behind(state, variable, list), `Service of ${variable.name}`);
      else editor.tell('There is no request that could list its rows: add a service below, with a request.');
    } else onChange(plain, `Start of ${variable.name}`);
  };
  return (
    <div className="flex flex-col gap-1">
      <select
        className="field !h-6 !w-40 text-[12px] text-quiet"
        aria-label={`How ${variable.name} gets its value`}
        value={follows ? 'follows' : feed ? 'comes' : remote ? 'behind' : 'starts'}
        onChange={(event) => choose(event.target.value)}
      >
        <option value="starts">starts as</option>
        <option value="follows">always follows</option>
        <option value="comes">comes from a feed</option>
        {variable.type === 'list' && <option value="behind">lies behind a service</option>}
      </select>
      {remote && !follows && <RemoteField variable={{ ...variable, remote }} onChange={onChange} />}
      {feed && !follows && <FeedField {...props} variable={{ ...variable, feed }} />}
      {follows ? <Followed {...props} /> : <Entered key={variable.type} {...props} />}
    </div>
  );
}

/** A table whose rows are kept beside the document: how many there are, and the variable that tells its status. */
function StoredRowsField({ project, variable, table }: StartFieldProps & { readonly table: StoredTable }) {
  return (
    <div className="flex flex-col gap-1 border-l-2 border-lake pl-2 text-[12px]">
      <p className="text-quiet">
        {table.rows === 1 ? '1 row' : `${table.rows.toLocaleString('en')} rows`} in the project’s own table
        {table.rows > firstRows ? `; the bench shows the first ${firstRows.toLocaleString('en')}` : ''}
      </p>
      <StatusField
        project={project}
        variable={variable}
        status={table.status}
        withStatus={(status) => {
          const { status: _, ...rest } = table;
          return { ...variable, table: status === undefined ? rest : { ...rest, status } };
        }}
        words="waiting, live or failed"
      />
    </div>
  );
}

/** A value as an expression writes it. */
const expressionOf = (value: unknown): string => JSON.stringify(value);

/** A value in short, as one reads it. */
function shortly(value: unknown): string {
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) {
    const plain = value.every((item) => typeof item !== 'object' || item === null);
    const first = plain ? `: ${value.slice(0, 6).map(asText).join(', ')}${value.length > 6 ? ' …' : ''}` : '';
    return value.length === 0 ? '' : `a list of ${value.length}${first}`;
  }
  const text = typeof value === 'object' && value !== null ? onOneLine(value) : asText(value);
  return text.length > 80 ? `${text.slice(0, 80)} …` : text;
}

/** JSON with room to read: `{ "name": "Ilka", "people": 4 }`. */
const onOneLine = (value: unknown): string =>
  JSON.stringify(value, undefined, 1).replace(/\n\s*/g, ' ').replace(/\[ /g, '[').replace(/ \]/g, ']');

/** JSON as one edits it: a record of a list on each line, a list of plain values on one. */
function asWritten(value: unknown): string {
  if (Array.isArray(value) && value.some((item) => typeof item === 'object' && item !== null))
    return `[\n${value.map((item) => `  ${onOneLine(item)}`).join(',\n')}\n]`;
  return onOneLine(value);
}

/** The value of a variable as everything begins; or what keeps it from having one. */
function valueNow(project: Project, variable: StateVariable): { value?: unknown; problem?: string } {
  const checked = checkComputed(variable, project.state);
  if (!checked.ok) return { problem: checked.problem.message };
  try {
    const value = initialScope(project)(variable.name);
    return fitting(variable.type, value, variable.nullable) === undefined
      ? { problem: `This gives ${shortly(value) || 'nothing'}, which is no ${variable.type}.` }
      : { value };
  } catch (error) {
    return { problem: messageOf(error) };
  }
}

function Followed({ project, variable, onChange }: StartFieldProps) {
  const id = useId();
  const { value, problem } = valueNow(project, variable);
  return (
    <>
      <textarea
        className="field h-auto min-h-7 w-full resize-y !border-lake py-1 font-mono text-[12px]"
        rows={(variable.computed ?? '').length > 34 ? 2 : 1}
        aria-label={`Expression of ${variable.name}`}
        aria-invalid={problem !== undefined}
        aria-describedby={id}
        spellCheck={false}
        value={variable.computed}
        onChange={(event) =>
          onChange(
            { ...variable, computed: event.target.value },
            `Expression of ${variable.name}`,
            `computed ${variable.name}`,
          )
        }
      />
      <p
        id={id}
        role={problem ? 'alert' : undefined}
        className={`text-[12px] ${problem ? 'text-brick' : 'text-quiet'}`}
      >
        {problem ?? `is ${shortly(value) || 'empty'} at the start`}
      </p>
    </>
  );
}

/** A start that is entered as text and may not be one yet. */
function Entered({ variable, onChange }: StartFieldProps) {
  const { name, type, initial, nullable = false } = variable;
  const label = `Start of ${name}`;
  const group = `initial ${name}`;
  const [typed, setTyped] = useState<string>();
  const id = useId();
  if (type === 'boolean')
    return (
      <label className="flex h-7 items-center gap-2">
        <input
          type="checkbox"
          aria-label={label}
          className="accent-spruce"
          checked={initial === true}
          onChange={(event) => onChange({ ...variable, initial: event.target.checked }, label)}
        />
        {initial ? 'yes' : 'no'}
      </label>
    );
  if (type === 'text' || type === 'date')
    return (
      <input
        className="field"
        type={type}
        aria-label={label}
        value={String(initial)}
        onChange={(event) => onChange({ ...variable, initial: event.target.value }, label, group)}
      />
    );
  const plain = type === 'number';
  const reading = typed === undefined ? undefined : readStart(variable, typed);
  const shared = {
    'aria-label': label,
    'aria-invalid': reading?.problem !== undefined,
    'aria-describedby': reading?.problem ? id : undefined,
    value: typed ?? (plain ? asText(initial) : asWritten(initial)),
    onChange: (event: { target: { value: string } }) => {
      const text = event.target.value;
      setTyped(text);
      const { value } = readStart(variable, text);
      if (value !== undefined) onChange({ ...variable, initial: value }, label, group);
    },
    // What is valid is shown as it is kept; what is not stays, to be mended.
    onBlur: () => reading?.problem === undefined && setTyped(undefined),
  };
  return (
    <>
      {plain ? (
        <input
          className="field text-right"
          inputMode="decimal"
          placeholder={nullable ? 'nothing' : undefined}
          {...shared}
        />
      ) : (
        <textarea
          className="field h-auto w-full resize-y py-1 font-mono text-[12px]"
          rows={Math.min(6, Math.max(shared.value.length > 36 ? 2 : 1, shared.value.split('\n').length))}
          wrap={shared.value.includes('\n') ? 'off' : 'soft'}
          title="JSON: texts in double quotes, [ ] around a list, { } around a record"
          spellCheck={false}
          {...shared}
        />
      )}
      {reading?.problem && (
        <p id={id} role="alert" className="text-[12px] text-brick">
          {reading.problem}
        </p>
      )}
    </>
  );
}

/** Reads a number, or JSON for a list or record. */
function readStart(
  { type, nullable }: StateVariable,
  text: string,
): { value?: StateVariable['initial']; problem?: string } {
  if (type === 'number') {
    const value = fitting('number', text, nullable);
    return value === undefined ? { problem: `“${text}” is not a number.` } : { value };
  }
  try {
    const value = fitting(type, text.trim() === '' ? emptyValues[type] : JSON.parse(text));
    if (value === undefined) return { problem: `This is no ${type}.` };
    return countValues(value) > mostValues
      ? { problem: `A variable holds at most ${mostValues} values at its start.` }
      : { value };
  } catch (error) {
    return { problem: `This is not JSON yet: ${messageOf(error)}` };
  }
}
