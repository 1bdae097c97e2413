/** Lining up and spacing out, with the target named before anything happens. */
import { type AlignTarget, applySteps } from '@hovrin/core';
import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignEndHorizontal,
  AlignEndVertical,
  AlignHorizontalSpaceBetween,
  AlignStartHorizontal,
  AlignStartVertical,
  AlignVerticalSpaceBetween,
  ChevronDown,
  type LucideIcon,
  MoveHorizontal,
  MoveVertical,
} from 'lucide-react';
import { type ReactElement, useEffect, useState } from 'react';
import type { Change } from '../../editor/change.ts';
import { type Command, canRun, commandNamed, runCommand } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { Editor } from '../../editor/editor.ts';
import { Menu } from '../../parts/Menu.tsx';
import { useBenchView } from '../bench/benchView.ts';

const lines: readonly (readonly [string, ReactElement])[] = (
  [
    ['align-left', AlignStartVertical],
    ['align-center', AlignCenterVertical],
    ['align-right', AlignEndVertical],
    ['align-top', AlignStartHorizontal],
    ['align-middle', AlignCenterHorizontal],
    ['align-bottom', AlignEndHorizontal],
    ['space-x', AlignHorizontalSpaceBetween],
    ['space-y', AlignVerticalSpaceBetween],
    ['same-width', MoveHorizontal],
    ['same-height', MoveVertical],
  ] satisfies readonly (readonly [string, LucideIcon])[]
).map(([id, Icon]) => [id, <Icon key={id} size={15} aria-hidden />] as const);
const targets: readonly AlignTarget[] = ['each other', 'the parent', 'the screen'];

/** Lines up what is selected; the bench shows what a press would do while one points at it, and words say what it sets. */
export function LineUp() {
  const { editor } = useWorkplace();
  const { alignTarget, alignAsOne, project } = useEditorState('alignTarget', 'alignAsOne', 'project');
  const { setPreview } = useBenchView();
  const [words, setWords] = useState('');
  useEffect(() => () => setPreview(undefined), [setPreview]);
  const point = (command: Command | undefined) => {
    const change = command && changeOf(editor, command);
    const applied = change && applySteps(project, change.steps);
    setPreview(applied?.ok ? applied.project : undefined);
    setWords(change?.tell ? `Sets ${change.tell}` : '');
  };
  return (
    <div role="toolbar" aria-label="Line up" className="border-t border-rule px-3 py-1.5">
      <div className="flex h-7 items-center">
        <span className="mr-1 text-quiet">Line up with</span>
        <Menu
          label="Line up with"
          button={
            <button type="button" className="btn-bare font-medium" title="What things are lined up with">
              {alignTarget}
              {alignAsOne ? ', as one' : ''} <ChevronDown size={13} aria-hidden />
            </button>
          }
          entries={[
            ...targets.map((target) => ({
              label: target,
              checked: target === alignTarget,
              onSelect: () => editor.alignTo(target, alignAsOne),
            })),
            {
              label: 'All as one',
              checked: alignAsOne,
              onSelect: () => editor.alignTo(alignTarget, !alignAsOne),
            },
          ]}
        />
      </div>
      <div className="-ml-1 flex">
        {lines.map(([id, icon]) => {
          const command = commandNamed(id);
          return (
            <button
              key={id}
              type="button"
              className="btn-bare !min-w-6 !px-1"
              aria-label={command.label}
              title={id.startsWith('align') ? `${command.label}, with ${alignTarget}` : command.label}
              disabled={!canRun(editor, command)}
              onPointerEnter={() => point(command)}
              onPointerLeave={() => point(undefined)}
              onFocus={() => point(command)}
              onBlur={() => point(undefined)}
              onClick={() => {
                point(undefined);
                runCommand(editor, command);
              }}
            >
              {icon}
            </button>
          );
        })}
      </div>
      {words && (
        <p className="text-[12px] text-quiet" aria-live="polite">
          {words}
        </p>
      )}
      {canRun(editor, commandNamed('arrange')) && (
        <button
          type="button"
          className="btn mt-1 mb-1 w-full justify-center"
          title="Rows, columns and grids in place of pins"
          onClick={() => runCommand(editor, commandNamed('arrange'))}
        >
          Arrange this pinboard for me
        </button>
      )}
    </div>
  );
}

/** The change that a command would make. */
function changeOf(editor: Editor, command: Command): Change | undefined {
  let change: Change | undefined;
  command.run(editor, (action) => {
    if (typeof action !== 'function') change = action;
  });
  return change;
}
