/** A sentence in which names stand in backticks; names of controls light up and can be selected. */
import type { Control } from '@hovrin/core';
import { useMemo } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { ownOf } from '../../editor/inPlace.ts';
import { useBenchView } from '../bench/benchView.ts';
import { useNames } from '../useNames.ts';

export function Sentence({ screen, children: text }: { screen: Control; children: string }) {
  const names = useNames(screen);
  const byName = useMemo(() => new Map([...names].map(([id, name]) => [name, id])), [names]);
  return text.split(/`([^`]+)`/).map((part, index) => {
    const key = `${index} ${part}`;
    if (index % 2 === 0) return <span key={key}>{part}</span>;
    const id = byName.get(part);
    return id === undefined ? (
      <code key={key} className="font-mono text-[12px]">
        {part}
      </code>
    ) : (
      <ControlWord key={key} id={id} name={part} />
    );
  });
}

/** The name of a control: lit on the bench while it is pointed at, selected when it is pressed. */
export function ControlWord({ id, name }: { id: string; name: string }) {
  const { editor } = useWorkplace();
  const { inPlace } = useEditorState('inPlace');
  const { setLit } = useBenchView();
  const light = () => setLit(ownOf(inPlace, id));
  return (
    <button
      type="button"
      className="rounded-sm border-b border-dotted border-spruce font-mono text-[12px] text-spruce hover:bg-saffron/25"
      onMouseEnter={light}
      onMouseLeave={() => setLit(undefined)}
      onFocus={light}
      onBlur={() => setLit(undefined)}
      onClick={() => {
        setLit(undefined);
        editor.select([id]);
      }}
    >
      {name}
    </button>
  );
}
