/** What an event of a control does, as text, with a problem said where it is. */
import {
  actions,
  alterings,
  askings,
  asTyped,
  attributeProblems,
  type Control,
  type EventEntry,
  inForce,
  isDialog,
  readCards,
  type StateVariable,
} from '@hovrin/core';
import { ChevronDown } from 'lucide-react';
import { useId, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Menu } from '../../parts/Menu.tsx';
import { ActionCards, copiedCard } from './ActionCards.tsx';
import { KeepControl } from './KeepControl.tsx';
import { useCompletion } from './useCompletion.tsx';
import { useSetProperty } from './useSetProperty.ts';
import { useTypedText } from './useTypedText.ts';

/** The events of a control: those that do something, and the first; the others wait until they are wanted. */
export function EventFields({
  control,
  name,
  events,
}: {
  control: Control;
  name: string;
  events: readonly EventEntry[];
}) {
  const [wanted, setWanted] = useState<readonly string[]>([]);
  const isShown = (event: EventEntry) =>
    event === events[0] || control.props[`on.${event.name}`] !== undefined || wanted.includes(event.name);
  const waiting = events.filter((event) => !isShown(event));
  return (
    <>
      {events.filter(isShown).map((event) => (
        <EventField
          key={event.name}
          control={control}
          name={name}
          attribute={`on.${event.name}`}
          label={event.label}
        />
      ))}
      {waiting.length > 0 && (
        <div className="flex flex-wrap items-center gap-1">
          <span className="text-[12px] text-quiet">Also</span>
          {waiting.map((event) => (
            <button
              key={event.name}
              type="button"
              className="btn !h-6 !px-1.5 text-[12px]"
              onClick={() => setWanted([...wanted, event.name])}
            >
              {event.label}
            </button>
          ))}
        </div>
      )}
    </>
  );
}

/** What can be done with a variable, as it is written. */
function writtenFor(variable: StateVariable): readonly string[] {
  const { name, type } = variable;
  if (variable.request) return askings.map(({ written }) => written(variable));
  // A list behind a service is changed row by row.
  const isWhole = variable.remote === undefined;
  const set = type === 'boolean' || !isWhole ? [] : [`${name} = ${name}`];
  const fitting = alterings.filter(({ on, several }) => (!on || on.includes(type)) && (isWhole || !several));
  return [...set, ...fitting.map(({ written }) => written(variable))];
}

function EventField({
  control,
  name,
  attribute,
  label,
}: {
  control: Control;
  name: string;
  attribute: string;
  label: string;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { set, rest } = useSetProperty([control], name);
  const id = useId();
  const held = control.props[attribute];
  const text = asTyped(held) ?? '';
  const problem = attributeProblems(project, control).find((each) => each.attribute === attribute);
  const change = (next: string) => set(attribute, label, next === '' ? null : next);
  const cards = text === '' ? undefined : readCards(text);
  const completion = useCompletion(control, true);
  const typed = useTypedText(`${control.id} ${attribute}`, text, change);
  /** A change by itself. */
  const put = (next: string) => {
    change(next);
    rest();
  };
  const add = (statement: string) =>
    put(text.trim() === '' ? statement : `${text.replace(/[;\s]*$/, '')}; ${statement}`);
  const others = project.screens.filter((screen) => screen.name !== undefined && !isDialog(screen));
  return (
    <div className="flex flex-col gap-1">
      <div className="flex items-center">
        <label htmlFor={id} className="text-quiet">
          {label}
        </label>
        <AddMenu label={label} onAdd={add} />
      </div>
      <div className="relative" data-completes="event">
        <textarea
          {...completion.field}
          id={id}
          className="field h-auto min-h-14 w-full resize-y py-1 font-mono text-[12px]"
          rows={2}
          spellCheck={false}
          aria-invalid={problem !== undefined}
          aria-describedby={problem ? `${id}-problem` : undefined}
          placeholder={`count = count + 1; go("${others[0]?.name ?? 'Screen1'}")`}
          value={typed.shown}
          onChange={(event) => {
            typed.type(event.target.value);
            completion.look(event.target);
          }}
          onKeyDown={completion.key}
          onBlur={() => {
            typed.leave();
            rest();
            completion.close();
          }}
        />
        {completion.list}
      </div>
      <EventProblem id={id} control={control} attribute={attribute} />
      {cards && cards.cards.length > 0 && (
        <ActionCards
          text={text}
          list={cards}
          control={control}
          problemAt={problem?.at}
          onText={(next) => {
            rest();
            put(next);
          }}
          onRefused={(words) => editor.tell(words)}
        />
      )}
      {text === '' && others.length > 1 && <GoTo screens={others} onGo={put} />}
    </div>
  );
}

/** What the event could do, written in full. */
function AddMenu({ label, onAdd }: { label: string; onAdd: (statement: string) => void }) {
  const { project } = useEditorState('project');
  const pasting = () => {
    const card = copiedCard();
    return card ? [{ label: `Paste: ${card.words}`, onSelect: () => onAdd(card.text) }] : [];
  };
  return (
    <Menu
      label={`What ${label} can do`}
      button={
        <button
          type="button"
          className="btn-bare ml-auto !h-6 text-[12px]"
          aria-label={`Add what ${label} does`}
        >
          Add <ChevronDown size={12} aria-hidden />
        </button>
      }
      entries={() => [
        ...pasting(),
        ...actions.map(({ name: action, takes, written }) => ({
          label: `${action}: ${takes}`,
          onSelect: () => onAdd(written),
        })),
        ...project.state
          .filter(({ computed }) => computed === undefined)
          .flatMap((variable) =>
            writtenFor(variable).map((statement) => ({
              label: statement.replace(/ = .*/, ' = …'),
              onSelect: () => onAdd(statement),
            })),
          ),
      ]}
    />
  );
}

function EventProblem({ id, control, attribute }: { id: string; control: Control; attribute: string }) {
  const { project } = useEditorState('project');
  const held = control.props[attribute];
  const text = asTyped(held) ?? '';
  const problem = attributeProblems(project, control).find((each) => each.attribute === attribute);
  if (!problem) return null;
  return (
    <p id={`${id}-problem`} role="alert" className="text-[12px] text-brick">
      {problem.message}
      <KeepControl control={control} text={text} at={problem.at} />{' '}
      <span className="text-quiet">(at character {problem.at + 1})</span>
      {inForce(held) !== undefined && inForce(held) !== text && (
        <span className="text-quiet"> {`“${inForce(held)}” goes on working.`}</span>
      )}
    </p>
  );
}

function GoTo({ screens, onGo }: { screens: readonly Control[]; onGo: (statement: string) => void }) {
  return (
    <div className="flex flex-wrap items-center gap-1">
      <span className="text-[12px] text-quiet">Go to</span>
      {screens.map((screen) => (
        <button
          key={screen.id}
          type="button"
          className="btn !h-6 !px-1.5 text-[12px]"
          onClick={() => onGo(`go("${screen.name}")`)}
        >
          {screen.name}
        </button>
      ))}
    </div>
  );
}
