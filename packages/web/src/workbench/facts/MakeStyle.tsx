/** A style made of what controls say: under which name, of which of their values. */
import { type Control, makeStyle, type StyleValues, styleNameProblem, themeOf } from '@hovrin/core';
import { useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Dialog } from '../../parts/Dialog.tsx';
import { FormEnd } from '../../parts/FormEnd.tsx';

interface MakeStyleProps {
  readonly controls: readonly Control[];
  /** What all of them say. */
  readonly values: StyleValues;
  /** A name that is free. */
  readonly wanted: string;
  readonly onClose: () => void;
}

export function MakeStyle({ controls, values, wanted, onClose }: MakeStyleProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { styles } = themeOf(project);
  const [name, setName] = useState(wanted);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const kinds = new Set(controls.map(({ kind }) => kind));
  const [kind] = kinds;
  const [isForKind, setIsForKind] = useState(kinds.size === 1);
  const chosen = Object.fromEntries(Object.entries(values).filter(([attribute]) => !left.has(attribute)));
  const problem =
    styleNameProblem(name) ??
    (styles.named.has(name) ? 'There is a style of this name already.' : undefined) ??
    (Object.keys(chosen).length === 0 ? 'A style says at least one value.' : undefined);
  const toggle = (attribute: string) => {
    const next = new Set(left);
    if (!next.delete(attribute)) next.add(attribute);
    setLeft(next);
  };
  return (
    <Dialog title="Make a style" onClose={onClose}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (problem) return;
          const made = editor.dispatch({
            label: `Make the style ${name}`,
            steps: makeStyle(controls, name, chosen, isForKind ? kind : undefined),
            exact: true,
          });
          if (made) editor.tell(`The style ${name} says it now; Theme lists all styles.`);
          onClose();
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
        <fieldset className="flex flex-col gap-1">
          <legend className="mb-1">
            What it says; the rest stays at the {controls.length === 1 ? 'control' : 'controls'}
          </legend>
          {Object.entries(values).map(([attribute, text]) => (
            <label key={attribute} className="flex items-center gap-2">
              <input
                type="checkbox"
                className="accent-spruce"
                checked={!left.has(attribute)}
                onChange={() => toggle(attribute)}
              />
              <code className="truncate font-mono text-[12px]">
                {attribute} = {text}
              </code>
            </label>
          ))}
        </fieldset>
        {kinds.size === 1 && (
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="accent-spruce"
              checked={isForKind}
              onChange={({ target }) => setIsForKind(target.checked)}
            />
            For controls of kind {kind} only
          </label>
        )}
        <FormEnd problem={problem} action="Make it" onClose={onClose} />
      </form>
    </Dialog>
  );
}
