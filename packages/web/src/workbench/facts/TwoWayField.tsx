/** Where what a control holds is kept. */
import {
  assignableIn,
  asTyped,
  attributeProblems,
  type Control,
  knownOn,
  locate,
  type Property,
  placesToBind,
} from '@hovrin/core';
import { useId } from 'react';
import { keepInNew } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useSetProperty } from '../fields/useSetProperty.ts';

/** The choice that makes a variable; no name can be like it. */
const newVariable = '+';

/** Joins an input's value with a state variable, in both directions. */
export function TwoWayField({
  control,
  property,
  name,
}: {
  control: Control;
  property: Property;
  name: string;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { set, rest } = useSetProperty([control], name);
  const id = useId();
  const attribute = `${property.name}.bind`;
  const target = asTyped(control.props[attribute]) ?? '';
  const screen = locate(project, control.id)?.screen;
  const fitting = [...assignableIn(screen), ...knownOn(project, screen?.name)].filter(
    ({ type, computed }) => computed === undefined && property.twoWay!.some((each) => each === type),
  );
  const places = placesToBind(project, control).filter(
    ({ type }) => type === undefined || property.twoWay!.some((each) => each === type),
  );
  const offered = [...fitting.map(({ name: each }) => each), ...places.map(({ text }) => text)];
  const isOffered = target === '' || offered.includes(target);
  const lost = !isOffered && attributeProblems(project, control).some((each) => each.attribute === attribute);
  return (
    <div className="flex items-center gap-1.5">
      <label htmlFor={id} className="w-[86px] shrink-0 text-quiet">
        {target && (
          <span
            role="img"
            aria-label="Bound"
            className="mr-1 inline-block size-1.5 rounded-[1px] bg-lake align-middle"
          />
        )}
        {property.page?.as === 'form' ? `${property.label} in` : 'Kept in'}
      </label>
      <select
        id={id}
        aria-label={`${property.label} kept in`}
        className={`field flex-1 ${target ? '!border-lake' : ''}`}
        aria-invalid={lost}
        value={target}
        onChange={(event) => {
          if (event.target.value === newVariable) keepInNew(editor, control, property);
          else set(attribute, property.label, event.target.value === '' ? null : event.target.value);
          rest();
        }}
      >
        <option value="">nowhere</option>
        {!isOffered && (
          <option value={target}>
            {target}
            {lost ? ' (not there)' : ''}
          </option>
        )}
        {offered.map((each) => (
          <option key={each} value={each}>
            {each}
          </option>
        ))}
        <option value={newVariable}>a new variable</option>
      </select>
      <span className="w-5" />
    </div>
  );
}
