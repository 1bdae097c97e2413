/** How long a motion takes, how often, and what it plays by. */
import {
  type Control,
  inForce,
  keyControl,
  motionAlternate,
  motionDelay,
  motionPlays,
  motionRepeat,
  motionSeconds,
  type Project,
  renameDeclared,
  type Step,
} from '@hovrin/core';
import type { ReactNode } from 'react';
import { TypedField } from '../../parts/TypedField.tsx';

interface MotionFieldsProps {
  readonly project: Project;
  readonly line: Control;
  readonly onSteps: (label: string, steps: readonly Step[]) => void;
}

export function MotionFields({ project, line, onSteps }: MotionFieldsProps) {
  const set = (property: string, value: string | null) =>
    onSteps('Set the motion', [{ type: 'set', control: line.id, property, value }]);
  return (
    <>
      <Field words="Name">
        <TypedField
          key={line.id}
          label="Name"
          kept={inForce(line.props.name) ?? ''}
          problemOf={(text) => {
            // Names of motions are those of controls.
            const read = keyControl.type.read(text);
            return read.ok ? undefined : read.message;
          }}
          onText={(text) => onSteps('Rename the motion', renameDeclared(project, line, text))}
        />
      </Field>
      {[motionSeconds, motionDelay, motionRepeat].map(({ name, label, type, default: preset }) => (
        <Field key={name} words={label}>
          <TypedField
            label={label}
            kept={inForce(line.props[name]) ?? ''}
            placeholder={typeof preset === 'string' ? preset : '0'}
            problemOf={(text) => {
              const read = text === '' ? undefined : type.read(text);
              return !read || read.ok ? undefined : read.message;
            }}
            onText={(text) => set(name, text || null)}
          />
        </Field>
      ))}
      <label className="flex items-center gap-2 text-[12px]">
        <input
          type="checkbox"
          className="accent-spruce"
          checked={inForce(line.props[motionAlternate.name]) === 'true'}
          onChange={({ target }) => set(motionAlternate.name, target.checked ? 'true' : null)}
        />
        {motionAlternate.label}
      </label>
      <Field words={motionPlays.label}>
        <TypedField
          label={motionPlays.label}
          kept={inForce(line.props[motionPlays.name]) ?? ''}
          placeholder="played by events"
          problemOf={() => undefined}
          onText={(text) => set(motionPlays.name, text || null)}
        />
      </Field>
    </>
  );
}

const Field = ({ words, children }: { readonly words: string; readonly children: ReactNode }) => (
  <div className="flex items-start gap-2">
    <span className="w-20 shrink-0 pt-1 text-[12px]">{words}</span>
    {children}
  </div>
);
