import { locate } from '@hovrin/core';
import { useEffect, useRef } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { KindIcon } from '../KindIcon.tsx';

/** All controls under the pointer, also those that others cover. */
export function UnderPointer({
  x,
  y,
  height,
  ids,
  nameOf,
  onClose,
}: {
  x: number;
  y: number;
  /** Of the bay; where there is more room above, the list opens upwards. */
  height: number;
  ids: readonly string[];
  nameOf: (id: string) => string;
  onClose: () => void;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { setLit } = useBenchView();
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => list.current?.querySelector('button')?.focus(), []);
  const close = () => {
    setLit(undefined);
    onClose();
  };
  return (
    <div
      ref={list}
      role="menu"
      aria-label="Under the pointer"
      tabIndex={-1}
      className="menu pointer-events-auto absolute z-20"
      style={{ left: x, ...(y > height / 2 ? { bottom: height - y } : { top: y }) }}
      onBlur={(event) => !event.currentTarget.contains(event.relatedTarget) && close()}
      onKeyDown={(event) => {
        const buttons = [...event.currentTarget.querySelectorAll('button')];
        const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
        if (event.key === 'Escape') close();
        if (event.key === 'ArrowDown') buttons[(at + 1) % buttons.length]?.focus();
        if (event.key === 'ArrowUp') buttons[(at - 1 + buttons.length) % buttons.length]?.focus();
      }}
    >
      {ids.map((id) => (
        <button
          key={id}
          type="button"
          role="menuitem"
          className="menu-item w-full justify-start !gap-2"
          onPointerEnter={() => setLit(id)}
          onFocus={() => setLit(id)}
          onClick={() => {
            close();
            editor.select([id]);
          }}
        >
          <KindIcon kind={locate(project, id)?.control.kind ?? 'screen'} /> {nameOf(id)}
        </button>
      ))}
    </div>
  );
}
