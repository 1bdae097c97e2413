/** What is selected becomes a component: under which name, in which of the places that are alike, what each place says itself. */
import {
  type ComponentPlan,
  type Control,
  componentNameProblem,
  componentPlan,
  effectiveNames,
  entryOf,
  makeComponent,
  type PlannedParameter,
  parameterNameProblem,
  type Standing,
} from '@hovrin/core';
import { useMemo, useState } from 'react';
import { newId } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Dialog } from '../../parts/Dialog.tsx';
import { FormEnd } from '../../parts/FormEnd.tsx';

export function MakeComponent() {
  const { editor } = useWorkplace();
  const { asking, selection, project } = useEditorState('asking', 'selection', 'project');
  const [id] = selection;
  const plan = useMemo(
    () => (asking === 'component' && id !== undefined ? componentPlan(project, id) : undefined),
    [asking, id, project],
  );
  if (plan === undefined) return null;
  const close = () => editor.ask(undefined);
  return (
    <Dialog title="Make a component" onClose={close} width={620}>
      {typeof plan === 'string' ? <p role="alert">{plan}</p> : <PlanForm plan={plan} onClose={close} />}
    </Dialog>
  );
}

const placeWords = ({ screen, control }: Standing): string =>
  `${entryOf(effectiveNames(screen), control.id)} on ${screen.name}`;

/** A parameter under the name that it is given here, or left out. */
interface Chosen {
  readonly parameter: PlannedParameter;
  readonly name: string;
}

function PlanForm({ plan, onClose }: { plan: ComponentPlan; onClose: () => void }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const [name, setName] = useState(plan.name);
  const [left, setLeft] = useState<ReadonlySet<Standing>>(new Set());
  const [chosen, setChosen] = useState<readonly Chosen[]>(
    plan.parameters.map((parameter) => ({ parameter, name: parameter.name })),
  );
  const [slot, setSlot] = useState('');
  const places = plan.places.filter((place) => !left.has(place));
  const names = chosen.map((each) => each.name);
  const problem =
    componentNameProblem(name) ??
    ((project.components ?? []).some((each) => each.name === name)
      ? `There is already a component \`${name}\`.`
      : undefined) ??
    names.map((each) => parameterNameProblem(each)).find(Boolean) ??
    (new Set(names).size < names.length ? 'Two parameters have the same name.' : undefined);
  const make = () => {
    const made = makeComponent(
      project,
      plan,
      {
        name,
        places,
        parameters: chosen.map((each) => ({ ...each.parameter, name: each.name })),
        ...(slot === '' ? {} : { slot: slot === 'top' ? [] : slot.split('.').map(Number) }),
      },
      newId,
    );
    const done = editor.dispatch({
      label: `Make the component ${name}`,
      steps: made.steps,
      select: [made.instance],
      exact: true,
    });
    if (done)
      editor.tell(
        places.length === 1
          ? `${name} is a component now; press it twice to change it.`
          : `${name} stands in ${places.length} places now; press one twice to change all.`,
      );
    onClose();
  };
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (!problem) make();
      }}
    >
      <label className="flex flex-col gap-1">
        Name
        <input
          className="field font-mono text-[12px]"
          spellCheck={false}
          value={name}
          onChange={({ target }) => setName(target.value.trim())}
        />
      </label>
      <Places plan={plan} left={left} onLeft={setLeft} />
      <Parameters chosen={chosen} plan={plan} onChosen={setChosen} />
      <label className="flex flex-col gap-1">
        What each place puts in itself
        <select className="field" value={slot} onChange={({ target }) => setSlot(target.value)}>
          <option value="">Nothing: all of it is the component’s</option>
          {containersIn(plan.top).map(({ path, words }) => (
            <option key={path} value={path}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <FormEnd
        problem={problem}
        action={places.length === 1 ? 'Make it' : `Make it, in ${places.length} places`}
        onClose={onClose}
      />
    </form>
  );
}

/** The containers of a structure that hold something, as places for a slot. */
function containersIn(top: Control): { path: string; words: string }[] {
  const visit = (control: Control, path: readonly number[]): { path: string; words: string }[] => [
    ...(control.children.length > 0
      ? [
          {
            path: path.length === 0 ? 'top' : path.join('.'),
            words: `What is in ${control.name ?? `the ${control.kind}`}`,
          },
        ]
      : []),
    ...control.children.flatMap((child, index) => visit(child, [...path, index])),
  ];
  return visit(top, []);
}

function Places({
  plan,
  left,
  onLeft,
}: {
  plan: ComponentPlan;
  left: ReadonlySet<Standing>;
  onLeft: (left: ReadonlySet<Standing>) => void;
}) {
  const { places, unfit } = plan;
  if (places.length === 1 && unfit.length === 0)
    return <p className="text-quiet">The same structure stands nowhere else in the project.</p>;
  return (
    <fieldset className="flex max-h-48 flex-col gap-1 overflow-y-auto">
      <legend className="mb-1">Where the same structure stands</legend>
      {places.map((place, index) => (
        <label key={place.control.id} className="flex items-center gap-2">
          <input
            type="checkbox"
            className="accent-spruce"
            disabled={index === 0}
            checked={!left.has(place)}
            onChange={() => {
              const next = new Set(left);
              if (!next.delete(place)) next.add(place);
              onLeft(next);
            }}
          />
          <span className="truncate">{placeWords(place)}</span>
        </label>
      ))}
      {unfit.map(({ standing, message }) => (
        <p key={standing.control.id} className="ml-6 text-[12px] text-quiet">
          Not {placeWords(standing)}: {message.replaceAll('`', '')}
        </p>
      ))}
    </fieldset>
  );
}

function Parameters({
  chosen,
  plan,
  onChosen,
}: {
  chosen: readonly Chosen[];
  plan: ComponentPlan;
  onChosen: (chosen: readonly Chosen[]) => void;
}) {
  const { passed } = plan;
  if (chosen.length === 0 && passed.length === 0) return null;
  return (
    <fieldset className="flex max-h-56 min-w-0 flex-col gap-1 overflow-x-hidden overflow-y-auto">
      <legend className="mb-1">What each place says itself</legend>
      {chosen.map((each, index) => {
        const { attribute, texts, path } = each.parameter;
        const values = [...new Set(texts)].slice(0, 3).join(' · ');
        return (
          <div key={`${path.join('.')} ${attribute}`} className="flex min-w-0 items-center gap-2">
            <input
              className="field w-36 shrink-0 font-mono text-[12px]"
              aria-label={`Name for ${attribute} ${values}`}
              spellCheck={false}
              value={each.name}
              onChange={({ target }) => onChosen(chosen.with(index, { ...each, name: target.value.trim() }))}
            />
            <span className="min-w-0 truncate text-quiet" title={texts.join(' · ')}>
              {attribute}: {values}
              {new Set(texts).size > 3 ? ' …' : ''}
            </span>
          </div>
        );
      })}
      {passed.length > 0 && (
        <p className="text-[12px] text-quiet">
          And what it reads there: {passed.map(({ name }) => name).join(', ')}. Each place gives its own.
        </p>
      )}
    </fieldset>
  );
}
